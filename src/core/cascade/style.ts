import { AFFECTS, cssName, PROPERTY_KEYS, ROWS, type Affects, type ComputedValues } from '../css/index.js';
import type { Block, Winner } from './block.js';
import type { FontSizing } from './font-size.js';
import type { CustomProperties } from './variables.js';

/**
 * The computed values of one element in one setting, frozen. Elements with the same block below parents that
 * hand down the same share one object, so `a === b` means nothing differs.
 */
export class StyleObject {
  constructor(
    readonly values: readonly unknown[],
    readonly custom: CustomProperties,
    /** One of the styles it may stand below: all of them hand down the same, by the same declarations. */
    readonly parent: ComputedStyle | null,
    readonly block: Block,
    /** Longhand index → what set it; absent where the value is inherited or initial. */
    readonly winners: ReadonlyMap<number, Winner>,
    /** Where the font size comes from: it decides what the family `monospace` does to it. */
    readonly fontSizing: FontSizing,
    /** The font size that shares of it refer to, px: before what is too small to read is enlarged. */
    readonly askedFontSize: number,
    /** Values before box-type fixups: the display as the cascade gave it. */
    readonly specifiedDisplay: ComputedValues['display'],
  ) {}
}

for (const [index, key] of PROPERTY_KEYS.entries()) {
  Object.defineProperty(StyleObject.prototype, key, {
    get(this: StyleObject) {
      return this.values[index];
    },
  });
}

export type ComputedStyle = StyleObject & ComputedValues;

/** A style that differs in some values: of boxes the engine makes. */
export const withValues = (style: ComputedStyle, values: Partial<ComputedValues>): ComputedStyle =>
  Object.create(
    style,
    Object.fromEntries(Object.entries(values).map(([key, value]) => [key, { value, enumerable: true }])),
  ) as ComputedStyle;

/** The value as getComputedStyle serialises it where layout does not resolve it. */
export function printValue(style: ComputedStyle, index: number): string {
  return ROWS[index]!.print(style.values[index], { fontSize: style.fontSize, colour: style.color });
}

export const indexOf = (key: keyof ComputedValues): number => INDEX.get(key)!;
const INDEX = new Map(PROPERTY_KEYS.map((key, index) => [key, index]));

/** Places in the table of the properties that are inherited. */
export const INHERITED: readonly number[] = ROWS.flatMap((row, index) => (row.inherited ? [index] : []));
export const isInherited = (index: number): boolean => ROWS[index]!.inherited;

/** The declaration that set a property, or null if nothing did. */
export function winnerOf(style: ComputedStyle, key: keyof ComputedValues): Winner | null {
  return style.winners.get(indexOf(key)) ?? null;
}

/** The declaration an inherited property goes back to, or null if nothing set it on the way. */
export function originOf(style: ComputedStyle, key: keyof ComputedValues): Winner | null {
  for (let at: ComputedStyle | null = style; at; at = at.parent) {
    const winner = winnerOf(at, key);
    if (winner) return winner;
  }
  return null;
}

/** Places in the table of the properties that affect more than a kind. */
const beyond = (kind: Affects): readonly number[] =>
  ROWS.flatMap(({ affects }, index) => (AFFECTS.indexOf(affects) > AFFECTS.indexOf(kind) ? [index] : []));
const EVERYTHING = ROWS.map((_, index) => index);
const SHAPES = beyond('colour');
const LAID_OUT = beyond('paint');

function sameIn(places: readonly number[], a: ComputedStyle, b: ComputedStyle): boolean {
  for (const i of places) if (a.values[i] !== b.values[i] && !sameValue(a.values[i], b.values[i])) return false;
  return true;
}

/** Whether two styles of one element are the same in everything. */
export const hasSameValues = (a: ComputedStyle, b: ComputedStyle): boolean =>
  sameIn(EVERYTHING, a, b) &&
  a.specifiedDisplay === b.specifiedDisplay &&
  a.custom.size === b.custom.size &&
  [...a.custom].every(([name, value]) => b.custom.get(name) === value);

/** Whether two styles lead to the same boxes in the same order. */
export const differsInColourOnly = remembered(SHAPES);

/** Whether two styles ask for the same sizes, places and shapes of text, however differently they are painted. */
export const laidOutAlike = remembered(LAID_OUT);

/** Compares some values of two styles; the same two are compared again and again in the poses of a page. */
function remembered(places: readonly number[]): (a: ComputedStyle, b: ComputedStyle) => boolean {
  const known = new WeakMap<ComputedStyle, WeakMap<ComputedStyle, boolean>>();
  return (a, b) => {
    if (a === b) return true;
    let others = known.get(a);
    if (!others) known.set(a, (others = new WeakMap()));
    let same = others.get(b);
    if (same === undefined) others.set(b, (same = sameIn(places, a, b)));
    return same;
  };
}

const sameValue = (a: unknown, b: unknown): boolean =>
  typeof a === 'object' && typeof b === 'object' && JSON.stringify(a) === JSON.stringify(b);

/** All values that differ from another style, as text: for tests and the debug option. */
export function dumpStyle(style: ComputedStyle, against: ComputedStyle | null = null): string {
  return PROPERTY_KEYS.map((key, i) => ({
    name: cssName(key),
    value: printValue(style, i),
    other: against ? printValue(against, i) : null,
  }))
    .filter(({ value, other }) => value !== other)
    .map(({ name, value }) => `${name}: ${value}`)
    .join('\n');
}
