import { makePattern, SEARCHED } from '../evaluate/regexp.js';
import type { Realm } from '../realm.js';
import type { Reading } from '../reading.js';
import { Arr, El, isCallable, number, Obj, Pattern, text, Unknown, UNKNOWN, type Value } from '../values.js';
import { constructor, getter, method } from './define.js';

/** Whether an object says itself what it is as a text. */
const speaks = (value: Value): value is Obj =>
  value instanceof Obj && !(value instanceof Arr || value instanceof Pattern || value instanceof El);

/** What an object says of itself as a text. @spec ecma-262 §7.1.1 */
function written(reading: Reading, object: Obj): Value {
  const own = object.open ? UNKNOWN : reading.get(object, 'toString');
  return isCallable(own) ? reading.call(own, object, []) : UNKNOWN;
}

type Told = (own: string, args: readonly Value[], reading: Reading) => Value;

/** @spec ecma-262 §22.1, §22.2 */
export function defineStrings(realm: Realm): void {
  const { protos } = realm;
  const strings = constructor(realm, 'String', protos.string, (r, args) =>
    args.length === 0 ? '' : (text(speaks(args[0]) ? written(r, args[0]) : args[0]) ?? UNKNOWN),
  );
  method(realm, strings, 'fromCharCode', (_r, _s, args) => spelt(args, String.fromCharCode));
  method(realm, strings, 'fromCodePoint', (r, _s, args) =>
    args.some((code) => typeof code === 'number' && !(code >= 0 && code <= 0x10ffff))
      ? r.raise('RangeError', 'no code point')
      : spelt(args, String.fromCodePoint),
  );
  method(realm, strings, 'raw', () => UNKNOWN);
  const add = (names: string, host: Told) =>
    method(realm, protos.string, names, (r, self, args) => {
      const own = text(self);
      return own === null || args.some((arg) => arg instanceof Unknown) ? UNKNOWN : host(own, args, r);
    });
  const list = (items: readonly Value[]) => new Arr(protos.array, [...items]);
  const str = (value: Value) => text(value) ?? '';
  const num = (value: Value) => number(value) ?? 0;
  const end = (value: Value) => (value === undefined ? undefined : num(value));
  add('toString valueOf normalize toLocaleString', (own) => own);
  add('toLowerCase toLocaleLowerCase', (own) => own.toLowerCase());
  add('toUpperCase toLocaleUpperCase', (own) => own.toUpperCase());
  add('trim', (own) => own.trim());
  add('trimStart trimLeft', (own) => own.trimStart());
  add('trimEnd trimRight', (own) => own.trimEnd());
  add('charAt', (own, [at]) => own.charAt(num(at)));
  add('charCodeAt codePointAt', (own, [at]) => own.charCodeAt(num(at)));
  add('at', (own, [at]) => own.at(num(at)));
  add('indexOf', (own, [what, from]) => own.indexOf(str(what), num(from ?? 0)));
  add('lastIndexOf', (own, [what, from]) => own.lastIndexOf(str(what), end(from)));
  add('includes', (own, [what, from]) => own.includes(str(what), end(from)));
  add('startsWith', (own, [what, from]) => own.startsWith(str(what), end(from)));
  add('endsWith', (own, [what, to]) => own.endsWith(str(what), end(to)));
  add('isWellFormed', (own) => !/[\ud800-\udfff]/u.test(own));
  add('slice', (own, [from, to]) => own.slice(num(from ?? 0), end(to)));
  add('substring', (own, [from, to]) => own.substring(num(from ?? 0), end(to)));
  add('substr', (own, [from, count]) =>
    own.slice(num(from ?? 0), count === undefined ? undefined : num(from) + num(count)),
  );
  add('concat', (own, args) => own + args.map(str).join(''));
  add('repeat', (own, [count]) => (own.length * num(count) > 10_000 ? UNKNOWN : own.repeat(Math.max(0, num(count)))));
  add('padStart', (own, [count, by]) => own.padStart(Math.min(num(count), 1000), by === undefined ? ' ' : str(by)));
  add('padEnd', (own, [count, by]) => own.padEnd(Math.min(num(count), 1000), by === undefined ? ' ' : str(by)));
  add('localeCompare', (own, [other]) => (own < str(other) ? -1 : own > str(other) ? 1 : 0));
  add('split', (own, [by, most]) => {
    if (by instanceof Pattern) return by.regexp && own.length < SEARCHED ? list(own.split(by.regexp)) : UNKNOWN;
    return list(by === undefined ? [own] : own.split(str(by), end(most)).slice(0, 5000));
  });
  add('replace replaceAll', (own, [what, by], r) => replaced(own, what, by, r));
  add('match', (own, [what], r) => {
    const pattern = what instanceof Pattern ? what : makePattern(r, str(what), '');
    if (!pattern.regexp || own.length > SEARCHED) return UNKNOWN;
    return found(list, pattern.regexp.global ? own.match(pattern.regexp) : pattern.regexp.exec(own));
  });
  add('matchAll', (own, [what], r) => {
    if (!(what instanceof Pattern) || !what.regexp || own.length >= SEARCHED) return UNKNOWN;
    if (!what.regexp.global) return r.raise('TypeError', 'the pattern is not global');
    return list([...own.matchAll(what.regexp)].map((m) => found(list, m)));
  });
  add('search', (own, [what]) =>
    what instanceof Pattern && what.regexp && own.length < SEARCHED ? own.search(what.regexp) : UNKNOWN,
  );
  definePatterns(realm, list);
}

function replaced(own: string, what: Value, by: Value, reading: Reading): Value {
  const pattern = what instanceof Pattern ? what.regexp : (text(what) ?? '');
  if (pattern === null || own.length > SEARCHED) return UNKNOWN;
  if (!isCallable(by)) return own.replace(pattern, text(by) ?? '');
  let told = true;
  const out = own.replace(pattern, (...parts: unknown[]) => {
    const given = text(reading.call(by, undefined, parts.filter((p) => typeof p !== 'object') as Value[]));
    told &&= given !== null;
    return given ?? '';
  });
  return told ? out : UNKNOWN;
}

function found(list: (items: readonly Value[]) => Arr, match: RegExpMatchArray | null): Value {
  if (!match) return null;
  const out = list([...match]);
  if (match.index !== undefined) out.props.set('index', match.index);
  return out;
}

/** Characters by their codes. */
function spelt(codes: readonly Value[], spell: (...codes: number[]) => string): Value {
  const given = codes.map(number);
  return given.includes(null) ? UNKNOWN : spell(...(given as number[]));
}

function definePatterns(realm: Realm, list: (items: readonly Value[]) => Arr): void {
  const { protos } = realm;
  constructor(realm, 'RegExp', protos.regexp, (r, [source, flags]) => {
    if (source instanceof Pattern) return source;
    const written = text(source);
    return written === null ? UNKNOWN : makePattern(r, written, text(flags) === 'undefined' ? '' : (text(flags) ?? ''));
  });
  const tried = (self: Value, value: Value): RegExp | null => {
    const own = text(value);
    return self instanceof Pattern && own !== null && own.length < SEARCHED ? self.regexp : null;
  };
  method(realm, protos.regexp, 'test', (_r, self, [value]) => tried(self, value)?.test(text(value)!) ?? UNKNOWN);
  method(realm, protos.regexp, 'exec', (_r, self, [value]) => {
    const regexp = tried(self, value);
    return regexp ? found(list, regexp.exec(text(value)!)) : UNKNOWN;
  });
  for (const name of ['source', ...FLAGS] as const)
    getter(protos.regexp, name, (_r, self) => (self instanceof Pattern && self.regexp ? self.regexp[name] : UNKNOWN));
  getter(
    protos.regexp,
    'lastIndex',
    (_r, self) => (self instanceof Pattern && self.regexp ? self.regexp.lastIndex : UNKNOWN),
    (_r, self, value) => {
      if (self instanceof Pattern && self.regexp && typeof value === 'number') self.regexp.lastIndex = value;
    },
  );
  method(realm, protos.regexp, 'toString', (_r, self) => text(self) ?? UNKNOWN);
}

const FLAGS = ['flags', 'global', 'ignoreCase', 'multiline', 'dotAll', 'sticky', 'unicode', 'hasIndices'] as const;
