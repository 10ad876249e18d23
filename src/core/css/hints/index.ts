import type { ElementNode } from '../../html/index.js';
import {
  blockAlign,
  dimension,
  legacyColour,
  SIDES,
  size,
  ground,
  textAlign,
  type Hint,
  type Reader,
} from './attributes.js';
import { svg } from './graphics.js';
import { cell, rows, table } from './tables.js';

const NONE: readonly Hint[] = [];

const STANDS: ReadonlyMap<string, string> = new Map([
  ['top', 'top'],
  ['texttop', 'text-top'],
  ['center', '-webkit-baseline-middle'],
  ['absmiddle', 'middle'],
  ['abscenter', 'middle'],
  ['middle', '-webkit-baseline-middle'],
  ['bottom', 'baseline'],
  ['baseline', 'baseline'],
  ['absbottom', 'bottom'],
]);

/** @spec html §15.4.3 (images and embedded content) */
const embedded: Reader = (e, out) => {
  size('width', 'height')(e, out);
  const align = (e.attributes.get('align') ?? '').toLowerCase();
  if (align === 'left' || align === 'right') out.push(['float', align]);
  const stands = STANDS.get(align);
  if (stands) out.push(['vertical-align', stands]);
  const h = dimension(e.attributes.get('hspace'));
  const v = dimension(e.attributes.get('vspace'));
  if (h) out.push(['margin-left', h], ['margin-right', h]);
  if (v) out.push(['margin-top', v], ['margin-bottom', v]);
  const border = dimension(e.attributes.get('border'));
  if (border && /^(img|object|input)$/.test(e.tag))
    for (const side of SIDES) out.push([`border-${side}-width`, border], [`border-${side}-style`, 'solid']);
};

/** A frame has its border unless told otherwise by anything that is no number but zero. @spec html §15.3.3 */
const frame: Reader = (e, out) => {
  embedded(e, out);
  const border = e.attributes.get('frameborder');
  if (border !== undefined && !(Number.parseInt(border, 10) > 0))
    for (const side of SIDES) out.push([`border-${side}-width`, '0']);
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

/** Sides of the body that attributes set: browsers let each stand for the opposite side too. @spec html §15.3.2 */
const BODY_MARGINS: ReadonlyMap<string, readonly string[]> = new Map([
  ['leftmargin', ['left', 'right']],
  ['marginwidth', ['left', 'right']],
  ['topmargin', ['top', 'bottom']],
  ['marginheight', ['top', 'bottom']],
]);

const body: Reader = (e, out) => {
  ground(e, out);
  const colour = legacyColour(e.attributes.get('text'));
  if (colour) out.push(['color', colour]);
  for (const [attribute, text] of e.attributes) {
    const sides = BODY_MARGINS.get(attribute);
    const value = sides && dimension(text);
    if (value) out.push(...sides.map((side): Hint => [`margin-${side}`, value]));
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
  iframe: frame,
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
  attributes: ElementNode['attributes'] = element.attributes,
): readonly Hint[] {
  const bare = attributes.size === 0 && !/^t[dh]$/.test(element.tag);
  const reader = bare ? undefined : element.namespace === 'svg' ? svg : READERS[element.tag];
  if (!reader) return NONE;
  const out: Hint[] = [];
  reader(attributes === element.attributes ? element : { ...element, attributes }, out);
  return out;
}
