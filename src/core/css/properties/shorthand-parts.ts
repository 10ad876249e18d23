import { isIdent, sourceOf, type Component, type Computation } from '../values/index.js';
import { PROPERTIES, propertyIndex, PROPERTY_KEYS } from './table.js';
import { logicalProperty } from './logical.js';

/** A longhand's part of a shorthand: components and text to parse, a computation, or its initial value. */
export type Piece = readonly Component[] | Computation<unknown> | 'initial';

export type Pieces = Readonly<Record<string, Piece>>;

export interface Shorthand {
  readonly longhands: readonly string[];
  /** Null if the value is not valid; longhands left out take their initial value. */
  readonly expand: (items: readonly Component[], text: string) => Pieces | null;
}

export const accepts = (longhand: string, items: readonly Component[]): boolean => {
  const index = propertyIndex(longhand) ?? propertyIndex(logicalProperty(longhand)?.like ?? '');
  return index !== undefined && PROPERTIES[PROPERTY_KEYS[index]!].parse(items, sourceOf(items)) !== null;
};

/** One to four values for four sides, as margin has them. */
export function sides(names: readonly string[]): Shorthand {
  return {
    longhands: names,
    expand: (items) => {
      if (items.length < 1 || items.length > 4 || !items.every((item) => accepts(names[0]!, [item]))) return null;
      const [a, b = a, c = a, d = b] = items as [Component, ...Component[]];
      return Object.fromEntries([a, b, c, d].map((item, i) => [names[i]!, [item!]]));
    },
  };
}

/** One or two values for a start and an end. */
export function ends(first: string, second: string): Shorthand {
  return {
    longhands: [first, second],
    expand: (items) => {
      if (items.length < 1 || items.length > 2 || !items.every((item) => accepts(first, [item]))) return null;
      return { [first]: [items[0]!], [second]: [items[1] ?? items[0]!] };
    },
  };
}

/** Values in any order, each for the first longhand that takes it. */
export function anyOrder(names: readonly string[], also: readonly string[] = []): Shorthand {
  return {
    longhands: [...names, ...also],
    expand: (items) => {
      const pieces: Record<string, Piece> = {};
      for (const item of items) {
        const name = names.find((n) => !(n in pieces) && accepts(n, [item]));
        if (!name) return null;
        pieces[name] = [item];
      }
      return items.length === 0 ? null : pieces;
    },
  };
}

export const SIDES = ['top', 'right', 'bottom', 'left'] as const;

export const ident = (name: string): Component => ({ type: 'ident', name, raw: name });

/** Alignment shorthands: one value for both, or one each; two-word values are tried greedily. */
export function place(first: string, second: string): Shorthand {
  return {
    longhands: [first, second],
    expand: (items) => {
      for (let cut = items.length; cut >= 1; cut--) {
        const a = items.slice(0, cut);
        const b = items.slice(cut);
        if (accepts(first, a) && accepts(second, b.length > 0 ? b : a))
          return { [first]: a, [second]: b.length > 0 ? b : a };
      }
      return null;
    },
  };
}

/** Name of a container, and what it answers. @spec css-conditional-5 §2.3 */
export const container: Shorthand = {
  longhands: ['container-name', 'container-type'],
  expand: (items) => {
    const slash = items.findIndex((item) => item.type === 'delim' && item.value === '/');
    const [name, type] = slash < 0 ? [items, []] : [items.slice(0, slash), items.slice(slash + 1)];
    if (!accepts('container-name', name) || (slash >= 0 && !accepts('container-type', type))) return null;
    return { 'container-name': name, ...(slash < 0 ? {} : { 'container-type': type }) };
  },
};

/** What an anchored box tries in turn; which way it is chosen comes first. @spec css-anchor-position-1 §6.3 */
export const positionTry: Shorthand = {
  longhands: ['position-try-order', 'position-try-fallbacks'],
  expand: (items) => {
    const order = isIdent(items[0], 'normal', 'most-width', 'most-height', 'most-block-size', 'most-inline-size');
    const fallbacks = order ? items.slice(1) : items;
    if (!accepts('position-try-fallbacks', fallbacks)) return null;
    return { ...(order ? { 'position-try-order': [items[0]!] } : {}), 'position-try-fallbacks': fallbacks };
  },
};
