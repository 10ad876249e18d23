import type { Rect } from '../base/index.js';
import { resolveLength } from '../css/index.js';
import type { ElementNode } from '../html/index.js';
import {
  isInTopLayer,
  keepsToScreen,
  isPositioned,
  paddingBox,
  type Box,
  type DocumentLayout,
  type Fragment,
} from '../boxes/index.js';
import { clipOutline, outlineBounds, paddingOutline, type Outline } from './outlines.js';
import { boxMatrix, isTransformed, multiply, type Matrix } from './matrix.js';

/** A rectangle outside which nothing shows, or an outline inside it; either axis of the rectangle may be open. */
export interface Clip {
  readonly rect: Rect;
  /** Null where the rectangle says all. */
  readonly outline: Outline | null;
  readonly matrix: Matrix | null;
  readonly box: Box;
  /** It cuts what is painted and pressed, not what can be scrolled to. */
  readonly paintOnly: boolean;
  /** The content can be scrolled into view. */
  readonly scrolls: boolean;
}

/** A fragment with its place on the page. */
export interface PaintNode {
  readonly fragment: Fragment;
  readonly box: Box;
  /** Border box in the coordinates of the nearest transformed ancestor, or of the document. */
  readonly rect: Rect;
  /** From those coordinates to the document; null is the identity. */
  readonly matrix: Matrix | null;
  readonly clips: readonly Clip[];
  readonly children: readonly PaintNode[];
  /** Keeps its place in the viewport while the page scrolls. */
  readonly fixed: boolean;
  /** How far sticking moved it, with what it stands in; null for not at all. */
  readonly stuck: Scroll | null;
  /** The containing block: what percentages and insets refer to, in the coordinates of `rect`. */
  readonly containing: Rect;
}

export interface Scroll {
  readonly x: number;
  readonly y: number;
}

interface Around {
  readonly x: number;
  readonly y: number;
  readonly matrix: Matrix | null;
  readonly clips: readonly Clip[];
  readonly fixed: boolean;
  readonly stuck: Scroll | null;
  /** Placed by the document itself rather than by a fragment. */
  readonly top: boolean;
  /** The scrolling area sticky boxes keep to: its padding box in the same coordinates. */
  readonly port: Rect;
  /** Content box of the containing block, for sticky boxes. */
  readonly within: Rect;
}

const OPEN = 1e7;
const FAR: Rect = { x: -OPEN, y: -OPEN, width: 2 * OPEN, height: 2 * OPEN };

/** Gives every fragment its place on the page at a scroll position: the root first, then what stands in the top layer. */
export function locate(
  layout: DocumentLayout,
  viewport: { width: number; height: number },
  scroll: Scroll,
  framesOf: FramesOf,
): readonly PaintNode[] {
  const port: Rect = { x: scroll.x, y: scroll.y, width: viewport.width, height: viewport.height };
  const around: Around = {
    x: 0,
    y: 0,
    matrix: null,
    clips: [],
    fixed: false,
    stuck: null,
    top: true,
    port,
    within: FAR,
  };
  const site: Site = { framesOf, scroll, byBox: new Map(), paths: new Map(), detached: [] };
  const roots = layout.placed
    .map((placed) => node(placed.fragment, placed.x, placed.y, around, site))
    .filter((made) => made.box.parent === null);
  const top = site.detached.filter((made) => isInTopLayer(made.box));
  for (const made of site.detached) if (!isInTopLayer(made.box)) home(made.box, site)?.push(cutByPaths(made, site));
  return [...roots, ...top];
}

/** A part of a picture that shows other content: its area in its own units, and how these lie in the document. */
export interface Frame {
  readonly matrix: Matrix;
  readonly area: Rect;
}

/** Where parts of a picture lie whose content box and coordinates are given. */
export type FramesOf = (picture: ElementNode, content: Rect, matrix: Matrix | null) => ReadonlyMap<ElementNode, Frame>;

interface Site {
  readonly framesOf: FramesOf;
  readonly scroll: Scroll;
  /** Children of the last node of each box. */
  readonly byBox: Map<Box, PaintNode[]>;
  /** What clip-path leaves of boxes. */
  readonly paths: Map<Box, Clip>;
  readonly detached: PaintNode[];
}

/** A path cuts all that stands in its box, wherever that is placed. @spec css-masking-1 §5.1 */
function cutByPaths(made: PaintNode, { paths }: Site): PaintNode {
  if (paths.size === 0) return made;
  const around: Clip[] = [];
  for (let box = made.box.parent; box; box = box.parent) {
    const path = paths.get(box);
    if (path && !made.clips.includes(path)) around.push(path);
  }
  return around.length === 0 ? made : cut(made, around);
}

function cut(node: PaintNode, by: readonly Clip[]): PaintNode {
  const children = node.children as PaintNode[];
  for (const [i, child] of children.entries()) children[i] = cut(child, by);
  return { ...node, clips: [...by, ...node.clips] };
}

/**
 * Absolute and fixed boxes are laid out in their containing block, but painted (and made see-through) with the
 * box they stand in.
 */
function home(box: Box, site: Site): PaintNode[] | null {
  for (let parent = box.parent; parent; parent = parent.parent) {
    const found = site.byBox.get(parent);
    if (found) return found;
  }
  return null;
}

const isDetached = (box: Box): boolean =>
  !box.anonymous &&
  box.inner !== 'text' &&
  box.parent !== null &&
  (box.style.position === 'absolute' || box.style.position === 'fixed');

function node(fragment: Fragment, x: number, y: number, around: Around, site: Site): PaintNode {
  const { scroll } = site;
  const { box } = fragment;
  const style = box.computed;
  const own = fragment.kind === 'box' && !box.anonymous;
  const fixed = own && style.position === 'fixed' && keepsToScreen(box);
  let rect: Rect = {
    x: around.x + x + (fixed && !around.fixed ? scroll.x : 0),
    y: around.y + y + (fixed && !around.fixed ? scroll.y : 0),
    width: fragment.width,
    height: fragment.height,
  };
  let { stuck } = around;
  if (own && style.position === 'sticky') {
    const moved = stick(rect, fragment, around);
    if (moved.x !== rect.x || moved.y !== rect.y)
      stuck = { x: moved.x - rect.x + (stuck?.x ?? 0), y: moved.y - rect.y + (stuck?.y ?? 0) };
    rect = moved;
  }
  let matrix = around.matrix;
  if (own && isTransformed(style) && !(box.outer === 'inline' && box.inner === 'flow')) {
    const mine = boxMatrix(style, rect);
    matrix = matrix ? multiply(matrix, mine) : mine;
  }
  const clip = own && !box.viewport ? clipOf(fragment, rect, matrix) : null;
  const path = own ? pathClip(fragment, rect, matrix) : null;
  if (path) site.paths.set(box, path);
  const hidden = own && hiddenByClip(style);
  const outer = path ? [...around.clips, path] : around.clips;
  const clips = clip ? [...outer, clip] : outer;
  const padding = paddingBox(fragment);
  const padded: Rect = { x: rect.x + padding.x, y: rect.y + padding.y, width: padding.width, height: padding.height };
  const inside: Around = {
    x: rect.x,
    y: rect.y,
    matrix,
    clips,
    fixed: around.fixed || fixed,
    stuck,
    top: false,
    port: clip && isScrollContainer(style) ? padded : fixed ? { ...around.port } : around.port,
    within: own && fragment.kind === 'box' && box.outer !== 'inline' ? withinOf(fragment, rect, clip) : around.within,
  };
  const children: PaintNode[] = [];
  const frames =
    box.inner === 'replaced' && box.element && fragment.children.length > 0
      ? site.framesOf(box.element, contentOf(fragment, rect), matrix)
      : null;
  for (const child of box.locked ? [] : fragment.children) {
    const frame = frames?.get(child.fragment.box.element!);
    if (frames && !frame) continue;
    const made = node(child.fragment, child.x, child.y, frame ? framed(inside, frame) : inside, site);
    (isDetached(made.box) && made.fragment.kind === 'box' ? site.detached : children).push(made);
  }
  const made: PaintNode = {
    fragment,
    box,
    rect,
    matrix,
    clips: hidden ? clips : outer,
    children,
    fixed: inside.fixed,
    stuck,
    containing: containingOf(fragment, rect, around),
  };
  if (fragment.kind === 'box') site.byBox.set(box, children);
  if (around.top && isDetached(box)) site.detached.push(made);
  return made;
}

const framed = (around: Around, { area, matrix }: Frame): Around => ({
  ...around,
  x: area.x,
  y: area.y,
  matrix,
  port: area,
  within: area,
});

/** @spec css-position-3 §2.1 */
function containingOf({ containing }: Fragment, rect: Rect, { within, top, port }: Around): Rect {
  if (containing) return { ...containing, x: rect.x + containing.x, y: rect.y + containing.y };
  return top ? { ...port, x: 0, y: 0 } : within;
}

const isScrollContainer = ({ overflowX, overflowY }: Box['style']): boolean =>
  [overflowX, overflowY].some((value) => value === 'auto' || value === 'scroll' || value === 'hidden');

/** What sticky children keep to: of a scroll container, all that can be scrolled to. @spec css-position-3 §3.4 */
function withinOf(fragment: Fragment, rect: Rect, clip: Clip | null): Rect {
  const content = contentOf(fragment, rect);
  if (!clip || !isScrollContainer(fragment.box.computed)) return content;
  const end = Math.max(...fragment.children.map((child) => rect.y + child.y + child.fragment.height));
  return { ...content, height: Math.max(content.height, end - content.y) };
}

/** Content box of a fragment whose border box is given. @spec css-box-4 §1.1 */
export function contentOf(fragment: Fragment, rect: Rect): Rect {
  const { border, padding } = fragment;
  return {
    x: rect.x + border.left + padding.left,
    y: rect.y + border.top + padding.top,
    width: rect.width - border.left - border.right - padding.left - padding.right,
    height: rect.height - border.top - border.bottom - padding.top - padding.bottom,
  };
}

/** @spec css-position-3 §3.4 */
function stick(rect: Rect, { box, margin }: Fragment, around: Around): Rect {
  const { port } = around;
  const style = box.computed;
  // Its margins stay within the containing block too.
  const within: Rect = {
    x: around.within.x + margin.left,
    y: around.within.y + margin.top,
    width: around.within.width - margin.left - margin.right,
    height: around.within.height - margin.top - margin.bottom,
  };
  const inset = (value: typeof style.top, basis: number) => (value === 'auto' ? null : resolveLength(value, basis));
  const top = inset(style.top, port.height);
  const bottom = inset(style.bottom, port.height);
  const left = inset(style.left, port.width);
  const right = inset(style.right, port.width);
  let { x, y } = rect;
  if (bottom !== null) y = Math.min(y, Math.max(within.y, port.y + port.height - bottom - rect.height));
  if (top !== null) y = Math.max(y, Math.min(port.y + top, within.y + within.height - rect.height));
  if (right !== null) x = Math.min(x, Math.max(within.x, port.x + port.width - right - rect.width));
  if (left !== null) x = Math.max(x, Math.min(port.x + left, within.x + within.width - rect.width));
  return { ...rect, x, y };
}

/** @spec css-overflow-3 §3.1 */
function clipOf(fragment: Fragment, rect: Rect, matrix: Matrix | null): Clip | null {
  const style = fragment.box.computed;
  if (fragment.box.inner === 'text' || (fragment.box.outer === 'inline' && fragment.box.inner === 'flow')) return null;
  const held = containsPaint(style);
  const x = style.overflowX !== 'visible' || held;
  const y = style.overflowY !== 'visible' || held;
  const hidden = hiddenByClip(style);
  if (!x && !y && !hidden) return null;
  const padding = paddingBox(fragment);
  const inner: Rect = hidden
    ? { x: rect.x, y: rect.y, width: 0, height: 0 }
    : { x: rect.x + padding.x, y: rect.y + padding.y, width: padding.width, height: padding.height };
  const shown: Rect = {
    x: x || hidden ? inner.x : -OPEN,
    y: y || hidden ? inner.y : -OPEN,
    width: x || hidden ? inner.width : 2 * OPEN,
    height: y || hidden ? inner.height : 2 * OPEN,
  };
  const scrolls = ['auto', 'scroll'].includes(style.overflowX) || ['auto', 'scroll'].includes(style.overflowY);
  const outline = hidden || !x || !y ? null : paddingOutline(fragment, style, rect);
  return { rect: shown, outline, matrix, box: fragment.box, scrolls, paintOnly: false };
}

/** @spec css-contain-3 §3.4, §4 */
const containsPaint = ({ contain, contentVisibility }: Box['style']): boolean =>
  contentVisibility !== 'visible' || contain.some((word) => /^(paint|strict|content)$/.test(word));

/** @spec css-masking-1 §5.1 */
function pathClip(fragment: Fragment, rect: Rect, matrix: Matrix | null): Clip | null {
  const { clipPath } = fragment.box.computed;
  const outline = clipPath && clipOutline(clipPath, fragment, rect);
  if (!outline) return null;
  return { rect: outlineBounds(outline), outline, matrix, box: fragment.box, scrolls: false, paintOnly: true };
}

const LEAST_CLIP = 1;

/** The old way of hiding things from sight alone: cut down to nothing. @spec css-masking-1 §6 (clip) */
function hiddenByClip({ clip, position }: Box['style']): boolean {
  if (clip === null || (position !== 'absolute' && position !== 'fixed')) return false;
  return [clip.top, clip.right, clip.bottom, clip.left].every(
    (edge) => edge !== 'auto' && Math.abs(edge.px) <= LEAST_CLIP,
  );
}

export { isPositioned };
