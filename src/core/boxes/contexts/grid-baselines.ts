import type { Box } from '../box.js';
import { makeFragment, type Fragment } from '../fragment.js';
import type { Layout } from '../layout.js';
import { alignmentIn, aligningOf, startEdge, type AxisName } from '../used/alignment.js';
import { specifiedMargins, usedMargins } from '../used/edges.js';
import { isOrthogonal } from '../flows/modes.js';
import { groupOf, sharingOf, type BaselineGroup, type Sharing, type Which } from './baselines.js';
import { placeInArea } from './grid-items.js';
import { spanOf, type Lines, type PlacedItem } from './grid-place.js';

/** Items of the rows, or of the columns, that share a baseline. @spec css-grid-2 §10.6, css-align-3 §9.3 */
export interface GridBaselines {
  readonly takesPart: (item: PlacedItem) => boolean;
  /** Room the item needs beyond its margin box to reach the shared baseline, px. */
  readonly shim: (item: PlacedItem) => number;
  /** Offset of the border box in its area, or null for items aligned otherwise. */
  readonly offset: (item: PlacedItem, fragment: Fragment, area: number) => number | null;
}

/** How the items of a grid are measured along one axis. */
interface Measure {
  readonly axis: AxisName;
  /** Width that percentage margins refer to, px. */
  readonly basis: (item: PlacedItem) => number;
  readonly fragment: (item: PlacedItem) => Fragment;
}

type Items = readonly PlacedItem[];

/** Baselines that items share along the rows, whose columns are known. */
export const rowBaselines = (items: Items, columns: Lines, container: Box, layout: Layout): GridBaselines => {
  const basis = ({ columns: slot }: PlacedItem) => spanOf(columns, slot).size;
  const fragment = (item: PlacedItem) => placeInArea(item.box, basis(item), NaN, container, layout).fragment;
  return baselines(items, container, { axis: 'block', basis, fragment });
};

/** Baselines that items share along the columns, before the widths of those are known. */
export const columnBaselines = (items: Items, container: Box, layout: Layout): GridBaselines =>
  baselines(items, container, { axis: 'inline', basis: () => 0, fragment: ({ box }) => unplaced(box, layout) });

function unplaced(box: Box, layout: Layout): Fragment {
  if (isOrthogonal(box.mode, box.frame)) return layout.place(box, { width: NaN, height: NaN, shrink: true });
  const { left, right } = usedMargins(box, 0);
  return makeFragment({ box, width: Math.max(0, layout.contribution(box).max - left - right), height: 0 });
}

function baselines(items: Items, container: Box, { axis, basis, fragment }: Measure): GridBaselines {
  const ends = (margins: Readonly<Record<'top' | 'right' | 'bottom' | 'left', number | null>>) =>
    axis === 'block' ? ([margins.top, margins.bottom] as const) : ([margins.left, margins.right] as const);
  const whichOf = (item: PlacedItem): Which | null => {
    const { to } = alignmentIn(item.box, container, axis);
    if (to !== 'baseline' && to !== 'last baseline') return null;
    return ends(specifiedMargins(item.box, basis(item))).includes(null) ? null : to;
  };
  const marginsOf = (item: PlacedItem) => ends(usedMargins(item.box, basis(item))) as readonly [number, number];
  const start = startEdge(axis, aligningOf(container));
  /** Items share with those that begin, or end, in the same track. */
  const groupKey = ({ side }: Sharing, item: PlacedItem) => {
    const slot = axis === 'block' ? item.rows : item.columns;
    return side === start ? `start/${slot.start}` : `end/${slot.end}`;
  };
  const taking = items.flatMap((item) => {
    const which = whichOf(item);
    if (!which) return [];
    const stands = sharingOf(fragment(item), marginsOf(item), axis, container, which);
    return [{ item, stands, key: groupKey(stands, item) }];
  });
  const groups = new Map<string, BaselineGroup>();
  for (const { key } of taking)
    if (!groups.has(key)) groups.set(key, groupOf(taking.filter((t) => t.key === key).map((t) => t.stands)));
  const shims = new Map<PlacedItem, { readonly side: 'low' | 'high'; readonly room: number }>();
  for (const { item, stands, key } of taking) {
    const { side } = stands;
    const group = groups.get(key)!;
    shims.set(item, { side, room: side === 'low' ? group.above - stands.above : group.below - stands.below });
  }
  return {
    takesPart: (item) => shims.has(item),
    shim: (item) => shims.get(item)?.room ?? 0,
    offset: (item, placed, area) => {
      const shim = shims.get(item);
      if (!shim) return null;
      const [low, high] = marginsOf(item);
      const size = axis === 'block' ? placed.height : placed.width;
      return shim.side === 'low' ? shim.room + low : area - shim.room - high - size;
    },
  };
}
