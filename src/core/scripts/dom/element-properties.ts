import { collapseSpace, textContent, type ElementNode } from '../../html/index.js';
import { getter } from '../builtins/define.js';
import type { Realm } from '../realm.js';
import type { Reading } from '../reading.js';
import { El, Loose, Obj, text, truth, Unknown, UNKNOWN, type Value } from '../values.js';
import { emptyOut } from './children.js';
import { ClassList, DataMap, StyleMap } from './maps.js';
import { fill, furnish, isMenuMarkup } from './loose.js';
import { isTarget, readAttribute, writeAttribute, type Target } from './targets.js';

/** Properties that stand for attributes of their own name in small letters. @spec html §2.6.1 */
const TEXTS = 'id title lang dir type name rel target placeholder accessKey src alt method media role slot htmlFor';
const FLAGS = 'hidden inert disabled required multiple readOnly autofocus defer';
const STATES = 'Expanded Hidden Current Pressed Checked Label Selected Disabled HasPopup Modal';

const ATTRIBUTE: Readonly<Record<string, string>> = { htmlFor: 'for', readOnly: 'readonly', accessKey: 'accesskey' };

export function defineProperties(realm: Realm): void {
  const both = [realm.protos.element, realm.protos.loose];
  const add = (
    names: string,
    get: (r: Reading, self: Target) => Value,
    set?: (r: Reading, self: Target, value: Value) => void,
  ) => {
    for (const proto of both)
      getter(
        proto,
        names,
        (r, self) => (isTarget(self) ? get(r, self) : UNKNOWN),
        (r, self, value) => {
          if (isTarget(self)) set?.(r, self, value);
        },
      );
  };
  for (const key of TEXTS.split(' ')) {
    const name = ATTRIBUTE[key] ?? key;
    add(
      key,
      (r, self) => readAttribute(r, self, name) ?? '',
      (r, self, value) => setText(r, self, name, value),
    );
  }
  for (const key of FLAGS.split(' ')) {
    const name = ATTRIBUTE[key] ?? key;
    add(
      key,
      (r, self) => readAttribute(r, self, name) !== null,
      (r, self, value) => setFlag(r, self, name, value),
    );
  }
  for (const state of STATES.split(' ')) {
    const name = `aria-${state.toLowerCase()}`;
    add(
      `aria${state}`,
      (r, self) => readAttribute(r, self, name),
      (r, self, value) => setText(r, self, name, value),
    );
  }
  add(
    'className',
    (r, self) => readAttribute(r, self, 'class') ?? '',
    (r, self, value) => setText(r, self, 'class', value),
  );
  add(
    'href',
    (r, self) => addressOf(r, self),
    (r, self, value) => setText(r, self, 'href', value),
  );
  add('hash', (r, self) => /#.*$/.exec(readAttribute(r, self, 'href') ?? '')?.[0] ?? '');
  add('pathname', (r, self) => safeUrl(readAttribute(r, self, 'href') ?? '', r.url)?.pathname ?? '');
  add('hostname host', (r, self) => safeUrl(readAttribute(r, self, 'href') ?? '', r.url)?.hostname ?? '');
  add(
    'tabIndex',
    (r, self) => tabIndex(r, self),
    (r, self, value) => setText(r, self, 'tabindex', value),
  );
  add('tagName nodeName', (_r, self) => (self instanceof El ? tagOf(self) : self.tag.toUpperCase()));
  add('localName', (_r, self) => (self instanceof El ? self.node.tag : self.tag));
  add('nodeType', (_r, self) => (self instanceof Loose && self.tag === '#text' ? 3 : 1));
  add('ownerDocument', (r) => r.realm.documentObject);
  add('isConnected', (_r, self) => self instanceof El);
  add(
    'classList',
    (r, self) => part(self, 'classList', () => new ClassList(r.realm.protos.classes, r, self)),
    (r, self, value) => setText(r, self, 'class', value),
  );
  add(
    'style',
    (r, self) => part(self, 'style', () => new StyleMap(r.realm.protos.style, r, self)),
    (r, self, value) => setText(r, self, 'style', value),
  );
  add('dataset', (r, self) => part(self, 'dataset', () => new DataMap(r.realm.protos.dataset, r, self)));
  add('textContent innerText', (_r, self) => (self instanceof El ? textContent(self.node) : UNKNOWN), setContent);
  add(
    'innerHTML outerHTML',
    (_r, self) => (self instanceof El && self.node.elements.length === 0 ? textContent(self.node) : UNKNOWN),
    setContent,
  );
  add('value', (r, self) => valueOf(r, self));
  add('checked', (r, self) => (self instanceof El ? r.standing.isOn(self.node, 'checked') : UNKNOWN), setState);
  add('open', (r, self) => (self instanceof El ? r.standing.isOn(self.node, 'open') : UNKNOWN), setState);
  add('content', (r) => new Loose(r.realm.protos.loose, '#fragment'));
  add('control', (r, self) =>
    self instanceof El ? r.wrap(r.document.byId(self.node.attributes.get('for') ?? '')) : UNKNOWN,
  );
  add('selectedIndex options selectedOptions files validity form labels attributes', () => UNKNOWN);
  add('shadowRoot', (_r, self) => (self instanceof El && !mayHost(self.node) ? null : UNKNOWN));
  add('assignedSlot', (_r, self) =>
    self instanceof El && !(self.node.parent && mayHost(self.node.parent)) ? null : UNKNOWN,
  );
  add(
    'popover',
    (r, self) => readAttribute(r, self, 'popover'),
    (r, self, value) => setText(r, self, 'popover', value),
  );
  add(
    'onclick',
    (r, self) => handlerOf(self, 'onclick') ?? attributeHandler(r, self),
    (r, self, value) => {
      r.put(self.props, 'onclick', value);
    },
  );
}

const handlerOf = (self: Target, key: string): Value => self.props.get(key) as Value;
const attributeHandler = (reading: Reading, self: Target): Value =>
  readAttribute(reading, self, 'onclick') === null ? null : UNKNOWN;

const tagOf = (self: El): string => (self.node.namespace === 'html' ? self.node.tag.toUpperCase() : self.node.tag);

/** A part of an element that is always the same object. */
function part(self: Target, key: string, make: () => Obj): Value {
  const known = self.props.get(`@@${key}`);
  if (known instanceof Obj) return known;
  const made = make();
  self.props.set(`@@${key}`, made);

  return made;
}

function setText(reading: Reading, self: Target, name: string, value: Value): void {
  const given = value === null && name.startsWith('aria-') ? null : text(value);
  if (value instanceof Unknown)
    reading.perhaps(() => writeAttribute(reading, self, name, `${readAttribute(reading, self, name) ?? ''} `));
  else writeAttribute(reading, self, name, given);
}

function setFlag(reading: Reading, self: Target, name: string, value: Value): void {
  const on = truth(value);
  if (on !== null) return writeAttribute(reading, self, name, on ? '' : null);
  reading.perhaps(() => writeAttribute(reading, self, name, readAttribute(reading, self, name) === null ? '' : null));
}

/** Checked boxes and open details and dialogs. */
function setState(reading: Reading, self: Target, value: Value): void {
  const on = truth(value);
  if (!(self instanceof El)) return;
  if (on !== null) reading.toggle(self.node, on);
  else reading.perhaps(() => reading.toggle(self.node, true));
}

/** Content that scripts write is not laid out: said where it is more than a word. */
function setContent(reading: Reading, self: Target, value: Value): void {
  if (!(self instanceof El)) {
    if (value !== '') fill(reading, self);
    if (isMenuMarkup(value)) furnish(reading, self);
    return;
  }
  const given = text(value);
  const { node } = self;
  if (given !== null && node.elements.length === 0 && collapseSpace(given) === collapseSpace(textContent(node))) return;
  if (given === '') {
    emptyOut(reading, node);
    if (node.elements.length > 0) return;
  }
  reading.written.add(node);
  if (isMenuMarkup(value)) furnish(reading, self);
}

export const safeUrl = (reference: string, base: string): URL | null =>
  URL.canParse(reference, base) ? new URL(reference, base) : null;

function addressOf(reading: Reading, self: Target): Value {
  const href = readAttribute(reading, self, 'href') ?? readAttribute(reading, self, 'src');
  return href === null ? '' : (safeUrl(href, reading.url)?.href ?? href);
}

function tabIndex(reading: Reading, self: Target): number {
  const written = readAttribute(reading, self, 'tabindex');
  if (written !== null && /^\s*-?\d+/.test(written)) return parseInt(written, 10);
  return self instanceof El && ['a', 'button', 'input', 'select', 'textarea', 'summary'].includes(self.node.tag)
    ? 0
    : -1;
}

function valueOf(reading: Reading, self: Target): Value {
  if (!(self instanceof El) || self.node.tag === 'select') return UNKNOWN;
  return readAttribute(reading, self, 'value') ?? '';
}

/** Whether an element may have a shadow tree: its own, or one in the markup. */
const mayHost = (e: ElementNode): boolean =>
  e.tag.includes('-') || e.elements.some((c) => c.tag === 'template' && c.attributes.has('shadowrootmode'));
