import { statSync } from 'node:fs';
import { dirname, relative, resolve } from 'node:path';
import fastGlob from 'fast-glob';
import picomatch from 'picomatch';
import { compareText } from '../core/index.js';
import { SourceError } from './errors.js';

/** Endings of pages in a folder. */
const PAGES = '**/*.{html,htm,xhtml}';
const NEVER = ['**/node_modules/**', '**/.*/**'];
/** More pages than this are surely not meant. */
const MOST = 50_000;

/** Pages by file, and the site root that naming one folder implies. */
export interface Expanded {
  readonly files: readonly string[];
  readonly root: string | null;
}

export const isFolder = (path: string): boolean => statSync(path, { throwIfNoEntry: false })?.isDirectory() ?? false;

/**
 * The pages that files, folders and globs name, each once, in the order given and by name in each. What is neither a
 * folder nor a glob stays as it is. Throws SourceError where a folder or glob holds no page.
 * @param skip globs of pages to leave out
 */
export async function expandPages(given: readonly string[], skip: readonly string[] = []): Promise<Expanded> {
  const files: string[] = [];
  for (const word of given) {
    if (isFolder(word)) files.push(...(await found(word, { cwd: word, pattern: PAGES, skip })));
    else if (fastGlob.isDynamicPattern(word) && !statSync(word, { throwIfNoEntry: false }))
      files.push(...(await found(word, { cwd: '.', pattern: word, skip })));
    else if (!globsHold(skip, word)) files.push(word);
  }
  if (files.length > MOST)
    throw new SourceError(`that names ${files.length} pages, more than ${MOST}`, 'Name fewer, or use --skip-pages.');
  const folders = given.filter(isFolder);
  return { files: [...new Set(files)], root: given.length === 1 && folders.length === 1 ? folders[0]! : null };
}

/** The pages below a folder, the first page of it first; none where there are none. */
export const pagesBelow = (folder: string): Promise<readonly string[]> => matching(folder, PAGES);

interface Search {
  readonly cwd: string;
  readonly pattern: string;
  readonly skip: readonly string[];
}

async function found(word: string, { cwd, pattern, skip }: Search): Promise<readonly string[]> {
  const named = await matching(cwd, pattern);
  const kept = named.filter((name) => !globsHold(skip, name));
  if (kept.length === 0)
    throw new SourceError(
      named.length > 0 ? `all ${named.length} pages of ${word} are left out` : `no page is found at ${word}`,
      named.length > 0 ? 'Check --skip-pages.' : 'Pages are files that end in .html, .htm or .xhtml.',
    );
  return kept;
}

/** Files that a pattern names below a folder, as they are called from here. */
async function matching(cwd: string, pattern: string): Promise<readonly string[]> {
  const paths = await fastGlob.glob(pattern, { cwd, ignore: NEVER, followSymbolicLinks: false, onlyFiles: true });
  return paths.map((path) => relative('.', resolve(cwd, path)).split('\\').join('/')).sort(byDepth);
}

/** Pages nearer to the top first, then folder by folder, the first page of each before the others. */
function byDepth(one: string, other: string): number {
  const depth = (path: string) => path.split('/').length;
  const isFirst = (path: string) => /(^|\/)index\.x?html?$/.test(path);
  return (
    depth(one) - depth(other) ||
    compareText(dirname(one), dirname(other)) ||
    Number(isFirst(other)) - Number(isFirst(one)) ||
    compareText(one, other)
  );
}

/** Whether globs hold a path, or a folder it lies in. */
export const globsHold = (globs: readonly string[], path: string): boolean =>
  globs.some((glob) => picomatch([glob, `${glob.replace(/\/+$/, '')}/**`], { dot: true })(path.replace(/^\.\//, '')));
