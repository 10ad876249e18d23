import { isFloating, isOutOfFlow, scrollsContent, type Box } from '../../box.js';
import type { Fragment, Placed } from '../../fragment.js';
import type { Content } from '../content.js';
import { isMulticol } from './count.js';

/** A place where content set in one strip may be divided between columns. Heights from the top of the strip, px. */
export interface Break {
  /** Where what stands in front of it ends, and where what comes behind begins. */
  readonly end: number;
  readonly start: number;
  /** Where the margin below what stands in front of a forced break ends: that is kept, as is the one behind it. */
  readonly kept: number;
  /** Empty room behind it may be divided anywhere down to here. */
  readonly until: number;
  readonly kind: 'forced' | 'free' | 'avoided';
  /** The lines it lies between; null between boxes. */
  readonly among: Lines | null;
}

/** Lines of a block container, and how many of them stay together in front of a break and behind it. */
export interface Lines {
  readonly ends: readonly number[];
  readonly orphans: number;
  readonly widows: number;
}

/** Content in one column, not yet divided. */
export interface Strip {
  readonly breaks: readonly Break[];
  /** With and without the margins at its end. */
  readonly height: number;
  readonly bottom: number;
  /** The tallest part that cannot be divided, px. */
  readonly tallest: number;
}

interface Found {
  readonly breaks: Break[];
  /** What lies beside the flow and may not be cut. */
  readonly floats: { readonly top: number; readonly bottom: number }[];
  tallest: number;
}

/** Finds where a strip may be divided. @spec css-break-3 §4 */
export function stripOf(box: Box, { children, lineEnds = [] }: Content, height: number, bottom: number): Strip {
  const found: Found = { breaks: [], floats: [], tallest: 0 };
  if (lineEnds.length > 0) betweenLines({ box, lineEnds, children }, 0, false, found);
  else between(children, 0, false, found);
  const cut = ({ start, end }: Break) => found.floats.some((f) => f.top < end && f.bottom > start);
  return { breaks: found.breaks.filter((b) => !cut(b)), height, bottom, tallest: found.tallest };
}

/** Whether a fragment can be divided between columns. @spec css-break-3 §4.1 (monolithic) */
export function isDivisible({ kind, box }: Fragment): boolean {
  return (
    kind === 'box' &&
    /^(flow|table|row-group)$/.test(box.inner) &&
    (box.outer === 'block' || box.inner === 'row-group' || box.anonymous) &&
    box.frame === box.mode &&
    !isOutOfFlow(box) &&
    !isFloating(box) &&
    !isMulticol(box) &&
    !scrollsContent(box)
  );
}

const breakAt = (y: number, kind: Break['kind']): Break => ({
  end: y,
  start: y,
  kept: y,
  until: y,
  kind,
  among: null,
});

const avoids = ({ anonymous, style }: Box): boolean => !anonymous && style.breakInside.startsWith('avoid');

function inside(placed: Placed, top: number, avoided: boolean, found: Found): void {
  const { fragment } = placed;
  const { box, height, border, padding } = fragment;
  // The line of a marker that stands alone is not divided either.
  if (!isDivisible(fragment) || (box.marker && fragment.children.length === 0)) {
    found.tallest = Math.max(found.tallest, height);
    return;
  }
  if (avoids(box)) found.tallest = Math.max(found.tallest, height);
  const kept = avoided || avoids(box);
  const line = fragment.lineEnds.at(-1);
  let last: number | null;
  if (line === undefined) last = between(fragment.children, top, kept, found);
  else {
    betweenLines(fragment, top, kept, found);
    last = top + line + 1 / 64;
  }
  const end = last ?? top + border.top + padding.top;
  const floor = top + height - border.bottom - padding.bottom;
  if (floor > end) found.breaks.push({ ...breakAt(end, kept ? 'avoided' : 'free'), until: floor });
}

/** Breaks between boxes that stand below each other; gives where the last one ends. */
function between(children: readonly Placed[], top: number, avoided: boolean, found: Found): number | null {
  let before: Placed | null = null;
  for (const child of children) {
    const { fragment } = child;
    const start = top + child.y;
    if (isOutOfFlow(fragment.box)) continue;
    if (isFloating(fragment.box)) {
      found.floats.push({ top: start, bottom: start + fragment.height });
      found.tallest = Math.max(found.tallest, fragment.height);
      continue;
    }
    if (before) {
      const kind = kindBetween(before.fragment.box, fragment.box, avoided);
      const end = top + before.y + before.fragment.height;
      const forced = kind === 'forced';
      found.breaks.push({
        ...breakAt(end, kind),
        start: start - (forced ? fragment.margin.top : 0),
        kept: end + (forced ? before.fragment.margin.bottom : 0),
      });
    }
    inside(child, start, avoided, found);
    before = child;
  }
  return before && top + before.y + before.fragment.height;
}

function kindBetween(above: Box, below: Box, avoided: boolean): Break['kind'] {
  const values = [
    above.anonymous ? 'auto' : above.style.breakAfter,
    below.anonymous ? 'auto' : below.style.breakBefore,
  ];
  if (values.includes('column')) return 'forced';
  return avoided || values.some((v) => v === 'avoid' || v === 'avoid-column') ? 'avoided' : 'free';
}

/** Lines are kept together as far as widows and orphans ask. @spec css-break-3 §3.3 */
function betweenLines(
  { box, lineEnds, children }: Pick<Fragment, 'box' | 'lineEnds' | 'children'>,
  top: number,
  avoided: boolean,
  found: Found,
): void {
  const ends = lineEnds.map((end) => top + end);
  const lines: Lines = { ends, orphans: Number(box.style.orphans), widows: Number(box.style.widows) };
  const together = Math.min(ends.length, lines.orphans);
  ends.forEach((end, k) => {
    const start = ends[k - together] ?? top;
    found.tallest = Math.max(found.tallest, end - start);
    if (k < ends.length - 1) found.breaks.push({ ...breakAt(end, avoided ? 'avoided' : 'free'), among: lines });
  });
  for (const { fragment, y } of children)
    if (isFloating(fragment.box)) found.floats.push({ top: top + y, bottom: top + y + fragment.height });
}
