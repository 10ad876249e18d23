import type { Rect } from '../base/index.js';
import type { Box } from './box.js';

/** Four sides in px. */
export interface Edges {
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
  readonly left: number;
}

export const NO_EDGES: Edges = Object.freeze({ top: 0, right: 0, bottom: 0, left: 0 });

/** A fragment at a place inside its parent: offsets from the parent's border box, px. */
export interface Placed {
  readonly fragment: Fragment;
  readonly x: number;
  readonly y: number;
}

/** An absolutely positioned box on its way up to its containing block. */
export interface OutOfFlow {
  readonly box: Box;
  /** Static position, relative to the fragment that carries the entry. */
  readonly x: number;
  readonly y: number;
  /** How the static position binds: the edge of the box that goes there. */
  readonly alignX: 'start' | 'center' | 'end';
  readonly alignY: 'start' | 'center' | 'end';
  /** The area it is placed in if the carrying fragment is its containing block: that of a grid. */
  readonly area?: Rect;
  /** Inline boxes passed on the way that may be its containing block. */
  readonly inlineContainer: Box | null;
}

/** Right end of the longest and lower end of the last line, px; margins of atomic boxes count. */
export interface LinesReach {
  readonly right: number;
  readonly bottom: number;
}

export const NO_LINES: LinesReach = Object.freeze({ right: 0, bottom: 0 });

/** First and last baseline from the low edge of the border box, px; null where there is none. */
export interface OwnBaselines {
  readonly first: number | null;
  readonly last: number | null;
}

/**
 * The result of laying out a box once: used values, frozen, shared wherever the same constraints come again.
 * Sizes are those of the border box.
 */
export interface Fragment {
  readonly kind: 'box' | 'line' | 'text';
  readonly box: Box;
  readonly width: number;
  readonly height: number;
  readonly children: readonly Placed[];
  readonly margin: Edges;
  readonly border: Edges;
  readonly padding: Edges;
  /** First and last baseline from the top of the border box, or null. */
  readonly baseline: number | null;
  readonly lastBaseline: number | null;
  /** Of a box whose lines stack another way than those of its flow: its baselines along that axis. */
  readonly ownBaselines: OwnBaselines | null;
  readonly outOfFlow: readonly OutOfFlow[];
  /** Of block containers with lines: where each ends, from the top of the border box. */
  readonly lineEnds: readonly number[];
  /** How far lines that have any width reach from the corner of the border box: that can be scrolled to. @spec css-overflow-3 §2.2 */
  readonly linesReach: LinesReach;
  /** Of what stands in a line at whose end spaces hang: how much of its width can be scrolled to; null where all can. */
  readonly scrollableWidth: number | null;
  /** Of absolute and fixed boxes: their containing block, from the border box; null for boxes in flow. */
  readonly containing: Rect | null;
  /** Of text fragments: what is shown. */
  readonly text: string;
}

const NONE: readonly never[] = Object.freeze([]);

export function makeFragment(part: Pick<Fragment, 'box' | 'width' | 'height'> & Partial<Fragment>): Fragment {
  // Written out: all fragments are of one shape, which makes reading them fast.
  return Object.freeze({
    kind: part.kind ?? 'box',
    box: part.box,
    width: part.width,
    height: part.height,
    children: part.children ?? NONE,
    margin: part.margin ?? NO_EDGES,
    border: part.border ?? NO_EDGES,
    padding: part.padding ?? NO_EDGES,
    baseline: part.baseline ?? null,
    lastBaseline: part.lastBaseline ?? null,
    ownBaselines: part.ownBaselines ?? null,
    outOfFlow: part.outOfFlow ?? NONE,
    lineEnds: part.lineEnds ?? NONE,
    linesReach: part.linesReach ?? NO_LINES,
    scrollableWidth: part.scrollableWidth ?? null,
    containing: part.containing ?? null,
    text: part.text ?? '',
  });
}

export const horizontal = (edges: Edges): number => edges.left + edges.right;
export const vertical = (edges: Edges): number => edges.top + edges.bottom;

/** The padding box relative to the border box. */
export function paddingBox(fragment: Fragment): Rect {
  const { border } = fragment;
  return {
    x: border.left,
    y: border.top,
    width: Math.max(0, fragment.width - horizontal(border)),
    height: Math.max(0, fragment.height - vertical(border)),
  };
}

/** The absolute boxes a placed fragment could not keep, relative to what it is placed in. */
export const carriedFrom = ({ fragment, x, y }: Placed): readonly OutOfFlow[] =>
  fragment.outOfFlow.map((entry) => ({ ...entry, x: entry.x + x, y: entry.y + y }));

/** Layout works in 64ths of a px, as browsers do. */
export const snap = (value: number): number => Math.trunc(value * 64) / 64;
/** Text widths are rounded up to the next 64th. */
export const snapUp = (value: number): number => Math.ceil(value * 64 - 1e-6) / 64;
