import { withValues, type ComputedStyle } from '../../cascade/index.js';
import type { Rect } from '../../base/index.js';
import { ZERO, type AnchorQuery, type LengthPercentage } from '../../css/index.js';
import type { Box } from '../box.js';
import type { Anchors } from './anchors.js';

/** An absolute box whose references to anchors are resolved, and the area it is placed in, px. */
export interface Anchored {
  readonly box: Box;
  readonly area: Rect;
  /** The default anchor's middle in the area, along each axis; null without one. */
  readonly middle: { readonly x: number; readonly y: number } | null;
}

const INSETS = ['top', 'right', 'bottom', 'left'] as const;
const SIZES = ['width', 'height', 'minWidth', 'minHeight', 'maxWidth', 'maxHeight'] as const;
type Side = (typeof INSETS)[number];
type Name = Side | (typeof SIZES)[number];

const reference = (style: ComputedStyle, name: Name): LengthPercentage['anchored'] => {
  const value = style[name];
  return typeof value === 'object' && 'anchored' in value ? value.anchored : undefined;
};

const centres = ({ justifySelf, alignSelf }: ComputedStyle): boolean =>
  justifySelf === 'anchor-center' || alignSelf === 'anchor-center';

/** Whether anything about a box refers to an anchor. */
export const refersToAnchor = ({ anonymous, style }: Box): boolean =>
  !anonymous &&
  (style.positionArea !== 'none' ||
    centres(style) ||
    [...INSETS, ...SIZES].some((name) => reference(style, name) !== undefined));

/**
 * Puts lengths in the place of what a box asks of its anchors.
 * @param area its containing block
 * @spec css-anchor-position-1 §3, §4, §5 (position-area)
 */
export function anchored(box: Box, area: Rect, anchors: Anchors): Anchored {
  const rect = anchors.rectFor(box, null);
  const region = rect && regionOf(box.style, area, rect);
  const within = region?.area ?? area;
  const values: Partial<Record<keyof ComputedStyle, unknown>> = { ...region?.values };
  for (const name of [...INSETS, ...SIZES]) {
    const resolve = reference(box.style, name);
    if (resolve) values[name] = resolve((query) => answer(query, name, box, within, anchors)) ?? unset(name);
  }
  return {
    box: { ...box, style: withValues(box.style, values as Partial<ComputedStyle>) },
    area: within,
    middle: rect && { x: rect.x + rect.width / 2 - within.x, y: rect.y + rect.height / 2 - within.y },
  };
}

const unset = (name: Name): 'none' | 'auto' => (name.startsWith('max') ? 'none' : 'auto');

function answer(query: AnchorQuery, name: Name, box: Box, area: Rect, anchors: Anchors): number | null {
  const rect = anchors.rectFor(box, query.name);
  if (!rect) return null;
  return query.asks === 'size' ? sizeOf(query.word, name, rect) : edgeOf(query.word, name as Side, box, area, rect);
}

function sizeOf(word: string, name: Name, rect: Rect): number {
  const across = /^(width|minWidth|maxWidth|left|right)$/.test(name);
  const wide = word === '' ? across : /^(width|inline|self-inline)$/.test(word);
  return wide ? rect.width : rect.height;
}

const OPPOSITE: Readonly<Record<Side, Side>> = { top: 'bottom', right: 'left', bottom: 'top', left: 'right' };

function edgeOf(word: string, side: Side, { style }: Box, area: Rect, rect: Rect): number | null {
  const across = side === 'left' || side === 'right';
  if (!INSETS.includes(side)) return null;
  const from = across ? rect.x : rect.y;
  const size = across ? rect.width : rect.height;
  const backwards = across && style.direction === 'rtl';
  const share = shareOf(word, side, across, backwards);
  if (share === null) return null;
  const at = from + size * share;
  const [low, length] = across ? [area.x, area.width] : [area.y, area.height];
  return side === 'left' || side === 'top' ? at - low : low + length - at;
}

/** How far along an anchor an edge of it lies; null where it is one of the other axis. */
function shareOf(word: string, side: Side, across: boolean, backwards: boolean): number | null {
  if (word.endsWith('%')) return backwards ? 1 - Number.parseFloat(word) / 100 : Number.parseFloat(word) / 100;
  const start = backwards ? 1 : 0;
  switch (word) {
    case 'center':
      return 0.5;
    case 'start':
    case 'self-start':
      return start;
    case 'end':
    case 'self-end':
      return 1 - start;
    case 'inside':
      return side === 'left' || side === 'top' ? 0 : 1;
    case 'outside':
      return OPPOSITE[side] === 'left' || OPPOSITE[side] === 'top' ? 0 : 1;
    case 'left':
    case 'right':
      return across ? Number(word === 'right') : null;
    default:
      return across ? null : Number(word === 'bottom');
  }
}

/** Lines of the three tracks a region spans along an axis. */
type Span = readonly [from: number, to: number];
const ALL: Span = [0, 3];

/** The part of the grid around the anchor that position-area names, and what follows for the box; null without one. */
function regionOf(
  style: ComputedStyle,
  area: Rect,
  rect: Rect,
): { readonly area: Rect; readonly values: Partial<ComputedStyle> } | null {
  const spans = spansOf(style.positionArea, style.direction === 'rtl');
  if (!spans) return null;
  const xs = [Math.min(area.x, rect.x), rect.x, rect.x + rect.width];
  const ys = [Math.min(area.y, rect.y), rect.y, rect.y + rect.height];
  xs.push(Math.max(area.x + area.width, xs[2]!));
  ys.push(Math.max(area.y + area.height, ys[2]!));
  const [x, y] = [spans.x, spans.y];
  const values: Record<string, unknown> = {};
  for (const side of INSETS) if (style[side] === 'auto') values[side] = ZERO;
  for (const side of ['marginTop', 'marginRight', 'marginBottom', 'marginLeft'] as const)
    if (style[side] === 'auto') values[side] = ZERO;
  const plain = (value: string) => value === 'auto' || value === 'normal';
  if (plain(style.justifySelf)) values.justifySelf = towards(x, 'left', 'right');
  if (plain(style.alignSelf)) values.alignSelf = towards(y, 'start', 'end');
  return {
    area: { x: xs[x[0]]!, y: ys[y[0]]!, width: xs[x[1]]! - xs[x[0]]!, height: ys[y[1]]! - ys[y[0]]! },
    values,
  };
}

/** Without other word a box stands against its anchor. @spec css-anchor-position-1 §5.3 */
function towards([from, to]: Span, low: string, high: string): string {
  if (to - from === 3) return 'anchor-center';
  if (from === 1 && to === 2) return 'center';
  return from === 0 ? high : low;
}

function spansOf(value: string, rtl: boolean): { readonly x: Span; readonly y: Span } | null {
  if (value === 'none') return null;
  const words = value
    .toLowerCase()
    .split(' ')
    .map((word) => wordOf(word, rtl));
  const [first, second] = words;
  if (!first || words.length > 2 || words.includes(null)) return null;
  const other = words.length === 2 ? second! : first.axis === null ? first : { axis: null, span: ALL, low: false };
  const [one, two] =
    first.axis === 'x' || (first.axis === null && other.axis === 'y') ? [other, first] : [first, other];
  if (one.axis === 'x' || two.axis === 'y') return null;
  const turned = (at: Word): Span => (at.axis === null && at.logical && rtl ? mirrored(at.span) : at.span);
  return { y: one.span, x: turned(two) };
}

interface Word {
  readonly axis: 'x' | 'y' | null;
  readonly span: Span;
  /** Named by a direction of text, not yet turned. */
  readonly logical?: boolean;
}

const mirrored = ([from, to]: Span): Span => [3 - to, 3 - from];

function wordOf(word: string, rtl: boolean): Word | null {
  if (word === 'center') return { axis: null, span: [1, 2] };
  if (word === 'span-all') return { axis: null, span: ALL };
  const match =
    /^(span-)?(?:(?:self-)?(x|y|block|inline)-(?:self-)?)?(top|left|right|bottom|start|end)$/.exec(word) ??
    /^(span-)?self-()(start|end)$/.exec(word);
  if (!match) return null;
  const [, spans, axis, edge] = match as unknown as [string, string?, string?, string?];
  const low = edge === 'top' || edge === 'left' || edge === 'start';
  const span: Span = low ? (spans ? [0, 2] : [0, 1]) : spans ? [1, 3] : [2, 3];
  if (edge === 'top' || edge === 'bottom') return axis ? null : { axis: 'y', span };
  if (edge === 'left' || edge === 'right') return axis ? null : { axis: 'x', span };
  if (axis === 'y' || axis === 'block') return { axis: 'y', span };
  if (axis) return { axis: 'x', span: rtl ? mirrored(span) : span };
  return { axis: null, span, logical: true };
}
