import type { Rect } from '../../core/base/index.js';
import type { ComputedStyle } from '../../core/cascade/index.js';
import {
  parseComponents,
  readColour,
  resolveLength,
  splitCommas,
  type BackgroundImage,
  type LengthPercentage,
  type Rgba,
} from '../../core/css/index.js';
import type { Definitions } from './definitions.js';
import { paint } from './paint.js';
import { drawAddress } from './vector.js';
import { group, shape, type Shape } from './xml.js';

/** Radii of the four corners from the upper left clockwise, px, scaled down where they would overlap. @spec css-backgrounds-3 §5.5 */
export function radiiOf(style: ComputedStyle, { width, height }: Rect): readonly number[] {
  const read = ([x]: readonly [LengthPercentage, LengthPercentage]) =>
    Math.max(0, resolveLength(x, Math.min(width, height)) || 0);
  const radii = [
    style.borderTopLeftRadius,
    style.borderTopRightRadius,
    style.borderBottomRightRadius,
    style.borderBottomLeftRadius,
  ].map(read);
  const [a, b, c, d] = radii as [number, number, number, number];
  const factor = Math.min(1, width / (a + b || 1), width / (c + d || 1), height / (a + d || 1), height / (b + c || 1));
  return radii.map((r) => r * factor);
}

/** A rectangle with rounded corners as path data. */
export function roundedPath({ x, y, width: w, height: h }: Rect, radii: readonly number[]): string {
  const [a, b, c, d] = radii as [number, number, number, number];
  const n = (v: number) => String(Math.round(v * 100) / 100);
  const arc = (r: number, dx: number, dy: number) => (r > 0 ? `a${n(r)} ${n(r)} 0 0 1 ${n(dx)} ${n(dy)}` : '');
  return [
    `M${n(x + a)} ${n(y)}H${n(x + w - b)}${arc(b, b, b)}`,
    `V${n(y + h - c)}${arc(c, -c, c)}`,
    `H${n(x + d)}${arc(d, -d, -d)}`,
    `V${n(y + a)}${arc(a, a, -a)}Z`,
  ].join('');
}

/** Shadow, background and borders of a box, lowest first. */
export function drawGround(style: ComputedStyle, rect: Rect, definitions: Definitions): Shape[] {
  const radii = radiiOf(style, rect);
  const out: Shape[] = shadows(style, rect, radii);
  const d = roundedPath(rect, radii);
  if (style.backgroundColor.a > 0) out.push(shape('path', { d, ...paint('fill', style.backgroundColor) }));
  if (style.backgroundClip !== 'text')
    for (const image of style.backgroundImage.toReversed()) out.push(drawImage(image, rect, d, definitions));
  return [...out, ...borders(style, rect, radii), ...outline(style, rect, radii)];
}

/** Pictures are not drawn: a tint stands in for them, opaque so that what they cover is covered. */
export const TINT = { fill: '#c3ccd6' } as const;

function drawImage(image: BackgroundImage, rect: Rect, d: string, definitions: Definitions): Shape {
  if (image.kind !== 'gradient') {
    const drawn = image.kind === 'url' ? drawAddress(image.url, rect) : null;
    return drawn ?? shape('path', { d, ...TINT });
  }
  const fill = `url(#${definitions.id('f', `${image.text}/${rect.width}/${rect.height}`, (id) => gradient(id, image, rect))})`;
  return shape('path', { d, fill });
}

const SIDES: Readonly<Record<string, number>> = { top: 0, right: 90, bottom: 180, left: 270 };
const UNITS: Readonly<Record<string, number>> = { deg: 1, grad: 0.9, rad: 180 / Math.PI, turn: 360 };

/** Angle of a linear gradient, degrees clockwise from upwards. @spec css-images-3 §3.1 */
function angleOf(text: string, rect: Rect): number {
  const inside = text.slice(text.indexOf('(') + 1);
  const turned = /^\s*(-?[\d.]+)(deg|grad|rad|turn)/i.exec(inside);
  if (turned) return Number(turned[1]) * UNITS[turned[2]!.toLowerCase()]!;
  const [, first, second] = /^\s*to\s+(top|right|bottom|left)(?:\s+(top|right|bottom|left))?/i.exec(inside) ?? [];
  if (!first) return 180;
  if (!second) return SIDES[first.toLowerCase()]!;
  const words = [first, second].map((w) => w.toLowerCase());
  const x = words.includes('right') ? rect.height : -rect.height;
  const y = words.includes('bottom') ? -rect.width : rect.width;
  return (Math.atan2(x, y) * 180) / Math.PI;
}

function gradient(id: string, image: Extract<BackgroundImage, { kind: 'gradient' }>, rect: Rect): Shape {
  const places = [...image.text.matchAll(/\s(-?[\d.]+)%/g)].map((m) => Number(m[1]) / 100);
  const { colours } = image;
  const stops = colours.map((colour, i) => {
    const at = places.length === colours.length ? places[i]! : colours.length > 1 ? i / (colours.length - 1) : 0;
    return shape('stop', { offset: at, ...paint('stop', colour) });
  });
  const middle = { x: rect.x + rect.width / 2, y: rect.y + rect.height / 2 };
  if (!image.function.includes('linear'))
    return shape(
      'radialGradient',
      { id, gradientUnits: 'userSpaceOnUse', cx: middle.x, cy: middle.y, r: Math.hypot(rect.width, rect.height) / 2 },
      stops,
    );
  const turn = (angleOf(image.text, rect) * Math.PI) / 180;
  const [dx, dy] = [Math.sin(turn), -Math.cos(turn)];
  const half = (Math.abs(rect.width * dx) + Math.abs(rect.height * dy)) / 2;
  return shape(
    'linearGradient',
    {
      id,
      gradientUnits: 'userSpaceOnUse',
      x1: middle.x - dx * half,
      y1: middle.y - dy * half,
      x2: middle.x + dx * half,
      y2: middle.y + dy * half,
    },
    stops,
  );
}

const DASHES: Readonly<Record<string, (width: number) => string | null>> = {
  dashed: (w) => `${w * 2} ${w * 2}`,
  dotted: (w) => `${w} ${w}`,
};

interface Line {
  readonly width: number;
  readonly colour: Rgba;
  readonly style: string;
}

const isDrawn = ({ width, colour, style }: Line): boolean =>
  width > 0 && colour.a > 0 && style !== 'none' && style !== 'hidden';

function borders(style: ComputedStyle, rect: Rect, radii: readonly number[]): Shape[] {
  const lines = (['Top', 'Right', 'Bottom', 'Left'] as const).map((side): Line => ({
    width: style[`border${side}Width`],
    colour: style[`border${side}Color`],
    style: style[`border${side}Style`],
  }));
  const [top, right, bottom, left] = lines as [Line, Line, Line, Line];
  const same = lines.every(
    (l) => l.width === top.width && l.style === top.style && JSON.stringify(l.colour) === JSON.stringify(top.colour),
  );
  if (same) return isDrawn(top) ? [ring(rect, radii, top)] : [];
  const { x, y, width: w, height: h } = rect;
  const sides: readonly (readonly [Line, string])[] = [
    [top, `M${x} ${y}H${x + w}L${x + w - right.width} ${y + top.width}H${x + left.width}Z`],
    [right, `M${x + w} ${y}V${y + h}L${x + w - right.width} ${y + h - bottom.width}V${y + top.width}Z`],
    [bottom, `M${x} ${y + h}H${x + w}L${x + w - right.width} ${y + h - bottom.width}H${x + left.width}Z`],
    [left, `M${x} ${y}V${y + h}L${x + left.width} ${y + h - bottom.width}V${y + top.width}Z`],
  ];
  return sides
    .filter(([line]) => isDrawn(line))
    .map(([line, d]) => shape('path', { d, ...paint('fill', line.colour) }));
}

/** A line all around, its middle on the middle of the border. */
function ring(rect: Rect, radii: readonly number[], line: Line): Shape {
  const half = line.width / 2;
  const inner = {
    x: rect.x + half,
    y: rect.y + half,
    width: rect.width - line.width,
    height: rect.height - line.width,
  };
  return shape('path', {
    d: roundedPath(
      inner,
      radii.map((r) => Math.max(0, r - half)),
    ),
    fill: 'none',
    'stroke-width': line.width,
    'stroke-dasharray': DASHES[line.style]?.(line.width) ?? null,
    ...paint('stroke', line.colour),
  });
}

function outline(style: ComputedStyle, rect: Rect, radii: readonly number[]): Shape[] {
  const line: Line = { width: style.outlineWidth, colour: style.outlineColor, style: style.outlineStyle };
  if (!isDrawn(line)) return [];
  const out = resolveLength(style.outlineOffset, 0) + line.width;
  const around = { x: rect.x - out, y: rect.y - out, width: rect.width + 2 * out, height: rect.height + 2 * out };
  return [
    ring(
      around,
      radii.map((r) => (r > 0 ? r + out : 0)),
      line,
    ),
  ];
}

const REM = 16;

/** Outer shadows; those that fall inwards are left out. @spec css-backgrounds-3 §6.1 */
function shadows(style: ComputedStyle, rect: Rect, radii: readonly number[]): Shape[] {
  if (style.boxShadow === 'none') return [];
  return splitCommas(parseComponents(style.boxShadow))
    .toReversed()
    .flatMap((part): Shape[] => {
      if (part.some((c) => c.type === 'ident' && c.name === 'inset')) return [];
      const lengths = part.flatMap((c) =>
        c.type === 'dimension'
          ? [c.value * (c.unit === 'em' ? style.fontSize : c.unit === 'rem' ? REM : 1)]
          : c.type === 'number'
            ? [c.value]
            : [],
      );
      const colour = part.map((c) => readColour(c)).find((c) => c !== null)?.({ currentColor: style.color } as never);
      const [x = 0, y = 0, blur = 0, spread = 0] = lengths;
      if (!colour || colour.a === 0) return [];
      return softened(blur).map(({ grow, share }) => {
        const out = spread + grow;
        const at = {
          x: rect.x + x - out,
          y: rect.y + y - out,
          width: rect.width + 2 * out,
          height: rect.height + 2 * out,
        };
        const d = roundedPath(
          at,
          radii.map((r) => Math.max(0, r + out)),
        );
        return at.width > 0 && at.height > 0
          ? shape('path', { d, ...paint('fill', { ...colour, a: colour.a * share }) })
          : group([]);
      });
    });
}

const MOST_STEPS = 8;

/** A soft edge as a pile of faint sheets, each a little larger: no filter has to be run. */
function softened(blur: number): readonly { readonly grow: number; readonly share: number }[] {
  if (blur <= 0) return [{ grow: 0, share: 1 }];
  const steps = Math.min(MOST_STEPS, Math.ceil(blur / 2) + 1);
  return Array.from({ length: steps }, (_, i) => ({
    grow: blur / 2 - (i * blur) / (steps - 1 || 1),
    share: 1 / steps,
  }));
}
