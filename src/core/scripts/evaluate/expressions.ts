import type * as acorn from 'acorn';
import type { Reading } from '../reading.js';
import type { Scope } from '../values.js';
import { Arr, isCallable, Obj, Accessor, Promised, text, truth, Unknown, UNKNOWN, type Value } from '../values.js';
import { assignment, update } from './assignments.js';
import { makeClass } from './classes.js';
import { constructParent, makeFunction } from './functions.js';
import { binary, nullish, unary } from './operators.js';
import { addAccessor, memberKey, propertyKey } from './keys.js';
import { makePattern } from './regexp.js';
import { itemsOf } from './iteration.js';

type Node = acorn.Expression | acorn.PrivateIdentifier | acorn.Super | acorn.SpreadElement;
/** Marks that a chain of `?.` ended early. */
const SHORT = Symbol('short');

/** The value of an expression. @param name what a function or class standing there is called */
export function evaluate(
  reading: Reading,
  node: acorn.Expression | acorn.Super | acorn.PrivateIdentifier,
  scope: Scope,
  name = '',
): Value {
  reading.step();
  reading.node = node;
  switch (node.type) {
    case 'Literal':
      return literal(reading, node);
    case 'Identifier':
      return lookUp(reading, node.name, scope);
    case 'MemberExpression':
      return member(reading, node, scope).value;
    case 'CallExpression':
      return call(reading, node, scope);
    case 'FunctionExpression':
    case 'ArrowFunctionExpression':
      return makeFunction(reading, node, scope, name);
    case 'AssignmentExpression':
      return assignment(reading, node, scope);
    case 'BinaryExpression':
      return binaryOf(reading, node, scope);
    case 'LogicalExpression':
      return logical(reading, node, scope);
    case 'UnaryExpression':
      return unaryOf(reading, node, scope);
    case 'ConditionalExpression':
      return conditional(reading, node, scope);
    case 'ObjectExpression':
      return objectOf(reading, node, scope);
    case 'ArrayExpression':
      return new Arr(reading.realm.protos.array, elements(reading, node.elements, scope));
    case 'ThisExpression':
      return scope.running?.self;
    case 'SequenceExpression':
      return node.expressions.reduce<Value>((_, one) => evaluate(reading, one, scope), undefined);
    case 'NewExpression':
      return reading.construct(evaluate(reading, node.callee, scope), args(reading, node.arguments, scope));
    case 'UpdateExpression':
      return update(reading, node, scope);
    case 'TemplateLiteral':
      return template(reading, node, scope);
    default:
      return rare(reading, node, scope, name);
  }
}

function rare(reading: Reading, node: Node, scope: Scope, name: string): Value {
  switch (node.type) {
    case 'ChainExpression':
      return optional(reading, node, scope);
    case 'ClassExpression':
      return makeClass(reading, node, scope, name);
    case 'ParenthesizedExpression':
      return evaluate(reading, node.expression, scope);
    case 'AwaitExpression': {
      const value = evaluate(reading, node.argument, scope);
      if (!(value instanceof Promised)) return value;
      return value.settled === 'unknown' ? UNKNOWN : value.value;
    }
    case 'ImportExpression': {
      const specifier = evaluate(reading, node.source, scope);
      const find = reading.source && reading.importers.get(reading.source);
      return typeof specifier === 'string' && find ? find(specifier) : UNKNOWN;
    }
    case 'YieldExpression': {
      const value = node.argument ? evaluate(reading, node.argument, scope) : undefined;
      scope.running?.yielded?.push(...(node.delegate ? (itemsOf(reading, value) ?? [UNKNOWN]) : [value]));
      return UNKNOWN;
    }
    case 'MetaProperty':
      return node.meta.name === 'new' ? (scope.running?.target ?? undefined) : UNKNOWN;
    default:
      return UNKNOWN;
  }
}

function literal(reading: Reading, node: acorn.Literal): Value {
  if (node.regex) return makePattern(reading, node.regex.pattern, node.regex.flags);
  if (typeof node.value === 'bigint' || node.value instanceof RegExp) return UNKNOWN;
  return node.value ?? null;
}

function lookUp(reading: Reading, name: string, scope: Scope): Value {
  if (name === 'undefined') return undefined;
  const holder = scope.holder(name);
  if (!holder) return reading.realm.globalNamed(reading, name, true);
  const slot = holder.names.get(name);
  return slot instanceof Accessor ? reading.get(reading.realm.window, name) : slot;
}

interface Reference {
  readonly base: Value;
  readonly value: Value;
}

/** A property and what it was read from. */
function member(reading: Reading, node: acorn.MemberExpression, scope: Scope): Reference {
  if (node.object.type === 'Super') {
    const frame = scope.running;
    const from = frame?.callee?.home?.proto ?? null;
    const key = memberKey(reading, node, scope);
    const value = from && key !== null ? superRead(reading, from, key, frame!.self) : UNKNOWN;
    return { base: frame?.self, value };
  }
  const base = evaluate(reading, node.object, scope);
  if (node.optional && (base === undefined || base === null)) throw SHORT;
  const key = memberKey(reading, node, scope);
  if (key === null)
    return { base, value: base === undefined || base === null ? reading.raise('TypeError', 'no object') : UNKNOWN };
  reading.node = node;
  return { base, value: reading.get(base, key) };
}

function superRead(reading: Reading, from: Obj, key: string, self: Value): Value {
  for (let holder: Obj | null = from; holder; holder = holder.proto) {
    if (!holder.hasOwn(key)) continue;
    const slot = holder.own(key);
    if (!(slot instanceof Accessor)) return slot;
    return typeof slot.get === 'function' ? slot.get(reading, self, []) : reading.call(slot.get, self, []);
  }
  return undefined;
}

function optional(reading: Reading, node: acorn.ChainExpression, scope: Scope): Value {
  try {
    return evaluate(reading, node.expression, scope);
  } catch (error) {
    if (error === SHORT) return undefined;
    throw error;
  }
}

function call(reading: Reading, node: acorn.CallExpression, scope: Scope): Value {
  const { callee } = node;
  if (callee.type === 'Super') {
    const frame = scope.running;
    return frame ? constructParent(reading, frame, args(reading, node.arguments, scope)) : UNKNOWN;
  }
  let base: Value;
  let target: Value;
  if (callee.type === 'MemberExpression') ({ base, value: target } = member(reading, callee, scope));
  else target = evaluate(reading, callee, scope);
  if (node.optional && (target === undefined || target === null)) throw SHORT;
  const given = args(reading, node.arguments, scope);
  reading.node = node;
  if (target instanceof Unknown) noteListening(reading, callee, given);
  return reading.call(target, base, given);
}

const LISTENS =
  /^(click|press|tap|pointer(down|up|enter|over)|mouse(down|up|enter|over)|touch(start|end)|key(down|up|press)|focus(in)?)\b/;

/** Says so where something listens on what cannot be told. */
function noteListening(reading: Reading, callee: acorn.Expression, given: readonly Value[]): void {
  if (callee.type !== 'MemberExpression' || callee.computed) return;
  const { name } = callee.property as acorn.Identifier;
  const [type, handler] = given;
  const listens = (name === 'addEventListener' || name === 'on') && typeof type === 'string' && LISTENS.test(type);
  if (listens && isCallable(handler) && reading.unsure === 0)
    reading.note('it listens on something that cannot be told without running it');
}

export function args(
  reading: Reading,
  nodes: readonly (acorn.Expression | acorn.SpreadElement)[],
  scope: Scope,
): Value[] {
  return elements(reading, nodes, scope);
}

function elements(
  reading: Reading,
  nodes: readonly (acorn.Expression | acorn.SpreadElement | null)[],
  scope: Scope,
): Value[] {
  const out: Value[] = [];
  for (const node of nodes) {
    if (!node) out.push(undefined);
    else if (node.type === 'SpreadElement')
      out.push(...(itemsOf(reading, evaluate(reading, node.argument, scope)) ?? []));
    else out.push(evaluate(reading, node, scope));
  }
  return out;
}

function binaryOf(reading: Reading, node: acorn.BinaryExpression, scope: Scope): Value {
  if (node.left.type === 'PrivateIdentifier') {
    const right = evaluate(reading, node.right, scope);
    return right instanceof Obj ? right.hasOwn(`#${node.left.name}`) : UNKNOWN;
  }
  const left = evaluate(reading, node.left, scope);
  const right = evaluate(reading, node.right, scope);
  reading.node = node;
  return binary(reading, node.operator, left, right);
}

function logical(reading: Reading, node: acorn.LogicalExpression, scope: Scope): Value {
  const left = evaluate(reading, node.left, scope);
  const known = node.operator === '??' ? nullish(left) : truth(left);
  if (known === null) {
    reading.perhaps(() => void evaluate(reading, node.right, scope));
    return UNKNOWN;
  }
  const goesOn = node.operator === '||' ? !known : known;
  return goesOn ? evaluate(reading, node.right, scope) : left;
}

function conditional(reading: Reading, node: acorn.ConditionalExpression, scope: Scope): Value {
  const known = truth(evaluate(reading, node.test, scope));
  if (known !== null) return evaluate(reading, known ? node.consequent : node.alternate, scope);
  let one: Value;
  let other: Value;
  reading.perhaps(() => (one = evaluate(reading, node.consequent, scope)));
  reading.perhaps(() => (other = evaluate(reading, node.alternate, scope)));
  return one === other ? one : UNKNOWN;
}

function unaryOf(reading: Reading, node: acorn.UnaryExpression, scope: Scope): Value {
  const { operator, argument } = node;
  if (operator === 'typeof' && argument.type === 'Identifier') {
    const holder = scope.holder(argument.name);
    return unary(
      'typeof',
      holder ? lookUp(reading, argument.name, holder) : reading.realm.globalNamed(reading, argument.name, false),
    );
  }
  if (operator === 'delete') {
    if (argument.type === 'MemberExpression') {
      const base = evaluate(reading, argument.object, scope);
      const key = memberKey(reading, argument, scope);
      if (base instanceof Obj && key !== null) base.drop(reading, key);
    }
    return true;
  }
  return unary(operator, evaluate(reading, argument, scope));
}

function template(reading: Reading, node: acorn.TemplateLiteral, scope: Scope): Value {
  let out: string | null = '';
  node.quasis.forEach((part, i) => {
    const value: Value = i < node.expressions.length ? evaluate(reading, node.expressions[i]!, scope) : '';
    const written = text(value);
    out = out === null || written === null ? null : out + (part.value.cooked ?? '') + written;
  });
  return out ?? UNKNOWN;
}

function objectOf(reading: Reading, node: acorn.ObjectExpression, scope: Scope): Value {
  const made = new Obj(reading.realm.protos.object);
  for (const property of node.properties) {
    if (property.type === 'SpreadElement') {
      spreadInto(reading, made, evaluate(reading, property.argument, scope));
      continue;
    }
    const key = propertyKey(reading, property.key, property.computed, scope);
    const value = property.value;
    const plain = value.type === 'FunctionExpression' || value.type === 'ArrowFunctionExpression';
    const given = plain
      ? makeFunction(reading, value, scope, key ?? '', made)
      : evaluate(reading, value, scope, key ?? '');
    if (key === null) made.open = true;
    else if (key === '__proto__' && !property.computed && !property.shorthand && !property.method) {
      if (given instanceof Obj || given === null) made.proto = given;
    } else if (property.kind === 'init') made.props.set(key, given);
    else addAccessor(made, key, property.kind, given);
  }
  return made;
}

function spreadInto(reading: Reading, made: Obj, from: Value): void {
  if (from instanceof Unknown) made.open = true;
  if (!(from instanceof Obj)) return;
  if (from.open) made.open = true;
  for (const key of from.keys()) made.props.set(key, reading.get(from, key));
}
