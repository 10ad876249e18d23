import { compileMedia, type Medium } from '../css/index.js';
import type { ElementNode } from '../html/index.js';
import type { ContainerQuery } from '../sheets/index.js';
import type { ComputedStyle } from './style.js';

/** Content-box sizes of size containers as last laid out, px, by element. */
export type ContainerSizes = ReadonlyMap<ElementNode, { readonly width: number; readonly height: number }>;

/** The style of an element by its index. */
type Styles = (index: number) => ComputedStyle;

export const NO_CONTAINERS: ContainerSizes = new Map();

/** What a container answers queries about. */
function sizesOf(style: ComputedStyle): 'none' | 'inline' | 'both' {
  const types = style.containerType;
  return types.includes('size') ? 'both' : types.includes('inline-size') ? 'inline' : 'none';
}

export const isContainer = (style: ComputedStyle): boolean => sizesOf(style) !== 'none';

const ASKS_SIZE = /\b(width|height|inline-size|block-size|aspect-ratio|orientation)\b/i;
const ASKS_HEIGHT = /\b(block-size|height|aspect-ratio|orientation)\b/i;

/** The nearest ancestor that can answer a query. @spec css-contain-3 §3.1 */
function containerFor(query: ContainerQuery, element: ElementNode, styles: Styles): ElementNode | null {
  const needsHeight = ASKS_HEIGHT.test(query.text.replace(STYLE, ''));
  for (let e = element.parent; e; e = e.parent) {
    const style = styles(e.index);
    const kind = sizesOf(style);
    if (kind === 'none' || (needsHeight && kind !== 'both')) continue;
    if (query.name !== null && !style.containerName.includes(query.name)) continue;
    return e;
  }
  return null;
}

/** What a query asks of a custom property: its name, and the value where one is asked for. @spec css-conditional-5 §4.3 */
const STYLE = /\bstyle\(\s*(--[-\w]+)\s*(?::((?:[^()]|\([^()]*\))*))?\)/gi;
const ALWAYS = '(min-width: 0px)';
const NEVER = '(max-width: -1px)';
const NO_SIZE = { width: 0, height: 0 };

const plain = (value: string): string => value.trim().replace(/\s+/g, ' ');

function namedAncestor({ name }: ContainerQuery, element: ElementNode, styles: Styles): ElementNode | null {
  let e = element.parent;
  while (e && name !== null && !styles(e.index).containerName.includes(name)) e = e.parent;
  return e;
}

/** Size of the nearest container container lengths refer to. @spec css-contain-3 §7 */
export function nearestSize(
  element: ElementNode,
  styles: Styles,
  sizes: ContainerSizes,
): { readonly width: number; readonly height: number } | null {
  if (sizes.size === 0) return null;
  for (let e = element.parent; e; e = e.parent) if (isContainer(styles(e.index))) return sizes.get(e) ?? null;
  return null;
}

/**
 * Whether a size query holds for an element; false where no container is there or none was laid out yet.
 * Relative lengths in the query count from the initial font size.
 * @spec css-contain-3 §3, §6
 */
export function containerHolds(
  query: ContainerQuery,
  element: ElementNode,
  { styles, sizes, medium }: { readonly styles: Styles; readonly sizes: ContainerSizes; readonly medium: Medium },
): boolean {
  if (query.text === '') return containerFor(query, element, styles) !== null;
  const asksSize = ASKS_SIZE.test(query.text.replace(STYLE, ''));
  // Every element answers for its custom properties.
  const container = asksSize ? containerFor(query, element, styles) : namedAncestor(query, element, styles);
  if (!container) return false;
  const { custom } = styles(container.index);
  const answered = query.text.replace(STYLE, (_, name: string, value?: string) => {
    const has = custom.get(name);
    return has !== undefined && (value === undefined || plain(has) === plain(value)) ? ALWAYS : NEVER;
  });
  const size = asksSize ? sizes.get(container) : NO_SIZE;
  if (!size) return false;
  const text = answered.replace(/\binline-size\b/gi, 'width').replace(/\bblock-size\b/gi, 'height');
  return compileMedia(text).evaluate({ ...medium, width: size.width, height: size.height });
}
