import { closest, descendants, isAncestorOrSelf, type ElementNode } from '../../html/index.js';
import { method } from '../builtins/define.js';
import type { Realm } from '../realm.js';
import type { Reading } from '../reading.js';
import { Arr, El, Loose, text, truth, Unknown, UNKNOWN, type Host, type Value } from '../values.js';
import { defineActions } from './actions.js';
import { defineProperties } from './element-properties.js';
import { findAll, matcher } from './find.js';
import { listOf } from './lists.js';
import { isFilled } from './loose.js';
import { defineGeometry } from './geometry.js';
import { defineClassList, defineStyle } from './maps.js';
import { isTarget, readAttribute, writeAttribute, type Target } from './targets.js';
import { defineTree } from './tree.js';

/** A method of elements; on anything else it cannot be told. */
export const onElement =
  (host: (reading: Reading, self: El, args: readonly Value[]) => Value): Host =>
  (reading, self, args) =>
    self instanceof El ? host(reading, self, args) : self instanceof Loose ? null : UNKNOWN;

/** What elements do and have. @spec dom §4.9, html §3.2 */
export function defineElements(realm: Realm): void {
  defineAttributes(realm);
  defineSearch(realm);
  defineProperties(realm);
  defineTree(realm);
  defineClassList(realm);
  defineStyle(realm);
  defineGeometry(realm);
  defineActions(realm);
  method(realm, realm.protos.list, 'item', (r, self, [at]) =>
    typeof at === 'number' ? (r.get(self, String(at)) ?? null) : UNKNOWN,
  );
}

function defineAttributes(realm: Realm): void {
  const { element, loose } = realm.protos;
  const add = (name: string, host: (r: Reading, self: Target, key: string, args: readonly Value[]) => Value) => {
    const called = (r: Reading, self: Value, args: readonly Value[]): Value => {
      const key = text(args[0]);
      return isTarget(self) && key !== null ? host(r, self, key.toLowerCase(), args) : UNKNOWN;
    };
    for (const proto of [element, loose]) {
      method(realm, proto, name, called);
      method(realm, proto, `${name}NS`, (r, self, [, ...args]) => called(r, self, args));
    }
  };
  add('getAttribute', (r, self, key) => readAttribute(r, self, key));
  add('hasAttribute', (r, self, key) => readAttribute(r, self, key) !== null);
  add('setAttribute', (r, self, key, [, value]) => {
    const given = text(value);
    if (given === null && key !== 'style' && key !== 'class') r.perhaps(() => writeAttribute(r, self, key, ''));
    else if (given !== null) writeAttribute(r, self, key, given);
    return undefined;
  });
  add('removeAttribute', (r, self, key) => {
    writeAttribute(r, self, key, null);
    return undefined;
  });
  add('toggleAttribute', (r, self, key, [, force]) => {
    const on = force === undefined ? readAttribute(r, self, key) === null : truth(force);
    if (on === null) return UNKNOWN;
    writeAttribute(r, self, key, on ? (readAttribute(r, self, key) ?? '') : null);
    return on;
  });
  method(realm, element, 'getAttributeNames', (r, self) =>
    self instanceof El ? new Arr(r.realm.protos.array, [...self.node.attributes.keys()]) : UNKNOWN,
  );
}

function defineSearch(realm: Realm): void {
  const { element, loose } = realm.protos;
  method(
    realm,
    element,
    'matches webkitMatchesSelector msMatchesSelector',
    onElement((r, self, [selector]) => {
      const written = text(selector);
      return written === null
        ? UNKNOWN
        : (matcher(r, written, self.node)?.(self.node) ?? r.raise('SyntaxError', 'no selector'));
    }),
  );
  method(
    realm,
    element,
    'closest',
    onElement((r, self, [selector]) => {
      const written = text(selector);
      if (written === null) return UNKNOWN;
      const matches = matcher(r, written, self.node) ?? r.raise('SyntaxError', 'no selector');
      return r.wrap(closest(self.node, matches));
    }),
  );
  method(
    realm,
    element,
    'querySelector',
    onElement((r, self, [selector]) => firstOf(r, selector, self.node)),
  );
  method(
    realm,
    element,
    'querySelectorAll',
    onElement((r, self, [selector]) => allOf(r, selector, self.node)),
  );
  method(
    realm,
    element,
    'getElementsByClassName',
    onElement((r, self, [names]) => byClass(r, names, self.node)),
  );
  method(
    realm,
    element,
    'getElementsByTagName',
    onElement((r, self, [name]) => allOf(r, name, self.node)),
  );
  method(
    realm,
    element,
    'contains',
    onElement((_r, self, [other]) =>
      other instanceof Unknown ? UNKNOWN : other instanceof El && isAncestorOrSelf(self.node, other.node),
    ),
  );
  method(
    realm,
    element,
    'compareDocumentPosition',
    onElement((_r, self, [other]) => (other instanceof El ? (other.node.index > self.node.index ? 4 : 2) : UNKNOWN)),
  );
  method(realm, element, 'isEqualNode isSameNode', (_r, self, [other]) => self === other);
  method(realm, loose, 'querySelector closest', () => UNKNOWN);
  method(realm, loose, 'querySelectorAll getElementsByClassName getElementsByTagName', (r, self) =>
    isFilled(self) ? UNKNOWN : new Arr(r.realm.protos.list, []),
  );
  method(realm, loose, 'matches', () => false);
  method(realm, loose, 'contains', (_r, self) => (isFilled(self) ? UNKNOWN : false));
}

export function firstOf(reading: Reading, selector: Value, below: ElementNode | null): Value {
  const written = text(selector);
  if (written === null) return UNKNOWN;
  const found = findAll(reading, written, below);
  if (!found) return reading.raise('SyntaxError', 'no selector');
  return found[0] ? reading.wrap(found[0]) : below && isWritten(reading, below) ? UNKNOWN : null;
}

/** Whether a script wrote content into an element or around it: more may be there than was shipped. */
const isWritten = ({ written }: Reading, below: ElementNode): boolean =>
  [...written].some((e) => isAncestorOrSelf(e, below) || isAncestorOrSelf(below, e));

export function allOf(reading: Reading, selector: Value, below: ElementNode | null): Value {
  const written = text(selector);
  if (written === null) return UNKNOWN;
  const found = findAll(reading, written, below);
  return found ? listOf(reading, found) : reading.raise('SyntaxError', 'no selector');
}

export function byClass(reading: Reading, names: Value, below: ElementNode | null): Value {
  const written = text(names)?.trim().split(/\s+/);
  if (!written) return UNKNOWN;
  const all = below ? [...descendants(below)] : reading.document.elements;
  return listOf(
    reading,
    all.filter((e) => e.index <= reading.horizon && written.every((name) => reading.standing.markup.hasClass(e, name))),
  );
}
