import type { LimitLog } from '../base/index.js';
import type { Box } from './box.js';
import type { Fragment } from './fragment.js';
import type { Moving } from './memory.js';
import type { LineBreaks, TextMetrics } from './text/index.js';

/** What the parent offers a box. Lengths in px; NaN where a size is not definite. */
export interface Space {
  /** Width of the containing block. */
  readonly width: number;
  /** Height percentages refer to. */
  readonly height: number;
  /** Border-box size decided by the parent (stretching, flexing, table cells). */
  readonly fixedWidth?: number;
  readonly fixedHeight?: number;
  /** An automatic width fits the content instead of filling the containing block. */
  readonly shrink?: boolean;
  /** What percentage widths refer to, where it is not the width: NaN if nothing is known. */
  readonly basis?: number;
  /** What percentage margins and padding refer to, where it is not the width. */
  readonly edges?: number;
  /** The size that is that of the content, whatever the style says; what is fixed counts for percentages inside alone. */
  readonly byContent?: 'width' | 'height';
  /** Whether a fixed height counts as definite for percentages inside. */
  readonly definite?: boolean;
  /** The tracks a grid takes from the one it is an item of. */
  readonly subgrid?: Subgrid;
}

/** Tracks of the grid around a subgrid along one axis. Lengths in px. */
export interface GivenTracks {
  readonly count: number;
  readonly names: ReadonlyMap<string, readonly number[]>;
  /** Gap between them. */
  readonly gap: number;
  /** Where they lie in the subgrid's content box; null before they are sized. */
  readonly lines: {
    readonly starts: readonly number[];
    readonly sizes: readonly number[];
    readonly total: number;
  } | null;
}

export interface Subgrid {
  readonly columns: GivenTracks | null;
  readonly rows: GivenTracks | null;
}

const keyOf = ({ columns, rows }: Subgrid): string =>
  [columns, rows]
    .map((t) => (t ? `${t.count}:${t.gap}:${t.lines?.starts.join()}:${t.lines?.sizes.join()}` : ''))
    .join('|');

/** Minimum and maximum content widths, px. @spec css-sizing-3 §2.1 */
export interface Intrinsic {
  readonly min: number;
  readonly max: number;
}

/** What is known while widths are still to be found, px. */
export interface Across {
  /** What percentage heights of the box refer to, NaN where that is not definite. */
  readonly basis: number;
  /** Border-box height that its container gives the box. */
  readonly fixed?: number | undefined;
  /** What shares of a width refer to, where the container is not being sized itself. */
  readonly width?: number;
}

export const UNKNOWN: Across = Object.freeze({ basis: NaN });

/** What one layout run shares: fonts, the viewport and what was worked out before. */
export interface Layout {
  readonly metrics: TextMetrics;
  /** Line breaking for scripts the short rules do not cover, if there is any. */
  readonly breaks: LineBreaks | null;
  readonly limits: LimitLog;
  readonly quirks: boolean;
  /** Lines are only as high as the text and boxes on them, whatever the line height around. @spec quirks §3.2, §3.3 */
  readonly looseLines: boolean;
  readonly viewport: { readonly width: number; readonly height: number };
  /** Boxes that would skip their content away from the screen and are near it; null where none skips any. */
  readonly near: ReadonlySet<Box> | null;
  /** Lays out a box that is a formatting context of its own; remembered by box and space. */
  readonly place: (box: Box, space: Space) => Fragment;
  /** Content-box intrinsic widths of a box; remembered by box and the heights that matter to it. */
  readonly intrinsic: (box: Box, across?: Across) => Intrinsic;
  /**
   * Remembers something worked out for a box, by a key that holds all it depends on.
   * @param move turns what is known of the same box in a tree like this one into what holds here
   */
  readonly recall: <T>(box: Box, key: string, make: () => T, move: (found: T, moving: Moving) => T | null) => T;
  /** Margin-box widths a box asks of its container while that is being sized. */
  readonly contribution: (box: Box, across?: Across) => Intrinsic;
}

export const spaceKey = (space: Space): string =>
  `${space.width}/${space.height}/${space.fixedWidth ?? ''}/${space.fixedHeight ?? ''}/${space.shrink ? 's' : ''}${space.definite ? 'd' : ''}${space.byContent ?? ''}${space.edges === undefined ? '' : `e${space.edges}`}${space.basis === undefined ? '' : `b${space.basis}`}${space.subgrid ? `g${keyOf(space.subgrid)}` : ''}`;
