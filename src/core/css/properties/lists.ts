import { calc } from '@csstools/css-calc';
import { isIdent, itemText, splitCommas, type Component } from '../values/index.js';
import { row, type PropertyRow, type Traits } from './define.js';

/** Keywords side by side, in the order written; the value `empty` alone stands for none of them. */
export function words(
  empty: string,
  known: readonly string[] | null,
  traits: Traits = {},
  { commas = false } = {},
): PropertyRow<readonly string[]> {
  return row<readonly string[]>(
    [],
    (items) => {
      if (items.length === 1 && isIdent(items[0], empty)) return () => [];
      const given = commas ? items.filter((item) => !(item.type === 'delim' && item.value === ',')) : items;
      const names = given.map((item) => (item.type === 'ident' ? (known ? item.name : item.raw) : ''));
      if (names.length === 0 || new Set(names).size !== names.length) return null;
      if (!names.every((name) => name !== '' && name !== empty && (known?.includes(name) ?? true))) return null;
      return () => names;
    },
    (value) => (value.length === 0 ? empty : value.join(commas ? ', ' : ' ')),
    traits,
  );
}

/** Texts separated by commas, each as written. */
export function commaList(initial: string, traits: Traits = {}): PropertyRow<readonly string[]> {
  return row<readonly string[]>(
    [initial],
    (items) => {
      const parts = splitCommas(items);
      if (parts.length === 0 || parts.some((part) => part.length === 0 || part.some((item) => item.type === 'bad')))
        return null;
      const list = parts.map((part) => part.map(itemText).join(' '));
      return () => list;
    },
    (value) => value.join(', '),
    traits,
  );
}

/** One of some keywords for each layer, separated by commas. */
export function keywordLayers<const K extends string>(
  names: readonly K[],
  traits: Traits = {},
): PropertyRow<readonly K[]> {
  return row<readonly K[]>(
    [names[0]!],
    (items) => {
      const list = splitCommas(items).map((part) =>
        part.length === 1 && part[0]!.type === 'ident' ? names.find((name) => isIdent(part[0], name)) : undefined,
      );
      return list.length === 0 || list.includes(undefined) ? null : () => list as readonly K[];
    },
    (value) => value.join(', '),
    traits,
  );
}

/** A counter's name and a number. @spec css-lists-3 §4.1, §4.2 */
export type CounterChange = readonly [name: string, value: number];

export function counterChanges(missing: number, traits: Traits = {}): PropertyRow<readonly CounterChange[]> {
  return row<readonly CounterChange[]>(
    [],
    (items) => {
      if (items.length === 1 && isIdent(items[0], 'none')) return () => [];
      const out: [string, number][] = [];
      for (const item of items) {
        const reversed = item.type === 'function' && item.name === 'reversed' ? item.args[0] : undefined;
        const named = reversed ?? item;
        if (item.type === 'number' && Number.isInteger(item.value) && out.length > 0)
          out[out.length - 1]![1] = item.value;
        else if (named.type === 'ident') out.push([named.raw, missing]);
        else return null;
      }
      return out.length === 0 ? null : () => out;
    },
    (value) => (value.length === 0 ? 'none' : value.map(([name, by]) => `${name} ${by}`).join(' ')),
    traits,
  );
}

function readTime(item: Component | undefined): number | null {
  if (item?.type === 'dimension') return item.unit === 's' ? item.value : item.unit === 'ms' ? item.value / 1000 : null;
  if (item?.type !== 'function') return null;
  const [, value, unit] = /^([+-]?[\d.]+)(m?s)$/.exec(calc(item.node.toString())) ?? [];
  return value === undefined ? null : Number(value) / (unit === 'ms' ? 1000 : 1);
}

/** Times in seconds, separated by commas. @spec css-values-4 §7.2 */
export function times(least: number, traits: Traits = {}): PropertyRow<readonly number[]> {
  return row<readonly number[]>(
    [0],
    (items) => {
      const list = splitCommas(items).map((part) => (part.length === 1 ? readTime(part[0]) : null));
      return list.some((time) => time === null || time < least) ? null : () => list as readonly number[];
    },
    (value) => value.map((seconds) => `${seconds}s`).join(', '),
    traits,
  );
}
