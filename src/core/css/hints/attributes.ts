import type { ElementNode } from '../../html/index.js';
import { parseColourText, printColour } from '../values/index.js';

/** A declaration that an attribute stands for: property, value. */
export type Hint = readonly [name: string, value: string];

export type Reader = (e: ElementNode, out: Hint[]) => void;

export const SIDES = ['top', 'right', 'bottom', 'left'] as const;

/** A dimension attribute: digits, then an optional percent sign; anything after is ignored. @spec html §2.4.4.4 */
export function dimension(value: string | undefined): string | null {
  const match = /^\s*\+?(\d+\.?\d*|\.\d+)(%?)/.exec(value ?? '');
  return match ? `${match[1]}${match[2] || 'px'}` : null;
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

export const ground: Reader = (e, out) => {
  const colour = legacyColour(e.attributes.get('bgcolor'));
  if (colour) out.push(['background-color', colour]);
  const image = e.attributes.get('background');
  if (image) out.push(['background-image', `url("${image.replace(/["\\\n]/g, '')}")`]);
};

const CELL_ALIGN: Readonly<Record<string, string>> = {
  left: '-webkit-left',
  right: '-webkit-right',
  center: '-webkit-center',
  middle: '-webkit-center',
  justify: 'justify',
};

export const blockAlign: Reader = (e, out) => {
  const align = CELL_ALIGN[(e.attributes.get('align') ?? '').toLowerCase()];
  if (align) out.push(['text-align', align]);
};

export const textAlign: Reader = (e, out) => {
  const align = (e.attributes.get('align') ?? '').toLowerCase();
  if (['left', 'right', 'center', 'justify'].includes(align)) out.push(['text-align', align]);
};

export const verticalAlign: Reader = (e, out) => {
  const align = (e.attributes.get('valign') ?? '').toLowerCase();
  if (['top', 'middle', 'bottom', 'baseline'].includes(align)) out.push(['vertical-align', align]);
};

export const noWrap: Reader = (e, out) => {
  if (e.attributes.has('nowrap')) out.push(['white-space', 'nowrap']);
};
