import type { ContentItem, PseudoElement } from '../../css/index.js';
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
  if (typeof content === 'string') return pseudo === 'marker' ? [] : null;
  return content.items.map((item): ContentPart => {
    switch (item.kind) {
      case 'picture':
        return { kind: 'image', url: item.url };
      case 'text':
        return { kind: 'text', text: item.text };
      case 'quote':
        return { kind: 'text', text: quotes.take(item.word, style.quotes) };
      case 'attribute':
        return { kind: 'text', text: counters.markup.attribute(element, item.name.toLowerCase()) ?? item.fallback };
      case 'counter':
        return { kind: 'text', text: counted(item, counters) };
    }
  });
}

/** @spec css-lists-3 §4.7 */
function counted({ name, style, between }: Extract<ContentItem, { kind: 'counter' }>, counters: Counters): string {
  const values = counters.values(name);
  if (between === null) return counterText(values[values.length - 1]!, style);
  return values.map((value) => counterText(value, style)).join(between);
}

type Quote = Extract<ContentItem, { kind: 'quote' }>['word'];

/** How deep in quotations the generated content stands. @spec css-content-3 §3 */
export class Quotes {
  #depth = 0;

  take(word: Quote, quotes: ComputedStyle['quotes']): string {
    if (word === 'open-quote') return this.#mark(quotes, this.#depth++, 0);
    if (word === 'no-open-quote') this.#depth++;
    else if (this.#depth > 0) {
      this.#depth--;
      if (word === 'close-quote') return this.#mark(quotes, this.#depth, 1);
    }
    return '';
  }

  #mark(quotes: ComputedStyle['quotes'], depth: number, which: 0 | 1): string {
    if (quotes.length === 0) return '';
    const pairs = quotes === 'auto' ? ['\u201c', '\u201d', '\u2018', '\u2019'] : quotes;
    const at = Math.min(depth, pairs.length / 2 - 1);
    return pairs[at * 2 + which] ?? '';
  }
}

/** Text of a list marker; empty for none. @spec css-counter-styles-3 §6 */
export function markerText(style: ComputedStyle, ordinal: number): string {
  const type = style.listStyleType;
  if ('marker' in type) return type.marker;
  if (type.name === 'none') return '';
  return BULLETS[type.name] ? `${BULLETS[type.name]} ` : `${counterText(ordinal, type.name)}. `;
}
