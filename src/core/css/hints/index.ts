import type { ElementNode } from '../../html/index.js';
import { parseColourText, type Rgba } from '../values/index.js';
import {
  blockAlign,
  borderWidth,
  cellAlign,
  dimension,
  leadingInteger,
  legacyColour,
  ratio,
  room,
  SIDES,
  size,
  ground,
  textAlign,
  verticalAlign,
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
  if (e.tag === 'img' || e.tag === 'input') ratio(e, out);
  const align = (e.attributes.get('align') ?? '').toLowerCase();
  if (align === 'left' || align === 'right') out.push(['float', align]);
  const stands = STANDS.get(align);
  if (stands) out.push(['vertical-align', stands]);
  room(e, out);
  const border = borderWidth(e.attributes.get('border'), 0);
  if (border !== null && /^(img|object|input)$/.test(e.tag))
    for (const side of SIDES) out.push([`border-${side}-width`, `${border}px`], [`border-${side}-style`, 'solid']);
};

const picture: Reader = (e, out) => {
  embedded(e, out);
  verticalAlign(e, out);
};

/** A frame stands as other embedded content does, without room of its own around it. */
const FRAME_ATTRIBUTES: readonly string[] = ['width', 'height', 'align'];

/** A frame has its border unless told otherwise by anything that is no number but zero. @spec html §15.3.3 */
const frame: Reader = (e, out) => {
  const attributes = new Map([...e.attributes].filter(([name]) => FRAME_ATTRIBUTES.includes(name)));
  embedded({ ...e, attributes }, out);
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

/** The colour a body gives to all links; null where it says none. @spec html §15.3.2 (link) */
export function linkColour(body: ElementNode | null): Rgba | null {
  const text = legacyColour(body?.attributes.get('link'));
  return text === null ? null : parseColourText(text);
}

const hr: Reader = (e, out) => {
  const width = dimension(e.attributes.get('width'));
  if (width) out.push(['width', width]);
  const align = (e.attributes.get('align') ?? '').toLowerCase();
  if (align === 'left') out.push(['margin-left', '0'], ['margin-right', 'auto']);
  else if (align === 'right') out.push(['margin-left', 'auto'], ['margin-right', '0']);
  const colour = legacyColour(e.attributes.get('color')) ?? (e.attributes.has('noshade') ? 'gray' : null);
  if (colour) out.push(['border-style', 'solid'], ['border-color', colour], ['background-color', colour]);
  if (!e.attributes.has('size')) return;
  const thick = leadingInteger(e.attributes.get('size')) ?? 0;
  out.push(thick <= 1 ? ['border-bottom-width', '0'] : ['height', `${thick - 2}px`]);
};

const marquee: Reader = (e, out) => {
  size('width', 'height')(e, out);
  ground(e, out);
  room(e, out);
};

/** @spec html §15.3.8 (caption side) */
const caption: Reader = (e, out) => {
  const side = (e.attributes.get('align') ?? '').toLowerCase();
  if (side === 'top' || side === 'bottom') out.push(['caption-side', side]);
};

const column: Reader = (e, out) => {
  size('width')(e, out);
  ground(e, out);
  cellAlign(e, out);
  verticalAlign(e, out);
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
  col: column,
  colgroup: column,
  caption,
  img: picture,
  iframe: frame,
  embed: embedded,
  object: embedded,
  video: (e, out) => {
    size('width', 'height')(e, out);
    ratio(e, out);
  },
  canvas: ratio,
  marquee,
  input: imageInput,
  font,
  hr,
  ul: list,
  ol: list,
  li: list,
  pre,
  br,
  div: blockAlign,
  p: blockAlign,
};

const anyOther = ({ namespace }: ElementNode): Reader | undefined => (namespace === 'html' ? textAlign : undefined);

/**
 * The declarations an element's attributes stand for, at author level with zero specificity.
 * @spec html §15.3, §15.4 (presentational hints), css-cascade-5 §6.4.3
 */
export function presentationalHints(
  element: ElementNode,
  attributes: ElementNode['attributes'] = element.attributes,
): readonly Hint[] {
  const bare = attributes.size === 0 && !/^t[dh]$/.test(element.tag);
  const reader = bare ? undefined : element.namespace === 'svg' ? svg : (READERS[element.tag] ?? anyOther(element));
  if (!reader) return NONE;
  const out: Hint[] = [];
  reader(attributes === element.attributes ? element : { ...element, attributes }, out);
  return out;
}
