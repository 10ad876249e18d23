import type { RoomBeside } from '../flow-floats.js';
import type { Box } from '../../box.js';
import { carriedFrom, type LinesReach, type OutOfFlow, type Placed } from '../../fragment.js';
import type { Floats } from '../floats.js';

/** Where inline content is laid out: its content box inside the float context. */
export interface InlineSpace {
  readonly width: number;
  readonly height: number;
  readonly floats: Floats;
  /** Content box's corner in the coordinates of the floats. */
  readonly x: number;
  readonly y: number;
  /**
   * Lays out a block-level box found among inline content; gives its fragment and place.
   * @param line where the last line ends, null if there was none since the block before
   */
  readonly block: (box: Box, line: number | null) => BlockAmongLines;
  /** Lays out a float and finds its place; the result is relative to the content box. */
  readonly float: (box: Box, top: number) => Placed;
  /** Room of a float beside a line that begins at a height; null where it has to go below it. */
  readonly beside: (box: Box, top: number) => RoomBeside | null;
}

export interface InlineResult {
  /** Relative to the content box. */
  readonly children: readonly Placed[];
  readonly height: number;
  readonly baseline: number | null;
  readonly lastBaseline: number | null;
  readonly outOfFlow: readonly OutOfFlow[];
  /** Where its lines end, px. */
  readonly lineEnds: readonly number[];
  readonly linesReach: LinesReach;
  /** Whether any line box was made, be it of no height. */
  readonly lined: boolean;
  /** No line stands behind the last block among the lines. */
  readonly endsInBlock: boolean;
}

/** Absolute boxes inside the atomic inlines of a line; a positioned inline box around them is their containing block. */
export function fromAtomics(placed: Placed, inside: Box | null): OutOfFlow[] {
  const { fragment, x, y } = placed;
  const { box } = fragment;
  if (fragment.kind !== 'box') return [];
  if (box.outer !== 'inline')
    return carriedFrom(placed).map((entry) => ({ ...entry, inlineContainer: entry.inlineContainer ?? inside }));
  const around = box.computed.position === 'static' ? inside : box;
  return fragment.children.flatMap((child) => fromAtomics({ ...child, x: child.x + x, y: child.y + y }, around));
}

/** A block that stands among inline content. Lengths in px from the top of the content box. */
export interface BlockAmongLines {
  readonly placed: Placed;
  /** Where the parts of inline boxes around it begin: floats push the block down, not these. */
  readonly from: number;
  readonly bottom: number;
  readonly outOfFlow: readonly OutOfFlow[];
}
