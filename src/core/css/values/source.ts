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
