import type { Rect } from '../../core/base/index.js';
import type { Frame, Page } from '../../core/index.js';
import { Definitions, type Pictures } from './definitions.js';
import { drawMarks, type MarkName, type Pin } from './marks.js';
import { paint } from './paint.js';
import { drawScene, type Brush } from './picture.js';
import { drawRun, type Outlines } from './text.js';
import { group, shape, toXml, type Shape } from './xml.js';

export interface SheetOptions {
  readonly marks: readonly MarkName[];
  /** What findings point at in a frame. */
  readonly pins: (frame: Frame) => readonly Pin[];
  /** Lines below the pictures, numbered from 1, that say what the pins mean. */
  readonly legend: readonly string[];
  /** Where the page's own pictures come from; tints stand in for them if left out. */
  readonly pictures?: Pictures | null;
}

/** A drawing and its size, px. */
export interface Drawing {
  readonly svg: string;
  readonly width: number;
  readonly height: number;
}

const WIDTH = 1280;
const MARGIN = 24;
const GAP = 20;
const CAPTION = 40;
const LINE = 20;
const PIN_INK = { r: 176, g: 16, b: 48, a: 1 };
const INK = { r: 28, g: 36, b: 46, a: 1 };
const PALE = { r: 96, g: 108, b: 122, a: 1 };
const GROUND = { r: 243, g: 245, b: 247, a: 1 };
const EDGE = { r: 176, g: 186, b: 197, a: 1 };

interface Cell {
  readonly frame: Frame;
  readonly scale: number;
  readonly width: number;
  readonly height: number;
  readonly x: number;
  readonly y: number;
}

/** Draws the frames of a page: one alone at its own size, several as a contact sheet with captions. */
export function drawSheet(page: Page, frames: readonly Frame[], options: SheetOptions, outlines: Outlines): Drawing {
  const brush: Brush = { page, outlines, definitions: new Definitions(page, options.pictures ?? null) };
  const alone = frames.length === 1;
  const cells = alone ? [single(frames[0]!)] : arrange(frames);
  const width = alone ? cells[0]!.width + 2 * MARGIN : WIDTH;
  const pictured = Math.max(...cells.map((c) => c.y + c.height)) + MARGIN;
  const height = pictured + (options.legend.length > 0 ? options.legend.length * LINE + MARGIN : 0);
  const write = (text: string, x: number, baseline: number, size: number, bold: boolean, colour = INK) => {
    const face = page.metrics.face([{ name: 'sans-serif', generic: true }], bold ? 700 : 400, false);
    return drawRun({ text, face, size, x, baseline, colour }, outlines, brush.definitions);
  };
  const head = write(titleOf(page), MARGIN, MARGIN + 16, 18, true);
  const legend = options.legend.flatMap((text, i) => {
    const baseline = pictured + (i + 1) * LINE;
    return [
      write(String(i + 1), MARGIN, baseline, 12, true, PIN_INK),
      write(fitted(page, text, width - 2 * MARGIN - 28, 12, false), MARGIN + 28, baseline, 12, false),
    ];
  });
  const pictures = cells.map((cell) => drawCell(cell, options, brush, write));
  const root = shape(
    'svg',
    { xmlns: 'http://www.w3.org/2000/svg', width, height, viewBox: `0 0 ${width} ${height}`, role: 'img' },
    [
      shape('title', {}, [`Menus of ${page.name}`]),
      shape('desc', {}, [cells.map(({ frame }) => captionOf(frame).join(' — ')).join('; ')]),
      brush.definitions.shape,
      shape('rect', { width, height, ...paint('fill', GROUND) }),
      head,
      ...pictures,
      ...legend,
    ],
  );
  return { svg: toXml(root), width, height };
}

/** One frame alone, without a caption: exactly its region. */
export function drawFrame(
  page: Page,
  { setting, region }: Frame,
  outlines: Outlines,
  pictures: Pictures | null,
): string {
  const brush: Brush = { page, outlines, definitions: new Definitions(page, pictures) };
  const picture = drawScene(page.scene(setting), region, brush);
  const { x, y, width, height } = region;
  return toXml(
    shape('svg', { xmlns: 'http://www.w3.org/2000/svg', width, height, viewBox: `${x} ${y} ${width} ${height}` }, [
      brush.definitions.shape,
      picture,
    ]),
  );
}

/** A line cut to a width, px. */
function fitted(page: Page, text: string, width: number, size: number, bold: boolean): string {
  const face = page.metrics.face([{ name: 'sans-serif', generic: true }], bold ? 700 : 400, false);
  if (face.width(text, size, true) <= width) return text;
  let cut = text;
  while (cut.length > 0 && face.width(`${cut}…`, size, true) > width) cut = cut.slice(0, -1);
  return `${cut.trimEnd()}…`;
}

const titleOf = (page: Page): string => `Menus of ${page.name}`;

const HEAD = MARGIN + 40;

const single = (frame: Frame): Cell => ({
  frame,
  scale: 1,
  width: frame.region.width,
  height: frame.region.height,
  x: MARGIN,
  y: HEAD + CAPTION,
});

/** Puts every frame as high as it fits, then as far to the left; captions keep their room above. */
function arrange(frames: readonly Frame[]): Cell[] {
  const cells: Cell[] = [];
  for (const frame of frames) {
    const scale = scaleOf(frame.region);
    const width = frame.region.width * scale;
    const height = frame.region.height * scale;
    const xs = [MARGIN, ...cells.map((c) => c.x + c.width + GAP)].filter((x) => x + width <= WIDTH - MARGIN + 1);
    const ys = [HEAD + CAPTION, ...cells.map((c) => c.y + c.height + GAP + CAPTION)];
    const free = (x: number, y: number) =>
      !cells.some(
        (c) =>
          x < c.x + c.width + GAP &&
          x + width + GAP > c.x &&
          y - CAPTION < c.y + c.height + GAP &&
          y + height + GAP > c.y - CAPTION,
      );
    const places = ys.flatMap((y) => xs.map((x) => ({ x, y }))).filter(({ x, y }) => free(x, y));
    const best = places.reduce((a, b) => (b.y < a.y || (b.y === a.y && b.x < a.x) ? b : a));
    cells.push({ frame, scale, width, height, ...best });
  }
  return cells;
}

/** Phones at two thirds, wide screens so that two stand beside each other. */
const scaleOf = ({ width }: Rect): number => Math.min(0.67, (WIDTH - 2 * MARGIN - GAP) / 2 / width);

/** What stands above a frame: its band, then how it was drawn. */
function captionOf({ band, setting, pose, scrolled, forms }: Frame): readonly [string, string] {
  const shown = [...new Set(forms.map(({ form }) => form.replace('-', ' ')))].join(', ');
  return [
    `${band.from === band.to ? band.from : `${band.from}–${band.to}`} px, ${pose}`,
    `drawn at ${setting.width} px${scrolled ? `, ${scrolled}` : ''}${shown ? `: ${shown}` : ''}`,
  ];
}

function drawCell(
  { frame, scale, width, height, x, y }: Cell,
  options: SheetOptions,
  brush: Brush,
  write: (text: string, x: number, baseline: number, size: number, bold: boolean, colour?: typeof INK) => Shape,
): Shape {
  const { region } = frame;
  const scene = brush.page.scene(frame.setting);
  const [first, second] = captionOf(frame);
  const clip = brush.definitions.id('r', JSON.stringify(region), (id) =>
    shape('clipPath', { id }, [shape('rect', { ...region })]),
  );
  const picture = group(
    [drawScene(scene, region, brush), drawMarks(options.marks, options.pins(frame), scene, region, brush)],
    {
      'clip-path': `url(#${clip})`,
      transform: `translate(${x} ${y}) scale(${scale.toFixed(4)}) translate(${-region.x} ${-region.y})`,
    },
  );
  return group([
    write(fitted(brush.page, first, width + GAP / 2, 13, true), x, y - 22, 13, true),
    write(fitted(brush.page, second, width + GAP / 2, 11, false), x, y - 7, 11, false, PALE),
    shape('rect', { x: x - 1, y: y - 1, width: width + 2, height: height + 2, ...paint('fill', EDGE) }),
    picture,
  ]);
}
