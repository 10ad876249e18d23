import { existsSync, readFileSync, realpathSync, statSync } from 'node:fs';
import { dirname, isAbsolute, join, relative, resolve, sep } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { PageDraft, type Page } from '../core/index.js';
import type { PageOptions } from '../core/scene/index.js';
import { bareMetrics, bundledMetrics, webMetrics, type Missing, type NaturalSize } from '../core/boxes/index.js';
import { openFontFiles, openFonts } from './fonts.js';
import { decode, looksBinary } from './decode.js';
import { SourceError } from './errors.js';
import { imageSizeOf } from './image-size.js';

/** Larger files are not read: nothing a menu needs is of that size. */
const SIZE_CAP = 32 * 1024 * 1024;

export interface FileOptions extends PageOptions {
  /** Folder the site's absolute addresses start from and beyond which nothing is read. */
  readonly root?: string;
  /** Font files that are there without the page bringing them, as if they were installed. */
  readonly fonts?: readonly string[];
  /** How wide characters are that neither the page’s fonts nor the default families have. */
  readonly glyphs?: Missing;
}

interface Site {
  readonly fonts: readonly string[];
  readonly root: string;
  readonly glyphs?: Missing | undefined;
  readonly folder: string;
}

/** Reads a page and everything that styles it from disk. Throws SourceError where there is no page. */
export async function loadFile(path: string, options: FileOptions): Promise<Page> {
  const file = resolve(path);
  const bytes = readPage(path, file);
  const root = resolve(options.root ?? defaultRoot(file));
  if (!inside(root, file))
    throw new SourceError(
      `${path} does not lie in the site root ${options.root}`,
      'Name a folder that holds the page with --root.',
    );
  const html = decode(bytes);
  if (html.trim() === '')
    throw new SourceError(`${path} is empty`, 'Name the built page: the file a browser would be given.');
  const fromHere = relative(process.cwd(), file);
  const name = options.root !== undefined || fromHere.startsWith('..') ? relative(root, file) : fromHere;
  return gather(new PageDraft({ name: name.split(sep).join('/'), url: pathToFileURL(file).href, html }, options), {
    root,
    folder: dirname(file),
    glyphs: options.glyphs,
    fonts: options.fonts ?? [],
  });
}

/** Reads a page from standard input. */
export async function loadStandardInput(options: FileOptions): Promise<Page> {
  const chunks: Buffer[] = [];
  for await (const chunk of process.stdin) chunks.push(chunk as Buffer);
  const bytes = Buffer.concat(chunks);
  if (looksBinary(bytes)) throw new SourceError('standard input is not text', 'Pipe a built page into the command.');
  return loadText(decode(bytes), options);
}

/** Reads a page from text, e.g. standard input; what it refers to is looked for below the root. */
export async function loadText(html: string, options: FileOptions): Promise<Page> {
  if (html.trim() === '') throw new SourceError('standard input is empty', 'Pipe a built page into the command.');
  const root = resolve(options.root ?? process.cwd());
  const url = pathToFileURL(join(root, 'standard-input.html')).href;
  return gather(new PageDraft({ name: 'standard input', url, html }, options), {
    root,
    folder: root,
    glyphs: options.glyphs,
    fonts: options.fonts ?? [],
  });
}

function readPage(path: string, file: string): Uint8Array {
  const stats = statSync(file, { throwIfNoEntry: false });
  if (!stats)
    throw new SourceError(
      `${path} does not exist`,
      'Check the path; pages are named by their file or by a folder with an index.html.',
    );
  if (stats.isDirectory())
    throw new SourceError(`${path} is a folder`, `Name a page in it, such as ${join(path, 'index.html')}.`);
  if (stats.size > SIZE_CAP)
    throw new SourceError(`${path} is larger than ${SIZE_CAP / 1024 / 1024} MB`, 'Name the built page itself.');
  const bytes = readFileSync(file);
  if (looksBinary(bytes)) throw new SourceError(`${path} is not a text file`, 'Name the built page: an HTML file.');
  return bytes;
}

const inside = (root: string, file: string): boolean => {
  const way = relative(root, file);
  return way === '' || (!way.startsWith('..') && !isAbsolute(way));
};

/** The working folder if the page lies in it, or else the page's own folder. */
function defaultRoot(file: string): string {
  return inside(process.cwd(), file) ? process.cwd() : dirname(file);
}

async function gather(draft: PageDraft, site: Site): Promise<Page> {
  const resources = new Map<string, { name: string; text: string } | null>();
  for (let wanted = draft.wantedSheets(resources); wanted.length > 0; wanted = draft.wantedSheets(resources)) {
    for (const url of wanted) resources.set(url, readSheet(url, site, draft));
  }
  const images = new Map(draft.wantedImages().map((url) => [url, readImageSize(url, site)]));
  const own = await openFonts(draft.fontFaces(resources), (url) => readBytes(url, site));
  const named = new Set(own.map(({ family }) => family.toLowerCase()));
  const installed = (await openFontFiles(site.fonts)).filter(({ family }) => !named.has(family.toLowerCase()));
  const faces = [...own, ...installed];
  // The tables of line breaking take long to load; most pages do without.
  const breaks = draft.needsFullBreaks ? (await import('../core/boxes/text/full-breaks.js')).fullBreaks : undefined;
  const base = site.glyphs === 'boxes' ? bareMetrics : bundledMetrics;
  return draft.finish({
    resources,
    images,
    metrics: faces.length > 0 ? webMetrics(faces, base) : base,
    ...(breaks ? { breaks } : {}),
  });
}

/** The file an address means: inside the root, or absolute from the root; null if neither. */
function fileFor(url: string, site: Site): string | null {
  if (!url.startsWith('file:')) return null;
  const bare = url.replace(/[?#].*$/, '');
  let path: string;
  try {
    path = fileURLToPath(bare);
  } catch {
    return null;
  }
  for (const candidate of [path, join(site.root, path)]) {
    if (
      inside(site.root, candidate) &&
      existsSync(candidate) &&
      inside(realpathSync(site.root), realpathSync(candidate)) &&
      statSync(candidate).isFile()
    )
      return candidate;
  }
  return null;
}

function readSheet(url: string, site: Site, draft: PageDraft): { name: string; text: string } | null {
  if (/^data:text\/css/i.test(url)) return dataSheet(url);
  const file = fileFor(url, site);
  if (file && statSync(file).size <= SIZE_CAP) {
    const bytes = readFileSync(file);
    if (!looksBinary(bytes)) return { name: relative(site.root, file).split(sep).join('/'), text: decode(bytes) };
    draft.limits.add('missing', `sheet ${relative(site.root, file)}`, 'it is not text');
  } else if (/^https?:/.test(url))
    draft.limits.add('missing', `sheet ${url}`, 'pages from disk do not reach the network');
  return null;
}

function readBytes(url: string, site: Site): Uint8Array | null {
  const data = /^data:[^,]*?;base64,([^]*)$/i.exec(url);
  if (data) return Buffer.from(data[1]!, 'base64');
  const file = fileFor(url, site);
  return file && statSync(file).size <= SIZE_CAP ? readFileSync(file) : null;
}

function dataSheet(url: string): { name: string; text: string } | null {
  const match = /^data:[^,]*?(;base64)?,([^]*)$/i.exec(url);
  if (!match) return null;
  return {
    name: 'data sheet',
    text: match[1] ? Buffer.from(match[2]!, 'base64').toString('utf8') : decodeURIComponent(match[2]!),
  };
}

function readImageSize(url: string, site: Site): NaturalSize | null {
  try {
    const data = /^data:image\/[^,]*?(;base64)?,([^]*)$/i.exec(url);
    const file = data ? null : fileFor(url, site);
    if (!data && !file) return null;
    const bytes = data
      ? data[1]
        ? Buffer.from(data[2]!, 'base64')
        : Buffer.from(decodeURIComponent(data[2]!))
      : readFileSync(file!);
    return imageSizeOf(bytes);
  } catch {
    return null;
  }
}
