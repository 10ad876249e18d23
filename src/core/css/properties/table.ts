import { BORDERS } from './borders.js';
import { BOX } from './box.js';
import type { Making, PropertyRow } from './define.js';
import { FLEX } from './flex.js';
import { FONTS } from './fonts.js';
import { TEXT } from './text.js';
import { VISUAL } from './visual.js';

/** Every property the engine knows, one row each; keys are the CSS names in camel case. */
export const PROPERTIES = { ...BOX, ...BORDERS, ...FONTS, ...TEXT, ...FLEX, ...VISUAL } as const;

export type PropertyKey = keyof typeof PROPERTIES;

/** The computed values of an element, typed by the rows of the table. */
export type ComputedValues = {
  readonly [K in PropertyKey]: (typeof PROPERTIES)[K] extends PropertyRow<infer T> ? T : never;
};

export const PROPERTY_KEYS = Object.freeze(Object.keys(PROPERTIES) as PropertyKey[]);
const groups = [BOX, BORDERS, FONTS, TEXT, FLEX, VISUAL];
if (groups.reduce((sum, group) => sum + Object.keys(group).length, 0) !== PROPERTY_KEYS.length)
  throw new Error('a property stands in two rows');

/** `borderTopWidth` → `border-top-width`; vendor prefixes get their leading hyphen. */
export const cssName = (key: PropertyKey): string =>
  key.replace(/[A-Z]/g, (c) => `-${c.toLowerCase()}`).replace(/^webkit-/, '-webkit-');

const indexes = new Map<string, number>(PROPERTY_KEYS.map((key, index) => [cssName(key), index]));

/** Position of a longhand in PROPERTY_KEYS by its CSS name; undefined if the engine does not know it. */
export const propertyIndex = (name: string): number | undefined => indexes.get(name);

export const ROWS: readonly PropertyRow<unknown>[] = PROPERTY_KEYS.map(
  (key) => PROPERTIES[key] as PropertyRow<unknown>,
);

/** One way in which a property's value makes something of a box. */
export interface Maker {
  readonly key: PropertyKey;
  readonly transformable: boolean;
  says(value: unknown): string | null;
}

/** The properties some values of which make a stacking context, a containing block or a formatting context. */
export function makersOf(kind: Making): readonly Maker[] {
  return PROPERTY_KEYS.flatMap((key, i): Maker[] => {
    const { makes } = ROWS[i]!;
    const says = makes?.[kind];
    return says ? [{ key, transformable: makes.only === 'transformable', says }] : [];
  });
}
