import type * as acorn from 'acorn';
import type { Reading } from '../reading.js';
import { Accessor, type Obj, type Scope, type Value } from '../values.js';
import { keyOf } from './properties.js';

/** The key of a member expression; null where it cannot be told. */
export function memberKey(reading: Reading, node: acorn.MemberExpression, scope: Scope): string | null {
  if (node.property.type === 'PrivateIdentifier') return `#${node.property.name}`;
  if (!node.computed) return (node.property as acorn.Identifier).name;
  return keyOf(reading.evaluate(node.property, scope));
}

/** The text of a property's key as an object or class writes it; null where it cannot be told. */
export function propertyKey(
  reading: Reading,
  key: acorn.Expression | acorn.PrivateIdentifier,
  computed: boolean,
  scope: Scope,
): string | null {
  if (key.type === 'PrivateIdentifier') return `#${key.name}`;
  if (!computed && key.type === 'Identifier') return key.name;
  return keyOf(reading.evaluate(key, scope));
}

/** Gives an object or class a property that is worked out when it is asked for. */
export function addAccessor(holder: Obj, key: string, kind: 'get' | 'set', given: Value): void {
  const before = holder.props.get(key);
  const known = before instanceof Accessor ? before : new Accessor(undefined);
  holder.props.set(key, kind === 'get' ? new Accessor(given, known.set) : new Accessor(known.get, given));
}
