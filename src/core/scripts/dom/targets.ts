import safe from 'postcss-safe-parser';
import type { Reading } from '../reading.js';
import { splitTokens, withClasses } from '../../html/index.js';
import { El, Loose, type Value } from '../values.js';

/** An element whose attributes a script may read and set: one of the page, or one it made. */
export type Target = El | Loose;

export const isTarget = (value: Value): value is Target => value instanceof El || value instanceof Loose;

export function readAttribute(reading: Reading, target: Target, name: string): string | null {
  if (target instanceof Loose) return target.attributes.get(name) ?? null;
  return reading.standing.attribute(target.node, name) ?? null;
}

export function writeAttribute(reading: Reading, target: Target, name: string, value: string | null): void {
  const before = readAttribute(reading, target, name);
  if (before === value) return;
  if (target instanceof Loose) {
    reading.trail.note(() => target.attributes.set(name, before));
    target.attributes.set(name, value);
    return;
  }
  const names = name === 'class' ? changedClasses(before, value) : [];
  reading.setAttribute(target.node, name, value, names);
}

/** Class names that one value has and the other has not. */
function changedClasses(before: string | null, after: string | null): readonly string[] {
  const [old, now] = [splitTokens(before ?? ''), splitTokens(after ?? '')];
  return [...old.filter((name) => !now.includes(name)), ...now.filter((name) => !old.includes(name))];
}

export const classesOf = (reading: Reading, target: Target): readonly string[] =>
  splitTokens(readAttribute(reading, target, 'class') ?? '');

/** Adds and takes away class names. */
export function changeClasses(
  reading: Reading,
  target: Target,
  add: readonly string[],
  remove: readonly string[],
): void {
  const before = readAttribute(reading, target, 'class');
  const after = withClasses(before ?? '', add.filter(Boolean), remove);
  if (splitTokens(before ?? '').join(' ') === after) return;
  writeAttribute(reading, target, 'class', after);
}

/** `borderTop` and `border-top` alike. */
export const propertyName = (key: string): string =>
  key.startsWith('--')
    ? key
    : key
        .replace(/^(webkit|moz|ms)(?=[A-Z])/, '-$1')
        .replace(/[A-Z]/g, (c) => `-${c.toLowerCase()}`)
        .replace(/^css-float$/, 'float');

export function readStyle(reading: Reading, target: Target, property: string): string {
  let value = '';
  safe(readAttribute(reading, target, 'style') ?? '').walkDecls((declaration) => {
    if (declaration.prop === property) ({ value } = declaration);
  });
  return value;
}

/** Sets a declaration of the style attribute; an empty value takes it away. @spec cssom-1 §6.6 */
export function writeStyle(reading: Reading, target: Target, property: string, given: string): void {
  const before = readAttribute(reading, target, 'style');
  const important = /\s*!\s*important\s*$/i.test(given);
  const value = given.replace(/\s*!\s*important\s*$/i, '').trim();
  if (/[{};]/.test(value)) return;
  const kept: string[] = [];
  safe(before ?? '').walkDecls((declaration) => {
    if (declaration.prop !== property) kept.push(String(declaration));
  });
  if (value !== '') kept.push(`${property}: ${value}${important ? ' !important' : ''}`);
  const after = kept.join('; ');
  writeAttribute(reading, target, 'style', after === '' && before === null ? null : after);
}
