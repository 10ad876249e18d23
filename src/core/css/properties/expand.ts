import { parseComponents, sourceOf, type Component, type Computation } from '../values/index.js';
import { AFFECTS, type Affects } from './define.js';
import { logicalProperty, type Flow } from './logical.js';
import { ALIASES, SHORTHANDS } from './shorthands.js';
import { propertyIndex, PROPERTY_KEYS, cssName, ROWS } from './table.js';

const WIDE_KEYWORDS = ['inherit', 'initial', 'unset', 'revert', 'revert-layer'] as const;
export type WideKeyword = (typeof WIDE_KEYWORDS)[number];

/** One longhand set by a declaration. */
export interface Longhand {
  /** Position in the table; for a logical property, given once the flow is known. */
  readonly index: number;
  readonly logical: ((flow: Flow) => string) | null;
  readonly value: Computation<unknown> | WideKeyword;
}

/** Why a declaration sets nothing. `unknown`: no property of that name; `invalid`: not a value of it. */
export type Refusal = 'unknown' | 'invalid';

/** Longhands of `all`: everything but direction and unicode-bidi. @spec css-cascade-5 §3.2 */
const ALL = PROPERTY_KEYS.map(cssName).filter((name) => name !== 'direction' && name !== 'unicode-bidi');

/** Names of the longhands a property name sets, logical ones as they are; empty if it is unknown. */
export function longhandsOf(name: string): readonly string[] {
  const canonical = ALIASES[name] ?? name;
  if (canonical === 'all') return ALL;
  const shorthand = SHORTHANDS[canonical];
  if (shorthand) return shorthand.longhands;
  return propertyIndex(canonical) !== undefined || logicalProperty(canonical) ? [canonical] : [];
}

const cache = new Map<string, readonly Longhand[] | Refusal>();

/**
 * The longhands a declaration without var() sets, remembered by name and text.
 * @param unitless whether bare numbers count as px where quirks mode allows it
 * @spec css-cascade-5 §3, §7 (shorthands and the CSS-wide keywords)
 */
export function expandDeclaration(name: string, text: string, unitless = false): readonly Longhand[] | Refusal {
  const key = `${unitless ? 'q' : ''}${name}:${text}`;
  let known = cache.get(key);
  if (known === undefined) {
    if (cache.size > 50_000) cache.clear();
    known = expand(ALIASES[name] ?? name, text, unitless);
    cache.set(key, known);
  }
  return known;
}

const UNITLESS =
  /^(width|height|(min|max)-(width|height)|margin(-.+)?|padding(-.+)?|top|right|bottom|left|font-size|border-(.+-)?width|letter-spacing|word-spacing|text-indent|vertical-align)$/;

function expand(name: string, text: string, unitless: boolean): readonly Longhand[] | Refusal {
  const names = longhandsOf(name);
  if (names.length === 0) return 'unknown';
  let items = parseComponents(text);
  if (unitless && UNITLESS.test(name))
    items = items.map((item): Component =>
      item.type === 'number' ? { type: 'dimension', value: item.value, unit: 'px' } : item,
    );
  const wide = wideKeyword(items);
  if (wide) return names.map((longhand) => made(longhand, wide));
  if (name === 'all') return 'invalid';
  const shorthand = SHORTHANDS[name];
  if (!shorthand) return single(name, items, text);
  const pieces = shorthand.expand(items, text);
  if (!pieces) return 'invalid';
  const out: Longhand[] = [];
  for (const longhand of names) {
    const piece = pieces[longhand] ?? 'initial';
    if (piece === 'initial' || typeof piece === 'function') out.push(made(longhand, piece));
    else {
      const part = single(longhand, piece, sourceOf(piece));
      if (typeof part === 'string') return part;
      out.push(...part);
    }
  }
  return out;
}

function wideKeyword(items: readonly Component[]): WideKeyword | null {
  const [item] = items;
  if (items.length !== 1 || item?.type !== 'ident') return null;
  return (WIDE_KEYWORDS as readonly string[]).includes(item.name) ? (item.name as WideKeyword) : null;
}

function made(name: string, value: Longhand['value']): Longhand {
  const logical = logicalProperty(name);
  return { index: propertyIndex(logical?.like ?? name)!, logical: logical?.map ?? null, value };
}

function single(name: string, items: readonly Component[], text: string): readonly Longhand[] | Refusal {
  const logical = logicalProperty(name);
  const row = ROWS[propertyIndex(logical?.like ?? name)!]!;
  const value = row.parse(items, text);
  return value ? [made(name, value)] : 'invalid';
}

/** The strongest thing a declaration of a property can change; custom properties may change anything. */
export function affectsOf(name: string): Affects {
  if (name.startsWith('--')) return 'text';
  const ranks = longhandsOf(name).map((longhand) => {
    const row = ROWS[propertyIndex(logicalProperty(longhand)?.like ?? longhand) ?? -1];
    return row ? AFFECTS.indexOf(row.affects) : 0;
  });
  return AFFECTS[Math.max(0, ...ranks)]!;
}
