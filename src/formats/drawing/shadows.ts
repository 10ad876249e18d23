import type { Rect } from '../../core/base/index.js';
import type { ComputedStyle } from '../../core/cascade/index.js';
import type { Rgba, Shadow } from '../../core/css/index.js';
import { cornerRadii, type CornerRadius, type PaintNode } from '../../core/paint/index.js';
import { grown, roundedPath, SHARP, type Radii } from './corners.js';
import type { Definitions } from './definitions.js';
import { paint } from './paint.js';
import { group, shape, type Shape } from './xml.js';

/** Shadows of a style that can be seen, lowest first. @spec css-backgrounds-3 §6.1 */
const shadowsOf = (style: ComputedStyle): Shadow[] => style.boxShadow.filter(({ colour }) => colour.a > 0).toReversed();

/** Corners of shadows that spread grow round, sharp ones too. */
const softer = (radii: Radii, by: number): Radii =>
  radii.map(([x, y]): CornerRadius => [Math.max(0, x + by), Math.max(0, y + by)]);

const moved = (rect: Rect, { x, y }: Shadow, out: number): Rect => ({
  x: rect.x + x - out,
  y: rect.y + y - out,
  width: Math.max(0, rect.width + 2 * out),
  height: Math.max(0, rect.height + 2 * out),
});

const sheet = (colour: Rgba, a: number) => paint('fill', { ...colour, a: Math.min(1, a) });

/** A sheet over all that lies in or near a box. */
function farAround({ x, y, width, height }: Rect): string {
  const far = Math.max(width, height) + 200;
  return roundedPath({ x: x - far, y: y - far, width: width + 2 * far, height: height + 2 * far }, SHARP);
}

/** Shadows a box throws around itself: none of them lies within its border edge, which shows where the box is clear. */
export function outerShadows(style: ComputedStyle, rect: Rect, radii: Radii, definitions: Definitions): Shape[] {
  const sheets = shadowsOf(style)
    .filter(({ inset }) => !inset)
    .flatMap((shadow) =>
      softened(shadow.blur, shadow.colour.a).flatMap(({ grow, alpha }) => {
        const out = shadow.spread + grow;
        const at = moved(rect, shadow, out);
        const d = roundedPath(at, softer(radii, out));
        return at.width > 0 && at.height > 0 ? [shape('path', { d, ...sheet(shadow.colour, alpha) })] : [];
      }),
    );
  if (sheets.length === 0 || style.backgroundColor.a === 1) return sheets;
  const d = farAround(rect) + roundedPath(rect, radii);
  const id = definitions.id('c', d, (name) =>
    shape('clipPath', { id: name }, [shape('path', { d, 'clip-rule': 'evenodd' })]),
  );
  return [group(sheets, { 'clip-path': `url(#${id})` })];
}

/** Shadows that fall into a box from its padding edge. */
export function innerShadows(style: ComputedStyle, { rect, fragment }: PaintNode, definitions: Definitions): Shape[] {
  const shadows = shadowsOf(style).filter(({ inset }) => inset);
  if (shadows.length === 0) return [];
  const { border } = fragment;
  const inner: Rect = {
    x: rect.x + border.left,
    y: rect.y + border.top,
    width: Math.max(0, rect.width - border.left - border.right),
    height: Math.max(0, rect.height - border.top - border.bottom),
  };
  const radii = grown(cornerRadii(style, rect) ?? SHARP, -Math.max(border.top, border.left));
  const edge = roundedPath(inner, radii);
  const id = definitions.id('c', edge, (name) => shape('clipPath', { id: name }, [shape('path', { d: edge })]));
  const all = farAround(inner);
  const sheets = shadows.flatMap((shadow) =>
    softened(shadow.blur, shadow.colour.a).map(({ grow, alpha }) => {
      const out = -shadow.spread - grow;
      const hole = roundedPath(moved(inner, shadow, out), grown(radii, out));
      return shape('path', { d: all + hole, 'fill-rule': 'evenodd', ...sheet(shadow.colour, alpha) });
    }),
  );
  return [group(sheets, { 'clip-path': `url(#${id})` })];
}

const MOST_STEPS = 24;

/**
 * A soft edge as a pile of faint sheets, each a little smaller than the one below: no filter has to be run.
 * Together they come to the alpha asked for, along a curve near that of a blur.
 */
function softened(blur: number, alpha: number): readonly { readonly grow: number; readonly alpha: number }[] {
  if (blur <= 0) return [{ grow: 0, alpha }];
  const steps = Math.min(MOST_STEPS, Math.ceil(blur) + 2);
  const covered = (n: number) => alpha * (3 * (n / steps) ** 2 - 2 * (n / steps) ** 3);
  return Array.from({ length: steps }, (_, i) => ({
    grow: blur * (1 - (2 * (i + 0.5)) / steps),
    alpha: (covered(i + 1) - covered(i)) / Math.max(1 - covered(i), 1e-6),
  }));
}
