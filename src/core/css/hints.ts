import type { ElementNode } from '../html/index.js';
import { parseColourText, printColour } from './values/index.js';

/** A declaration that an attribute stands for: property, value. */
export type Hint = readonly [name: string, value: string];

/** A dimension attribute: digits, then an optional percent sign; anything after is ignored. @spec html §2.4.4.4 */
function dimension(value: string | undefined): string | null {
  const match = /^\s*\+?(\d+\.?\d*|\.\d+)(%?)/.exec(value ?? '');
  return match ? `${match[1]}${match[2] || 'px'}` : null;
}

/** A legacy colour value. @spec html §2.4.6 */
function legacyColour(value: string | undefined): string | null {
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

const NONE: readonly Hint[] = [];

type Reader = (e: ElementNode, out: Hint[]) => void;

const size =
  (...names: ('width' | 'height')[]): Reader =>
  (e, out) => {
    for (const name of names) {
      const value = dimension(e.attributes.get(name));
      if (value) out.push([name, value]);
    }
  };

const ground: Reader = (e, out) => {
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
const blockAlign: Reader = (e, out) => {
  const align = CELL_ALIGN[(e.attributes.get('align') ?? '').toLowerCase()];
  if (align) out.push(['text-align', align]);
};
const textAlign: Reader = (e, out) => {
  const align = (e.attributes.get('align') ?? '').toLowerCase();
  if (['left', 'right', 'center', 'justify'].includes(align)) out.push(['text-align', align]);
};
const verticalAlign: Reader = (e, out) => {
  const align = (e.attributes.get('valign') ?? '').toLowerCase();
  if (['top', 'middle', 'bottom', 'baseline'].includes(align)) out.push(['vertical-align', align]);
};
const noWrap: Reader = (e, out) => {
  if (e.attributes.has('nowrap')) out.push(['white-space', 'nowrap']);
};

/** @spec html §15.4.3 (images and embedded content) */
const embedded: Reader = (e, out) => {
  size('width', 'height')(e, out);
  const align = (e.attributes.get('align') ?? '').toLowerCase();
  if (align === 'left' || align === 'right') out.push(['float', align]);
  else if (['top', 'middle', 'bottom', 'baseline'].includes(align)) out.push(['vertical-align', align]);
  const h = dimension(e.attributes.get('hspace'));
  const v = dimension(e.attributes.get('vspace'));
  if (h) out.push(['margin-left', h], ['margin-right', h]);
  if (v) out.push(['margin-top', v], ['margin-bottom', v]);
  const border = dimension(e.attributes.get('border'));
  if (border && e.tag === 'img')
    for (const side of SIDES) out.push([`border-${side}-width`, border], [`border-${side}-style`, 'solid']);
};

/** @spec html §15.3.8 (tables) */
const table: Reader = (e, out) => {
  size('width', 'height')(e, out);
  ground(e, out);
  const align = (e.attributes.get('align') ?? '').toLowerCase();
  if (align === 'left' || align === 'right') out.push(['float', align]);
  else if (align === 'center') out.push(['margin-inline', 'auto']);
  const spacing = dimension(e.attributes.get('cellspacing'));
  if (spacing) out.push(['border-spacing', spacing]);
  const border = e.attributes.get('border');
  if (border !== undefined) {
    const width = dimension(border) ?? '1px';
    for (const side of SIDES) {
      out.push([`border-${side}-width`, width]);
      if (parseFloat(width) > 0) out.push([`border-${side}-style`, 'outset']);
    }
  }
  if (RULES.test(e.attributes.get('rules') ?? '')) out.push(['border-collapse', 'collapse']);
};

const cell: Reader = (e, out) => {
  const width = dimension(e.attributes.get('width'));
  if (width && parseFloat(width) > 0) out.push(['width', width]);
  const height = dimension(e.attributes.get('height'));
  if (height && parseFloat(height) > 0) out.push(['height', height]);
  ground(e, out);
  blockAlign(e, out);
  verticalAlign(e, out);
  noWrap(e, out);
  const owner = ancestorTable(e);
  const padding = dimension(owner?.attributes.get('cellpadding'));
  if (padding) for (const side of SIDES) out.push([`padding-${side}`, padding]);
  const ruled = (owner?.attributes.get('rules') ?? '').toLowerCase();
  const border = owner?.attributes.get('border');
  if (RULES.test(ruled))
    for (const side of RULED[ruled] ?? []) out.push([`border-${side}-width`, '1px'], [`border-${side}-style`, 'solid']);
  else if (border !== undefined && border !== '0')
    for (const side of SIDES) out.push([`border-${side}-width`, '1px'], [`border-${side}-style`, 'inset']);
};

const SIDES = ['top', 'right', 'bottom', 'left'] as const;
const RULES = /^(none|groups|rows|cols|all)$/i;
/** Sides on which the cells of a table with `rules` have lines. */
const RULED: Readonly<Record<string, readonly (typeof SIDES)[number][]>> = {
  all: SIDES,
  rows: ['top', 'bottom'],
  cols: ['left', 'right'],
};

function ancestorTable(e: ElementNode): ElementNode | null {
  for (let a = e.parent; a; a = a.parent) if (a.tag === 'table') return a;
  return null;
}

const rows: Reader = (e, out) => {
  ground(e, out);
  blockAlign(e, out);
  verticalAlign(e, out);
  const height = dimension(e.attributes.get('height'));
  if (height) out.push(['height', height]);
};

const FONT_SIZES = ['x-small', 'small', 'medium', 'large', 'x-large', 'xx-large', 'xxx-large'];
/** @spec html §15.3.4 */
const font: Reader = (e, out) => {
  const colour = legacyColour(e.attributes.get('color'));
  if (colour) out.push(['color', colour]);
  const face = e.attributes.get('face');
  if (face) out.push(['font-family', face]);
  const match = /^\s*([+-]?)(\d+)/.exec(e.attributes.get('size') ?? '');
  if (match) {
    const value = Number(match[2]);
    const step = match[1] === '+' ? 3 + value : match[1] === '-' ? 3 - value : value;
    out.push(['font-size', FONT_SIZES[Math.min(7, Math.max(1, step)) - 1]!]);
  }
};

const body: Reader = (e, out) => {
  ground(e, out);
  const colour = legacyColour(e.attributes.get('text'));
  if (colour) out.push(['color', colour]);
  for (const [attribute, side] of [
    ['topmargin', 'top'],
    ['bottommargin', 'bottom'],
    ['leftmargin', 'left'],
    ['rightmargin', 'right'],
    ['marginheight', 'top'],
    ['marginwidth', 'left'],
  ] as const) {
    const value = dimension(e.attributes.get(attribute));
    if (value) out.push([`margin-${side}`, value]);
  }
};

const hr: Reader = (e, out) => {
  const width = dimension(e.attributes.get('width'));
  if (width) out.push(['width', width]);
  const align = (e.attributes.get('align') ?? '').toLowerCase();
  if (align === 'left') out.push(['margin-left', '0'], ['margin-right', 'auto']);
  else if (align === 'right') out.push(['margin-left', 'auto'], ['margin-right', '0']);
  const colour = legacyColour(e.attributes.get('color'));
  if (colour) out.push(['color', colour], ['border-style', 'solid']);
  else if (e.attributes.has('noshade')) out.push(['border-style', 'solid']);
  const thick = dimension(e.attributes.get('size'));
  if (thick) out.push(['height', `${Math.max(0, parseFloat(thick) - 2)}px`]);
};

const LIST_TYPES: Readonly<Record<string, string>> = {
  '1': 'decimal',
  a: 'lower-alpha',
  A: 'upper-alpha',
  i: 'lower-roman',
  I: 'upper-roman',
  disc: 'disc',
  circle: 'circle',
  square: 'square',
  none: 'none',
};
const list: Reader = (e, out) => {
  const type = LIST_TYPES[e.attributes.get('type') ?? ''];
  if (type) out.push(['list-style-type', type]);
};

const pre: Reader = (e, out) => {
  if (e.attributes.has('wrap')) out.push(['white-space', 'pre-wrap']);
};
const br: Reader = (e, out) => {
  const clear = (e.attributes.get('clear') ?? '').toLowerCase();
  if (clear === 'left' || clear === 'right') out.push(['clear', clear]);
  else if (clear === 'all' || clear === 'both') out.push(['clear', 'both']);
};
const imageInput: Reader = (e, out) => {
  if ((e.attributes.get('type') ?? '').toLowerCase() === 'image') embedded(e, out);
};

/** SVG's presentation attributes that move boxes or paint; @spec svg-2 §6.6 */
const SVG_ATTRIBUTES = [
  'fill',
  'stroke',
  'stroke-width',
  'opacity',
  'color',
  'display',
  'visibility',
  'overflow',
  'pointer-events',
  'cursor',
  'font-size',
  'font-family',
  'font-weight',
  'font-style',
  'text-decoration',
  'clip-path',
  'filter',
  'mask',
  'letter-spacing',
  'word-spacing',
  'direction',
  'writing-mode',
  'unicode-bidi',
];
const svg: Reader = (e, out) => {
  for (const name of SVG_ATTRIBUTES) {
    const value = e.attributes.get(name);
    if (value !== undefined) out.push([name, value]);
  }
  const transform = svgTransform(e.attributes.get('transform') ?? '');
  if (transform !== null) out.push(['transform', transform]);
  if (!SIZED.has(e.tag) || (e.tag === 'svg' && e.parent?.namespace === 'svg')) return;
  for (const name of ['width', 'height']) {
    const value = e.attributes.get(name)?.trim();
    if (value) out.push([name, /^[\d.]+$/.test(value) ? `${value}px` : value]);
  }
};

/** Elements whose size attributes are properties. @spec svg-2 §8.1 */
const SIZED: ReadonlySet<string> = new Set(['svg', 'rect', 'image', 'foreignObject']);

/** A `transform` attribute in the form of the property; null without one. @spec css-transforms-1 §6.1 */
function svgTransform(text: string): string | null {
  const steps = [...text.matchAll(/([a-z]+)\s*\(([^)]*)\)/gi)].map(([, name, inside]) => {
    const n = inside!.split(/[\s,]+/).flatMap((part) => (part === '' ? [] : [Number(part)]));
    if (n.length === 0 || n.some((value) => !Number.isFinite(value))) return null;
    const [a, b, c] = n as [number, number?, number?];
    switch (name!.toLowerCase()) {
      case 'translate':
        return `translate(${a}px, ${b ?? 0}px)`;
      case 'rotate':
        return b === undefined || c === undefined
          ? `rotate(${a}deg)`
          : `translate(${b}px, ${c}px) rotate(${a}deg) translate(${-b}px, ${-c}px)`;
      case 'scale':
        return `scale(${a}, ${b ?? a})`;
      case 'skewx':
        return `skewX(${a}deg)`;
      case 'skewy':
        return `skewY(${a}deg)`;
      case 'matrix':
        return n.length === 6 ? `matrix(${n.join(', ')})` : null;
      default:
        return null;
    }
  });
  return steps.length === 0 || steps.includes(null) ? null : steps.join(' ');
}

const READERS: Readonly<Record<string, Reader>> = {
  body,
  table,
  td: cell,
  th: cell,
  tr: rows,
  thead: rows,
  tbody: rows,
  tfoot: rows,
  col: size('width'),
  colgroup: size('width'),
  caption: textAlign,
  img: embedded,
  iframe: embedded,
  embed: embedded,
  object: embedded,
  video: size('width', 'height'),
  canvas: () => undefined,
  input: imageInput,
  font,
  hr,
  ul: list,
  ol: list,
  li: list,
  pre,
  br,
  div: blockAlign,
  p: textAlign,
  h1: textAlign,
  h2: textAlign,
  h3: textAlign,
  h4: textAlign,
  h5: textAlign,
  h6: textAlign,
  legend: textAlign,
};

/**
 * The declarations an element's attributes stand for, at author level with zero specificity.
 * @spec html §15.3, §15.4 (presentational hints), css-cascade-5 §6.4.3
 */
export function presentationalHints(
  element: ElementNode,
  quirks: boolean,
  attributes: ElementNode['attributes'] = element.attributes,
): readonly Hint[] {
  const bare = attributes.size === 0 && !/^t[dh]$/.test(element.tag);
  const reader = bare ? undefined : element.namespace === 'svg' ? svg : READERS[element.tag];
  const lost = quirks && DEFAULT_MARGINS.has(element.tag) ? lostMargins(element) : NONE;
  if (!reader) return lost;
  const out = [...lost];
  reader(attributes === element.attributes ? element : { ...element, attributes }, out);
  return out;
}

const DEFAULT_MARGINS: ReadonlySet<string> = new Set(
  'blockquote dir dl h1 h2 h3 h4 h5 h6 listing menu ol p plaintext pre ul xmp'.split(' '),
);

/** In quirks mode what begins the body or a cell has no margin before it, and a paragraph that ends a cell none after it. @spec html §15.3.11 */
function lostMargins(element: ElementNode): readonly Hint[] {
  const { parent, tag } = element;
  if (parent === null || !/^(body|td|th)$/.test(parent.tag)) return [];
  const at = parent.children.indexOf(element);
  const blank = (nodes: ElementNode['children']) =>
    nodes.every((node) => node.kind === 'text' && node.data.trim() === '');
  const out: Hint[] = [];
  if (blank(parent.children.slice(0, at))) out.push(['margin-block-start', '0']);
  if (tag === 'p' && parent.tag !== 'body' && blank(parent.children.slice(at + 1))) out.push(['margin-block-end', '0']);
  return out;
}
