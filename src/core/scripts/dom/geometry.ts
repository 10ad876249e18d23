import type { Rect } from '../../base/index.js';
import { getter, method, plain } from '../builtins/define.js';
import type { Realm } from '../realm.js';
import type { ElementNode } from '../../html/index.js';
import type { Reading } from '../reading.js';
import { El, Loose, UNKNOWN, type Value } from '../values.js';
import { parentOf } from './loose.js';

/** Where an element lies as the page stands; undefined where that cannot be told. */
export function rectOf(reading: Reading, self: El): Rect | null | undefined {
  return reading.ask(`rect ${self.node.index}`, ({ layouts }) => layouts.rect(self.node, reading.standing));
}

/** A computed value of an element, or of one a script made and put somewhere; undefined where it cannot be told. */
export function computedOf(
  reading: Reading,
  self: El | Loose,
  property: string,
  pseudo: string | null = null,
): string | undefined {
  if (self instanceof Loose) {
    if (pseudo !== null || parentOf(self) === null) return undefined;
    const made = { tag: self.tag, attributes: self.attributes };
    const key = [...made.attributes].map(([name, value]) => `${name}=${value ?? ''}`).join(' ');
    return reading.ask(`style ${self.tag} ${key} ${property}`, ({ layouts }) => layouts.made(made, property));
  }
  return reading.ask(`style ${self.node.index} ${property}${pseudo ?? ''}`, ({ layouts }) =>
    layouts.computed(self.node, property, reading.standing, pseudo),
  );
}

/** Whether an element has a box and is not hidden; null where that cannot be told. */
export function isShown(reading: Reading, self: El): boolean | null {
  for (let node: ElementNode | null = self.node; node; node = node.parent) {
    const display = computedOf(reading, reading.wrap(node)!, 'display');
    if (display === undefined) return null;
    if (display === 'none') return false;
  }
  return true;
}

/** The root element measures the viewport; where nothing is laid out the body is taken to be as wide. @spec cssom-view-1 §6 */
function viewOf(reading: Reading, { node }: El): Rect | null {
  const isView = node === reading.document.root || (node === reading.document.body && !reading.look.layouts.whole);
  if (!isView) return null;
  const [width, height] = [
    reading.ask('width', ({ medium }) => medium.width),
    reading.ask('height', ({ medium }) => medium.height),
  ];
  return { x: 0, y: 0, width, height };
}

const CELLS = new Set(['td', 'th', 'table']);

/** The element that an element's place is told from; null without one, undefined where it cannot be told. @spec cssom-view-1 §7 */
function offsetParentOf(reading: Reading, self: El): ElementNode | null | undefined {
  const { body, root } = reading.document;
  const shown = isShown(reading, self);
  if (shown === null) return undefined;
  const positionOf = (node: ElementNode) => computedOf(reading, reading.wrap(node)!, 'position');
  const position = positionOf(self.node);
  if (position === undefined) return undefined;
  if (!shown || self.node === root || self.node === body || position === 'fixed') return null;
  for (let node = self.node.parent; node && node !== root; node = node.parent) {
    const around = positionOf(node);
    if (around === undefined) return undefined;
    const turned = computedOf(reading, reading.wrap(node)!, 'transform');
    const holds = around !== 'static' || (turned !== undefined && turned !== 'none');
    if (node === body || holds || (position === 'static' && CELLS.has(node.tag))) return node;
  }
  return null;
}

/** Where an element lies from the inner edge of its offset parent's border, px. @spec cssom-view-1 §7 */
function offsetOf(reading: Reading, self: Value, axis: 'x' | 'y', border: string): Value {
  const rect = self instanceof El ? rectOf(reading, self) : undefined;
  if (!(self instanceof El) || rect === undefined) return UNKNOWN;
  const parent = offsetParentOf(reading, self);
  if (parent === undefined) return UNKNOWN;
  if (rect === null || self.node === reading.document.body) return 0;
  const around = parent && reading.wrap(parent)!;
  // A body that is not positioned tells places from the edge of the page.
  if (!around || (parent === reading.document.body && computedOf(reading, around, 'position') === 'static'))
    return Math.round(rect[axis]);
  const from = rectOf(reading, around);
  if (!from) return UNKNOWN;
  return Math.round(rect[axis] - from[axis] - (parseFloat(computedOf(reading, around, border) ?? '') || 0));
}

/** Sizes and places. @spec cssom-view-1 §6, §7 */
export function defineGeometry(realm: Realm): void {
  const { element, loose } = realm.protos;
  const add = (names: string, from: (rect: Rect, r: Reading) => number) =>
    getter(element, names, (r, self) => {
      const view = self instanceof El ? viewOf(r, self) : null;
      const rect = view ?? (self instanceof El ? rectOf(r, self) : undefined);
      return rect === undefined ? UNKNOWN : rect === null ? 0 : Math.round(from(rect, r));
    });
  add('offsetWidth clientWidth scrollWidth', (rect) => rect.width);
  add('offsetHeight clientHeight', (rect) => rect.height);
  getter(element, 'scrollHeight', (r, self) => {
    if (!(self instanceof El)) return UNKNOWN;
    const height = r.ask(`rect ${self.node.index} content`, ({ layouts }) => layouts.content(self.node, r.standing));
    return height === undefined ? UNKNOWN : Math.round(height);
  });
  getter(element, 'offsetTop', (r, self) => offsetOf(r, self, 'y', 'border-top-width'));
  getter(element, 'offsetLeft', (r, self) => offsetOf(r, self, 'x', 'border-left-width'));
  add('clientTop clientLeft', () => 0);
  getter(
    element,
    'scrollTop scrollLeft',
    () => 0,
    () => undefined,
  );
  getter(element, 'offsetParent', (r, self) => {
    const parent = self instanceof El ? offsetParentOf(r, self) : undefined;
    return parent === undefined ? UNKNOWN : r.wrap(parent);
  });
  method(realm, element, 'getBoundingClientRect', (r, self) => {
    const rect = self instanceof El ? rectOf(r, self) : undefined;
    return rect === undefined ? UNKNOWN : box(realm, rect ?? { x: 0, y: 0, width: 0, height: 0 }, r.look.scroll);
  });
  method(realm, element, 'getClientRects', (r, self) => {
    const shown = self instanceof El ? isShown(r, self) : null;
    return shown === null ? UNKNOWN : plain(realm, { length: shown ? 1 : 0 });
  });
  method(realm, element, 'checkVisibility', (r, self) =>
    self instanceof El ? (isShown(r, self) ?? UNKNOWN) : UNKNOWN,
  );
  method(realm, element, 'scrollIntoView scrollTo scroll scrollBy scrollIntoViewIfNeeded', () => undefined);
  getter(
    loose,
    'offsetWidth offsetHeight clientWidth clientHeight scrollWidth scrollHeight offsetTop offsetLeft',
    () => UNKNOWN,
  );
  method(realm, loose, 'getBoundingClientRect', () => UNKNOWN);
}

function box(realm: Realm, rect: Rect, scroll: { readonly x: number; readonly y: number }): Value {
  const [x, y] = [rect.x - scroll.x, rect.y - scroll.y];
  const { width, height } = rect;
  return plain(realm, { x, y, left: x, top: y, width, height, right: x + width, bottom: y + height });
}
