import { snap } from '../fragment.js';

/** A column of a table: what its cells ask for and what widths fix. All widths are those of border boxes, px. */
export interface Column {
  min: number;
  max: number;
  /** A length fixes it: it takes room only where no column without one does. */
  constrained: boolean;
  percent: number | null;
  /** Border and padding a percentage leaves out, px. */
  edges: number;
}

export const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);
const total = (columns: readonly Column[], of: (column: Column) => number): number => sum(columns.map(of));

const share = (column: Column, available: number): number =>
  Math.max(column.min, (available * column.percent!) / 100 + column.edges);

/**
 * Distributes a width over columns by their content: between two of four guesses (the least, with percentages, with
 * fixed widths, with all content on one line), or beyond the last.
 * @param growsFixed whether columns of fixed widths take room that no others can
 * @spec css-tables-3 §3.9, §3.9.1 (as browsers have it)
 */
export function automaticWidths(columns: readonly Column[], available: number, growsFixed = true): number[] {
  const kindOf = ({ percent, constrained }: Column) => (percent !== null ? 1 : constrained ? 2 : 3);
  const target = Math.max(
    available,
    total(columns, ({ min }) => min),
  );
  const guess = (level: number) =>
    columns.map((column) => {
      const kind = kindOf(column);
      if (kind > level) return column.min;
      return kind === 1 ? share(column, target) : column.max;
    });
  const guesses = [0, 1, 2, 3].map(guess);
  if (target <= sum(guesses[0]!)) return guesses[0]!;
  for (let level = 1; level < guesses.length; level++) {
    const [low, high] = [guesses[level - 1]!, guesses[level]!];
    const [from, to] = [sum(low), sum(high)];
    if (target > to) continue;
    const part = to > from ? (target - from) / (to - from) : 0;
    return low.map((w, i) => w + (high[i]! - w) * part);
  }
  return beyond(columns, guesses[3]!, target - sum(guesses[3]!), growsFixed);
}

/** Room beyond all content: to columns that nothing fixes, else to fixed ones, else to those with percentages. */
function beyond(columns: readonly Column[], widths: number[], spare: number, growsFixed: boolean): number[] {
  const kinds: readonly (readonly [(column: Column) => boolean, (column: Column) => number])[] = [
    [({ percent, constrained }) => percent === null && !constrained, ({ max }) => max],
    [({ percent, constrained }) => growsFixed && percent === null && constrained, ({ max }) => max],
    [({ percent }) => percent !== null, ({ percent }) => percent!],
  ];
  for (const [takes, weightOf] of kinds) {
    const takers = columns.filter(takes);
    if (takers.length === 0) continue;
    const all = total(takers, weightOf);
    return widths.map((w, i) => {
      const column = columns[i]!;
      if (!takes(column)) return w;
      return w + (all > 0 ? (spare * weightOf(column)) / all : spare / takers.length);
    });
  }
  return widths;
}

/** Distributes a width where the first row alone decides. @spec css2 §17.5.2.1 */
export function fixedWidths(columns: readonly Column[], available: number): number[] {
  const held = ({ percent }: Column) => percent === null;
  const widths = columns.map((c) => (held(c) ? (c.constrained ? c.max : 0) : (available * c.percent!) / 100 + c.edges));
  const spare = available - sum(widths);
  if (spare <= 0) {
    // Percentages give way to what is fixed.
    const rest = Math.max(0, available - sum(widths.filter((_, i) => held(columns[i]!))));
    const shares = sum(widths.filter((_, i) => !held(columns[i]!)));
    return widths.map((w, i) => (held(columns[i]!) || shares === 0 ? w : (w * rest) / shares));
  }
  const autos = columns.filter((c) => held(c) && !c.constrained).length;
  if (autos > 0) return widths.map((w, i) => (held(columns[i]!) && !columns[i]!.constrained ? w + spare / autos : w));
  const some = widths.some((w, i) => held(columns[i]!) && w > 0);
  const grows = (i: number) => !some || held(columns[i]!);
  const all = sum(widths.filter((_, i) => grows(i)));
  return widths.map((w, i) => (grows(i) ? w + (all > 0 ? (spare * w) / all : spare / widths.length) : w));
}

/** Widths in 64ths of a px; the last column takes what rounding leaves. */
export function inWholeSteps(exact: readonly number[], available: number): number[] {
  const widths = exact.map(snap);
  const lost = snap(available) - sum(widths);
  const last = widths.length - 1;
  if (last >= 0 && lost > 0 && lost < widths.length / 64) widths[last] = widths[last]! + lost;
  return widths;
}
