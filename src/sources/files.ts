import { readFileSync, readdirSync, statSync } from 'node:fs';
import { basename, dirname, join, resolve, sep } from 'node:path';
import { pathToFileURL } from 'node:url';
import { nearest, openPage, type OpenOptions, type Page, type PageText } from '../core/index.js';
import { decodePage, looksBinary } from './decode.js';
import { SourceError } from './errors.js';
import { fileReader, inside, nameOf, SIZE_CAP, type Site } from './reader.js';

export interface FileOptions extends OpenOptions {
  /** Folder the site's absolute addresses start from and beyond which nothing is read. */
  readonly root?: string;
  /** Folder reports name files from; the site root if that is named, else the working folder. */
  readonly here?: string;
  /** Font files that are there without the page bringing them, as if they were installed. */
  readonly fonts?: readonly string[];
}

/** Reads a page and everything that styles it from disk. Throws SourceError where there is no page. */
export async function loadFile(path: string, options: FileOptions = {}): Promise<Page> {
  const file = resolve(path);
  const bytes = readPage(path, file);
  const root = resolve(options.root ?? defaultRoot(file));
  if (!inside(root, file))
    throw new SourceError(
      `${path} does not lie in the site root ${options.root}`,
      'Name a folder that holds the page with --root.',
    );
  const html = decodePage(bytes);
  if (html.trim() === '')
    throw new SourceError(`${path} is empty`, 'Name the built page: the file a browser would be given.');
  const site = siteOf(root, options, file);
  return open({ name: nameOf(site, file), url: pathToFileURL(file).href, html }, site, options);
}

/** Larger input than this is no page, bytes. */
const INPUT_CAP = SIZE_CAP;

/** Reads a page from a stream, such as standard input. Throws SourceError where it is none. */
export async function loadStream(stream: AsyncIterable<Uint8Array>, options: FileOptions = {}): Promise<Page> {
  const chunks: Uint8Array[] = [];
  let size = 0;
  for await (const chunk of stream) {
    chunks.push(chunk);
    size += chunk.length;
    if (size > INPUT_CAP)
      throw new SourceError(
        `standard input is larger than ${INPUT_CAP / 1024 / 1024} MB or does not end`,
        'Pipe one built page into the command.',
      );
  }
  const bytes = Buffer.concat(chunks);
  if (looksBinary(bytes)) throw new SourceError('standard input is not text', 'Pipe a built page into the command.');
  return loadText(decodePage(bytes), options);
}

/** Reads a page from text; what it refers to is looked for below the root. */
export async function loadText(html: string, options: FileOptions = {}): Promise<Page> {
  if (html.trim() === '') throw new SourceError('standard input is empty', 'Pipe a built page into the command.');
  const root = resolve(options.root ?? process.cwd());
  const url = pathToFileURL(join(root, 'standard-input.html')).href;
  return open({ name: 'standard input', url, html }, siteOf(root, options, null), options);
}

/** Folders a file lies in, the nearest first, up to the root. */
function foldersAround(file: string, root: string): readonly string[] {
  const out: string[] = [];
  for (let folder = dirname(file); folder !== root && inside(root, folder); folder = dirname(folder)) out.push(folder);
  return out;
}

/** The site a page on disk belongs to. */
export const siteOfFile = (path: string, options: FileOptions = {}): Site =>
  siteOf(resolve(options.root ?? defaultRoot(resolve(path))), options, resolve(path));

const siteOf = (root: string, options: FileOptions, file: string | null): Site => ({
  root,
  here: options.here ?? (options.root === undefined ? process.cwd() : root),
  around: options.root === undefined && file !== null ? foldersAround(file, root) : [],
  rooted: options.root !== undefined,
  fonts: options.fonts ?? [],
});

const open = (text: PageText, site: Site, options: FileOptions): Promise<Page> =>
  openPage({ ...text, root: pathToFileURL(join(site.root, sep)).href }, fileReader(site), options);

function readPage(path: string, file: string): Uint8Array {
  const stats = statSync(file, { throwIfNoEntry: false });
  if (!stats)
    throw new SourceError(
      `${path} does not exist`,
      `${nearby(file)}Check the path; pages are named by their file, such as dist/index.html.`,
    );
  if (stats.isDirectory())
    throw new SourceError(`${path} is a folder`, `Name a page in it, such as ${join(path, 'index.html')}.`);
  if (stats.size > SIZE_CAP)
    throw new SourceError(`${path} is larger than ${SIZE_CAP / 1024 / 1024} MB`, 'Name the built page itself.');
  let bytes: Uint8Array;
  try {
    bytes = readFileSync(file);
  } catch (error) {
    throw new SourceError(
      `${path} cannot be read (${(error as NodeJS.ErrnoException).code ?? 'unknown reason'})`,
      'Check its permissions.',
    );
  }
  if (looksBinary(bytes)) throw new SourceError(`${path} is not a text file`, 'Name the built page: an HTML file.');
  return bytes;
}

/** Pages beside a missing one, those with the most alike names first, as a hint. */
function nearby(file: string): string {
  try {
    const wanted = basename(file).toLowerCase();
    const pages = readdirSync(dirname(file)).filter((name) => /\.x?html?$/i.test(name));
    const alike = nearest(wanted, pages, 3);
    return alike.length === 0 ? '' : `Beside it there is ${alike.join(', ')}. `;
  } catch {
    return `The folder ${dirname(file)} does not exist either. `;
  }
}

/** The working folder if the page lies in it, or else the page's own folder. */
function defaultRoot(file: string): string {
  return inside(process.cwd(), file) ? process.cwd() : dirname(file);
}
