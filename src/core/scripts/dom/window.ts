import { compileMedia } from '../../css/index.js';
import { constructor, getter, method, plain } from '../builtins/define.js';
import { valueOf } from '../builtins/numbers.js';
import type { Realm } from '../realm.js';
import type { Reading } from '../reading.js';
import { El, Fn, isCallable, Loose, Moment, Obj, text, UNKNOWN, type Slot, type Value } from '../values.js';
import { propertyName } from './targets.js';
import { computedOf } from './geometry.js';
import { safeUrl } from './element-properties.js';
import { marginsOf, watch } from './watchers.js';
import { addListener } from './events.js';
import { defineKinds } from './tree.js';

/** The window, the screen and what belongs to them. @spec html §7.2, cssom-view-1 §4 */
export function defineWindow(realm: Realm, reading: Reading): void {
  const { window } = realm;
  for (const name of ['window', 'self', 'top', 'parent', 'globalThis', 'frames']) window.props.set(name, window);
  getter(window, 'innerWidth outerWidth', (r) => r.ask('width', ({ medium }) => medium.width));
  getter(window, 'innerHeight outerHeight', (r) => r.ask('height', ({ medium }) => medium.height));
  getter(window, 'scrollY pageYOffset', (r) => r.ask('scrollY', ({ scroll }) => scroll.y));
  getter(window, 'scrollX pageXOffset', (r) => r.ask('scrollX', ({ scroll }) => scroll.x));
  window.props.set('devicePixelRatio', 1);
  for (const name of ['name', 'status']) window.props.set(name, '');
  for (const name of ['length', 'screenX', 'screenY', 'screenLeft', 'screenTop']) window.props.set(name, 0);
  for (const name of ['opener', 'frameElement']) window.props.set(name, null);
  window.props.set('closed', false);
  window.props.set('isSecureContext', true);
  const screen = plain(realm);
  getter(screen, 'width availWidth', (r) => r.ask('width', ({ medium }) => medium.width));
  getter(screen, 'height availHeight', (r) => r.ask('height', ({ medium }) => medium.height));
  window.props.set('screen', screen);
  if (reading.ask('touch', ({ touch }) => touch)) window.props.set('ontouchstart', null);
  definePage(realm, reading);
  defineMedia(realm);
  defineStores(realm);
  defineObservers(realm);
  defineCustomElements(realm);
  method(realm, window, 'getComputedStyle', (r, _s, [target, pseudo]) => computed(r, target, text(pseudo)));
  method(
    realm,
    window,
    'scrollTo scroll scrollBy alert focus blur print stop open close postMessage moveTo resizeTo',
    () => undefined,
  );
  method(realm, window, 'confirm prompt', () => UNKNOWN);
  const css = plain(realm);
  method(realm, css, 'supports', () => true);
  method(realm, css, 'escape', (_r, _s, [value]) => text(value)?.replace(/[^\w-]/g, '\\$&') ?? UNKNOWN);
  window.props.set('CSS', css);
  const console = plain(realm);
  method(
    realm,
    console,
    'log warn error info debug group groupEnd table trace time timeEnd assert count dir',
    () => undefined,
  );
  window.props.set('console', console);
}

/** The address of the page, and the browser. */
function definePage(realm: Realm, reading: Reading): void {
  const { window } = realm;
  const url = safeUrl(reading.url, 'file:///') ?? new URL('file:///');
  const { href, hash, host, hostname, pathname, protocol, search, origin } = url;
  const location = plain(realm, { hash, host, hostname, pathname, protocol, search, origin });
  const go = (r: Reading, _self: Value, to: Value) => r.goTo(typeof to === 'string' ? to : null);
  getter(location, 'href', () => href, go);
  method(realm, location, 'assign replace', (r, self, [to]) => go(r, self, to));
  method(realm, location, 'reload', () => undefined);
  method(realm, location, 'toString', () => href);
  getter(window, 'location', () => location, go);
  const navigator = plain(realm, {
    userAgent: 'Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/120.0.0.0 Safari/537.36',
    platform: 'Linux x86_64',
    vendor: '',
    language: 'en-US',
    onLine: true,
    cookieEnabled: true,
    webdriver: false,
  });
  navigator.props.set('maxTouchPoints', reading.look.touch ? 5 : 0);
  navigator.props.set('languages', valueOf(reading, ['en-US', 'en']));
  navigator.open = true;
  window.props.set('navigator', navigator);
  const history = plain(realm, { length: 1, state: null });
  method(realm, history, 'pushState replaceState back forward go', () => undefined);
  window.props.set('history', history);
  const performance = plain(realm);
  method(realm, performance, 'now mark measure', (r) => r.clock);
  performance.open = true;
  window.props.set('performance', performance);
  const now = ({ clock }: Reading) => clock + 1_700_000_000_000;
  const dates = plain(realm);
  method(realm, dates, 'getTime valueOf', (_r, self) => (self instanceof Moment ? self.time : UNKNOWN));
  method(realm, dates, 'toString toLocaleString', () => UNKNOWN);
  const date = constructor(realm, 'Date', dates, (r, args) => {
    if (args.length > 0) return UNKNOWN;
    return new Moment(dates, now(r));
  });
  method(realm, date, 'now', now);
  date.props.set('prototype', UNKNOWN);
}

function defineMedia(realm: Realm): void {
  const proto = realm.protos.media;
  method(realm, realm.window, 'matchMedia', (r, _s, [query]) => {
    const written = text(query);
    if (written === null) return UNKNOWN;
    const { here } = r;
    if (here) r.queries.set(written, here);
    const made = new Obj(proto);
    made.props.set('media', written);
    return made;
  });
  getter(proto, 'matches', (r, self) => {
    const query = self instanceof Obj ? text(self.props.get('media') as Value) : null;
    return query === null ? UNKNOWN : r.ask(`media ${query}`, ({ medium }) => compileMedia(query).evaluate(medium));
  });
  method(realm, proto, 'addListener', (r, self, [handler]) => {
    if (self instanceof Obj)
      addListener(r, self, 'change', {
        handler,
        capture: false,
        once: false,
        below: null,
        spaces: [],
        chained: false,
        data: undefined,
      });
    return undefined;
  });
  method(realm, proto, 'addEventListener', (r, self, [, handler]) => {
    if (self instanceof Obj)
      addListener(r, self, 'change', {
        handler,
        capture: false,
        once: false,
        below: null,
        spaces: [],
        chained: false,
        data: undefined,
      });
    return undefined;
  });
  method(realm, proto, 'removeListener removeEventListener', () => undefined);
}

/** Stores are empty: the page is met for the first time. @spec html §12.2 */
function defineStores(realm: Realm): void {
  for (const name of ['localStorage', 'sessionStorage']) {
    const store = plain(realm);
    const kept = plain(realm);
    method(realm, store, 'getItem', (_r, _s, [key]) => {
      const written = text(key);
      return written === null ? UNKNOWN : ((kept.props.get(written) as Value) ?? null);
    });
    method(realm, store, 'setItem', (r, _s, [key, value]) => {
      const written = text(key);
      if (written !== null) r.put(kept.props, written, text(value) ?? UNKNOWN);
      return undefined;
    });
    method(realm, store, 'removeItem', (r, _s, [key]) => {
      r.remove(kept.props, text(key) ?? '');
      return undefined;
    });
    method(realm, store, 'clear key', () => null);
    realm.window.props.set(name, store);
  }
}

/** What watches the page is told of nothing: what it would do is only possible. */
function defineObservers(realm: Realm): void {
  for (const name of ['IntersectionObserver', 'ResizeObserver', 'MutationObserver', 'PerformanceObserver']) {
    const proto = plain(realm);
    constructor(realm, name, proto, (r, [callback, options]) => {
      const made = new Obj(proto);
      made.props.set('@@callback', callback);
      made.props.set('@@margin', options instanceof Obj ? r.get(options, 'rootMargin') : undefined);
      return made;
    });
    method(realm, proto, 'observe', (r, self, [target]) => {
      const callback = self instanceof Obj ? (self.props.get('@@callback') as Value) : undefined;
      if (name === 'MutationObserver' || !isCallable(callback)) return undefined;
      if (name === 'IntersectionObserver' && target instanceof El && self instanceof Obj) {
        const margins = marginsOf(text(self.props.get('@@margin') as Value), r.look.medium.height);
        watch(r, { observer: self, callback, target, margins });
      }
      const entry = plain(realm, { target });
      entry.open = true;
      const before = new Map(r.unread);
      r.perhaps(() => r.call(callback, self, [valueOf(r, []), self]));
      r.perhaps(() => r.call(callback, self, [listOfOne(r, entry), self]));
      r.unread.clear();
      for (const [key, one] of before) r.unread.set(key, one);
      return undefined;
    });
    method(realm, proto, 'unobserve disconnect', () => undefined);
    method(realm, proto, 'takeRecords', (r) => valueOf(r, []));
  }
}

function listOfOne(reading: Reading, item: Value): Value {
  const list = valueOf(reading, [null]);
  reading.set(list, '0', item);
  return list;
}

/** @spec html §4.13 */
function defineCustomElements(realm: Realm): void {
  const { protos, window } = realm;
  const base = constructor(
    realm,
    'HTMLElement',
    protos.element,
    (r) => r.upgrading ?? new Loose(protos.loose, 'custom'),
  );
  for (const name of ['Node', 'EventTarget'])
    defineKinds(constructor(realm, name, protos.node, () => new Obj(protos.node)));
  for (const name of [
    'Element',
    'HTMLAnchorElement',
    'HTMLButtonElement',
    'HTMLDivElement',
    'HTMLInputElement',
    'HTMLDetailsElement',
    'HTMLDialogElement',
    'HTMLUListElement',
    'HTMLBodyElement',
    'SVGElement',
  ])
    window.props.set(name, base);
  for (const name of ['NodeList', 'HTMLCollection']) constructor(realm, name, protos.list, () => UNKNOWN);
  constructor(realm, 'Document', plain(realm), () => UNKNOWN);
  const registry = plain(realm);
  const defined = new Map<string, Value>();
  method(realm, registry, 'define', (r, _s, [name, made]) => {
    const tag = text(name)?.toLowerCase();
    if (tag === undefined || defined.has(tag)) return undefined;
    defined.set(tag, made);
    for (const node of r.document.elements) if (node.tag === tag) upgrade(r, r.wrap(node)!, made);
    return undefined;
  });
  method(realm, registry, 'get', (_r, _s, [name]) => defined.get(text(name) ?? '') ?? undefined);
  method(realm, registry, 'whenDefined', () => UNKNOWN);
  window.props.set('customElements', registry);
}

function upgrade(reading: Reading, element: El, made: Value): void {
  if (!(made instanceof Fn)) return;
  const proto = reading.get(made, 'prototype');
  if (proto instanceof Obj) element.proto = proto;
  reading.upgrading = element;
  try {
    reading.construct(made, []);
  } finally {
    reading.upgrading = null;
  }
  const connected = reading.get(element, 'connectedCallback');
  if (isCallable(connected)) reading.call(connected, element, []);
}

/** Computed values, read when they are asked for. */
class Computed extends Obj {
  constructor(
    readonly reading: Reading,
    readonly target: El | Loose,
    readonly pseudo: string | null,
  ) {
    super(reading.realm.protos.object);
  }
  override own(key: string): Slot | undefined {
    return this.props.get(key) ?? computedOf(this.reading, this.target, propertyName(key), this.pseudo) ?? UNKNOWN;
  }
  override hasOwn(key: string): boolean {
    return !key.startsWith('@@');
  }
}

function computed(reading: Reading, target: Value, asked: string | null): Value {
  if (!(target instanceof El) && !(target instanceof Loose)) return UNKNOWN;
  const pseudo = asked?.startsWith(':') ? asked : null;
  const made = new Computed(reading, target, pseudo);
  method(reading.realm, made, 'getPropertyValue', (r, _s, [name]) => {
    const key = text(name);
    return key === null ? UNKNOWN : (computedOf(r, target, key, pseudo) ?? UNKNOWN);
  });
  return made;
}
