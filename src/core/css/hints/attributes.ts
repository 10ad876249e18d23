import type { ElementNode } from '../../html/index.js';
import { parseColourText, printColour } from '../values/index.js';

/** A declaration that an attribute stands for: property, value. */
export type Hint = readonly [name: string, value: string];

export type Reader = (e: ElementNode, out: Hint[]) => void;

export const SIDES = ['top', 'right', 'bottom', 'left'] as const;

/** A dimension attribute: digits, then an optional percent sign; anything after is ignored. @spec html §2.4.4.4 */
export function dimension(value: string | undefined): string | null {
  const match = /^\s*(\d+\.?\d*|\.\d+)(%?)/.exec(value ?? '');
  return match ? `${match[1]}${match[2] || 'px'}` : null;
}

/** An integer at the head of a value; what follows it is ignored. @spec html §2.4.4.1 */
export function leadingInteger(value: string | undefined): number | null {
  const match = /^\s*([+-]?\d+)/.exec(value ?? '');
  return match ? Number(match[1]) : null;
}

/** The width an attribute `border` gives, px; null where there is none, `otherwise` where it is no number. */
export function borderWidth(value: string | undefined, otherwise: number): number | null {
  if (value === undefined) return null;
  const width = leadingInteger(value);
  return width === null || width < 0 ? otherwise : width;
}

/** A legacy colour value. @spec html §2.4.6 */
export function legacyColour(value: string | undefined): string | null {
  if (value === undefined) return null;
  const trimmed = value.trim();
  if (trimmed === '' || trimmed.toLowerCase() === 'transparent') return null;
  const known =
    /^[a-z]+$/i.test(trimmed) || /^#([0-9a-f]{3}|[0-9a-f]{6})$/i.test(trimmed)
      ? parseColourText(trimmed.toLowerCase())
      : null;
  if (known) return printColour(known);
  let digits = trimmed
    .replace(/^#/, '')
    .slice(0, 128)
    .replace(/[^0-9a-f]/gi, '0');
  while (digits.length === 0 || digits.length % 3 !== 0) digits += '0';
  let size = digits.length / 3;
  let parts = [0, 1, 2].map((i) => digits.slice(i * size, (i + 1) * size));
  if (size > 8) parts = parts.map((part) => part.slice(size - 8));
  while (parts[0]!.length > 2 && parts.every((part) => part.startsWith('0')))
    parts = parts.map((part) => part.slice(1));
  size = parts[0]!.length;
  return `#${parts.map((part) => part.slice(0, 2).padStart(2, '0')).join('')}`;
}

export const size =
  (...names: ('width' | 'height')[]): Reader =>
  (e, out) => {
    for (const name of names) {
      const value = dimension(e.attributes.get(name));
      if (value) out.push([name, value]);
    }
  };

/** The ratio that two lengths give a picture until its file tells. @spec html §15.4.3 */
export const ratio: Reader = (e, out) => {
  const [width, height] = ['width', 'height'].map((name) => dimension(e.attributes.get(name)));
  if (width?.endsWith('px') && height?.endsWith('px'))
    out.push(['aspect-ratio', `auto ${width.slice(0, -2)} / ${height.slice(0, -2)}`]);
};

/** Room around an element: `hspace`, `vspace`. */
export const room: Reader = (e, out) => {
  const across = dimension(e.attributes.get('hspace'));
  const along = dimension(e.attributes.get('vspace'));
  if (across) out.push(['margin-left', across], ['margin-right', across]);
  if (along) out.push(['margin-top', along], ['margin-bottom', along]);
};

export const ground: Reader = (e, out) => {
  const colour = legacyColour(e.attributes.get('bgcolor'));
  if (colour) out.push(['background-color', colour]);
  const image = e.attributes.get('background');
  if (image) out.push(['background-image', `url("${image.replace(/["\\\n]/g, '')}")`]);
};

const BLOCK_ALIGN: Readonly<Record<string, string>> = {
  left: '-webkit-left',
  right: '-webkit-right',
  center: '-webkit-center',
  middle: '-webkit-center',
};

const aligned =
  (words: Readonly<Record<string, string>>): Reader =>
  (e, out) => {
    const align = (e.attributes.get('align') ?? '').trim().toLowerCase();
    if (align !== '') out.push(['text-align', words[align] ?? align]);
  };

/** `align` of what moves its block-level content too: any other word is a value of the property. */
export const blockAlign: Reader = aligned(BLOCK_ALIGN);

/** `align` of the parts of tables. */
export const cellAlign: Reader = aligned({ ...BLOCK_ALIGN, absmiddle: 'center' });

/** `align` of any other element: browsers take it everywhere. */
export const textAlign: Reader = aligned({ middle: 'center' });

export const verticalAlign: Reader = (e, out) => {
  const align = (e.attributes.get('valign') ?? '').toLowerCase();
  if (align !== '') out.push(['vertical-align', align]);
};

export const noWrap: Reader = (e, out) => {
  if (e.attributes.has('nowrap')) out.push(['white-space', 'nowrap']);
};
