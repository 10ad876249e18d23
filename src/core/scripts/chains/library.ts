import { itemsOfLike } from '../evaluate/iteration.js';
import { assignAll } from '../builtins/objects.js';
import { method, plain } from '../builtins/define.js';
import type { Realm } from '../realm.js';
import type { Reading } from '../reading.js';
import {
  Arr,
  Bound,
  Chain,
  El,
  isCallable,
  Native,
  Obj,
  Promised,
  text,
  truth,
  Unknown,
  UNKNOWN,
  type Value,
} from '../values.js';
import { defineChanges } from './changes.js';
import { defineEffects } from './effects.js';
import { defineEvents } from './events.js';
import { makeEvent } from './make-event.js';
import { ready } from './ready.js';
import { chainOf, select } from './select.js';
import { dataOf, defineData } from './data.js';
import { defineTraversal } from './traversal.js';

/** Whether a script is the library of chained calls that pages know as `$`: it is understood without being read. */
export const isChainLibrary = (source: string): boolean =>
  source.length > 20_000 &&
  /\bfn\s*=\s*[\w$.]+\s*=?\s*[\w$.]*\.?prototype\s*=\s*\{[\s\S]{0,300}?\bjquery\s*:/.test(source);

const LIBRARY_FILE = /(?:^|\/)jquery(?:[-.@]\d[\w.]*)?(?:\.slim)?(?:\.min)?\.js(?:[?#].*)?$/i;

/** Whether an address is that of the library by its file: pages take it from elsewhere. */
export const namesChainLibrary = (address: string | null): boolean => address !== null && LIBRARY_FILE.test(address);

const CALLS = /\bjQuery\s*\(|(?:^|[^\w$.])\$\(\s*(?:function\b|document\b|window\b|this\b|['"`])/;
const DEFINES = /\bfunction\s+\$\s*\(|(?:\b(?:const|let|var)\s+|\bwindow\.)\$\s*=/;

/** Whether a script calls the library as one that is there, and brings no `$` of its own. */
export const callsChainLibrary = (source: string): boolean => CALLS.test(source) && !DEFINES.test(source);

/** Extensions of all ages take this version. */
const ANY_VERSION = '2.2.4';
const VERSION = /\d+\.\d+\.\d+/;

const WRITTEN = /["'`](\d+\.\d+\.\d+)[\w.+-]*["'`]/g;

/** The version a library says that it is: in its address, or last in its text before it calls itself by it. */
export function chainVersion(text: string | null, address: string | null): string {
  if (text === null) return VERSION.exec(address ?? '')?.[0] ?? ANY_VERSION;
  const own = /\bjquery\s*:[^,}]*/.exec(text);
  const before = text.slice(0, own ? own.index + own[0].length : 0);
  return [...before.matchAll(WRITTEN)].at(-1)?.[1] ?? ANY_VERSION;
}

/** The function `$`, its prototype and what hangs on it. */
export function installChains(reading: Reading, version: string): void {
  const { realm } = reading;
  const { protos, window } = realm;
  const dollar = new Native(protos.function, '$', (r, _self, [what, context]) => start(r, what, context));
  dollar.make = (r, [what, context]) => start(r, what, context);
  dollar.props.set('prototype', protos.chain);
  dollar.props.set('fn', protos.chain);
  protos.chain.props.set('constructor', dollar);
  protos.chain.props.set('jquery', version);
  for (const name of ['$', 'jQuery']) {
    window.props.set(name, dollar);
    realm.fixed.add(name);
  }
  defineStatics(realm, dollar);
  defineTraversal(realm);
  defineChanges(realm);
  defineData(realm);
  defineEffects(realm);
  defineEvents(realm);
}

/** Loaders of modules hear of the library under the name it gives itself there, where a page has one. */
export function announceLibrary(reading: Reading): void {
  const { window } = reading.realm;
  const { function: functions, array } = reading.realm.protos;
  const define = window.props.get('define') as Value;
  if (!(define instanceof Obj) || !isCallable(define) || truth(reading.get(define, 'amd')) !== true) return;
  const dollar = window.props.get('$') as Value;
  reading.call(define, window, ['jquery', new Arr(array, []), new Native(functions, '', () => dollar)]);
}

/** `$(…)`: a selector, elements, markup, or a function to be called when the page is there. */
function start(reading: Reading, what: Value, context: Value): Value {
  if (isCallable(what)) {
    ready(reading, what);
    return chainOf(reading, [reading.realm.documentObject]);
  }
  return select(reading, what, context);
}

/** Functions of the library that change nothing a menu could show, or what they give is not followed. */
const UNFOLLOWED =
  'holdReady globalEval parseHTML parseXML getScript error readyException ajaxSetup ajaxPrefilter ajaxTransport param ' +
  'Callbacks speed style cleanData find filter unique uniqueSort dir sibling acceptData hasData _data _removeData ' +
  'removeEvent swap nodeName text isXMLDoc escapeSelector curCSS queue dequeue _queueHooks attr prop removeAttr access';

function defineStatics(realm: Realm, dollar: Native): void {
  const { protos } = realm;
  const list = (items: readonly Value[]) => new Arr(protos.array, [...items]);
  method(realm, dollar, 'extend', (r, _s, args) => extend(r, args, dollar));
  method(realm, protos.chain, 'extend', (r, _s, args) => extend(r, args, protos.chain));
  method(realm, dollar, 'each', (r, _s, [over, fn]) => {
    eachOf(r, over, (key, value) => r.call(fn, value, [key, value]));
    return over;
  });
  method(realm, dollar, 'map', (r, _s, [over, fn]) => {
    const out: Value[] = [];
    eachOf(r, over, (key, value) => {
      const given = r.call(fn, undefined, [value, key]);
      if (given !== null && given !== undefined) out.push(given);
      return given;
    });
    return list(out);
  });
  method(realm, dollar, 'grep', (r, _s, [over, fn]) =>
    list((itemsOfLike(r, over) ?? []).filter((item, i) => truth(r.call(fn, undefined, [item, i])) !== false)),
  );
  method(realm, dollar, 'makeArray', (r, _s, [over]) => list(itemsOfLike(r, over) ?? []));
  method(realm, dollar, 'merge', (r, _s, [a, b]) => list([...(itemsOfLike(r, a) ?? []), ...(itemsOfLike(r, b) ?? [])]));
  method(realm, dollar, 'inArray', (r, _s, [wanted, over]) => itemsOfLike(r, over)?.indexOf(wanted) ?? UNKNOWN);
  method(realm, dollar, 'proxy', (_r, _s, [fn, self, ...args]) =>
    isCallable(fn)
      ? new Bound(protos.function, fn, self, args)
      : fn instanceof Obj && typeof self === 'string'
        ? new Bound(protos.function, fn.props.get(self) as Value, fn, args)
        : UNKNOWN,
  );
  method(realm, dollar, 'trim', (_r, _s, [value]) =>
    value === undefined || value === null ? '' : (text(value)?.trim() ?? UNKNOWN),
  );
  method(realm, dollar, 'isFunction', (_r, _s, [value]) => (value instanceof Unknown ? UNKNOWN : isCallable(value)));
  method(realm, dollar, 'isArray', (_r, _s, [value]) => value instanceof Arr);
  method(realm, dollar, 'isNumeric', (_r, _s, [value]) =>
    value instanceof Unknown ? UNKNOWN : value !== '' && !(value instanceof Obj) && !Number.isNaN(Number(value)),
  );
  method(realm, dollar, 'isPlainObject', (_r, _s, [value]) => value instanceof Obj && value.proto === protos.object);
  method(realm, dollar, 'isEmptyObject', (_r, _s, [value]) =>
    value instanceof Obj ? value.keys().length === 0 : UNKNOWN,
  );
  method(realm, dollar, 'isWindow', (_r, _s, [value]) => value === realm.window);
  method(realm, dollar, 'type', (_r, _s, [value]) => typeOf(value));
  method(realm, dollar, 'contains', (r, _s, [outer, inner]) =>
    outer instanceof El ? r.call(r.get(outer, 'contains'), outer, [inner]) : outer === realm.documentObject,
  );
  method(realm, dollar, 'noop', () => undefined);
  method(realm, dollar, 'now', (r) => r.clock);
  method(realm, dollar, 'noConflict', () => dollar);
  method(realm, dollar, 'ready', (r, _s, [fn]) => {
    ready(r, fn ?? undefined);
    return undefined;
  });
  method(realm, dollar, UNFOLLOWED, () => UNKNOWN);
  method(realm, dollar, 'htmlPrefilter', (_r, _s, [html]) => html);
  method(
    realm,
    dollar,
    'camelCase',
    (_r, _s, [value]) => text(value)?.replace(/-([a-z])/g, (_m, c: string) => c.toUpperCase()) ?? UNKNOWN,
  );
  method(realm, dollar, 'data', (r, _s, [element, key, value]) => dataOf(r, element, key, value));
  method(realm, dollar, 'removeData', () => undefined);
  method(realm, dollar, 'css', (r, _s, [element, key]) =>
    r.call(r.get(start(r, element, undefined), 'css'), start(r, element, undefined), [key]),
  );
  method(realm, dollar, 'Event', (r, _s, [type, props]) => makeEvent(r, type, props));
  method(realm, dollar, 'parseJSON', (r, _s, [value]) =>
    r.call(r.get(r.get(realm.window, 'JSON'), 'parse'), undefined, [value]),
  );
  method(realm, dollar, 'Deferred', () => deferred(realm));
  method(realm, dollar, 'when', () => new Promised(protos.promise, 'unknown', UNKNOWN));
  method(realm, dollar, 'ajax get post getJSON', (r, _s, args) => r.call(UNKNOWN, undefined, args));
  for (const name of [
    'support',
    'easing',
    'cssHooks',
    'cssNumber',
    'expr',
    'event',
    'fx',
    'browser',
    'ajaxSettings',
    'attrHooks',
    'propHooks',
    'valHooks',
    'Tween',
    'cssProps',
    'offset',
    'fragments',
    'cache',
    'timers',
  ].filter((name) => !dollar.props.has(name)))
    dollar.props.set(name, plain(realm));
  const expr = dollar.props.get('expr') as Obj;
  for (const name of [':', 'pseudos', 'filters', 'match']) expr.props.set(name, plain(realm));
  const event = dollar.props.get('event') as Obj;
  for (const name of ['special', 'handlers', 'fixHooks']) event.props.set(name, plain(realm));
  method(realm, event, 'trigger dispatch add remove', () => undefined);
  for (const name of ['props', 'mouseHooks', 'keyHooks']) event.props.set(name, list([]));
  (dollar.props.get('Tween') as Obj).props.set('propHooks', plain(realm));
  protos.chain.props.set('init', dollar);
  const fx = dollar.props.get('fx') as Obj;
  fx.props.set('off', false);
  for (const name of ['step', 'speeds']) fx.props.set(name, plain(realm));
}

function typeOf(value: Value): Value {
  if (value instanceof Unknown) return UNKNOWN;
  if (value === null) return 'null';
  if (value instanceof Arr) return 'array';
  if (isCallable(value)) return 'function';
  return value instanceof Obj ? 'object' : typeof value;
}

function eachOf(reading: Reading, over: Value, run: (key: Value, value: Value) => Value): void {
  if (
    over instanceof Obj &&
    !(over instanceof Arr) &&
    !(over instanceof Chain) &&
    typeof over.own('length') !== 'number'
  ) {
    for (const key of over.keys()) if (run(key, reading.get(over, key)) === false) return;
    return;
  }
  const items = itemsOfLike(reading, over);
  if (!items) {
    reading.perhaps(() => run(UNKNOWN, UNKNOWN));
    return;
  }
  for (const [i, item] of items.entries()) if (run(i, item) === false) return;
}

/** `$.extend`: with one object it adds to what it is called on. */
function extend(reading: Reading, args: readonly Value[], self: Obj): Value {
  const deep = args[0] === true;
  const [target, ...from] = args[0] === true || args[0] === false ? args.slice(1) : args;
  if (from.length === 0) return assignAll(reading, self, [target]);
  const base = target instanceof Obj ? target : plain(reading.realm);
  if (!deep) {
    for (const one of from) if (one instanceof Obj) copyDefined(reading, base, one);
    if (from.some((one) => one instanceof Unknown)) base.open = true;
    return base;
  }
  for (const one of from) if (one instanceof Obj) deepen(reading, base, one, 0);
  return base;
}

function copyDefined(reading: Reading, base: Obj, one: Obj): void {
  for (const key of one.keys()) {
    const value = reading.get(one, key);
    if (value !== undefined) reading.set(base, key, value);
  }
  if (one.open) base.open = true;
}

/** Whether deep copies go into a value: the window and the document are no records of anyone's settings. */
function isPlainObject({ realm }: Reading, value: Obj): boolean {
  if (value === realm.window || value === realm.documentObject || isCallable(value)) return false;
  return value.proto === realm.protos.object;
}

function deepen(reading: Reading, base: Obj, one: Obj, depth: number): void {
  for (const key of one.keys()) {
    reading.step();
    const value = reading.get(one, key);
    if (value === base) continue;
    const isPlain = value instanceof Obj && isPlainObject(reading, value);
    if (isPlain && depth < 6) {
      const own = reading.get(base, key);
      const inner = own instanceof Obj ? own : plain(reading.realm);
      deepen(reading, inner, value, depth + 1);
      reading.set(base, key, inner);
    } else if (value !== undefined) reading.set(base, key, value);
  }
}

/** A promise of the library's own form: what waits for it may go on some time. */
function deferred(realm: Realm): Obj {
  const made = plain(realm);
  method(realm, made, 'done then always fail progress pipe', (r, self, fns) => {
    for (const fn of fns) if (isCallable(fn)) r.perhaps(() => r.call(fn, undefined, []));
    return self;
  });
  method(realm, made, 'resolve reject notify resolveWith', (_r, self) => self);
  method(realm, made, 'promise', (_r, self) => self);
  method(realm, made, 'state', () => UNKNOWN);
  return made;
}
