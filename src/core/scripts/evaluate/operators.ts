import type { Reading } from '../reading.js';
import { isCallable, Moment, number, Obj, text, truth, Unknown, UNKNOWN, type Value } from '../values.js';
import { hasProperty, keyOf } from './properties.js';

/** @spec ecma-262 §13.5 */
export function unary(operator: string, value: Value): Value {
  if (operator === 'void') return undefined;
  if (value instanceof Unknown) return UNKNOWN;
  switch (operator) {
    case '!':
      return !truth(value);
    case 'typeof':
      return typeName(value);
    case '-':
    case '+':
    case '~': {
      const figure = number(value);
      if (figure === null) return UNKNOWN;
      return operator === '-' ? -figure : operator === '+' ? figure : ~figure;
    }
    default:
      return UNKNOWN;
  }
}

function typeName(value: Value): string {
  if (value instanceof Obj) return isCallable(value) ? 'function' : value.props.has('@@symbol') ? 'symbol' : 'object';
  return value === null ? 'object' : typeof value;
}

/** @spec ecma-262 §13.15.3 */
export function binary(reading: Reading, operator: string, left: Value, right: Value): Value {
  switch (operator) {
    case 'instanceof':
      return isInstance(reading, left, right);
    case 'in':
      return isIn(left, right);
    case '===':
    case '!==': {
      if (left instanceof Unknown || right instanceof Unknown) return UNKNOWN;
      return (left === right) === (operator === '===');
    }
    case '==':
    case '!=': {
      const same = alike(left, right);
      return same === null ? UNKNOWN : same === (operator === '==');
    }
  }
  if (left instanceof Unknown || right instanceof Unknown) return UNKNOWN;
  const [a, b] = [primitive(left, operator), primitive(right, operator)];
  if (a instanceof Unknown || b instanceof Unknown) return UNKNOWN;
  return operator === '+' ? sum(a, b) : reckon(operator, a, b);
}

/** Whether a value is null or undefined; null where it cannot be told. */
export const nullish = (value: Value): boolean | null =>
  value instanceof Unknown ? null : value === undefined || value === null;

type Plain = Exclude<Value, Obj | Unknown>;

/** Dates are added as texts, and are numbers to all else. @spec ecma-262 §7.1.1 */
function primitive(value: Value, operator: string): Plain | Unknown {
  if (!(value instanceof Obj)) return value as Plain;
  const plain = value instanceof Moment && operator !== '+' ? value.time : text(value);
  return plain === null ? UNKNOWN : plain;
}

function sum(left: Plain, right: Plain): Value {
  if (typeof left === 'string' || typeof right === 'string') {
    const joined = `${String(left)}${String(right)}`;
    return joined.length > 100_000 ? UNKNOWN : joined;
  }
  return Number(left) + Number(right);
}

function reckon(operator: string, left: Plain, right: Plain): Value {
  const texts = typeof left === 'string' && typeof right === 'string';
  const a = texts ? left : Number(left);
  const b = texts ? right : Number(right);
  switch (operator) {
    case '<':
      return a < b;
    case '>':
      return a > b;
    case '<=':
      return a <= b;
    case '>=':
      return a >= b;
  }
  const [x, y] = [Number(left), Number(right)];
  switch (operator) {
    case '-':
      return x - y;
    case '*':
      return x * y;
    case '/':
      return x / y;
    case '%':
      return x % y;
    case '**':
      return x ** y;
    case '&':
      return x & y;
    case '|':
      return x | y;
    case '^':
      return x ^ y;
    case '<<':
      return x << y;
    case '>>':
      return x >> y;
    case '>>>':
      return x >>> y;
    default:
      return UNKNOWN;
  }
}

/** Loose equality; null where it cannot be told. @spec ecma-262 §7.2.14 */
function alike(left: Value, right: Value): boolean | null {
  const none = (value: Value) => value === undefined || value === null;
  if (left instanceof Unknown || right instanceof Unknown) return null;
  if (none(left) || none(right)) return none(left) && none(right);
  if (left instanceof Obj && right instanceof Obj) return left === right;
  const [a, b] = [primitive(left, '+'), primitive(right, '+')];
  if (a instanceof Unknown || b instanceof Unknown) return null;
  return typeof a === typeof b ? a === b : Number(a) === Number(b);
}

/** Whether a value was made by a class. @spec ecma-262 §7.3.21 */
export function isInstance(reading: Reading, left: Value, right: Value): Value {
  if (left instanceof Unknown || right instanceof Unknown) return UNKNOWN;
  if (!(left instanceof Obj) || !(right instanceof Obj)) return false;
  const proto = reading.get(right, 'prototype');
  if (proto instanceof Unknown) return UNKNOWN;
  return inheritsFrom(left, proto);
}

/** Whether a value is among the prototypes of an object; scripts can make rings of them. */
export function inheritsFrom(object: Obj, proto: Value): boolean {
  let guard = 0;
  for (let holder = object.proto; holder && guard < 60; holder = holder.proto, guard++)
    if (holder === proto) return true;
  return false;
}

function isIn(left: Value, right: Value): Value {
  const key = keyOf(left);
  if (key === null || !(right instanceof Obj)) return UNKNOWN;
  return hasProperty(right, key) || (right.open ? UNKNOWN : false);
}
