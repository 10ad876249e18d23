import type { Box } from '../../box.js';
import { makeFragment, type Fragment, type LinesReach, type OutOfFlow, type Placed } from '../../fragment.js';
import type { Layout } from '../../layout.js';
import { relativeOffset } from '../../used/relative.js';
import { paragraphOf } from './items.js';
import type { Line } from './lines.js';
import { separatorsIn } from './set-text.js';
import { placeLine } from './place.js';
import { standsInLine } from '../static-position.js';
import { markerExtent } from '../marker.js';
import { styleInFirstLine } from './first-line.js';
import { type InlineSpace, fromAtomics } from './space.js';

export interface Running {
  lined: boolean;
  readonly lineEnds: number[];
  /** How far lines that have any width reach. */
  linesReach: LinesReach;
  /** A line was made since the last block among the lines. */
  fresh: boolean;
  blocks: number;
  y: number;
  baseline: number | null;
  lastBaseline: number | null;
  readonly children: Placed[];
  readonly outOfFlow: OutOfFlow[];
  open: readonly Box[];
}

/** A line that was taken, and the room it goes into. */
export interface Emitting {
  readonly container: Box;
  readonly line: Line;
  readonly room: { readonly left: number; readonly right: number };
  readonly space: InlineSpace;
  readonly layout: Layout;
  readonly atomics: ReadonlyMap<Box, Fragment>;
  /** The last line of its paragraph. */
  readonly last: boolean;
  /** The container whose first line it is and that line's style, where it has one of its own. */
  readonly first: { readonly from: Box; readonly line: Box['style'] } | null;
}

/** Places a line and adds it to the run. @spec css-text-3 §6, css2 §9.4.2 */
export function emit(emitting: Emitting, run: Running): void {
  const { container, line, space, layout, atomics, first } = emitting;
  const { levels, rtl } = paragraphOf(first?.from ?? container, layout);
  const { left, expand, backwards } = alignLine(emitting, rtl);
  const turned = container.mode === 'vertical-lr';
  const placed = placeLine({
    pieces: line.pieces,
    container,
    basis: space.width,
    height: space.height,
    layout,
    atomics,
    styleOf: first ? (box) => styleInFirstLine(box, first.from, first.line) : (box) => box.style,
    open: run.open,
    base: levels && Number(rtl),
    turned,
    expand,
  });
  run.open = placed.open;
  const { marker } = container;
  if (marker && line.visible && run.baseline === null)
    run.y += Math.max(0, markerExtent(marker, layout).above - placed.baseline);
  const upright = turned ? placed.children.map((c) => turnedOver(c, placed.height)) : placed.children;
  const within = line.hanging > 0 && !backwards ? upright.map((one) => cutOff(one, line.width)) : upright;
  const shown = line.visible ? within : within.map((one) => flattened(one, space));
  const holdsAtomics = line.pieces.some((piece) => piece.kind === 'atomic');
  for (const { fragment, x, y } of shown) {
    const at = { fragment, x: left + x, y: run.y + y };
    run.children.push(at);
    if (holdsAtomics) run.outOfFlow.push(...fromAtomics(at, null));
  }
  for (const entry of placed.outOfFlow) {
    const inline = standsInLine(entry.box);
    const x = inline ? left + entry.x : backwards ? space.width : 0;
    run.outOfFlow.push({
      box: entry.box,
      x: x + entry.offset.x,
      y: run.y + (inline || entry.first || !line.visible ? 0 : placed.height) + entry.offset.y,
      alignX: (inline ? entry.backwards : backwards) ? 'end' : 'start',
      alignY: 'start',
      inlineContainer: entry.inlineContainer,
    });
  }
  if (!line.visible) return;
  run.lined = true;
  run.fresh = true;
  run.lastBaseline = run.y + (turned ? placed.height - placed.baseline : placed.baseline);
  run.baseline ??= run.lastBaseline;
  run.y += placed.height;
  run.lineEnds.push(run.y);
  if (line.width > 0) run.linesReach = { right: Math.max(run.linesReach.right, left + line.width), bottom: run.y };
  clearAfter(line, space, run);
}

/** Where a line begins, and how much wider its spaces get. @spec css-text-3 §6.1, §6.4 */
function alignLine({ container, line, room, last }: Emitting, rtl: boolean) {
  // At the end of a paragraph preserved spaces hang only as far as they do not fit. @spec css-text-3 §4.1.3
  const fitting = last || line.endsForced ? Math.max(0, room.right - room.left - line.width) : 0;
  const held = Math.min(line.hanging, fitting);
  const spare = room.right - room.left - line.width - held;
  const free = Math.max(0, spare);
  const align = alignment(container, rtl, last || line.endsForced);
  const spaces =
    align !== 'justify'
      ? 0
      : line.pieces.reduce((n, p) => n + (p.kind === 'text' ? separatorsIn(p.text) : 0), 0) - Number(endsInSpace(line));
  const expand = spaces > 0 ? free / spaces : 0;
  const backwards = container.style.direction === 'rtl';
  // An overlong line sticks out at its end, and so do spaces that hang.
  const over = backwards && spare < 0;
  const slack = over ? spare : expand > 0 ? 0 : align === 'right' ? free : align === 'center' ? free / 2 : 0;
  return { left: room.left + slack - (rtl ? line.hanging - held : 0), expand, backwards };
}

const endsInSpace = ({ pieces }: Line): boolean =>
  (pieces.findLast(({ kind, text }) => kind === 'text' && text !== '')?.trailing ?? 0) > 0;

/** A forced break may clear floats. @spec css2 §9.5.2 */
function clearAfter(line: Line, space: InlineSpace, run: Running): void {
  const forced = line.pieces.findLast((piece) => piece.forced);
  const clear = forced?.kind === 'break' ? forced.box.style.clear : 'none';
  if (clear === 'none') return;
  const bottom = space.floats.clearance(clear === 'inline-start' ? 'left' : clear === 'inline-end' ? 'right' : clear);
  if (bottom !== null) run.y = Math.max(run.y, bottom - space.y);
}

/** Nothing can be scrolled to beyond the end of a line whose spaces hang. @spec css-text-3 §4.1.3, css-overflow-3 §2.2 */
function cutOff(placed: Placed, end: number): Placed {
  const { fragment, x, y } = placed;
  const room = Math.max(0, end - x);
  if (fragment.width <= room || fragment.box.outer === 'atomic') return placed;
  const children = fragment.children.map((child) => cutOff(child, room));
  return { x, y, fragment: makeFragment({ ...fragment, children, scrollableWidth: room }) };
}

/** On a line that is not made, inline boxes keep their place but have no height. @spec css2 §9.4.2 */
function flattened(placed: Placed, { width, height }: Pick<InlineSpace, 'width' | 'height'>): Placed {
  const { fragment } = placed;
  const { box } = fragment;
  return {
    x: placed.x,
    y: box.inner === 'text' ? 0 : relativeOffset(box, width, height).y,
    fragment: Object.freeze({
      ...fragment,
      height: 0,
      children: fragment.children.map((c) => flattened(c, { width, height })),
    }),
  };
}

/** Where blocks stack from left to right, the upper side of vertical lines is the far one. @spec css-writing-modes-4 §6.2 */
function turnedOver(placed: Placed, height: number): Placed {
  const { fragment } = placed;
  const inline = fragment.kind === 'box' && fragment.box.outer === 'inline';
  const inner = inline
    ? Object.freeze({ ...fragment, children: fragment.children.map((c) => turnedOver(c, fragment.height)) })
    : fragment;
  return { fragment: inner, x: placed.x, y: height - placed.y - fragment.height };
}

/** @spec css-text-3 §7.1 */
function alignment(container: Box, rtl: boolean, last: boolean): 'left' | 'right' | 'center' | 'justify' {
  const { textAlign, textAlignLast } = container.style;
  const start = rtl ? 'right' : 'left';
  const value =
    last && textAlignLast !== 'auto' ? textAlignLast : last && textAlign === 'justify' ? 'start' : textAlign;
  switch (value) {
    case 'left':
    case '-webkit-left':
      return 'left';
    case 'right':
    case '-webkit-right':
      return 'right';
    case 'center':
    case '-webkit-center':
      return 'center';
    case 'justify':
      return 'justify';
    case 'end':
      return start === 'left' ? 'right' : 'left';
    default:
      return start;
  }
}
