import { isLengthPercentage } from '../../css/index.js';
import type { Box } from '../box.js';
import { sum } from './table-distribute.js';
import type { Row } from './table-grid.js';

/** What the sheet says about the height of a row: its own and that of its cells. */
interface Claim {
  readonly index: number;
  readonly percent: number | null;
  readonly constrained: boolean;
  /** A cell begins here that goes on in the next row. */
  readonly spans: boolean;
}

function claimOf(row: Row, index: number): Claim {
  const boxes = [row.box, ...row.cells.filter((c) => c.rowSpan === 1).map((c) => c.box)].filter((b) => !b.anonymous);
  const percents = boxes.map(percentOf).filter((p) => p !== null);
  return {
    index,
    percent: percents.length > 0 ? Math.max(...percents) : null,
    constrained: percents.length > 0 || boxes.some(({ style }) => style.height !== 'auto'),
    spans: row.cells.some((cell) => cell.rowSpan > 1),
  };
}

function percentOf({ style: { height } }: Box): number | null {
  return typeof height !== 'string' && isLengthPercentage(height) && height.percent > 0 ? height.percent : null;
}

/** Why rows grow: a cell that spans them is taller, or the table is. */
export type Cause = { readonly kind: 'span' } | { readonly kind: 'table'; readonly basis: number };

/**
 * Shares room beyond their heights out to some neighbouring rows, in place; px.
 * @param from,to first row and the one behind the last
 * @param basis what percentages of rows refer to, NaN where nothing is known
 * @spec css-tables-3 §3.10.2, as browsers have it
 */
export function shareOut(
  heights: number[],
  rows: readonly Row[],
  { from, to, spare }: { readonly from: number; readonly to: number; readonly spare: number },
  cause: Cause,
): void {
  if (spare <= 0) return;
  const basis = cause.kind === 'table' ? cause.basis : NaN;
  const claims = rows.slice(from, to).map((row, i) => claimOf(row, from + i));
  const lacking = ({ index, percent }: Claim) =>
    percent === null || Number.isNaN(basis) ? 0 : Math.max(0, (percent * basis) / 100 - heights[index]!);
  const grow = (list: readonly Claim[], room: number, weight: (claim: Claim) => number) => {
    const weights = list.map(weight);
    const total = sum(weights);
    list.forEach(({ index }, i) => (heights[index]! += (room * weights[i]!) / total));
  };
  let left = spare;
  const short = claims.filter((c) => lacking(c) > 0);
  if (short.length > 0) {
    const room = Math.min(left, sum(short.map(lacking)));
    grow(short, room, lacking);
    left -= room;
  }
  if (left <= 0) return;
  const spanning = cause.kind === 'span' ? claims.filter((c) => c.spans && c.index !== from) : [];
  if (spanning.length > 0) return grow(spanning, left, () => 1);
  const held = ({ percent, constrained }: Claim) => constrained && (percent === null || !Number.isNaN(basis));
  const size = ({ index }: Claim) => heights[index]!;
  const filled = claims.filter((c) => size(c) > 0);
  const free = filled.filter((c) => !held(c));
  if (free.length > 0) return grow(free, left, size);
  const empty = claims.filter((c) => size(c) === 0);
  if (empty.length === claims.length && cause.kind === 'span') return grow(empty.slice(-1), left, () => 1);
  if (empty.length > 0 && cause.kind === 'table') {
    const unheld = empty.filter((c) => !held(c));
    return grow(unheld.length > 0 ? unheld : empty, left, () => 1);
  }
  if (filled.length > 0) grow(filled, left, size);
}
