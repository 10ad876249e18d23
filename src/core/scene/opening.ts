import type { LineBreaks, NaturalSize, OpenFont, WebFace } from '../boxes/index.js';
import type { Resource } from '../sheets/index.js';

type Awaitable<T> = T | Promise<T>;

/**
 * Whoever can reach what a page refers to. Addresses are absolute URLs; null says that nothing is there.
 * What a reader leaves out is taken as not there.
 */
export interface Reader {
  sheet?(url: string): Awaitable<Resource | null>;
  script?(url: string): Awaitable<Resource | null>;
  /** Whether something answers at an address; null where that cannot be told from here. */
  answers?(url: string): Awaitable<boolean | null>;
  /** Natural size of a picture, px. */
  picture?(url: string): Awaitable<NaturalSize | null>;
  /** Text of a file of graphics. */
  graphics?(url: string): Awaitable<Resource | null>;
  font?(url: string): Awaitable<OpenFont | null>;
  /** Fonts that are there without the page bringing them. */
  installedFonts?(): Awaitable<readonly WebFace[]>;
  /** The whole rules of line breaking, for scripts the short ones do not cover. */
  fullBreaks?(): Awaitable<LineBreaks>;
}

/** More of each is not asked for: what a menu needs does not lie there. */
export const MOST = {
  rounds: 24,
  sheets: 400,
  scripts: 200,
  pictures: 4000,
  graphics: 40,
  destinations: 4000,
} as const;

/** One question to the reader; its answer is handed back in. */
export type Question = () => Awaitable<unknown>;

/** Opening a page: rounds of questions to the reader, whose answers are handed back in. */
export type Opening<T> = Generator<readonly Question[], T, readonly unknown[]>;
