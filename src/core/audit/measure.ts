import { formatPosition, positionOf, type Limit, type Rect, type Span } from '../base/index.js';
import {
  cssName,
  printNumber,
  printPx,
  printWhiteSpace,
  PROPERTY_KEYS,
  resolveLength,
  type LengthPercentage,
} from '../css/index.js';
import { printValue, type ComputedStyle } from '../cascade/index.js';
import type { Fragment } from '../boxes/index.js';
import { isAncestorOrSelf, type ElementNode } from '../html/index.js';
import { effectsAt } from '../menus/index.js';
import { isFocusable, nameOf, roleOf, tabOrder } from '../naming/index.js';
import { spaceMatrix } from '../paint/index.js';
import { isGraphic, setting, type Page, type Scene, type Setting } from '../scene/index.js';

export interface MeasuredElement {
  readonly path: string;
  readonly tag: string;
  readonly box: Rect | null;
  readonly visible: boolean;
  readonly style: Readonly<Record<string, string>>;
  readonly topmost?: string | null;
  readonly role: string;
  readonly name: string;
}

export interface MeasuredWidth {
  readonly elements: readonly MeasuredElement[];
  readonly tabOrder: readonly string[];
  readonly scrollWidth: number;
  readonly scrollHeight: number;
  readonly openings?: readonly MeasuredOpening[];
}

/** What one move brings into view or takes away; paths of elements. */
export interface MeasuredOpening {
  readonly handle: string;
  readonly move: 'hover' | 'focus' | 'press' | 'key' | 'scroll' | 'load';
  readonly by: 'style' | 'markup' | 'script';
  readonly panel: string | null;
  readonly shows: readonly { readonly path: string; readonly box: Rect | null }[];
  readonly hides: readonly string[];
  readonly source: string | null;
}

export interface Measured {
  readonly page: string;
  readonly widths: Readonly<Record<string, MeasuredWidth>>;
  readonly limits?: readonly Limit[];
}

/** The engine's raw model of a page: closed pose, nothing scrolled. Lengths in CSS px. @param openings what opens, too */
export function measurePage(page: Page, widths: readonly number[], height: number, openings = false): Measured {
  const measured = widths.map((width) => {
    const at = setting(width, { height });
    return [
      String(width),
      { ...measureWidth(page.scene(at)), ...(openings ? { openings: openingsOf(page, at) } : {}) },
    ];
  });
  return {
    page: page.name,
    widths: Object.fromEntries(measured) as Measured['widths'],
    ...(openings ? { limits: page.limits } : {}),
  };
}

function openingsOf(page: Page, at: Setting): readonly MeasuredOpening[] {
  return effectsAt(page, at).map(({ move, by, shows, hides }) => ({
    handle: move.element.path,
    move: move.by,
    by,
    panel: outermost(shows.map(({ element }) => element))?.path ?? null,
    shows: shows.map(({ element, box }) => ({ path: element.path, box: box && rounded(box) })),
    hides: hides.map(({ path }) => path),
    source: move.element.startTag ? place(move.element.startTag) : null,
  }));
}

const place = (span: Span): string => formatPosition(positionOf(span)).replace(/:\d+$/, '');

/** The first element that holds all others, if one does. */
const outermost = (elements: readonly ElementNode[]): ElementNode | null => {
  const [first] = elements;
  return first && elements.every((e) => isAncestorOrSelf(first, e)) ? first : null;
};

const rounded = ({ x, y, width, height }: Rect): Rect => ({
  x: round(x),
  y: round(y),
  width: round(width),
  height: round(height),
});

const round = (value: number): number => Math.round(value * 1000) / 1000;

function measureWidth(scene: Scene): MeasuredWidth {
  const { document, scrollSize } = scene;
  const elements = document.elements.map((element): MeasuredElement => {
    const rect = scene.rect(element);
    const box = rect && rounded(rect);
    return {
      path: element.path,
      tag: element.tag,
      box,
      visible: scene.isVisible(element),
      style: resolvedStyle(element, scene),
      ...(isPressable(element) ? { topmost: topmost(rect, scene) } : {}),
      role: roleOf(element, scene),
      name: nameOf(element, scene),
    };
  });
  return {
    elements,
    tabOrder: tabOrder(scene).map((e) => e.path),
    scrollWidth: scrollSize.width,
    scrollHeight: scrollSize.height,
  };
}

/** Focusable elements and others that are made to be pressed. */
const isPressable = (element: ElementNode): boolean =>
  isFocusable(element) ||
  /^(a|label|button|input|select|textarea)$/.test(element.tag) ||
  ['onclick', 'role', 'aria-expanded', 'data-toggle', 'data-target'].some((name) => element.attributes.has(name));

function topmost(rect: Rect | null, scene: Scene): string | null {
  if (!rect) return null;
  const x = rect.x + rect.width / 2;
  const y = rect.y + rect.height / 2;
  // Halves go away from zero: what lies half a pixel outside is outside.
  const outward = (at: number) => Math.sign(at) * Math.round(Math.abs(at));
  const [column, row] = [outward(x), outward(y)];
  if (column < 0 || row < 0 || column >= scene.medium.width || row >= scene.medium.height) return null;
  return (scene.hit(x, y) ?? scene.document.root).path;
}

const plainCache = new WeakMap<ComputedStyle, Readonly<Record<string, string>>>();

function plainStyle(style: ComputedStyle): Readonly<Record<string, string>> {
  let known = plainCache.get(style);
  if (!known) {
    known = Object.fromEntries([
      ...PROPERTY_KEYS.map((key, i) => [cssName(key), printValue(style, i)]),
      ['white-space', printWhiteSpace(style.whiteSpaceCollapse, style.textWrapMode)],
    ]) as Readonly<Record<string, string>>;
    plainCache.set(style, known);
  }
  return known;
}

/** What stands inside players and gauges is part of no tree that is styled. @spec css-scoping-1 §3.2 (flat tree) */
function isFallback({ parent }: ElementNode): boolean {
  for (let e = parent; e; e = e.parent)
    if (e.namespace === 'html' && /^(audio|video|meter|progress)$/.test(e.tag)) return true;
  return false;
}

const nothingOf = (style: Readonly<Record<string, string>>): Record<string, string> =>
  Object.fromEntries(Object.keys(style).map((name) => [name, '']));

/** All properties as getComputedStyle resolves them. @spec cssom-1 §9 (resolved values) */
export function resolvedStyle(element: ElementNode, scene: Scene): Readonly<Record<string, string>> {
  const style = scene.style(element);
  if (isFallback(element)) return nothingOf(plainStyle(style));
  const out: Record<string, string> = { ...plainStyle(style) };
  const fragment = scene.fragment(element);
  for (const side of ['width', 'height'] as const)
    if (out[`min-${side}`] === 'auto' && !keepsAutoMinimum(element, scene)) out[`min-${side}`] = '0px';
  if (!fragment) {
    // Graphics have no fragment; what is never shown is not transformed.
    const graphic = isGraphic(element) && scene.rect(element) !== null;
    out.transform = graphic && style.transform.length > 0 ? printMatrix(style, 0, 0) : 'none';
    if (graphic && element.tag === 'rect')
      for (const side of ['width', 'height'] as const) if (out[side] === 'auto') out[side] = '0px';
    return out;
  }
  used(out, style, fragment, element, scene);
  return out;
}

/** Only items of flex and grid containers tell an automatic minimum as such, as browsers have it. @spec css-sizing-3 §5.2 */
function keepsAutoMinimum(element: ElementNode, scene: Scene): boolean {
  const parent = scene.fragment(element)?.box.parent;
  const { position } = scene.style(element);
  return ['flex', 'grid'].includes(parent?.inner ?? '') && !['absolute', 'fixed'].includes(position);
}

function used(
  out: Record<string, string>,
  style: ComputedStyle,
  fragment: Fragment,
  element: ElementNode,
  scene: Scene,
): void {
  const { margin, padding, border, box } = fragment;
  const inline = box.outer === 'inline' && box.inner !== 'replaced';
  for (const side of ['top', 'right', 'bottom', 'left'] as const) {
    const Side = (side[0]!.toUpperCase() + side.slice(1)) as 'Top' | 'Right' | 'Bottom' | 'Left';
    if (!inline && needsLayout(style[`padding${Side}`])) out[`padding-${side}`] = printPx(padding[side]);
    const own = style[`margin${Side}`];
    if (own === 'auto') {
      if (!inline) out[`margin-${side}`] = printPx(round(margin[side]));
    } else if (!inline && box.outer !== 'table-part' && needsLayout(own)) out[`margin-${side}`] = printPx(margin[side]);
  }
  if (!inline) {
    const content = style.boxSizing === 'border-box';
    const width = fragment.width - (content ? 0 : padding.left + padding.right + border.left + border.right);
    // A legend that stands taller than the border counts as content.
    const above = element.tag === 'fieldset' ? box.style.borderTopWidth : border.top;
    const height = fragment.height - (content ? 0 : padding.top + padding.bottom + above + border.bottom);
    // Values are told as if nothing were zoomed. @spec css-viewport-1 §4
    const zoom = box.computed.fontSize / style.fontSize || 1;
    out.width = printPx(round(Math.max(0, width) / zoom));
    out.height = printPx(round(Math.max(0, height) / zoom));
  }
  insets(out, style, element, scene);
  if (style.transform.length > 0) out.transform = printMatrix(style, fragment.width, fragment.height);
}

const needsLayout = (value: LengthPercentage): boolean => value.percent !== 0 || value.curve !== null;

/** @spec css-transforms-2 §14 (`matrix()` for what stays in the plane) */
function printMatrix({ transform }: ComputedStyle, width: number, height: number): string {
  const numbers = spaceMatrix(transform, width, height).map(printNumber);
  const flat = numbers.every((n, i) => [0, 1, 4, 5, 12, 13].includes(i) || n === (i === 10 || i === 15 ? '1' : '0'));
  if (!flat) return `matrix3d(${numbers.join(', ')})`;
  return `matrix(${[0, 1, 4, 5, 12, 13].map((i) => numbers[i]).join(', ')})`;
}

/** Offsets of positioned boxes are given as used. */
function insets(out: Record<string, string>, style: ComputedStyle, element: ElementNode, scene: Scene): void {
  if (style.position === 'static') return;
  const node = scene.nodes(element)[0];
  if (!node) return;
  const area = node.containing;
  if (style.position === 'relative' || style.position === 'sticky') {
    const read = (value: typeof style.top, basis: number) => (value === 'auto' ? null : resolveLength(value, basis));
    for (const [start, end, basis] of [
      ['top', 'bottom', area.height],
      ['left', 'right', area.width],
    ] as const) {
      // Percentages of inline boxes stay as they are.
      const given = [style[start], style[end]].some((v) => v !== 'auto' && needsLayout(v));
      if (given && node.box.outer === 'inline') continue;
      const a = read(style[start], basis);
      const b = read(style[end], basis);
      if (style.position === 'sticky') {
        if (a !== null) out[start] = printPx(a);
        if (b !== null) out[end] = printPx(b);
        continue;
      }
      const offset = a ?? (b === null ? 0 : -b);
      out[start] = printPx(a ?? offset);
      out[end] = printPx(a === null && b !== null ? b : -offset);
    }
    return;
  }
  const { margin } = node.fragment;
  const { rect } = node;
  out.top = printPx(round(rect.y - margin.top - area.y));
  out.left = printPx(round(rect.x - margin.left - area.x));
  out.bottom = printPx(round(area.y + area.height - rect.y - rect.height - margin.bottom));
  out.right = printPx(round(area.x + area.width - rect.x - rect.width - margin.right));
  for (const [side, basis] of [
    ['top', area.height],
    ['bottom', area.height],
    ['left', area.width],
    ['right', area.width],
  ] as const) {
    const value = style[side];
    if (value !== 'auto') out[side] = printPx(resolveLength(value, basis));
  }
}
