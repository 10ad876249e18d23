import type { ElementNode } from '../../html/index.js';
import { blockAlign, dimension, ground, noWrap, SIDES, size, verticalAlign, type Reader } from './attributes.js';

/** @spec html §15.3.8 (tables) */
export const table: Reader = (e, out) => {
  size('width', 'height')(e, out);
  ground(e, out);
  const align = (e.attributes.get('align') ?? '').toLowerCase();
  if (align === 'left' || align === 'right') out.push(['float', align]);
  else if (align === 'center') out.push(['margin-inline', 'auto']);
  const spacing = dimension(e.attributes.get('cellspacing'));
  if (spacing) out.push(['border-spacing', spacing]);
  const ruled = RULES.test(e.attributes.get('rules') ?? '');
  const framed = FRAMES[(e.attributes.get('frame') ?? '').toLowerCase()];
  const border = e.attributes.get('border');
  const width = border === undefined ? null : (dimension(border) ?? '1px');
  for (const side of SIDES) {
    if (width !== null || framed) out.push([`border-${side}-width`, width ?? '1px']);
    // A hidden border wins over those of the cells.
    if (framed) out.push([`border-${side}-style`, framed.includes(side) ? 'solid' : 'hidden']);
    else if (width !== null && parseFloat(width) > 0) out.push([`border-${side}-style`, 'outset']);
    else if (width === null && ruled) out.push([`border-${side}-style`, 'hidden']);
  }
  if (ruled) out.push(['border-collapse', 'collapse']);
};

export const rows: Reader = (e, out) => {
  if (e.tag !== 'tr' && /^groups$/i.test(ancestorTable(e)?.attributes.get('rules') ?? ''))
    for (const side of ['top', 'bottom']) out.push([`border-${side}-width`, '1px'], [`border-${side}-style`, 'solid']);
  ground(e, out);
  blockAlign(e, out);
  verticalAlign(e, out);
  const height = dimension(e.attributes.get('height'));
  if (height) out.push(['height', height]);
};

export const cell: Reader = (e, out) => {
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

const RULES = /^(none|groups|rows|cols|all)$/i;

/** Sides on which the cells of a table with `rules` have lines. */
const RULED: Readonly<Record<string, readonly (typeof SIDES)[number][]>> = {
  all: SIDES,
  rows: ['top', 'bottom'],
  cols: ['left', 'right'],
};

/** Sides of a table that `frame` gives lines. */
const FRAMES: Readonly<Record<string, readonly (typeof SIDES)[number][]>> = {
  void: [],
  above: ['top'],
  below: ['bottom'],
  hsides: ['top', 'bottom'],
  lhs: ['left'],
  rhs: ['right'],
  vsides: ['left', 'right'],
  box: SIDES,
  border: SIDES,
};

function ancestorTable(e: ElementNode): ElementNode | null {
  for (let a = e.parent; a; a = a.parent) if (a.tag === 'table') return a;
  return null;
}
