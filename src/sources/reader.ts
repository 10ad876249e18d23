import { existsSync, readFileSync, realpathSync, statSync } from 'node:fs';
import { isAbsolute, join, relative, sep } from 'node:path';
import { fileURLToPath } from 'node:url';
import dataUrl from 'data-urls';
import type { Reader } from '../core/index.js';
import { decodeText, looksBinary } from './decode.js';
import { openFont, openFontFiles } from './fonts.js';
import { imageSizeOf } from './image-size.js';

/** Larger files are not read: nothing a menu needs is of that size. */
export const SIZE_CAP = 32 * 1024 * 1024;

/** Where the files of a site lie. */
export interface Site {
  /** Folder absolute addresses start from and beyond which nothing is read. */
  readonly root: string;
  /** Font files that are there without the page bringing them. */
  readonly fonts: readonly string[];
}

/** Reads what a page from disk refers to: files below the root and data: addresses, never the network. */
export function fileReader(site: Site): Reader {
  return {
    sheet: (url) => readText(url, site, 'data sheet'),
    script: (url) => readText(url, site, 'data script'),
    picture: (url) => {
      const bytes = readBytes(url, site);
      return bytes && sizeOf(bytes);
    },
    font: async (url) => {
      const bytes = readBytes(url, site);
      return bytes && openFont(bytes);
    },
    installedFonts: () => openFontFiles(site.fonts),
    fullBreaks: async () => (await import('../core/boxes/text/full-breaks.js')).fullBreaks,
  };
}

export const inside = (root: string, file: string): boolean => {
  const way = relative(root, file);
  return way === '' || (!way.startsWith('..') && !isAbsolute(way));
};

export const nameOf = (root: string, file: string): string => relative(root, file).split(sep).join('/');

/** The file an address means: inside the root, or absolute from the root; null if neither. */
function fileFor(url: string, { root }: Site): string | null {
  if (!url.startsWith('file:')) return null;
  let path: string;
  try {
    path = fileURLToPath(url.replace(/[?#].*$/, ''));
  } catch {
    return null;
  }
  for (const candidate of [path, join(root, path)]) {
    if (!inside(root, candidate) || !existsSync(candidate)) continue;
    if (inside(realpathSync(root), realpathSync(candidate)) && statSync(candidate).isFile()) return candidate;
  }
  return null;
}

/** The bytes behind an address; null where nothing can be read there. */
function readBytes(url: string, site: Site): Uint8Array | null {
  if (/^data:/i.test(url)) return dataUrl(url)?.body ?? null;
  const file = fileFor(url, site);
  try {
    return file && statSync(file).size <= SIZE_CAP ? readFileSync(file) : null;
  } catch {
    return null;
  }
}

function readText(url: string, site: Site, embedded: string): { name: string; text: string } | null {
  const bytes = readBytes(url, site);
  if (!bytes || looksBinary(bytes)) return null;
  const file = fileFor(url, site);
  return { name: file ? nameOf(site.root, file) : embedded, text: decodeText(bytes) };
}

function sizeOf(bytes: Uint8Array) {
  try {
    return imageSizeOf(bytes);
  } catch {
    return null;
  }
}
