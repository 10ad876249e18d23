import type { Box } from '../boxes/index.js';
import type { ComputedStyle } from '../cascade/index.js';
import { BLACK, compose, fade, luminance, WHITE, type Rgba } from '../css/index.js';
import { covers } from './hit.js';
import type { Group, PaintItem } from './order.js';

/** What may lie at a point: every colour in question, darkest and lightest kept, and what could not be told. */
export interface Backdrop {
  readonly colours: readonly Rgba[];
  /** Images and the like whose pixels are not known. */
  readonly unknown: readonly string[];
}

const KEEP = 6;

/**
 * The colours at a point once everything up to an item is painted, with and without something on top.
 * @param until index in the list; items from it on are left out
 * @param styleOf the style each box is painted with
 * @param top a colour painted last, inside the group of the item at `until`
 * @spec compositing-1 §5, css-color-4 §3.2 (opacity)
 */
export function backdropAt(
  items: readonly PaintItem[],
  x: number,
  y: number,
  until: number,
  top: Rgba | null,
  canvas: Rgba,
  styleOf: (box: Box) => ComputedStyle,
): Backdrop {
  const unknown = new Set<string>();
  const stack: { group: Group | null; colours: readonly Rgba[] }[] = [{ group: null, colours: [canvas] }];
  const leave = (to: Group | null) => {
    while (stack.length > 1 && !chain(to).includes(stack[stack.length - 1]!.group)) {
      const done = stack.pop()!;
      const under = stack[stack.length - 1]!;
      under.colours = overlay(
        under.colours,
        done.colours.map((c) => fade(c, done.group!.opacity)),
      );
    }
  };
  const enter = (to: Group | null) => {
    leave(to);
    for (const group of chain(to).reverse())
      if (group && !stack.some((s) => s.group === group)) stack.push({ group, colours: [{ r: 0, g: 0, b: 0, a: 0 }] });
  };
  for (let i = 0; i < Math.min(until, items.length); i++) {
    const item = items[i]!;
    if (item.node.fragment.kind === 'text' || item.node.box.style.visibility !== 'visible' || !covers(item.node, x, y))
      continue;
    const layers = layersOf(item, unknown, styleOf);
    if (layers.length === 0) continue;
    enter(item.group);
    const current = stack[stack.length - 1]!;
    for (const colours of layers) current.colours = overlay(current.colours, colours);
  }
  const last = items[until];
  if (top && last) {
    enter(last.group);
    const current = stack[stack.length - 1]!;
    current.colours = overlay(current.colours, [top]);
  } else if (last) enter(last.group);
  leave(null);
  return { colours: stack[0]!.colours, unknown: [...unknown] };
}

function chain(group: Group | null): (Group | null)[] {
  const out: (Group | null)[] = [];
  for (let g = group; g; g = g.parent) out.push(g);
  return out;
}

/** Possible colours of each layer of a box's background, lowest first. */
function layersOf(item: PaintItem, unknown: Set<string>, styleOf: (box: Box) => ComputedStyle): Rgba[][] {
  const { box } = item.node;
  if (box.inner === 'text' || (box.anonymous && box.inner !== 'replaced')) return [];
  const layers: Rgba[][] = [];
  const style = styleOf(box);
  if (style.backgroundColor.a > 0) layers.push([style.backgroundColor]);
  if (style.backgroundClip !== 'text') {
    for (const image of style.backgroundImage.toReversed()) {
      if (image.kind === 'gradient') layers.push([...image.colours]);
      else unknown.add(image.kind === 'url' ? image.url : image.text);
    }
  }
  if (box.inner === 'replaced' && box.element && /^(img|video|canvas|iframe|object|embed)$/.test(box.element.tag))
    unknown.add(box.element.attributes.get('src') ?? box.element.tag);
  if (style.backdropFilter !== 'none') unknown.add(`backdrop-filter: ${style.backdropFilter}`);
  if (style.mixBlendMode !== 'normal') unknown.add(`mix-blend-mode: ${style.mixBlendMode}`);
  return layers;
}

function overlay(under: readonly Rgba[], over: readonly Rgba[]): readonly Rgba[] {
  if (over.length === 1 && over[0]!.a >= 1) return over;
  const all = under.flatMap((u) => over.map((o) => compose(o, u)));
  if (all.length <= KEEP) return all;
  const sorted = [...all].sort((a, b) => luminance(flat(a)) - luminance(flat(b)));
  return [...sorted.slice(0, KEEP / 2), ...sorted.slice(-KEEP / 2)];
}

const flat = (c: Rgba): Rgba => compose(c, c.a < 1 ? WHITE : BLACK);
