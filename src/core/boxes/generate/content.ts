import { parseComponents, type Component, type PseudoElement } from '../../css/index.js';
import type { ComputedStyle } from '../../cascade/index.js';
import type { ElementNode } from '../../html/index.js';
import { BULLETS, counterText } from './counter-styles.js';
import type { Counters } from './counters.js';

export type ContentPart =
  { readonly kind: 'text'; readonly text: string } | { readonly kind: 'image'; readonly url: string };

/** What generated content can refer to where it stands. */
export interface Around {
  readonly counters: Counters;
  readonly quotes: Quotes;
}

/** What `content` generates; null where the pseudo-element makes no box. @spec css-content-3 §2 */
export function generatedContent(
  style: ComputedStyle,
  element: ElementNode,
  pseudo: PseudoElement,
  { counters, quotes }: Around,
): readonly ContentPart[] | null {
  const { content } = style;
  if (content === 'none' || content === 'normal') return pseudo === 'marker' ? [] : null;
  const parts: ContentPart[] = [];
  const add = (text: string) => parts.push({ kind: 'text', text });
  for (const item of parseComponents(content)) {
    if (item.type === 'delim' && item.value === '/') break;
    if (item.type === 'string') add(item.value);
    else if (item.type === 'url') parts.push({ kind: 'image', url: item.value });
    else if (item.type === 'ident' && item.name.endsWith('-quote')) add(quotes.take(item.name, style.quotes));
    else if (item.type !== 'function') continue;
    else if (item.name === 'url')
      parts.push({ kind: 'image', url: item.args[0]?.type === 'string' ? item.args[0].value : '' });
    else if (item.name === 'attr') {
      const name = item.args[0]?.type === 'ident' ? item.args[0].raw : '';
      add(counters.markup.attribute(element, name.toLowerCase()) ?? '');
    } else if (item.name === 'counter' || item.name === 'counters') add(counted(item.name, item.args, counters));
  }
  return parts;
}

/** @spec css-lists-3 §4.7 */
function counted(kind: 'counter' | 'counters', args: readonly Component[], counters: Counters): string {
  const words = args.filter((a) => a.type === 'ident' || a.type === 'string');
  const name = words[0]?.type === 'ident' ? words[0].raw : '';
  const style = words[kind === 'counter' ? 1 : 2];
  const type = style?.type === 'ident' ? style.raw.toLowerCase() : 'decimal';
  const values = counters.values(name);
  if (kind === 'counter') return counterText(values[values.length - 1]!, type);
  const between = words[1]?.type === 'string' ? words[1].value : '';
  return values.map((value) => counterText(value, type)).join(between);
}

/** How deep in quotations the generated content stands. @spec css-content-3 §3 */
export class Quotes {
  #depth = 0;

  take(word: string, quotes: string): string {
    if (word === 'open-quote') return this.#mark(quotes, this.#depth++, 0);
    if (word === 'no-open-quote') this.#depth++;
    else if (this.#depth > 0) {
      this.#depth--;
      if (word === 'close-quote') return this.#mark(quotes, this.#depth, 1);
    }
    return '';
  }

  #mark(quotes: string, depth: number, which: 0 | 1): string {
    if (quotes === 'none') return '';
    const own = [...quotes.matchAll(/(["'])((?:\\.|(?!\1)[^])*)\1/g)].map((m) => m[2]!.replace(/\\(.)/g, '$1'));
    const pairs = own.length >= 2 ? own : ['\u201c', '\u201d', '\u2018', '\u2019'];
    const at = Math.min(depth, pairs.length / 2 - 1);
    return pairs[at * 2 + which] ?? '';
  }
}

/** Text of a list marker; empty for none. @spec css-counter-styles-3 §6 */
export function markerText(style: ComputedStyle, ordinal: number): string {
  const type = style.listStyleType;
  if (type === 'none') return '';
  const string = /^(["'])([^]*)\1$/.exec(type);
  if (string) return string[2]!;
  return BULLETS[type] ? `${BULLETS[type]} ` : `${counterText(ordinal, type)}. `;
}
