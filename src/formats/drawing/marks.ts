import type { Rect } from '../../core/base/index.js';
import type { Page, Scene } from '../../core/index.js';
import { findMenus } from '../../core/menus/index.js';
import { tabOrder } from '../../core/naming/index.js';
import { boundsOf, stackingReasons, usedZIndex, type PaintNode } from '../../core/paint/index.js';
import type { Rgba } from '../../core/css/index.js';
import type { Brush } from './picture.js';
import { paint } from './paint.js';
import { drawRun } from './text.js';
import { group, shape, type Shape } from './xml.js';

export const MARKS = ['targets', 'order', 'layers', 'stuck'] as const;
export type MarkName = (typeof MARKS)[number];

/** A place findings point at, and their numbers in the list below the pictures. */
export interface Pin {
  readonly rect: Rect;
  readonly numbers: readonly number[];
}

const INK: Readonly<Record<MarkName | 'pins', Rgba>> = {
  targets: { r: 0, g: 114, b: 130, a: 1 },
  order: { r: 92, g: 45, b: 145, a: 1 },
  layers: { r: 178, g: 84, b: 0, a: 1 },
  stuck: { r: 33, g: 90, b: 54, a: 1 },
  pins: { r: 176, g: 16, b: 48, a: 1 },
};
const PAPER: Rgba = { r: 255, g: 255, b: 255, a: 0.94 };
const SIZE = 10;
/** Smallest target without further conditions, px. @spec WCAG 2.2 SC 2.5.8 */
const LEAST = 24;

/** Overlays for testers, above a drawn scene: sizes of targets, the way of the Tab key, stacking contexts, what sticks. */
export function drawMarks(
  names: readonly MarkName[],
  pins: readonly Pin[],
  scene: Scene,
  region: Rect,
  brush: Brush,
): Shape {
  const layers = {
    stuck: () => stuck(scene, region, brush),
    layers: () => contexts(scene, region, brush),
    targets: () => targets(scene, region, brush),
    order: () => order(scene, region, brush),
  };
  const wanted = (Object.keys(layers) as MarkName[]).filter((name) => names.includes(name));
  return group([
    ...wanted.map((name) => group(layers[name]())),
    ...pins.filter((pin) => inRegion(pin.rect, region)).map((pin) => pinned(pin, region, brush)),
  ]);
}

const inRegion = (rect: Rect, region: Rect): boolean =>
  rect.y < region.y + region.height &&
  rect.y + rect.height > region.y &&
  rect.x < region.x + region.width &&
  rect.x + rect.width > region.x;

const faceOf = ({ page }: Brush) => page.metrics.face([{ name: 'sans-serif', generic: true }], 700, false);
const widthOf = (text: string, brush: Brush): number => faceOf(brush).width(text, SIZE, true) + 6;

function tag(text: string, x: number, y: number, ink: Rgba, brush: Brush, filled = false): Shape {
  const face = faceOf(brush);
  const width = widthOf(text, brush);
  const colour = filled ? { ...PAPER, a: 1 } : ink;
  return group([
    shape('rect', {
      x,
      y,
      width,
      height: SIZE + 4,
      rx: 2,
      'stroke-width': 0.75,
      ...paint('fill', filled ? ink : PAPER),
      ...paint('stroke', ink),
    }),
    drawRun({ text, face, size: SIZE, x: x + 3, baseline: y + SIZE, colour }, brush.outlines, brush.definitions),
  ]);
}

function framed(rect: Rect, text: string, ink: Rgba, brush: Brush, dash: string | null = null): Shape {
  return group([
    shape('rect', { ...rect, fill: 'none', 'stroke-width': 1.25, 'stroke-dasharray': dash, ...paint('stroke', ink) }),
    tag(text, rect.x, rect.y + rect.height + 1, ink, brush),
  ]);
}

/** A frame with its numbers at the upper right corner, kept inside the picture. */
function pinned({ rect, numbers }: Pin, region: Rect, brush: Brush): Shape {
  const text = numbers.join(' ');
  const x = Math.min(rect.x + rect.width - 6, region.x + region.width - widthOf(text, brush) - 1);
  const y = Math.max(rect.y - 7, region.y + 1);
  return group([
    shape('rect', { ...rect, fill: 'none', 'stroke-width': 1.25, ...paint('stroke', INK.pins) }),
    tag(text, Math.max(x, region.x + 1), y, INK.pins, brush, true),
  ]);
}

const whole = (value: number): string => String(Math.round(value * 10) / 10);

/** Every link and control of the menus with its size; those below 24 px by a dashed frame. */
function targets(scene: Scene, region: Rect, brush: Brush): Shape[] {
  const elements = menuElements(brush.page);
  return elements.flatMap((element) => {
    const rect = scene.seen(element);
    if (!rect || !inRegion(rect, region)) return [];
    const small = rect.width < LEAST || rect.height < LEAST;
    return [framed(rect, `${whole(rect.width)}×${whole(rect.height)}`, INK.targets, brush, small ? '3 2' : null)];
  });
}

const menuElements = (page: Page) => [
  ...new Set(findMenus(page).flatMap((m) => [...m.items.map((i) => i.element), ...m.toggles.map((t) => t.element)])),
];

/** Stops of the Tab key, numbered over the whole page, joined in the order they are reached. */
function order(scene: Scene, region: Rect, brush: Brush): Shape[] {
  const stops = tabOrder(scene).flatMap((element, i) => {
    const rect = scene.rect(element);
    return rect && inRegion(rect, region) ? [{ rect, number: i + 1 }] : [];
  });
  const middle = ({ rect }: { rect: Rect }) => `${whole(rect.x)} ${whole(rect.y)}`;
  const way = shape('polyline', {
    points: stops.map(middle).join(' '),
    fill: 'none',
    'stroke-width': 1,
    'stroke-dasharray': '1 3',
    ...paint('stroke', INK.order),
  });
  return [way, ...stops.map(({ rect, number }) => tag(String(number), rect.x - 7, rect.y - 7, INK.order, brush, true))];
}

interface Seen {
  readonly box: PaintNode['box'];
  /** Where it shows on the page, its transforms applied. */
  readonly rect: Rect;
}

function nodesOf(scene: Scene): Seen[] {
  return scene.items
    .map((item) => item.node)
    .filter((node) => node.fragment.kind === 'box')
    .map(({ box, matrix, rect }) => ({ box, rect: boundsOf(matrix, rect) }));
}

/** Boxes that paint what they hold as one, with their level. */
function contexts(scene: Scene, region: Rect, brush: Brush): Shape[] {
  return nodesOf(scene).flatMap((node) => {
    const reasons = node.box.parent ? stackingReasons(node.box) : [];
    if (reasons.length === 0 || !inRegion(node.rect, region) || node.rect.width < 2) return [];
    return [framed(node.rect, `level ${usedZIndex(node.box)}: ${reasons[0]!}`, INK.layers, brush, '6 3')];
  });
}

/** What keeps its place while the page scrolls. */
function stuck(scene: Scene, region: Rect, brush: Brush): Shape[] {
  const id = brush.definitions.id('p', 'stuck', (name) =>
    shape(
      'pattern',
      { id: name, width: 8, height: 8, patternUnits: 'userSpaceOnUse', patternTransform: 'rotate(45)' },
      [shape('rect', { width: 2, height: 8, ...paint('fill', { ...INK.stuck, a: 0.25 }) })],
    ),
  );
  return nodesOf(scene).flatMap(({ box, rect }) => {
    const { position } = box.computed;
    if (box.anonymous || (position !== 'fixed' && position !== 'sticky') || !inRegion(rect, region)) return [];
    return [
      shape('rect', { ...rect, fill: `url(#${id})` }),
      tag(
        `${position}, ${whole(rect.height)} px high`,
        Math.max(region.x + 1, rect.x + rect.width - 120),
        rect.y + 1,
        INK.stuck,
        brush,
      ),
    ];
  });
}
