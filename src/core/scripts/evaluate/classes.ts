import type * as acorn from 'acorn';
import type { Reading } from '../reading.js';
import { Fn, Obj, Scope, Unknown, type Value } from '../values.js';
import { addAccessor, propertyKey } from './keys.js';
import { hoistInto, makeFunction } from './functions.js';

/** A class as a value. @spec ecma-262 §15.7.14 */
export function makeClass(reading: Reading, node: acorn.Class, scope: Scope, name = ''): Fn {
  const { protos } = reading.realm;
  const parent = node.superClass ? reading.evaluate(node.superClass, scope) : null;
  const inner = new Scope(scope);
  inner.strict = true;
  const made = new Fn(parent instanceof Obj ? parent : protos.function, node, scope, null, node.id?.name ?? name);
  made.source = reading.source;
  made.inner = inner;
  if (node.id) inner.names.set(node.id.name, made);
  const parentProto = parent instanceof Obj ? reading.get(parent, 'prototype') : protos.object;
  const proto = new Obj(parentProto instanceof Obj ? parentProto : protos.object);
  proto.quiet = true;
  if (parent instanceof Unknown) proto.open = true;
  proto.props.set('constructor', made);
  made.props.set('prototype', proto);
  const fields: { key: string; value: acorn.Expression | null | undefined }[] = [];
  const later: (() => void)[] = [];
  for (const part of node.body.body) addMember(reading, part, { made, proto, inner, fields, later });
  made.fields = fields;
  for (const run of later) run();
  return made;
}

interface Making {
  readonly made: Fn;
  readonly proto: Obj;
  readonly inner: Scope;
  readonly fields: { key: string; value: acorn.Expression | null | undefined }[];
  readonly later: (() => void)[];
}

function addMember(reading: Reading, part: acorn.ClassBody['body'][number], making: Making): void {
  const { made, proto, inner, fields, later } = making;
  const self = new Scope(inner, { self: made, args: [], callee: made, target: null });
  if (part.type === 'StaticBlock') {
    later.push(() => {
      hoistInto(reading, part as never, self);
      reading.body(part.body, self);
    });
    return;
  }
  const holder = part.static ? made : proto;
  const key = propertyKey(reading, part.key, part.computed, inner);
  if (key === null) return void (holder.open = true);
  if (part.type === 'PropertyDefinition') {
    if (part.static)
      later.push(() => made.props.set(key, part.value ? reading.evaluate(part.value, self, key) : undefined));
    else fields.push({ key, value: part.value });
    return;
  }
  if (part.kind === 'constructor') {
    made.body = part.value as acorn.FunctionExpression;
    return;
  }
  const method = makeFunction(reading, part.value as acorn.FunctionExpression, inner, key, holder) as Value;
  if (part.kind === 'method') holder.props.set(key, method);
  else addAccessor(holder, key, part.kind, method);
}
