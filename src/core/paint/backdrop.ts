import type { Box } from '../boxes/index.js';
import type { ComputedStyle } from '../cascade/index.js';
import { BLACK, type BackgroundImage, compose, fade, luminance, WHITE, type Rgba } from '../css/index.js';
import { canvasGround, canvasTiling } from './canvas.js';
import { readFilter, type Filter } from './filters.js';
import { gradientColour } from './gradients.js';
import { covers, localPoint } from './hit.js';
import type { Clip } from './nodes.js';
import type { Group, PaintItem } from './order.js';
import type { PointIndex } from './point-index.js';
import { tileAt, tilingOf, type Tiling } from './tiles.js';

/** What may lie at a point: every colour in question, darkest and lightest kept, and what could not be told. */
export interface Backdrop {
  readonly colours: readonly Rgba[];
  /** Images and the like whose pixels are not known. */
  readonly unknown: readonly string[];
  /** Whether a gradient takes part: what lies between two of its colours is met too. */
  readonly gradient: boolean;
}

const KEEP = 6;

/** What is painted on a page, and in which colours. */
export interface Painting {
  readonly index: PointIndex;
  readonly canvas: Rgba;
  /** The style each box is painted with. */
  readonly styleOf: (box: Box) => ComputedStyle;
  /** Blurs let nothing from around run in: what one of them lets in is looked at so. */
  readonly sharp?: true;
}

/** A point of the document, px. */
export interface Point {
  readonly x: number;
  readonly y: number;
  /**
   * Of a point a scroll container keeps out of sight: that container's clip, and where on the screen the point would
   * come to lie.
   */
  readonly kept?: { readonly clip: Clip; readonly x: number; readonly y: number };
}

/**
 * The colours at a point once everything up to an item is painted, with and without something on top.
 * @param until the first item that is left out
 * @param top a colour painted last, inside the group of that item
 * @spec compositing-1 §5, css-color-4 §3.2 (opacity)
 */
export function backdropAt(painting: Painting, point: Point, until: PaintItem, top: Rgba | null): Backdrop {
  const { index, canvas, styleOf } = painting;
  const { x, y } = point;
  const stack = new Canvases(canvas);
  const ground = canvasGround(index.items, styleOf);
  for (const image of ground?.style.backgroundImage.toReversed() ?? []) {
    const layer = pictureAt(image, canvasTiling(ground!, image), x, y);
    if (layer) stack.paint(layer);
  }
  for (const item of itemsAt(index, point)) {
    if (item.index >= until.index) break;
    const { fragment, box } = item.node;
    if (box === ground?.from || fragment.kind === 'text' || box.style.visibility !== 'visible') continue;
    if (paintsNothing(box, styleOf) || !coversPoint(item, point)) continue;
    const at = placeFor(item, point);
    const layers = layersOf(item, at.x, at.y, styleOf);
    const through = styleOf(box).backdropFilter;
    if (layers.length > 0 || through !== 'none') stack.enter(item.group);
    // What lies behind is filtered before the background is painted over it.
    if (through !== 'none')
      stack.filter(through, (blur) => (painting.sharp ? [] : around(item, point, blur, painting)));
    for (const layer of layers)
      stack.paint(layer, box.inner !== 'text' && styleOf(box).backgroundImage.some((i) => i.kind === 'gradient'));
  }
  stack.enter(until.group);
  if (top) stack.paint([top]);
  return stack.finish();
}

/**
 * What else a blur behind a box lets run into a point: the colours around it, not beyond the edges of the box.
 * @spec filter-effects-2 §2 (edges are mirrored)
 */
function around(item: PaintItem, point: Point, blur: number, painting: Painting): readonly Backdrop[] {
  const { matrix, rect } = item.node;
  if (blur === 0 || matrix) return [];
  const reach = 2 * blur;
  const within = (value: number, from: number, length: number) =>
    Math.min(Math.max(value, from), Math.max(from, from + length - 1));
  return [
    { x: within(point.x - reach, rect.x, rect.width), y: point.y },
    { x: within(point.x + reach, rect.x, rect.width), y: point.y },
    { x: point.x, y: within(point.y - reach, rect.y, rect.height) },
    { x: point.x, y: within(point.y + reach, rect.y, rect.height) },
  ].map((beside) => backdropAt({ ...painting, sharp: true }, beside, item, null));
}

/** Items that may lie at a point, those around its scroll container by where the point would come to lie. */
function itemsAt(index: PointIndex, { x, y, kept }: Point): readonly PaintItem[] {
  if (!kept) return index.at(x, y);
  return [...new Set([...index.at(x, y), ...index.at(kept.x, kept.y)])].sort((a, b) => a.index - b.index);
}

const isKept = ({ node }: PaintItem, { kept }: Point): boolean => kept !== undefined && node.clips.includes(kept.clip);
const placeFor = (item: PaintItem, point: Point): { readonly x: number; readonly y: number } =>
  point.kept && !isKept(item, point) ? point.kept : point;

function coversPoint(item: PaintItem, point: Point): boolean {
  const { x, y } = placeFor(item, point);
  if (!isKept(item, point)) return covers(item.node, x, y);
  const inner = item.node.clips.slice(item.node.clips.indexOf(point.kept!.clip) + 1);
  return covers({ ...item.node, clips: inner }, x, y);
}

/** What is painted as one layer: its possible colours, or the name of something whose colours are not known. */
type Layer = readonly Rgba[] | string;

/** A canvas for the page and one for every group that is made see-through as a whole. */
class Canvases {
  #gradient = false;
  readonly #stack: { readonly group: Group | null; colours: readonly Rgba[]; readonly unknown: Set<string> }[];

  constructor(canvas: Rgba) {
    this.#stack = [{ group: null, colours: [canvas], unknown: new Set() }];
  }

  get #current() {
    return this.#stack[this.#stack.length - 1]!;
  }

  enter(to: Group | null): void {
    this.#leave(to);
    for (const group of chain(to).reverse()) {
      if (group && !this.#stack.some((s) => s.group === group))
        this.#stack.push({ group, colours: [{ r: 0, g: 0, b: 0, a: 0 }], unknown: new Set() });
    }
  }

  paint(layer: Layer, gradient = false): void {
    const current = this.#current;
    if (typeof layer !== 'string' && layer.length === 1 && layer[0]!.a >= 1 && !gradient) this.#gradient = false;
    else if (gradient) this.#gradient = true;
    if (typeof layer === 'string') {
      current.unknown.add(layer);
      return;
    }
    // What lies beneath an opaque ground no longer matters.
    if (layer.every((c) => c.a >= 1)) current.unknown.clear();
    current.colours = overlay(current.colours, layer);
  }

  /**
   * Filters what is painted so far.
   * @param beside what a blur of so many px lets run into it
   */
  filter(value: string, beside: (blur: number) => readonly Backdrop[]): void {
    const current = this.#current;
    const filter = readFilter(value);
    // Of what lies behind a group only its own part is filtered.
    if (!filter || this.#stack.length > 1) {
      current.unknown.add(`backdrop-filter: ${value}`);
      return;
    }
    const near = beside(filter.blur);
    const blurred = distinct([...current.colours, ...near.flatMap(({ colours }) => colours)]);
    if (blurred.length > current.colours.length) this.#gradient = true;
    for (const name of near.flatMap(({ unknown }) => unknown)) current.unknown.add(name);
    current.colours = few(blurred).map(filter.change);
  }

  #leave(to: Group | null): void {
    const kept = chain(to);
    while (this.#stack.length > 1 && !kept.includes(this.#current.group)) {
      const done = this.#stack.pop()!;
      const under = this.#current;
      const { opacity, filter } = done.group!;
      const made = filterOf(filter);
      if (!made) done.unknown.add(`filter: ${filter}`);
      under.colours = overlay(
        under.colours,
        done.colours.map((c) => fade(made ? made.change(c) : c, opacity)),
      );
      for (const name of done.unknown) under.unknown.add(name);
    }
  }

  finish(): Backdrop {
    this.#leave(null);
    const [page] = this.#stack;
    return { colours: page!.colours, unknown: [...page!.unknown], gradient: this.#gradient };
  }
}

/** The filter of a group; null where it is not known, or blurs what is in it. */
function filterOf(value: string): Filter | null {
  const filter = readFilter(value);
  return filter?.blur === 0 ? filter : null;
}

function chain(group: Group | null): (Group | null)[] {
  const out: (Group | null)[] = [];
  for (let g = group; g; g = g.parent) out.push(g);
  return out;
}

/** Whether nothing of a box but its borders and texts is painted anywhere. */
function paintsNothing(box: Box, styleOf: (box: Box) => ComputedStyle): boolean {
  if (box.inner === 'text' || (box.anonymous && box.inner !== 'replaced')) return true;
  if (box.inner === 'replaced') return false;
  const { backgroundColor, backgroundImage, backdropFilter, mixBlendMode } = styleOf(box);
  const plain = backdropFilter === 'none' && mixBlendMode === 'normal';
  return plain && backgroundColor.a === 0 && backgroundImage.length === 0;
}

/** The layers of a box's background at a point, lowest first. */
function layersOf(item: PaintItem, x: number, y: number, styleOf: (box: Box) => ComputedStyle): Layer[] {
  const { box } = item.node;
  const layers: Layer[] = [];
  const style = styleOf(box);
  if (style.backgroundColor.a > 0) layers.push([style.backgroundColor]);
  if (!style.backgroundClip.includes('text')) {
    for (const image of style.backgroundImage.toReversed()) {
      const layer = imageAt(image, item, style, x, y);
      if (layer) layers.push(layer);
    }
  }
  if (box.inner === 'replaced' && box.element && /^(img|video|canvas|iframe|object|embed)$/.test(box.element.tag))
    layers.push(box.element.attributes.get('src') ?? box.element.tag);
  if (style.mixBlendMode !== 'normal') layers.push(`mix-blend-mode: ${style.mixBlendMode}`);
  return layers;
}

/** What one background picture shows at a point; null where it does not reach. @spec css-backgrounds-3 §3 */
function imageAt(
  image: BackgroundImage,
  { node }: PaintItem,
  style: ComputedStyle,
  x: number,
  y: number,
): Layer | null {
  const local = localPoint(node.matrix, x, y) ?? { x, y };
  return pictureAt(image, tilingOf(node.fragment, node.rect, style, image), local.x, local.y);
}

function pictureAt(image: BackgroundImage, tiling: Tiling | null, x: number, y: number): Layer | null {
  const any: Layer = image.kind === 'gradient' ? image.colours : image.kind === 'url' ? image.url : image.text;
  if (!tiling) return any;
  const tile = tileAt(tiling, x, y);
  if (!tile) return null;
  const colour = image.kind === 'gradient' && image.gradient ? gradientColour(image.gradient, tile, x, y) : null;
  return colour ? [colour] : any;
}

function overlay(under: readonly Rgba[], over: readonly Rgba[]): readonly Rgba[] {
  if (over.length === 1 && over[0]!.a >= 1) return over;
  return few(under.flatMap((u) => over.map((o) => compose(o, u))));
}

function distinct(colours: readonly Rgba[]): readonly Rgba[] {
  const seen = new Map(colours.map((c) => [`${c.r} ${c.g} ${c.b} ${c.a}`, c]));
  return [...seen.values()];
}

function few(all: readonly Rgba[]): readonly Rgba[] {
  if (all.length <= KEEP) return all;
  const sorted = [...all].sort((a, b) => luminance(flat(a)) - luminance(flat(b)));
  return [...sorted.slice(0, KEEP / 2), ...sorted.slice(-KEEP / 2)];
}

const flat = (c: Rgba): Rgba => compose(c, c.a < 1 ? WHITE : BLACK);
