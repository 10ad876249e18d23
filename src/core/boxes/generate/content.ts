import { parseComponents, type PseudoElement } from '../../css/index.js';
import type { ComputedStyle } from '../../cascade/index.js';
import type { ElementNode } from '../../html/index.js';

export type ContentPart =
  { readonly kind: 'text'; readonly text: string } | { readonly kind: 'image'; readonly url: string };

/**
 * What `content` generates; null where the pseudo-element makes no box.
 * Counters print nothing yet: their text is left out.
 * @spec css-content-3 §2
 */
export function generatedContent(
  style: ComputedStyle,
  element: ElementNode,
  pseudo: PseudoElement,
): readonly ContentPart[] | null {
  const { content } = style;
  if (content === 'none' || content === 'normal') return pseudo === 'marker' ? [] : null;
  const parts: ContentPart[] = [];
  const add = (text: string) => parts.push({ kind: 'text', text });
  for (const item of parseComponents(content)) {
    if (item.type === 'delim' && item.value === '/') break;
    if (item.type === 'string') add(item.value);
    else if (item.type === 'url') parts.push({ kind: 'image', url: item.value });
    else if (item.type === 'function' && item.name === 'url')
      parts.push({ kind: 'image', url: item.args[0]?.type === 'string' ? item.args[0].value : '' });
    else if (item.type === 'function' && item.name === 'attr') {
      const name = item.args[0]?.type === 'ident' ? item.args[0].raw : '';
      add(element.attributes.get(name.toLowerCase()) ?? '');
    } else if (item.type === 'ident' && item.name.endsWith('-quote')) add(quote(item.name));
  }
  return parts;
}

function quote(name: string): string {
  if (name === 'open-quote') return '\u201c';
  return name === 'close-quote' ? '\u201d' : '';
}

const BULLETS: Readonly<Record<string, string>> = {
  disc: '\u2022 ',
  circle: '\u25e6 ',
  square: '\u25aa ',
  'disclosure-closed': '\u25b8 ',
  'disclosure-open': '\u25be ',
};

/** Text of a list marker; empty for none. @spec css-counter-styles-3 §6 */
export function markerText(style: ComputedStyle, ordinal: number): string {
  const type = style.listStyleType;
  if (type === 'none') return '';
  const string = /^(["'])([^]*)\1$/.exec(type);
  if (string) return string[2]!;
  return BULLETS[type] ?? `${counter(ordinal, type)}. `;
}

function counter(value: number, type: string): string {
  const alphabetic = (base: number) => {
    let text = '';
    for (let n = value; n > 0; n = Math.floor((n - 1) / 26)) text = String.fromCharCode(base + ((n - 1) % 26)) + text;
    return text || String(value);
  };
  if (/^lower-(alpha|latin)$/.test(type)) return alphabetic(97);
  if (/^upper-(alpha|latin)$/.test(type)) return alphabetic(65);
  if (/^(lower|upper)-roman$/.test(type)) return type.startsWith('lower') ? roman(value).toLowerCase() : roman(value);
  return type === 'decimal-leading-zero' && value >= 0 && value < 10 ? `0${value}` : String(value);
}

const NUMERALS: readonly (readonly [number, string])[] = [
  [1000, 'M'],
  [900, 'CM'],
  [500, 'D'],
  [400, 'CD'],
  [100, 'C'],
  [90, 'XC'],
  [50, 'L'],
  [40, 'XL'],
  [10, 'X'],
  [9, 'IX'],
  [5, 'V'],
  [4, 'IV'],
  [1, 'I'],
];

function roman(value: number): string {
  if (value < 1 || value > 3999) return String(value);
  let text = '';
  let rest = value;
  for (const [size, digits] of NUMERALS)
    while (rest >= size) {
      text += digits;
      rest -= size;
    }
  return text;
}
