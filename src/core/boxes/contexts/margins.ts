import { winnerOf } from '../../cascade/index.js';
import type { Box } from '../box.js';
import type { Layout } from '../layout.js';

/** Adjoining margins: their sum is the largest positive plus the most negative. @spec css2 §8.3.1 */
export interface Strut {
  readonly positive: number;
  readonly negative: number;
  /** The largest of those that browsers give by default, which some containers do without in quirks mode. */
  readonly byDefault: number;
}

export const NO_STRUT: Strut = Object.freeze({ positive: 0, negative: 0, byDefault: 0 });

export const joinMargin = (strut: Strut, margin: number, byDefault = false): Strut =>
  joinStruts(strut, {
    positive: byDefault ? 0 : Math.max(0, margin),
    negative: Math.min(0, margin),
    byDefault: byDefault ? Math.max(0, margin) : 0,
  });

export const joinStruts = (a: Strut, b: Strut): Strut => ({
  positive: Math.max(a.positive, b.positive),
  negative: Math.min(a.negative, b.negative),
  byDefault: Math.max(a.byDefault, b.byDefault),
});

export const strutSize = (strut: Strut): number => Math.max(strut.positive, strut.byDefault) + strut.negative;

const BEFORE: ReadonlySet<string> = new Set(
  'blockquote dir dl form h1 h2 h3 h4 h5 h6 listing menu ol p plaintext pre ul xmp'.split(' '),
);
const AFTER: ReadonlySet<string> = new Set('listing p plaintext pre xmp'.split(' '));

/** Whether a margin is one that browsers give by default and quirks mode treats apart. @spec html §15.3.11 */
export const isByDefault = (box: Box, side: 'marginTop' | 'marginBottom', { quirks }: Layout): boolean =>
  quirks &&
  !box.anonymous &&
  box.element !== null &&
  (side === 'marginTop' ? BEFORE : AFTER).has(box.element.tag) &&
  winnerOf(box.style, side)?.match.origin === 'user-agent';

/** The bottom margin of a box whose margins meet counts as one by default where its top margin is one. */
export const isThroughByDefault = (box: Box, layout: Layout): boolean =>
  isByDefault(box, 'marginTop', layout) || isByDefault(box, 'marginBottom', layout);

/** In quirks mode default margins that begin or end the body or a cell do not count. @spec html §15.3.11 */
export const withinEdge = (box: Box, strut: Strut, { quirks }: Layout): Strut =>
  quirks && strut.byDefault > 0 && losesDefaults(box) ? { ...strut, byDefault: 0 } : strut;

const losesDefaults = (box: Box): boolean => box.element?.tag === 'body' || box.parent?.inner === 'row';
