import { SourceText } from '../../base/index.js';
import { makeFunction } from '../evaluate/functions.js';
import { parseFunction } from '../parse.js';
import type { Reading } from '../reading.js';
import { readAttribute } from './targets.js';
import { Scope, type El, type Fn, type Value } from '../values.js';

const made = new WeakMap<El, Map<string, { readonly text: string; readonly value: Value }>>();

/** The handler an attribute such as `onclick` holds; undefined without one. @spec html §8.1.8.1 */
export function attributeHandler(reading: Reading, self: El, name: string): Value {
  const text = readAttribute(reading, self, name);
  if (text === null || text.trim() === '') return undefined;
  let known = made.get(self);
  if (!known) made.set(self, (known = new Map()));
  const before = known.get(name);
  if (before?.text === text) return before.value;
  const value = compile(reading, self, name, text);
  known.set(name, { text, value });
  return value;
}

function compile(reading: Reading, self: El, name: string, text: string): Value {
  const span = self.node.attributeSpan(name);
  const source = new SourceText(
    span?.source.name ?? reading.document.source.name,
    text,
    span ? span.start : 0,
    span?.source ?? null,
  );
  const node = parseFunction(text);
  if (!node) {
    reading.note('it cannot be read', self.node);
    return undefined;
  }
  const before = reading.source;
  reading.source = source;
  const fn: Fn = makeFunction(reading, node, new Scope(null), name);
  reading.source = before;
  return fn;
}
