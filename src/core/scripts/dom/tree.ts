import type { ElementNode } from '../../html/index.js';
import { getter, method } from '../builtins/define.js';
import type { Realm } from '../realm.js';
import type { Reading } from '../reading.js';
import { Arr, El, Loose, UNKNOWN, type Obj, type Value } from '../values.js';
import { childOf, childrenOf, elementsOf, sibling, takeAway, takeOut } from './children.js';
import { listOf } from './lists.js';
import { fill, furnish, isFilled, isMenu, isMenuMarkup, parentOf, placeIn } from './loose.js';

/** The tree as it was shipped, and what scripts would put into it or take out. @spec dom §4.4, §4.2.6 */
export function defineTree(realm: Realm): void {
  const { element, loose } = realm.protos;
  const add = (names: string, get: (node: ElementNode, r: Reading) => Value) =>
    getter(element, names, (r, self) => (self instanceof El ? get(self.node, r) : UNKNOWN));
  add('parentElement', (node, r) => r.wrap(node.parent));
  add('parentNode', (node, r) => r.wrap(node.parent) ?? r.realm.documentObject);
  add('children', (node, r) => listOf(r, elementsOf(r, node)));
  add(
    'childNodes',
    (node, r) =>
      new Arr(
        r.realm.protos.list,
        childrenOf(r, node).map((child) => childOf(r, child)),
      ),
  );
  add('childElementCount', (node, r) => elementsOf(r, node).length);
  add('firstElementChild', (node, r) => r.wrap(elementsOf(r, node)[0] ?? null));
  add('lastElementChild', (node, r) => r.wrap(elementsOf(r, node).at(-1) ?? null));
  add('firstChild', (node, r) => childOf(r, childrenOf(r, node)[0]));
  add('lastChild', (node, r) => childOf(r, childrenOf(r, node).at(-1)));
  add('nextElementSibling', (node, r) => elementBeside(r, node, 1));
  add('previousElementSibling', (node, r) => elementBeside(r, node, -1));
  add('nextSibling', (node, r) => childOf(r, sibling(r, node, 1)));
  add('previousSibling', (node, r) => childOf(r, sibling(r, node, -1)));
  getter(loose, 'parentElement parentNode', (_r, self) => parentOf(self));
  getter(
    loose,
    'firstElementChild lastElementChild firstChild lastChild nextElementSibling previousElementSibling nextSibling previousSibling',
    (_r, self) => (isFilled(self) || parentOf(self) !== null ? UNKNOWN : null),
  );
  getter(loose, 'children childNodes', (r, self) => (isFilled(self) ? UNKNOWN : new Arr(r.realm.protos.list, [])));
  defineKinds(realm.protos.node);
  realm.protos.node.props.set('nodeValue', null);
  getter(realm.protos.node, 'baseURI', (r) => r.url);
  getter(realm.protos.node, 'namespaceURI', (_r, self) =>
    self instanceof El ? NAMESPACES[self.node.namespace] : NAMESPACES.html,
  );
  defineChanges(realm);
}

const NAMESPACES: Readonly<Record<ElementNode['namespace'], string | null>> = {
  html: 'http://www.w3.org/1999/xhtml',
  svg: 'http://www.w3.org/2000/svg',
  math: 'http://www.w3.org/1998/Math/MathML',
  other: null,
};

/** The first element among the siblings of one, in a direction. */
function elementBeside(reading: Reading, node: ElementNode, step: 1 | -1): Value {
  let at = sibling(reading, node, step);
  while (at && at.kind !== 'element') at = sibling(reading, at, step);
  return at ? reading.wrap(at) : null;
}

/** @spec dom §4.4 */
const KINDS: Readonly<Record<string, number>> = {
  ELEMENT_NODE: 1,
  ATTRIBUTE_NODE: 2,
  TEXT_NODE: 3,
  CDATA_SECTION_NODE: 4,
  PROCESSING_INSTRUCTION_NODE: 7,
  COMMENT_NODE: 8,
  DOCUMENT_NODE: 9,
  DOCUMENT_TYPE_NODE: 10,
  DOCUMENT_FRAGMENT_NODE: 11,
  DOCUMENT_POSITION_DISCONNECTED: 1,
  DOCUMENT_POSITION_PRECEDING: 2,
  DOCUMENT_POSITION_FOLLOWING: 4,
  DOCUMENT_POSITION_CONTAINS: 8,
  DOCUMENT_POSITION_CONTAINED_BY: 16,
};

/** Numbers that stand for kinds of nodes, on nodes and on their class. */
export function defineKinds(holder: Obj): void {
  for (const [name, kind] of Object.entries(KINDS)) holder.props.set(name, kind);
}

/** Elements of the page that are moved elsewhere are not followed there: said. */
function defineChanges(realm: Realm): void {
  const { element, loose } = realm.protos;
  const taken = (reading: Reading, args: readonly Value[], where: Value): void => {
    if (where instanceof Loose) fill(reading, where);
    for (const arg of args) {
      takeAway(reading, arg, where);
      if (arg instanceof El) reading.moves(arg.node);
      else if (arg instanceof Loose) {
        placeIn(reading, arg, where);
        if (arg.origin) reading.copied.add(arg.origin);
        if (isMenu(arg)) furnish(reading, where);
        if (where instanceof El && arg.tag !== '#text') reading.written.add(where.node);
      }
    }
  };
  for (const proto of [element, loose]) {
    method(realm, proto, 'append appendChild prepend insertBefore replaceChildren', (r, self, args) => {
      taken(r, args.slice(0, 1), self);
      return args[0];
    });
    method(realm, proto, 'after before replaceWith', (r, self, args) => {
      taken(r, args, self instanceof El ? r.wrap(self.node.parent) : parentOf(self));
      return undefined;
    });
    method(realm, proto, 'insertAdjacentHTML insertAdjacentText', (r, self, [, markup]) => {
      if (isMenuMarkup(markup)) furnish(r, self);
      if (self instanceof El) r.written.add(self.node);
      else if (self instanceof Loose) fill(r, self);
      return undefined;
    });
    method(realm, proto, 'insertAdjacentElement', (r, self, [, arg]) => {
      taken(r, [arg], self);
      return arg;
    });
    method(realm, proto, 'cloneNode', (r, self) => {
      const made = new Loose(r.realm.protos.loose, self instanceof El ? self.node.tag : 'div');
      made.origin = self instanceof El ? self.node : self instanceof Loose ? self.origin : null;
      fill(r, made);
      return made;
    });
    method(realm, proto, 'normalize', () => undefined);
    method(realm, proto, 'hasChildNodes', (r, self) =>
      self instanceof El ? childrenOf(r, self.node).length > 0 : UNKNOWN,
    );
    method(realm, proto, 'getRootNode', (r) => r.realm.documentObject);
    method(realm, proto, 'attachShadow', (r) => new Loose(r.realm.protos.loose, 'shadow'));
  }
  method(realm, element, 'remove', (r, self) => {
    if (self instanceof El) takeOut(r, self);
    return undefined;
  });
  method(realm, loose, 'remove', (r, self) => {
    if (self instanceof Loose) placeIn(r, self, null);
    return undefined;
  });
  method(realm, element, 'removeChild', (r, _self, [child]) => {
    if (child instanceof El) takeOut(r, child);
    else if (child instanceof Loose) {
      placeIn(r, child, null);
      takeAway(r, child);
    }
    return child;
  });
  for (const proto of [element, loose])
    method(realm, proto, 'replaceChild', (r, self, [fresh, old]) => {
      taken(r, [fresh], self);
      if (old instanceof El) takeOut(r, old);
      return old;
    });
  method(realm, loose, 'removeChild', (_r, _s, [child]) => child);
}
