import type { ComputedStyle } from '../../core/cascade/index.js';
import type { Face } from '../../core/boxes/index.js';
import type { Rgba } from '../../core/css/index.js';
import type { PaintNode } from '../../core/paint/index.js';
import { TINT } from './grounds.js';
import { paint } from './paint.js';
import { shape, type Shape } from './xml.js';

type Write = (text: string, x: number, baseline: number, colour: Rgba) => Shape;

/** Room browsers leave between a bullet and its text, px. */
const PADDING = 7;

/** An outside list marker, beside the first line of its item; a picture as a square in the tint of pictures. @spec css-lists-3 §3.3 (browsers agree on the place) */
export function drawMarker(node: PaintNode, style: ComputedStyle, colour: Rgba, face: Face, write: Write): Shape[] {
  const { rect, fragment, box } = node;
  if (!box.marker || box.mode !== 'horizontal-tb') return [];
  const { text, pictureHeight, style: own } = box.marker;
  const rtl = style.direction === 'rtl';
  const { border, padding } = fragment;
  const ascent = face.ascent(style.fontSize);
  const baseline = rect.y + (fragment.baseline ?? border.top + padding.top + ascent);
  const start = rtl ? rect.x + rect.width - border.right - padding.right : rect.x + border.left + padding.left;
  const type = 'name' in style.listStyleType ? style.listStyleType.name : '';
  if (pictureHeight !== null && pictureHeight > 0) {
    const x = rtl ? start + PADDING : start - PADDING - pictureHeight;
    const square = { x, y: baseline - pictureHeight, width: pictureHeight, height: pictureHeight };
    return [shape('rect', { ...square, ...TINT })];
  }
  if (text === '') return [];
  const worded = typeof own.content !== 'string' || (type !== 'disc' && type !== 'circle' && type !== 'square');
  if (worded) {
    const width = face.width(text, style.fontSize, true);
    return [write(text, rtl ? start : start - width, baseline, colour)];
  }
  const third = Math.floor((ascent * 2) / 3);
  const size = Math.floor((third + 1) / 2);
  const away = third + PADDING;
  const x = rtl ? start + away - size : start - away;
  const y = baseline - ascent + Math.floor((3 * (ascent - third)) / 2);
  if (type === 'square') return [shape('rect', { x, y, width: size, height: size, ...paint('fill', colour) })];
  const round = { cx: x + size / 2, cy: y + size / 2 };
  return type === 'disc'
    ? [shape('circle', { ...round, r: size / 2, ...paint('fill', colour) })]
    : [shape('circle', { ...round, r: size / 2 - 0.5, fill: 'none', 'stroke-width': 1, ...paint('stroke', colour) })];
}
