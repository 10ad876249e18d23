import {
  readLength,
  printLength,
  printPx,
  type Component,
  type Gradient,
  type Computation,
  type Rgba,
  TRANSPARENT,
} from '../values/index.js';
import { colour, keyword, length, pair, row, single, text, type Traits } from './define.js';
import { shadows } from './shadows.js';

const WIDTHS: Readonly<Record<string, number>> = { thin: 1, medium: 3, thick: 5 };

/** Border and outline widths are snapped to whole px, but never to nothing. @spec css-backgrounds-3 §4.3 */
function snap(value: number): number {
  return value > 0 && value < 1 ? 1 : Math.floor(value);
}

function readLineWidth(item: Component): Computation<number> | null {
  if (item.type === 'ident') {
    const known = WIDTHS[item.name];
    return known === undefined ? null : () => known;
  }
  const read = readLength(item, { percent: false, negative: false });
  return read ? (c) => snap(read(c).px) : null;
}

const lineWidth = (traits: Traits) => row<number>(3, single(readLineWidth), printPx, traits);
const LINE_STYLES = [
  'none',
  'hidden',
  'dotted',
  'dashed',
  'solid',
  'double',
  'groove',
  'ridge',
  'inset',
  'outset',
] as const;
const lineStyle = () => keyword(LINE_STYLES, { turns: 'border-{side}-style' });
const lineColour = () => colour((c) => c.currentColor, { affects: 'edge', turns: 'border-{side}-color' });
const radius = () =>
  pair(0, { negative: false }, { percent: 'own-box', affects: 'edge', turns: 'border-{corner}-radius' });

/** One background layer's image: what contrast has to reckon with. `layer` is its place in the list. */
export type BackgroundImage =
  | { readonly kind: 'url'; readonly layer: number; readonly url: string }
  | {
      readonly kind: 'gradient';
      readonly layer: number;
      readonly text: string;
      readonly colours: readonly Rgba[];
      /** How it lies in its box; null where the engine cannot tell. */
      readonly gradient: Gradient | null;
    }
  | { readonly kind: 'unknown'; readonly layer: number; readonly text: string };

export const BORDERS = {
  borderTopWidth: lineWidth({ turns: 'border-{side}-width' }),
  borderRightWidth: lineWidth({ turns: 'border-{side}-width' }),
  borderBottomWidth: lineWidth({ turns: 'border-{side}-width' }),
  borderLeftWidth: lineWidth({ turns: 'border-{side}-width' }),
  borderTopStyle: lineStyle(),
  borderRightStyle: lineStyle(),
  borderBottomStyle: lineStyle(),
  borderLeftStyle: lineStyle(),
  borderTopColor: lineColour(),
  borderRightColor: lineColour(),
  borderBottomColor: lineColour(),
  borderLeftColor: lineColour(),
  borderTopLeftRadius: radius(),
  borderTopRightRadius: radius(),
  borderBottomRightRadius: radius(),
  borderBottomLeftRadius: radius(),
  borderImageSource: text('none', undefined, { affects: 'edge' }),
  outlineWidth: lineWidth({ affects: 'edge' }),
  outlineStyle: keyword(['none', 'auto', 'dotted', 'dashed', 'solid', 'double', 'groove', 'ridge', 'inset', 'outset'], {
    affects: 'edge',
  }),
  outlineColor: colour((c) => c.currentColor, { affects: 'edge' }),
  outlineOffset: length(0, { percent: false }, { affects: 'edge' }),
  boxShadow: shadows('box', { affects: 'edge' }),
  backgroundColor: colour(() => TRANSPARENT, { affects: 'colour' }),
} as const;

export { printLength };
