import type * as acorn from 'acorn';
import type { Reading } from '../reading.js';
import { Arr, Obj, Unknown, UNKNOWN, type Scope, type Value } from '../values.js';
import { memberKey, propertyKey } from './keys.js';
import { itemsOf } from './iteration.js';

/** Gives names of a declaration their values. @spec ecma-262 §14.3.3 */
export function bind(reading: Reading, pattern: acorn.Pattern, value: Value, scope: Scope, declares: boolean): void {
  switch (pattern.type) {
    case 'Identifier':
      if (declares) scope.names.set(pattern.name, value);
      else assignName(reading, pattern.name, value, scope);
      return;
    case 'MemberExpression': {
      const base = reading.evaluate(pattern.object, scope);
      const key = memberKey(reading, pattern, scope);
      reading.node = pattern;
      if (key !== null) reading.set(base, key, value);
      else if (base instanceof Obj) base.open = true;
      return;
    }
    case 'AssignmentPattern': {
      const name = pattern.left.type === 'Identifier' ? pattern.left.name : '';
      return bind(
        reading,
        pattern.left,
        value === undefined ? reading.evaluate(pattern.right, scope, name) : value,
        scope,
        declares,
      );
    }
    case 'ArrayPattern': {
      const items = itemsOf(reading, value);
      pattern.elements.forEach((element, i) => {
        if (!element) return;
        if (element.type === 'RestElement')
          bind(
            reading,
            element.argument,
            items ? new Arr(reading.realm.protos.array, items.slice(i)) : UNKNOWN,
            scope,
            declares,
          );
        else bind(reading, element, items ? items[i] : UNKNOWN, scope, declares);
      });
      return;
    }
    case 'ObjectPattern':
      return bindObject(reading, pattern, value, scope, declares);
    case 'RestElement':
      return bind(reading, pattern.argument, value, scope, declares);
  }
}

function bindObject(
  reading: Reading,
  pattern: acorn.ObjectPattern,
  value: Value,
  scope: Scope,
  declares: boolean,
): void {
  const taken = new Set<string>();
  for (const property of pattern.properties) {
    if (property.type === 'RestElement') {
      const rest = new Obj(reading.realm.protos.object);
      if (value instanceof Unknown) rest.open = true;
      if (value instanceof Obj)
        for (const key of value.keys()) if (!taken.has(key)) rest.props.set(key, reading.get(value, key));
      bind(reading, property.argument, rest, scope, declares);
      continue;
    }
    const key = propertyKey(reading, property.key, property.computed, scope);
    if (key !== null) taken.add(key);
    bind(reading, property.value, key === null ? UNKNOWN : reading.get(value, key), scope, declares);
  }
}

function assignName(reading: Reading, name: string, value: Value, scope: Scope): void {
  const holder = scope.holder(name);
  if (holder && holder.names !== reading.realm.window.props) reading.put(holder.names, name, value);
  else reading.realm.setGlobal(reading, name, value);
}
