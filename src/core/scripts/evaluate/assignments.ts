import type * as acorn from 'acorn';
import type { Reading } from '../reading.js';
import { Obj, truth, UNKNOWN, type Scope, type Value } from '../values.js';
import { memberKey } from './keys.js';
import { binary, nullish, unary } from './operators.js';
import { bind } from './patterns.js';

/** What stands left of an equals sign: it is found once, before what stands to the right. */
interface Place {
  read(): Value;
  write(value: Value): void;
}

function placeOf(reading: Reading, left: acorn.Pattern | acorn.Expression, scope: Scope): Place {
  if (left.type === 'ParenthesizedExpression') return placeOf(reading, left.expression, scope);
  if (left.type !== 'MemberExpression' || left.object.type === 'Super')
    return {
      read: () => reading.evaluate(left as acorn.Expression, scope),
      write: (value) => bind(reading, left as acorn.Pattern, value, scope, false),
    };
  const base = reading.evaluate(left.object, scope);
  const key = memberKey(reading, left, scope);
  return {
    read: () => {
      reading.node = left;
      if (key !== null) return reading.get(base, key);
      return base === undefined || base === null ? reading.raise('TypeError', 'no object') : UNKNOWN;
    },
    write: (value) => {
      reading.node = left;
      if (key !== null) reading.set(base, key, value);
      else if (base instanceof Obj) base.open = true;
    },
  };
}

/** @spec ecma-262 §13.15 */
export function assignment(reading: Reading, node: acorn.AssignmentExpression, scope: Scope): Value {
  const { left, right, operator } = node;
  const place = placeOf(reading, left, scope);
  const value = (): Value => reading.evaluate(right, scope, left.type === 'Identifier' ? left.name : '');
  const give = (given: Value): Value => {
    place.write(given);
    return given;
  };
  if (operator === '=') return give(value());
  const before = place.read();
  if (operator !== '||=' && operator !== '&&=' && operator !== '??=')
    return give(binary(reading, operator.slice(0, -1), before, value()));
  const known = operator === '??=' ? nullish(before) : truth(before);
  if (known === null) {
    reading.perhaps(() => void value());
    return give(UNKNOWN);
  }
  return (operator === '||=') === known ? before : give(value());
}

/** @spec ecma-262 §13.4 */
export function update(reading: Reading, node: acorn.UpdateExpression, scope: Scope): Value {
  const place = placeOf(reading, node.argument, scope);
  const before = unary('+', place.read());
  const after = binary(reading, node.operator === '++' ? '+' : '-', before, 1);
  place.write(after);
  return node.prefix ? after : before;
}
