import { unite, type Rect } from '../base/index.js';
import {
  inPseudo,
  isSkipped,
  magnified,
  type Box,
  type BoxTree,
  type DocumentLayout,
  type Fragment,
  type LayoutMemory,
  type TextMetrics,
} from '../boxes/index.js';
import type { ComputedStyle, StyleTree } from '../cascade/index.js';
import { compose, WHITE, type Medium, type Rgba } from '../css/index.js';
import { isAncestorOrSelf, type ElementNode, type HtmlDocument } from '../html/index.js';
import {
  backdropAt,
  boundsOf,
  canvasGround,
  contentOf,
  covers,
  elementOf,
  type Backdrop,
  type FramesOf,
  type PaintItem,
  type PaintNode,
  type Point,
} from '../paint/index.js';
import { Glance } from './glance.js';
import type { GraphicFile, GraphicFiles } from './graphics/files.js';
import { Graphics, isGraphic } from './graphics/graphics.js';
import { Painting } from './painting.js';
import { reachOf } from './scroll-reach.js';
import { pictureOf } from './areas.js';
import { partsOf } from './inline-rects.js';
import { skippedFragments } from './skipped.js';
import { inkPart, reachablePart, seenPart, type Ends } from './parts.js';
import type { Setting } from './setting.js';

/** What a scene is made of. */
export interface SceneParts {
  readonly setting: Setting;
  readonly document: HtmlDocument;
  readonly styles: StyleTree;
  readonly metrics: TextMetrics;
  readonly boxes: BoxTree;
  readonly layout: DocumentLayout;
  /** What layout remembers of the boxes: scenes like this one start from it. */
  readonly memory: LayoutMemory;
  readonly files: GraphicFiles;
}

/** A page at a setting: styles, boxes, painting. What is not asked for is not worked out. */
export class Scene extends Glance {
  #canvas: Rgba | null = null;
  #skipped: ReadonlyMap<Box, Fragment> | null = null;
  readonly #drawn = new Map<ElementNode, Graphics | null>();

  readonly setting: Setting;
  readonly medium: Medium;
  readonly boxes: BoxTree;
  readonly layout: DocumentLayout;

  constructor(
    readonly made: SceneParts,
    readonly painting = new Painting(made.layout, made.styles.medium, made.setting, framesIn(made)),
  ) {
    super(made.document, made.styles, made.metrics);
    this.setting = made.setting;
    this.medium = made.styles.medium;
    this.boxes = made.boxes;
    this.layout = made.layout;
  }

  /** The same boxes at another scroll position: only where they show and what covers what is worked out anew. */
  scrolledTo(s: Setting): Scene {
    return new Scene({ ...this.made, setting: s });
  }

  /** The same boxes and painting with other colours. */
  recoloured(s: Setting, styles: StyleTree): Scene {
    return new Scene({ ...this.made, setting: s, styles }, this.painting);
  }

  /** The style a box is painted with. */
  readonly paintStyle = (box: Box): ComputedStyle => {
    if (box.owner) return magnified(this.styles.of(box.owner), this.boxes.zoom(box.owner));
    if (box.inner === 'text') return box.parent ? this.paintStyle(box.parent) : box.style;
    if (box.anonymous && box.parent) return this.paintStyle(box.parent);
    if (!box.element) return box.style;
    const zoom = this.boxes.zoom(box.element);
    if (!box.pseudo) return magnified(this.styles.of(box.element), zoom);
    const style = this.styles.pseudo(box.element, box.pseudo);
    return style ? inPseudo(style, zoom) : box.style;
  };

  /** Principal box of an element; null without one, and where it is skipped. */
  box(element: ElementNode): Box | null {
    const box = this.boxes.principal[element.index];
    return box && !isSkipped(box) ? box : null;
  }

  get roots(): readonly PaintNode[] {
    return this.painting.roots;
  }

  /** The paint list, lowest first. */
  get items(): readonly PaintItem[] {
    return this.painting.items;
  }

  /** The entry of the paint list that paints a node, or null. */
  itemOf(node: PaintNode): PaintItem | null {
    return this.painting.itemOf(node);
  }

  /** Every fragment of an element's principal box. */
  nodes(element: ElementNode): readonly PaintNode[] {
    const box = this.box(element);
    return box ? this.painting.nodesOf(box) : [];
  }

  nodesOf(box: Box): readonly PaintNode[] {
    return this.painting.nodesOf(box);
  }

  /**
   * Border box around all fragments, document px, as getBoundingClientRect plus the scroll position gives it: empty
   * fragments count only where all are. @spec cssom-view §6
   */
  rect(element: ElementNode): Rect | null {
    if (isGraphic(element)) return this.#graphicsAround(element)?.rects.get(element) ?? null;
    let known = this.painting.rects.get(element);
    if (known === undefined) {
      const all = partsOf(this.nodes(element));
      const held = all.filter(({ width, height }) => width > 0 && height > 0);
      known = (held.length > 0 ? held : all.slice(-1)).reduce<Rect | null>(unite, null);
      this.painting.rects.set(element, known);
    }
    return known;
  }

  /** Used values of the first fragment, or null; what is skipped has them too. */
  fragment(element: ElementNode): Fragment | null {
    const box = this.boxes.principal[element.index];
    if (!box) return null;
    if (!isSkipped(box)) return this.nodes(element)[0]?.fragment ?? null;
    this.#skipped ??= skippedFragments(this.layout);
    return this.#skipped.get(box) ?? null;
  }

  /** Whether the element has a box and nothing makes it invisible; clipping and position do not count. */
  isVisible(element: ElementNode): boolean {
    const there = isGraphic(element) ? this.rect(element) !== null : this.box(element) !== null;
    return there && this.style(element).visibility === 'visible' && this.#shows(element);
  }

  /** Whether neither the element nor anything around it is wholly see-through. */
  #shows(element: ElementNode): boolean {
    let known = this.painting.visible.get(element);
    if (known === undefined) {
      known = this.style(element).opacity !== 0 && (element.parent === null || this.#shows(element.parent));
      this.painting.visible.set(element, known);
    }
    return known;
  }

  /** The part of an element that is not clipped away and lies where the page can be scrolled to; null if none. */
  seen(element: ElementNode): Rect | null {
    let known = this.painting.seen.get(element);
    if (known === undefined)
      this.painting.seen.set(element, (known = this.#part(element, (node) => seenPart(node, this.#ends))));
    return known;
  }

  /**
   * The part of an element a visitor can bring into view: what scroll containers keep below their fold counts, and
   * what is left of something closed or collapsed does not. Null if there is none.
   */
  reach(element: ElementNode): Rect | null {
    let known = this.painting.reach.get(element);
    if (known === undefined)
      this.painting.reach.set(element, (known = this.#part(element, (node) => reachablePart(node, this.#ends))));
    return known;
  }

  #part(element: ElementNode, partOf: (node: PaintNode) => Rect | null): Rect | null {
    // Areas of an image map are seen on its picture.
    const shown = element.tag === 'area' ? (pictureOf(element, this) ?? element) : element;
    if (!this.isVisible(shown)) return null;
    let part: Rect | null = null;
    for (const node of this.nodes(shown)) {
      const rect = partOf(node);
      if (rect && rect.width >= 1 && rect.height >= 1) part = unite(part, rect);
    }
    return part;
  }

  /** The screen, and all the page that can be scrolled to; document px. */
  get #ends(): Ends {
    const { scrollSize, medium } = this;
    const { x, y } = this.setting.scroll;
    const width = Math.max(scrollSize.width, medium.width);
    return {
      screen: { x, y, width: medium.width, height: medium.height },
      page: {
        x: this.scrollsLeftwards ? medium.width - width : 0,
        y: 0,
        width,
        height: Math.max(scrollSize.height, medium.height),
      },
    };
  }

  /** What a press at a point of the document reaches, or null. */
  hit(x: number, y: number): ElementNode | null {
    const { modal } = this;
    const item = this.painting.points.hit(
      x,
      y,
      (element) => !modal || element === null || isAncestorOrSelf(modal, element),
    );
    const element = item && elementOf(item);
    return element && isPicture(element) ? (this.#graphics(element)?.hit(x, y) ?? element) : element;
  }

  /** The page as graphics see it, and the files they may repeat parts of. */
  get graphics(): GraphicFile & { readonly files: GraphicFiles } {
    return { document: this.document, style: (e) => this.style(e), files: this.made.files };
  }

  /** What an outermost `svg` element draws; null where it has no box. */
  #graphics(svg: ElementNode): Graphics | null {
    let known = this.#drawn.get(svg);
    if (known === undefined) {
      const node = this.nodes(svg)[0];
      const sources = { ...this.graphics, metrics: this.metrics };
      known = node ? new Graphics(sources, svg, contentOf(node.fragment, node.rect), node.matrix) : null;
      this.#drawn.set(svg, known);
    }
    return known;
  }

  #graphicsAround(element: ElementNode): Graphics | null {
    let svg = element;
    while (svg.parent?.namespace === 'svg') svg = svg.parent;
    return this.#graphics(svg);
  }

  /** The modal dialog on top: all of the page outside of it is inert. @spec html §6.3.2 */
  get modal(): ElementNode | null {
    const tops = this.roots.slice(1).flatMap(({ box }) => (box.pseudo === null && box.element ? [box.element] : []));
    return tops.findLast((element) => element.tag === 'dialog' && !element.attributes.has('popover')) ?? null;
  }

  /** What is painted at a point before an item, lowest first. */
  beneath({ x, y }: Point, { index }: PaintItem): readonly PaintItem[] {
    return this.painting.points.at(x, y).filter((item) => item.index < index && covers(item.node, x, y));
  }

  /** What is painted at a point after an item, lowest first. */
  above({ x, y }: Point, { index }: PaintItem): readonly PaintItem[] {
    return this.painting.points.at(x, y).filter((item) => item.index > index && covers(item.node, x, y));
  }

  /** Colours at a point beneath an item of the paint list, and with a colour painted in its place. */
  backdrop(point: Point, item: PaintItem, top: Rgba | null): Backdrop {
    return backdropAt({ index: this.painting.points, canvas: this.canvas, styleOf: this.paintStyle }, point, item, top);
  }

  /**
   * Points at which to ask for colours beneath a part of the page, document px: its middle where nothing there changes
   * from point to point, or else a grid over it.
   */
  samples(rect: Rect): readonly Point[] {
    const isPictured = ({ node }: PaintItem) =>
      node.fragment.kind === 'box' && this.paintStyle(node.box).backgroundImage.length > 0;
    const uneven =
      canvasGround(this.items, this.paintStyle)?.style.backgroundImage.length ||
      this.painting.points.within(rect).some(isPictured);
    const shares = (count: number) => Array.from({ length: count }, (_, i) => (i + 0.5) / count);
    const [columns, rows] = uneven ? [shares(9), shares(3)] : [[0.5], [0.5]];
    return rows.flatMap((v) => columns.map((u) => ({ x: rect.x + u * rect.width, y: rect.y + v * rect.height })));
  }

  /** Points at which a painted text is seen, or would be once its scroll container is scrolled; none where it is clipped away. */
  inkPoints({ node }: PaintItem): readonly Point[] {
    const { part, kept } = inkPart(node, this.#ends);
    if (!part) return [];
    const points = this.samples(part);
    if (!kept) return points;
    const area = boundsOf(kept.matrix, kept.rect);
    const within = (at: number, start: number, size: number) => Math.max(start + 1, Math.min(at, start + size - 1));
    return points.map(({ x, y }) => ({
      x,
      y,
      kept: { clip: kept, x: within(x, area.x, area.width), y: within(y, area.y, area.height) },
    }));
  }

  /** The page's ground: the root's background or, failing that, the body's. @spec css-backgrounds-3 §2.11 */
  get canvas(): Rgba {
    if (!this.#canvas) {
      const { root, body } = this.document;
      const own = this.style(root).backgroundColor;
      const taken =
        own.a === 0 && this.style(root).backgroundImage.length === 0 && body ? this.style(body).backgroundColor : own;
      this.#canvas = compose(taken, WHITE);
    }
    return this.#canvas;
  }

  /** Whether what stands out to the left is scrolled to, and what stands out to the right is lost. @spec css-writing-modes-4 §8.1 */
  get scrollsLeftwards(): boolean {
    const { body, root } = this.document;
    return this.style(body ?? root).direction === 'rtl';
  }

  /** The scrollable size of the document, at least the viewport, px. @spec css-overflow-3 §2.2 */
  get scrollSize(): { readonly width: number; readonly height: number } {
    return (this.painting.scrollSize ??= this.#measureScroll());
  }

  #measureScroll(): { width: number; height: number } {
    const root = this.style(this.document.root);
    const body = this.document.body ? this.style(this.document.body) : null;
    const cut = root.overflowX !== 'visible' ? root.overflowX : (body?.overflowX ?? 'visible');
    const least = { width: this.layout.width, height: this.medium.height };
    const { width, height } = reachOf(this.roots, least, this.scrollsLeftwards);
    return { width: Math.round(cut === 'clip' ? this.layout.width : width), height: Math.round(height) };
  }
}

/** Where what pictures embed lies. */
const framesIn =
  ({ document, styles, files, metrics }: SceneParts): FramesOf =>
  (svg, content, matrix) =>
    new Graphics({ document, style: (e) => styles.of(e), files, metrics }, svg, content, matrix).frames;

const isPicture = ({ namespace, tag, parent }: ElementNode): boolean =>
  namespace === 'svg' && tag === 'svg' && parent?.namespace !== 'svg';
