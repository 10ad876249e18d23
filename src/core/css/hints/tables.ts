import type { ElementNode } from '../../html/index.js';
import {
  borderWidth,
  cellAlign,
  dimension,
  ground,
  leadingInteger,
  legacyColour,
  noWrap,
  SIDES,
  verticalAlign,
  type Hint,
  type Reader,
} from './attributes.js';

/** A dimension that counts only where it is more than nothing. */
const some = (e: ElementNode, name: 'width' | 'height', out: Hint[]): void => {
  const value = dimension(e.attributes.get(name));
  if (value && parseFloat(value) > 0) out.push([name, value]);
};

/** @spec html §15.3.8 (tables) */
export const table: Reader = (e, out) => {
  some(e, 'width', out);
  some(e, 'height', out);
  ground(e, out);
  verticalAlign(e, out);
  const align = (e.attributes.get('align') ?? '').toLowerCase();
  if (align === 'left' || align === 'right') out.push(['float', align]);
  else if (align === 'center') out.push(['margin-inline', 'auto']);
  const spacing = dimension(e.attributes.get('cellspacing'));
  if (spacing) out.push(['border-spacing', spacing]);
  edges(e, out);
};

function edges(e: ElementNode, out: Hint[]): void {
  const ruled = RULES.test(e.attributes.get('rules') ?? '');
  const framed = FRAMES[(e.attributes.get('frame') ?? '').toLowerCase()];
  const width = borderWidth(e.attributes.get('border'), 1);
  const colour = legacyColour(e.attributes.get('bordercolor'));
  for (const side of SIDES) {
    if (colour) out.push([`border-${side}-color`, colour]);
    if (framed) out.push([`border-${side}-width`, '1px']);
    else if (width !== null) out.push([`border-${side}-width`, `${width}px`]);
    // A hidden border wins over those of the cells.
    if (framed) out.push([`border-${side}-style`, framed.includes(side) ? 'solid' : 'hidden']);
    else if (width) out.push([`border-${side}-style`, colour ? 'solid' : 'outset']);
    else if (ruled) out.push([`border-${side}-style`, 'hidden']);
  }
  if (ruled) out.push(['border-collapse', 'collapse']);
}

export const rows: Reader = (e, out) => {
  if (e.tag !== 'tr' && /^groups$/i.test(ancestorTable(e)?.attributes.get('rules') ?? ''))
    for (const side of ['top', 'bottom']) out.push([`border-${side}-width`, '1px'], [`border-${side}-style`, 'solid']);
  ground(e, out);
  cellAlign(e, out);
  verticalAlign(e, out);
  const height = dimension(e.attributes.get('height'));
  if (height) out.push(['height', height]);
};

export const cell: Reader = (e, out) => {
  some(e, 'width', out);
  some(e, 'height', out);
  ground(e, out);
  cellAlign(e, out);
  verticalAlign(e, out);
  noWrap(e, out);
  const owner = ancestorTable(e);
  const written = owner?.attributes.get('cellpadding');
  const padding = written ? Math.max(0, leadingInteger(written) ?? 0) : null;
  if (padding !== null) for (const side of SIDES) out.push([`padding-${side}`, `${padding}px`]);
  const ruled = (owner?.attributes.get('rules') ?? '').toLowerCase();
  const lined = RULES.test(ruled) ? (RULED[ruled] ?? []) : borderWidth(owner?.attributes.get('border'), 1) ? SIDES : [];
  const solid = RULES.test(ruled) || legacyColour(owner?.attributes.get('bordercolor')) !== null;
  for (const side of lined)
    out.push(
      [`border-${side}-width`, '1px'],
      [`border-${side}-style`, solid ? 'solid' : 'inset'],
      [`border-${side}-color`, 'inherit'],
    );
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
