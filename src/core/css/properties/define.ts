import {
  hasPercent,
  isIdent,
  printColour,
  printLength,
  printNumber,
  px,
  readAnchored,
  readColour,
  readLength,
  readNumber,
  ZERO,
  type Component,
  type Computation,
  type LengthOptions,
  type LengthPercentage,
  type Rgba,
} from '../values/index.js';

/** What printing may need besides the value. Lengths in px. */
export interface PrintContext {
  readonly fontSize: number;
  /** The text's own colour. */
  readonly colour: Rgba;
}

/** One property: everything the cascade must know of it. `percent` names what percentages refer to. */
export interface PropertyRow<T> {
  readonly inherited: boolean;
  readonly initial: Computation<T>;
  /** Null if the value is not valid for the property. */
  readonly parse: (items: readonly Component[], text: string) => Computation<T> | null;
  /** As getComputedStyle serialises it where layout does not resolve it. */
  readonly print: (value: T, context: PrintContext) => string;
  readonly percent?: 'inline-size' | 'block-size' | 'own-box' | 'font-size' | 'line-height';
  /** The strongest thing a change of the value can change. */
  readonly affects: Affects;
  /** How it is named in flows of other directions: `margin-{side}`, `{size}`, `overflow-{axis}`. */
  readonly turns?: string;
  /** What boxes with the value become, in words; null for values that change nothing. */
  readonly makes?: Makes<T>;
}

/**
 * From the weakest on: nothing to see; what surrounds text (outlines, borders' colours, shadows); colours of text and
 * grounds; what is painted where and in which order; sizes and places; the text's own shapes.
 */
export const AFFECTS = ['nothing', 'edge', 'colour', 'paint', 'layout', 'text'] as const;
export type Affects = (typeof AFFECTS)[number];

/** A stacking context; a containing block for absolute and fixed boxes; a formatting context of its own. */
export type Making = 'stacking' | 'containing' | 'formatting';

/** What values of a property make of a box, each as a reason in words. */
export type Makes<T> = { readonly [K in Making]?: (value: T) => string | null } & {
  /** Of boxes that can be transformed only: not of inline boxes. */
  readonly only?: 'transformable';
};

type Parse<T> = PropertyRow<T>['parse'];
export interface Traits {
  readonly inherited?: boolean;
  readonly percent?: NonNullable<PropertyRow<unknown>['percent']>;
  readonly affects?: Affects;
  readonly turns?: string;
}

export function row<T>(
  initial: T | Computation<T>,
  parse: Parse<T>,
  print: PropertyRow<T>['print'],
  traits: Traits = {},
): PropertyRow<T> {
  const start = typeof initial === 'function' ? (initial as Computation<T>) : () => initial;
  return Object.freeze({
    inherited: traits.inherited ?? false,
    initial: start,
    parse,
    print,
    affects: traits.affects ?? 'layout',
    ...(traits.percent ? { percent: traits.percent } : {}),
    ...(traits.turns ? { turns: traits.turns } : {}),
  });
}

/** The same row, saying what its values make of a box. */
export const making = <T>(one: PropertyRow<T>, makes: Makes<T>): PropertyRow<T> => Object.freeze({ ...one, makes });

type Rows = Readonly<Record<string, PropertyRow<never>>>;

/** Rows that all affect the same. */
export const affecting = <const R extends object>(affects: Affects, rows: R): R =>
  Object.fromEntries(Object.entries(rows as Rows).map(([key, one]) => [key, Object.freeze({ ...one, affects })])) as R;

/** One item, or nothing. */
export const single =
  <T>(read: (item: Component) => Computation<T> | null): Parse<T> =>
  (items) =>
    items.length === 1 ? read(items[0]!) : null;

/** One of the listed keywords; the first is the initial value. */
export function keyword<const K extends string>(
  names: readonly K[],
  traits: Traits = {},
  aliases: Readonly<Record<string, K>> = {},
): PropertyRow<K> {
  const known = new Map<string, Computation<K>>(names.map((name) => [name, () => name]));
  for (const [alias, name] of Object.entries(aliases)) known.set(alias, () => name);
  const parse: Parse<K> = single((item) => (item.type === 'ident' ? (known.get(item.name) ?? null) : null));
  return row<K>(names[0]!, parse, (value) => value, traits);
}

export function colour(initial: Computation<Rgba>, traits: Traits = {}): PropertyRow<Rgba> {
  return row<Rgba>(initial, single(readColour), printColour, traits);
}

export function length(
  initial: number,
  options: LengthOptions = {},
  traits: Traits = {},
): PropertyRow<LengthPercentage> {
  return row<LengthPercentage>(
    px(initial),
    single((item) => readLength(item, options)),
    printLength,
    traits,
  );
}

/** A length or one of some keywords; the first keyword, or a px figure, is the initial value. */
export function lengthOr<const K extends string>(
  initial: K | number,
  names: readonly K[],
  options: LengthOptions = {},
  traits: Traits = {},
): PropertyRow<LengthPercentage | K> {
  const keywords = keyword(names);
  return row<LengthPercentage | K>(
    typeof initial === 'number' ? px(initial) : initial,
    (items, text) => keywords.parse(items, text) ?? single((item) => readLength(item, options))(items, text),
    (value) => (typeof value === 'string' ? value : printLength(value)),
    traits,
  );
}

export function number(
  initial: number,
  options: Parameters<typeof readNumber>[1] = {},
  traits: Traits = {},
): PropertyRow<number> {
  return row<number>(
    initial,
    single((item) => readNumber(item, options)),
    printNumber,
    traits,
  );
}

/** Kept as written: the property is known and valid as far as we look, but nothing here computes with it. */
export function text(
  initial: string,
  accept: (items: readonly Component[]) => boolean = (items) => items.length > 0,
  traits: Traits = {},
): PropertyRow<string> {
  return row<string>(
    initial,
    (items, source) => {
      if (!accept(items) || items.some((item) => item.type === 'bad')) return null;
      const value = source.trim().replace(/\s+/g, ' ');
      const fixed = items.length === 1 && items[0]!.type === 'ident' ? items[0]!.name : value;
      return () => fixed;
    },
    (value) => value,
    traits,
  );
}

/** A preferred, minimum or maximum size. @spec css-sizing-3 §3.1 */
export type Sizing =
  | 'auto'
  | 'none'
  | 'min-content'
  | 'max-content'
  | 'fit-content'
  | 'stretch'
  | LengthPercentage
  | { readonly fit: LengthPercentage };

const SIZE_KEYWORDS: Readonly<Record<string, Sizing>> = {
  'min-content': 'min-content',
  'max-content': 'max-content',
  'fit-content': 'fit-content',
  stretch: 'stretch',
  '-webkit-fill-available': 'stretch',
  '-moz-available': 'stretch',
  '-webkit-min-content': 'min-content',
  '-webkit-max-content': 'max-content',
  '-webkit-fit-content': 'fit-content',
  intrinsic: 'max-content',
  'min-intrinsic': 'min-content',
};

export function sizing(
  initial: 'auto' | 'none',
  percent: 'inline-size' | 'block-size',
  turns?: string,
): PropertyRow<Sizing> {
  const read = (item: Component): Computation<Sizing> | null => {
    if (isIdent(item, initial)) return () => initial;
    if (item.type === 'ident') {
      const known = item.name === '-moz-available' ? undefined : SIZE_KEYWORDS[item.name];
      return known === undefined ? null : () => known;
    }
    if (item.type === 'function' && item.name === 'fit-content' && item.args.length === 1) {
      const inner = readLength(item.args[0], { negative: false });
      return inner ? (c) => ({ fit: inner(c) }) : null;
    }
    return readLength(item, { negative: false }) ?? readAnchored(item, { negative: false });
  };
  return row<Sizing>(initial, single(read), printSizing, { percent, ...(turns ? { turns } : {}) });
}

export function printSizing(value: Sizing): string {
  if (typeof value === 'string') return value;
  return 'fit' in value ? `fit-content(${printLength(value.fit)})` : printLength(value);
}

export const isLengthPercentage = (value: Sizing): value is LengthPercentage =>
  typeof value !== 'string' && !('fit' in value);

/** Two lengths with the second defaulting to the first. */
export function pair(
  initial: number,
  options: LengthOptions = {},
  traits: Traits = {},
  settle: (length: LengthPercentage) => LengthPercentage = (length) => length,
): PropertyRow<readonly [LengthPercentage, LengthPercentage]> {
  return row<readonly [LengthPercentage, LengthPercentage]>(
    [px(initial), px(initial)],
    (items) => {
      const first = readLength(items[0], options);
      const second = items.length > 1 ? readLength(items[1], options) : first;
      return items.length <= 2 && first && second ? (c) => [settle(first(c)), settle(second(c))] : null;
    },
    ([a, b]) => (printLength(a) === printLength(b) ? printLength(a) : `${printLength(a)} ${printLength(b)}`),
    traits,
  );
}

export { hasPercent, ZERO };
