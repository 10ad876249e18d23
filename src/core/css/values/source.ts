import type { Component } from './components.js';

/** Text of components good enough for rows that keep text. */
export function sourceOf(items: readonly Component[]): string {
  return items.map(itemText).join(' ').replace(/ ,/g, ',');
}

/** A component as a sheet would write it. */
export function itemText(item: Component): string {
  switch (item.type) {
    case 'ident':
      return item.raw;
    case 'number':
      return String(item.value);
    case 'percentage':
      return `${item.value}%`;
    case 'dimension':
      return `${item.value}${item.unit}`;
    case 'string':
      return JSON.stringify(item.value);
    case 'hash':
      return `#${item.value}`;
    case 'url':
      return `url("${item.value}")`;
    case 'delim':
      return item.value;
    case 'function':
      return item.node.toString();
    case 'block':
      return `${item.open}${sourceOf(item.args)}${item.open === '[' ? ']' : item.open === '(' ? ')' : '}'}`;
    case 'bad':
      return '';
  }
}

/** Where the bracket closes that is open at an index of a text; -1 where it does not. Brackets in strings are none. */
export function closingBracket(text: string, from: number): number {
  let depth = 1;
  for (let i = from; i < text.length; i++) {
    const c = text[i]!;
    if (c === '"' || c === "'") {
      const end = text.indexOf(c, i + 1);
      if (end < 0) return -1;
      i = end;
    } else if (c === '(') depth++;
    else if (c === ')' && --depth === 0) return i;
  }
  return -1;
}

/** Brackets inside each other that conditions are read to. */
const DEEPEST = 256;

/** Whether brackets of a text are nested deeper than is read. */
export function isTooDeep(text: string): boolean {
  let depth = 0;
  for (const c of text) {
    if (c === '(') depth++;
    else if (c === ')') depth--;
    if (depth > DEEPEST) return true;
  }
  return false;
}
