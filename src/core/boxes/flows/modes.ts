import type { ComputedStyle } from '../../cascade/index.js';
import { turnedKeys } from '../../css/index.js';
import type { Edges } from '../fragment.js';

/** Where lines run and stack: the frame of reference of a box's content. @spec css-writing-modes-4 §3.2 */
export type Mode = ComputedStyle['writingMode'];

export const isVertical = (mode: Mode): boolean => mode !== 'horizontal-tb';
/** Whether the inline axes of two modes cross. @spec css-writing-modes-4 §7 */
export const isOrthogonal = (a: Mode, b: Mode): boolean => isVertical(a) !== isVertical(b);

type Side = keyof Edges;

/**
 * The physical side at which a side of the flow lies, where the flow's x runs from line-left to line-right and its y
 * from block start to block end. @spec css-writing-modes-4 §6.4
 */
const SIDES: Readonly<Record<Mode, Readonly<Record<Side, Side>>>> = {
  'horizontal-tb': { top: 'top', right: 'right', bottom: 'bottom', left: 'left' },
  'vertical-rl': { top: 'right', right: 'bottom', bottom: 'left', left: 'top' },
  'sideways-rl': { top: 'right', right: 'bottom', bottom: 'left', left: 'top' },
  'vertical-lr': { top: 'left', right: 'bottom', bottom: 'right', left: 'top' },
  'sideways-lr': { top: 'left', right: 'top', bottom: 'right', left: 'bottom' },
};

export function edgesToPage(edges: Edges, mode: Mode): Edges {
  const sides = SIDES[mode];
  const out = { top: 0, right: 0, bottom: 0, left: 0 };
  for (const side of ['top', 'right', 'bottom', 'left'] as const) out[sides[side]] = edges[side];
  return out;
}

export function edgesToFlow(edges: Edges, mode: Mode): Edges {
  const { top, right, bottom, left } = SIDES[mode];
  return { top: edges[top], right: edges[right], bottom: edges[bottom], left: edges[left] };
}

const turned = new WeakMap<ComputedStyle, Map<Mode, ComputedStyle>>();

/** A style with its sizes, sides and axes named as a flow of the given mode sees them. */
export function styleInFlow(style: ComputedStyle, mode: Mode): ComputedStyle {
  if (!isVertical(mode)) return style;
  let known = turned.get(style);
  if (!known) turned.set(style, (known = new Map()));
  let made = known.get(mode);
  if (!made) known.set(mode, (made = turn(style, mode)));
  return made;
}

/** By mode: each key of a flow's style and the physical key it is read from. */
const KEYS = new Map<Mode, ReturnType<typeof turnedKeys>>();

function turn(style: ComputedStyle, mode: Mode): ComputedStyle {
  let keys = KEYS.get(mode);
  if (!keys) KEYS.set(mode, (keys = turnedKeys(SIDES[mode], isVertical(mode))));
  const { ratio, auto } = style.aspectRatio;
  const properties: PropertyDescriptorMap = {
    aspectRatio: { value: { auto, ratio: ratio === null ? null : 1 / ratio } },
  };
  for (const [key, from] of keys) properties[key] = { value: style[from] };
  return Object.create(style, properties) as ComputedStyle;
}

/**
 * The physical side from which a box's own flow runs along an axis of a flow around it.
 * @param axis of the flow around
 */
export function physicalStart(axis: 'inline' | 'block', mode: Mode, rtl: boolean, around: Mode): Side {
  const own = isOrthogonal(mode, around) ? (axis === 'inline' ? 'block' : 'inline') : axis;
  return SIDES[mode][own === 'block' ? 'top' : rtl ? 'right' : 'left'];
}
