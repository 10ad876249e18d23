import { isIdent, readColour, readLength, splitCommas, type Component } from '../values/index.js';
import { type Shorthand, accepts, ident } from './shorthand-parts.js';

const BACKGROUND = [
  'background-image',
  'background-position',
  'background-size',
  'background-repeat',
  'background-attachment',
  'background-origin',
  'background-clip',
  'background-color',
];

const REPEATS = ['repeat', 'no-repeat', 'repeat-x', 'repeat-y', 'space', 'round'];

const BOXES = ['border-box', 'padding-box', 'content-box', 'text'];

const isPosition = (item: Component) =>
  isIdent(item, 'left', 'right', 'top', 'bottom', 'center') || readLength(item) !== null;

/** @spec css-backgrounds-3 §2.10 */
export const background: Shorthand = {
  longhands: BACKGROUND,
  expand: (items) => {
    const layers = splitCommas(items);
    const lists: Record<string, Component[]> = {};
    const comma: Component = { type: 'delim', value: ',' };
    let colourItem: Component | null = null;
    for (const [index, layer] of layers.entries()) {
      const parts = backgroundLayer(layer);
      if (!parts || (parts['background-color'] && index < layers.length - 1)) return null;
      colourItem = parts['background-color']?.[0] ?? null;
      for (const name of BACKGROUND.slice(0, -1)) {
        const list = (lists[name] ??= []);
        if (index > 0) list.push(comma);
        list.push(...(parts[name] ?? INITIAL_LAYER[name]!));
      }
    }
    return { ...lists, 'background-color': colourItem ? [colourItem] : 'initial' };
  },
};

const START: Component = { type: 'percentage', value: 0 };

const INITIAL_LAYER: Readonly<Record<string, readonly Component[]>> = {
  'background-image': [ident('none')],
  'background-position': [START, START],
  'background-size': [ident('auto')],
  'background-repeat': [ident('repeat')],
  'background-attachment': [ident('scroll')],
  'background-origin': [ident('padding-box')],
  'background-clip': [ident('border-box')],
};

function backgroundLayer(layer: readonly Component[]): Record<string, Component[]> | null {
  const out: Record<string, Component[]> = {};
  const add = (name: string, item: Component) => (out[name] ??= []).push(item);
  let sizing = false;
  for (const item of layer) {
    if (item.type === 'delim' && item.value === '/') {
      if (!out['background-position'] || sizing) return null;
      sizing = true;
    } else if (
      sizing &&
      (out['background-size']?.length ?? 0) < 2 &&
      (isIdent(item, 'auto', 'cover', 'contain') || readLength(item))
    )
      add('background-size', item);
    else if (isPosition(item)) {
      if (sizing && out['background-size'] === undefined) return null;
      add('background-position', item);
    } else if (isIdent(item, ...REPEATS)) add('background-repeat', item);
    else if (isIdent(item, 'scroll', 'fixed', 'local')) add('background-attachment', item);
    else if (isIdent(item, ...BOXES)) add(out['background-origin'] ? 'background-clip' : 'background-origin', item);
    else if (!out['background-image'] && accepts('background-image', [item])) add('background-image', item);
    else if (!out['background-color'] && readColour(item)) add('background-color', item);
    else return null;
  }
  if (layer.length === 0 || (out['background-position']?.length ?? 0) > 4) return null;
  if (out['background-origin'] && !out['background-clip']) out['background-clip'] = out['background-origin'];
  return out;
}
