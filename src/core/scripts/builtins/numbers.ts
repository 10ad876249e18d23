import { itemsOf } from '../evaluate/iteration.js';
import type { Realm } from '../realm.js';
import type { Reading } from '../reading.js';
import { Arr, number, Obj, text, truth, Unknown, UNKNOWN, type Value } from '../values.js';
import { constructor, method, plain } from './define.js';

/** Functions of Math that give the same for the same. */
const ALL = Object.getOwnPropertyNames(Math).filter(
  (name) => name !== 'random' && typeof Math[name as 'abs'] === 'function',
);
const CONSTANTS = ['E', 'LN10', 'LN2', 'LOG10E', 'LOG2E', 'PI', 'SQRT1_2', 'SQRT2'] as const;
const LIMITS = [
  'EPSILON',
  'MAX_SAFE_INTEGER',
  'MAX_VALUE',
  'MIN_SAFE_INTEGER',
  'MIN_VALUE',
  'NEGATIVE_INFINITY',
  'POSITIVE_INFINITY',
] as const;

/** Numbers, truth values, Math, JSON and the reading of numbers. @spec ecma-262 §21, §25.5 */
export function defineNumbers(realm: Realm): void {
  const { protos, window } = realm;
  const numbers = constructor(realm, 'Number', protos.number, (_r, args) =>
    args.length === 0 ? 0 : (number(args[0]) ?? UNKNOWN),
  );
  constructor(realm, 'Boolean', protos.boolean, (_r, [value]) => truth(value) ?? UNKNOWN);
  const math = plain(realm, Object.fromEntries(CONSTANTS.map((name) => [name, Math[name]])));
  for (const name of ALL)
    method(realm, math, name, (_r, _s, args) => {
      const given = args.map(number);
      return given.includes(null)
        ? UNKNOWN
        : (Math[name as 'abs'] as (...all: number[]) => number)(...(given as number[]));
    });
  method(realm, math, 'random', () => UNKNOWN);
  window.props.set('Math', math);
  window.props.set('NaN', NaN);
  window.props.set('Infinity', Infinity);
  for (const holder of [window, numbers]) {
    method(realm, holder, 'parseInt', (_r, _s, [value, base]) =>
      told(value, (own) => parseInt(own, number(base) || 10)),
    );
    method(realm, holder, 'parseFloat', (_r, _s, [value]) => told(value, parseFloat));
    method(realm, holder, 'isNaN', (_r, _s, [value]) => toldNumber(value, Number.isNaN));
    method(realm, holder, 'isFinite', (_r, _s, [value]) => toldNumber(value, Number.isFinite));
  }
  method(realm, numbers, 'isInteger', (_r, _s, [value]) => toldNumber(value, Number.isInteger));
  method(realm, numbers, 'isSafeInteger', (_r, _s, [value]) => toldNumber(value, Number.isSafeInteger));
  for (const name of LIMITS) numbers.props.set(name, Number[name]);
  method(realm, protos.number, 'toPrecision toExponential', (_r, self, [digits]) =>
    toldNumber(self, (own) => (digits === undefined ? String(own) : UNKNOWN)),
  );
  method(realm, protos.number, 'toFixed', (_r, self, [digits]) =>
    toldNumber(self, (own) => own.toFixed(number(digits) ?? 0)),
  );
  method(realm, protos.number, 'toString valueOf toLocaleString', (_r, self, [base]) =>
    toldNumber(self, (own) => own.toString(typeof base === 'number' && base >= 2 && base <= 36 ? base : 10)),
  );
  method(realm, protos.boolean, 'toString', (_r, self) => text(self) ?? UNKNOWN);
  const json = plain(realm);
  method(realm, json, 'parse', (r, _s, [value]) => parsed(r, value));
  method(realm, json, 'stringify', (r, _s, [value]) => {
    const out = plainValue(r, value, 0);
    return out === undefined ? UNKNOWN : JSON.stringify(out);
  });
  window.props.set('JSON', json);
  for (const [name, code] of [
    ['encodeURIComponent', encodeURIComponent],
    ['encodeURI', encodeURI],
    ['escape', encodeURIComponent],
    ['decodeURIComponent', decodeURIComponent],
    ['decodeURI', decodeURI],
    ['unescape', decodeURIComponent],
  ] as const)
    method(realm, window, name, (_r, _s, [value]) => told(value, (own) => safely(() => code(own)) ?? UNKNOWN));
}

function safely<T>(run: () => T): T | null {
  try {
    return run();
  } catch {
    return null;
  }
}

function told(value: Value, host: (own: string) => Value): Value {
  const own = text(value);
  return own === null ? UNKNOWN : host(own);
}

function toldNumber(value: Value, host: (own: number) => Value): Value {
  const own = number(value);
  return own === null ? UNKNOWN : host(own);
}

/** The text of JSON as values. */
function parsed(reading: Reading, value: Value): Value {
  const own = text(value);
  if (own === null || own.length > 50_000) return UNKNOWN;
  const read = safely(() => ({ read: JSON.parse(own) as unknown }));
  return read ? valueOf(reading, read.read) : reading.raise('SyntaxError', 'no JSON');
}

export function valueOf(reading: Reading, read: unknown): Value {
  if (Array.isArray(read))
    return new Arr(
      reading.realm.protos.array,
      read.map((one) => valueOf(reading, one)),
    );
  if (typeof read !== 'object' || read === null) return read as Value;
  const made = new Obj(reading.realm.protos.object);
  for (const [key, one] of Object.entries(read)) made.props.set(key, valueOf(reading, one));
  return made;
}

function plainValue(reading: Reading, value: Value, depth: number): unknown {
  if (value instanceof Unknown || depth > 20) return undefined;
  if (value instanceof Arr) return (itemsOf(reading, value) ?? []).map((one) => plainValue(reading, one, depth + 1));
  if (!(value instanceof Obj)) return value;
  return Object.fromEntries(value.keys().map((key) => [key, plainValue(reading, reading.get(value, key), depth + 1)]));
}
