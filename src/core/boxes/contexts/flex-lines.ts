import type { Space } from '../layout.js';
import { containedHeight } from '../used/containment.js';
import { frameHeight, heightFor, type Frame } from '../used/sizes.js';
import { NO_GROUP, type BaselineGroup } from './baselines.js';
import type { Container, Item } from './flex-items.js';

export interface Line {
  readonly items: readonly Item[];
  cross: number;
  at: number;
  /** What the items take up together whose shared baseline holds to the low and to the high end of the cross axis. */
  low: BaselineGroup;
  high: BaselineGroup;
}

/** @spec css-flexbox-1 §9.3 */
export function collectLines(items: readonly Item[], c: Container, space: Space, frame: Frame): Line[] {
  const line = (of: readonly Item[]): Line => ({ items: of, cross: 0, at: 0, low: NO_GROUP, high: NO_GROUP });
  let room = c.mainSize;
  if (Number.isNaN(room))
    room = (heightFor(c.box, c.box.style.maxHeight, space.height, frame) ?? Infinity) - frameHeight(frame);
  if (!c.wraps) return [line(items)];
  const lines: Line[] = [];
  let run: Item[] = [];
  let used = 0;
  for (const item of items) {
    const size = item.hypothetical + item.mainMargin;
    if (run.length > 0 && used + c.mainGap + size > room + 1 / 64) {
      lines.push(line(run));
      run = [];
      used = 0;
    }
    used += size + (run.length > 0 ? c.mainGap : 0);
    run.push(item);
  }
  lines.push(line(run));
  return lines;
}

/** Main size of a column whose height follows its content. */
export function columnMain(lines: readonly Line[], c: Container, frame: Frame): number {
  const contained = containedHeight(c.box, c.layout);
  const longest =
    contained ??
    Math.max(
      0,
      ...lines.map(
        (line) =>
          line.items.reduce((sum, item) => sum + item.hypothetical + item.mainMargin, 0) +
          c.mainGap * Math.max(0, line.items.length - 1),
      ),
    );
  return Math.max(0, c.clamped(longest + frameHeight(frame)) - frameHeight(frame));
}

/** @spec css-flexbox-1 §9.7 */
export function resolveFlexible(items: readonly Item[], room: number, indefinite: boolean): void {
  if (indefinite) {
    for (const item of items) item.main = item.hypothetical;
    return;
  }
  const outer = (size: (item: Item) => number) => items.reduce((sum, item) => sum + size(item) + item.mainMargin, 0);
  const growing = outer((item) => item.hypothetical) < room;
  const factor = (item: Item) =>
    item.box.anonymous ? (growing ? 0 : 1) : growing ? item.box.style.flexGrow : item.box.style.flexShrink;
  for (const item of items) {
    item.frozen = factor(item) === 0 || (growing ? item.base > item.hypothetical : item.base < item.hypothetical);
    item.main = item.frozen ? item.hypothetical : item.base;
  }
  const initial = room - outer((item) => (item.frozen ? item.main : item.base));
  for (let round = 0; round <= items.length; round++) {
    const free = items.filter((item) => !item.frozen);
    if (free.length === 0) return;
    let remaining = room - outer((item) => (item.frozen ? item.main : item.base));
    const sum = free.reduce((total, item) => total + factor(item), 0);
    if (sum < 1 && Math.abs(initial * sum) < Math.abs(remaining)) remaining = initial * sum;
    share(free, remaining, growing, factor, sum);
    freezeViolations(free);
  }
}

function share(
  free: readonly Item[],
  remaining: number,
  growing: boolean,
  factor: (item: Item) => number,
  sum: number,
): void {
  const weightOf = (item: Item) => (growing ? factor(item) : factor(item) * shrinkBase(item));
  // Browsers share out 64ths of a pixel from the last item on: what rounding leaves over is shared by those in front.
  let parts = remaining * 64;
  let whole = growing ? sum : free.reduce((total, item) => total + weightOf(item), 0);
  for (const item of [...free].reverse()) {
    const weight = weightOf(item);
    const ideal = whole > 0 ? (parts * weight) / whole : 0;
    const given = Number.isFinite(ideal) ? Math.round(ideal) : ideal;
    item.main = item.base + given / 64;
    parts -= given;
    whole -= weight;
  }
}

/** Shrinking is weighed by the inner base size. */
function shrinkBase(item: Item): number {
  return Math.max(0, item.base - item.minFrame);
}

function freezeViolations(free: readonly Item[]): void {
  let total = 0;
  const clamped = free.map((item) => {
    const target = Math.max(item.min, Math.min(item.max, item.main));
    total += target - item.main;
    return target;
  });
  free.forEach((item, i) => {
    const violation = clamped[i]! - item.main;
    item.frozen = total === 0 || (total > 0 ? violation > 0 : violation < 0);
    if (item.frozen) item.main = clamped[i]!;
  });
}
