import type * as acorn from 'acorn';
import type { Reading } from '../reading.js';
import {
  Arr,
  Bound,
  El,
  Fn,
  Native,
  Obj,
  Promised,
  Scope,
  Unknown,
  UNKNOWN,
  type Frame,
  type FunctionNode,
  type Value,
} from '../values.js';
import { iteratorOf } from './iteration.js';
import { asksArguments, blockFunctions, hoisted, saysStrict } from './hoisting.js';
import { bind } from './patterns.js';
import { callUnknown } from './unknowns.js';

/** A function of a script as a value. */
export function makeFunction(
  reading: Reading,
  node: FunctionNode,
  scope: Scope,
  name = '',
  home: Obj | null = null,
): Fn {
  const { protos } = reading.realm;
  const own = node.type === 'FunctionExpression' && node.id ? new Scope(scope) : scope;
  const made = new Fn(protos.function, node, own, home, name || ('id' in node && node.id?.name) || '');
  made.source = reading.source;
  if (own !== scope) own.names.set(node.id!.name, made);
  if (node.type !== 'ArrowFunctionExpression' && !node.generator && !node.async) {
    const proto = new Obj(protos.object);
    proto.props.set('constructor', made);
    proto.quiet = false;
    made.props.set('prototype', proto);
  }
  return made;
}

/** Calls anything. @spec ecma-262 §10.2.1 */
export function callFunction(reading: Reading, callee: Value, self: Value, args: readonly Value[]): Value {
  if (callee instanceof Native) return callee.host(reading, self, args);
  if (callee instanceof Bound) return reading.call(callee.target, callee.self, [...callee.args, ...args]);
  if (callee instanceof Fn) {
    if (callee.node.type === 'ClassDeclaration' || callee.node.type === 'ClassExpression')
      return reading.raise('TypeError', 'a class is called without new');
    return runFunction(reading, callee, callee.node as FunctionNode, { self, args, callee, target: null });
  }
  if (callee instanceof Unknown) return callUnknown(reading, args);
  // A script that was not there to read may have brought it.
  if (callee === undefined && reading.realm.lenient) return callUnknown(reading, args);
  return reading.raise('TypeError', 'something is called that is no function');
}

function runFunction(reading: Reading, callee: Fn, node: FunctionNode, called: Frame, around = callee.scope): Value {
  const arrow = node.type === 'ArrowFunctionExpression';
  const strict = around.strict || (node.body.type === 'BlockStatement' && saysStrict(node.body.body));
  // Elsewhere who is called by nobody is called by the window. @spec ecma-262 §10.2.1.2
  const self = called.self ?? (strict || arrow ? called.self : reading.realm.window);
  const own = self === called.self ? called : { ...called, self };
  const frame = node.generator ? { ...own, yielded: [] } : own;
  const scope = new Scope(around, arrow ? null : frame);
  scope.strict = strict;
  reading.source = callee.source ?? reading.source;
  if (!arrow && asksArguments(node.body))
    scope.names.set('arguments', new Arr(reading.realm.protos.object, [...frame.args]));
  bindParameters(reading, node.params, frame.args, scope);
  if (node.body.type !== 'BlockStatement') return settle(reading, node, frame, reading.evaluate(node.body, scope));
  hoistInto(reading, node.body, scope);
  return settle(reading, node, frame, reading.body(node.body.body, scope));
}

/** Async functions give a promise of what they return, generators at once all that they yield. */
function settle(reading: Reading, node: FunctionNode, { yielded }: Frame, value: Value): Value {
  if (yielded) return node.async ? UNKNOWN : iteratorOf(reading.realm, yielded);
  if (!node.async) return value;
  if (value instanceof Promised) return value;
  return new Promised(reading.realm.protos.promise, value instanceof Unknown ? 'unknown' : 'kept', value);
}

function bindParameters(
  reading: Reading,
  params: readonly acorn.Pattern[],
  args: readonly Value[],
  scope: Scope,
): void {
  params.forEach((param, i) => {
    if (param.type === 'RestElement')
      bind(reading, param.argument, new Arr(reading.realm.protos.array, args.slice(i)), scope, true);
    else if (param.type === 'Identifier') scope.names.set(param.name, args[i]);
    else bind(reading, param, args[i], scope, true);
  });
}

/** @spec ecma-262 §13.3.5 */
export function constructWith(
  reading: Reading,
  callee: Value,
  args: readonly Value[],
  target: Obj | null = null,
): Value {
  if (callee instanceof Unknown) return callUnknown(reading, args);
  if (callee instanceof Bound) return constructWith(reading, callee.target, [...callee.args, ...args], null);
  if (callee instanceof Native) return constructNative(reading, callee, args, target ?? callee);
  if (!(callee instanceof Fn)) return reading.raise('TypeError', 'something is made that is no class');
  const aim = target ?? callee;
  const isClass = callee.node.type === 'ClassDeclaration' || callee.node.type === 'ClassExpression';
  const parent = isClass && (callee.node as acorn.Class).superClass ? callee.proto : null;
  if (parent) {
    const frame: Frame = { self: undefined, args, callee, target: aim };
    if (callee.body) runFunction(reading, callee, callee.body, frame, callee.inner ?? callee.scope);
    else constructParent(reading, frame, args);
    return frame.self;
  }
  const proto = reading.get(aim, 'prototype');
  const made = new Obj(proto instanceof Obj ? proto : reading.realm.protos.object);
  const frame: Frame = { self: made, args, callee, target: aim };
  if (isClass) {
    setFields(reading, callee, made);
    if (callee.body) runFunction(reading, callee, callee.body, frame, callee.inner ?? callee.scope);
    return made;
  }
  const given = runFunction(reading, callee, callee.node as FunctionNode, frame);
  return given instanceof Obj ? given : made;
}

function constructNative(reading: Reading, callee: Native, args: readonly Value[], aim: Obj): Value {
  const made = callee.make ? callee.make(reading, args, aim) : callee.host(reading, undefined, args);
  if (aim !== callee && made instanceof Obj && !(made instanceof El)) {
    const proto = reading.get(aim, 'prototype');
    if (proto instanceof Obj) made.proto = proto;
  }
  return made;
}

/** `super(…)`: makes the object and gives it the fields of the class. @spec ecma-262 §13.3.7 */
export function constructParent(reading: Reading, frame: Frame, args: readonly Value[]): Value {
  const { callee, target } = frame;
  frame.self = callee ? constructWith(reading, callee.proto, args, target) : UNKNOWN;
  if (callee && frame.self instanceof Obj) setFields(reading, callee, frame.self);
  return frame.self;
}

function setFields(reading: Reading, callee: Fn, made: Obj): void {
  if (callee.fields.length === 0) return;
  const scope = new Scope(callee.inner ?? callee.scope, { self: made, args: [], callee, target: null });
  const { source } = reading;
  reading.source = callee.source ?? source;
  for (const { key, value } of callee.fields)
    made.write(reading, key, value ? reading.evaluate(value, scope, key) : undefined);
  reading.source = source;
}

/** Declares what a function or program names anywhere with `var` and as functions. @spec ecma-262 §10.2.11 */
export function hoistInto(reading: Reading, body: acorn.BlockStatement | acorn.Program, scope: Scope): void {
  for (const name of hoisted(body)) if (!scope.names.has(name)) scope.names.set(name, undefined);
  declareFunctions(reading, body.body as readonly acorn.Statement[], scope);
}

/** Declares the functions that stand directly in a block. */
export function declareFunctions(
  reading: Reading,
  body: readonly (acorn.Statement | acorn.ModuleDeclaration)[],
  scope: Scope,
): void {
  for (const declared of blockFunctions(body))
    scope.names.set(declared.id.name, makeFunction(reading, declared as FunctionNode, scope, declared.id.name));
}
