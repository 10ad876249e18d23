import { contains, type Rect } from '../base/index.js';
import { printColour, type Rgba } from '../css/index.js';
import type { ElementNode } from '../html/index.js';
import { boundsOf, type PaintItem } from '../paint/index.js';
import type { Page } from './page.js';
import type { Scene } from './scene.js';
import { scrollEnd, scrolledScene } from './scrolled.js';
import type { Setting } from './setting.js';

/** What lies beneath a part of the page over a range of scroll positions, px. */
export interface Passing {
  readonly from: number;
  readonly to: number;
  /** Every colour beneath its middle line, the part's own ground left out. */
  readonly colours: readonly Rgba[];
  readonly unknown: readonly string[];
}

/** Scroll positions looked at, at most: more than any page has sections. */
const MOST = 80;
const ACROSS = [0.1, 0.5, 0.9];

/** Where colours beneath a part are asked for across its middle line, px. */
const acrossOf = ({ x, width }: Rect): readonly number[] => ACROSS.map((share) => x + share * width);

/**
 * What a fixed or sticky part meets as the page scrolls beneath it, from the top of the page to its end.
 * Between two edges of grounds that pass its middle line nothing changes, so one position stands for all.
 */
export function passingBeneath(page: Page, s: Setting, element: ElementNode): readonly Passing[] {
  const at = (y: number): Scene => scrolledScene(page, s, y);
  const first = at(0);
  const rect = first.rect(element);
  if (!rect) return [];
  const end = scrollEnd(first);
  const edges = edgesBeneath(at(end / 2), element, end);
  const bounds = [0, ...edges, end];
  const out: Passing[] = [];
  for (let i = 1; i < bounds.length; i++) {
    const [from, to] = [bounds[i - 1]!, bounds[i]!];
    if (to - from < 0.5 && end > 0) continue;
    const beneath = coloursBeneath(at((from + to) / 2), element);
    const last = out[out.length - 1];
    if (last && alike(last, beneath)) out[out.length - 1] = { ...last, to };
    else out.push({ from, to, ...beneath });
  }
  return out;
}

const itemOf = (scene: Scene, element: ElementNode): PaintItem | null => {
  const box = scene.box(element);
  return scene.items.find(({ node }) => node.box === box) ?? null;
};

const stuckRect = (scene: Scene, element: ElementNode): Rect | null => {
  const rect = scene.rect(element);
  return rect && { ...rect, y: rect.y - scene.setting.scroll.y };
};

/** Scroll positions at which the edge of some ground passes the middle line of a part, in order. */
function edgesBeneath(scene: Scene, element: ElementNode, end: number): number[] {
  const rect = stuckRect(scene, element);
  if (!rect) return [];
  const line = rect.y + rect.height / 2;
  const columns = acrossOf(rect);
  const edges = new Set<number>();
  for (const { node } of scene.items) {
    if (node.fixed || node.fragment.kind !== 'box' || node.box.anonymous) continue;
    const { x, width, height } = boundsOf(node.matrix, node.rect);
    if (!columns.some((at) => at >= x && at <= x + width) || height * 2 < rect.height) continue;
    const { backgroundColor, backgroundImage } = scene.paintStyle(node.box);
    if (backgroundColor.a === 0 && backgroundImage.length === 0 && node.box.inner !== 'replaced') continue;
    for (const y of [node.rect.y, node.rect.y + node.rect.height]) {
      const position = Math.round(y - line);
      if (position > 0 && position < end) edges.add(position);
    }
  }
  const sorted = [...edges].sort((a, b) => a - b);
  const every = Math.ceil(sorted.length / MOST);
  return every <= 1 ? sorted : sorted.filter((_, i) => i % every === 0);
}

function coloursBeneath(scene: Scene, element: ElementNode): Pick<Passing, 'colours' | 'unknown'> {
  const item = itemOf(scene, element);
  const rect = scene.rect(element);
  const colours = new Map<string, Rgba>();
  const unknown = new Set<string>();
  if (!item || !rect) return { colours: [], unknown: [] };
  const y = rect.y + rect.height / 2;
  for (const x of acrossOf(rect)) {
    if (!contains({ x: 0, y: 0, ...scene.scrollSize }, x, y)) continue;
    const beneath = scene.backdrop({ x, y }, item, null);
    for (const colour of beneath.colours) colours.set(printColour(colour), colour);
    for (const name of beneath.unknown) unknown.add(name);
  }
  return { colours: [...colours.values()], unknown: [...unknown] };
}

const alike = (a: Pick<Passing, 'colours' | 'unknown'>, b: Pick<Passing, 'colours' | 'unknown'>): boolean =>
  a.colours.map(printColour).join() === b.colours.map(printColour).join() && a.unknown.join() === b.unknown.join();
