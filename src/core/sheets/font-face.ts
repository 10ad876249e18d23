import { parseComponents } from '../css/index.js';
import type { Span } from '../base/index.js';
import type { CodePoints, FontFace } from './rules.js';

export const unquote = (text: string): string => text.trim().replace(/^(["'])([^]*)\1$/, '$2');

/** The face that the descriptors of an @font-face rule describe; null without a family. @spec css-fonts-4 §4 */
export function fontFaceOf(given: ReadonlyMap<string, string>, span: Span): FontFace | null {
  const family = familyName(given.get('font-family') ?? '');
  const sources = [...(given.get('src') ?? '').matchAll(/url\(\s*(?:"([^"]*)"|'([^']*)'|([^)"'\s]*))\s*\)/gi)].map(
    (m) => m[1] ?? m[2] ?? m[3] ?? '',
  );
  if (family === '') return null;
  return {
    family,
    sources,
    weight: given.get('font-weight') ?? 'auto',
    style: given.get('font-style') ?? 'normal',
    characters: codePoints(given.get('unicode-range') ?? ''),
    overrides: Object.fromEntries(
      [...given].filter(([name]) => /^(size-adjust|(ascent|descent|line-gap)-override)$/.test(name)),
    ),
    span,
  };
}

/** A name in quotes, or words with a space between them. @spec css-fonts-4 §4.2, §3.1.1 */
function familyName(text: string): string {
  const items = parseComponents(text);
  const [first] = items;
  if (items.length === 1 && first?.type === 'string') return first.value;
  return items.every((item) => item.type === 'ident') ? items.map((item) => item.raw).join(' ') : unquote(text);
}

/** Code points of `unicode-range`; null where it is left out or malformed. @spec css-fonts-4 §4.5 */
function codePoints(text: string): readonly CodePoints[] | null {
  const ranges = text.split(',').map(rangeOf);
  return ranges.every((range) => range !== null) ? ranges : null;
}

function rangeOf(text: string): CodePoints | null {
  const match = /^\s*u\+(?:([\da-f]{1,6})-([\da-f]{1,6})|(?=[\da-f?]{1,6}\s*$)([\da-f]*)(\?*))\s*$/i.exec(text);
  if (!match) return null;
  const [, from, to, start = '', open = ''] = match;
  const hex = (digits: string) => Number.parseInt(digits, 16);
  const [first, last] =
    from !== undefined
      ? [hex(from), hex(to!)]
      : [hex(start + '0'.repeat(open.length)), hex(start + 'f'.repeat(open.length))];
  return first <= last ? [first, last] : null;
}
