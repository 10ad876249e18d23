import { existsSync, readFileSync, realpathSync, statSync } from 'node:fs';
import { basename, isAbsolute, join, relative, sep } from 'node:path';
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
  /** Folder files are named from where they lie in it; else from the root. */
  readonly here: string;
  /** Folders absolute addresses may start from where no root was named: those around the page, the nearest first. */
  readonly around: readonly string[];
  /** Whether the root was named: only then absolute addresses are known to start there. */
  readonly rooted: boolean;
  /** Font files that are there without the page bringing them. */
  readonly fonts: readonly string[];
}

/** Reads what a page from disk refers to: files below the root and data: addresses, never the network. */
export function fileReader(site: Site): Reader {
  return {
    sheet: (url) => readText(url, site, 'data sheet'),
    script: (url) => readText(url, site, 'data script'),
    answers: (url) => answersAt(url, site),
    picture: (url) => {
      const bytes = readBytes(url, site);
      return bytes && sizeOf(bytes);
    },
    graphics: (url) => readText(url, site, 'data picture'),
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

/** How reports call a file. */
export const nameOf = ({ root, here }: Pick<Site, 'root' | 'here'>, file: string): string =>
  relative(inside(here, file) ? here : root, file)
    .split(sep)
    .join('/');

/** The file an address means: inside the root, or absolute from the root; null if neither. */
function fileFor(url: string, { root, around }: Site): string | null {
  if (!url.startsWith('file:')) return null;
  let path: string;
  try {
    path = fileURLToPath(url.replace(/[?#].*$/, ''));
  } catch {
    return null;
  }
  for (const candidate of [path, ...[...around, root].map((folder) => join(folder, path))]) {
    if (!inside(root, candidate) || !existsSync(candidate)) continue;
    if (inside(realpathSync(root), realpathSync(candidate)) && statSync(candidate).isFile()) return candidate;
  }
  return null;
}

/** Endings of pages that lie on disk as they are sent; others are made by a server. */
const STILL = /\.(x?html?|pdf|txt|xml|json|jpe?g|png|gif|svg|webp|avif|mp3|mp4|zip|ics|csv)$/i;

/**
 * Whether a file answers at an address, as servers of built sites look for it: itself, the first page of a folder, or
 * the page of that name. Null where only a server can tell.
 */
function answersAt(url: string, site: Site): boolean | null {
  if (!url.startsWith('file:')) return null;
  let path: string;
  try {
    path = fileURLToPath(url.replace(/[?#].*$/s, ''));
  } catch {
    return null;
  }
  const { root, rooted } = site;
  if (!rooted && !inside(root, path)) return null;
  const places = inside(root, path) ? [path, ...(rooted ? [join(root, path)] : [])] : [join(root, path)];
  const files = places.flatMap((place) => [
    place,
    join(place, 'index.html'),
    join(place, 'index.htm'),
    `${place}.html`,
  ]);
  if (files.some((file) => inside(root, file) && isFile(file))) return true;
  const name = basename(path);
  const made = (name.includes('.') && !STILL.test(name)) || url.includes('?');
  // A folder without a first page may be listed, or led on, by its server.
  return made || places.some((place) => existsSync(place)) ? null : false;
}

const isFile = (path: string): boolean => statSync(path, { throwIfNoEntry: false })?.isFile() ?? false;

/** The bytes behind an address; null where nothing can be read there. */
export function readBytes(url: string, site: Site): Uint8Array | null {
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
  return { name: file ? nameOf(site, file) : embedded, text: decodeText(bytes) };
}

function sizeOf(bytes: Uint8Array) {
  try {
    return imageSizeOf(bytes);
  } catch {
    return null;
  }
}
