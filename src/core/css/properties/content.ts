import { isIdent, splitAt, splitCommas, type Component } from '../values/index.js';
import { row, type PropertyRow } from './define.js';

/** One part of generated content. @spec css-content-3 §2 */
export type ContentItem =
  | { readonly kind: 'text'; readonly text: string }
  | { readonly kind: 'picture'; readonly url: string }
  | { readonly kind: 'quote'; readonly word: 'open-quote' | 'close-quote' | 'no-open-quote' | 'no-close-quote' }
  | { readonly kind: 'attribute'; readonly name: string; readonly fallback: string }
  /** `between` joins the values of all counters of the name; null asks for the innermost alone. */
  | { readonly kind: 'counter'; readonly name: string; readonly style: string; readonly between: string | null };

export interface Content {
  readonly items: readonly ContentItem[];
  /** What is read aloud in its place, or null. @spec css-content-3 §1.2 */
  readonly alternative: readonly ContentItem[] | null;
  readonly text: string;
}

function readItem(item: Component): ContentItem | null {
  if (item.type === 'string') return { kind: 'text', text: item.value };
  const picture = readPicture(item);
  if (picture !== null) return { kind: 'picture', url: picture };
  if (item.type === 'ident')
    return /^(no-)?(open|close)-quote$/.test(item.name) ? { kind: 'quote', word: item.name as 'open-quote' } : null;
  if (item.type !== 'function') return null;
  const [first] = item.args;
  switch (item.name) {
    case 'attr': {
      const [, fallback] = splitCommas(item.args);
      const other = fallback?.[0]?.type === 'string' ? fallback[0].value : '';
      return first?.type === 'ident' ? { kind: 'attribute', name: first.raw, fallback: other } : null;
    }
    case 'counter':
    case 'counters':
      return readCounter(item.name, item.args);
    default:
      return null;
  }
}

/** The address of a picture, empty for one that is computed; null for what is none. @spec css-images-4 §2 */
export function readPicture(item: Component): string | null {
  if (item.type === 'url') return item.value;
  if (item.type !== 'function') return null;
  const [first] = item.args;
  if (item.name === 'url' || item.name === 'src') return first?.type === 'string' ? first.value : null;
  return /-gradient$|^(-webkit-)?image-set$/.test(item.name) ? '' : null;
}

/** @spec css-lists-3 §4.7 */
function readCounter(kind: 'counter' | 'counters', args: readonly Component[]): ContentItem | null {
  const [name, second, third] = splitCommas(args).map((part) => part[0]);
  if (name?.type !== 'ident') return null;
  const between = kind === 'counters' ? second : undefined;
  if (kind === 'counters' && between?.type !== 'string') return null;
  const style = kind === 'counters' ? third : second;
  return {
    kind: 'counter',
    name: name.raw,
    style: style?.type === 'ident' ? style.raw.toLowerCase() : 'decimal',
    between: between?.type === 'string' ? between.value : null,
  };
}

/** `normal`, `none`, or what is generated. */
export const content: PropertyRow<'normal' | 'none' | Content> = row<'normal' | 'none' | Content>(
  'normal',
  (items, source) => {
    const [only] = items;
    if (items.length === 1 && isIdent(only, 'normal', 'none')) return () => (only as { name: 'normal' }).name;
    const [shown, spoken] = splitAt(items, '/').map((part) => part.map(readItem));
    if (!shown || shown.length === 0 || [...shown, ...(spoken ?? [])].includes(null)) return null;
    const text = source.trim().replace(/\s+/g, ' ');
    const value: Content = {
      items: shown as ContentItem[],
      alternative: (spoken as ContentItem[] | undefined) ?? null,
      text,
    };
    return () => value;
  },
  (value) => (typeof value === 'string' ? value : value.text),
  { affects: 'layout' },
);
