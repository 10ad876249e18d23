import type { Box } from '../boxes/index.js';
import { isPositioned, type PaintNode } from './nodes.js';
import { stackingReasons, usedZIndex } from './stacking.js';

/** A group painted as a whole, then filtered and made see-through. */
export interface Group {
  readonly opacity: number;
  /** The filter property, `none` where it has none. */
  readonly filter: string;
  readonly parent: Group | null;
}

/** One thing painted; later items lie above earlier ones. */
export interface PaintItem {
  readonly node: PaintNode;
  readonly group: Group | null;
  readonly index: number;
}

interface Layer {
  readonly node: PaintNode;
  readonly z: number;
  /** A real stacking context; otherwise a positioned box whose positioned children belong to the context around. */
  readonly real: boolean;
}

interface Collected {
  readonly blocks: PaintNode[];
  readonly floats: PaintNode[];
  readonly inlines: PaintNode[];
  readonly layers: Layer[];
}

/**
 * The paint list of a page.
 * @spec css2 appendix E.2, css-position-4 §4.2 (the top layer)
 */
export function paintOrder(roots: readonly PaintNode[]): readonly PaintItem[] {
  const out: PaintItem[] = [];
  for (const node of roots) paintContext({ node, z: 0, real: true }, null, out);
  return out;
}

function groupOf(box: Box, outer: Group | null): Group | null {
  if (box.anonymous || box.inner === 'text') return outer;
  const { opacity, filter } = box.style;
  return opacity < 1 || filter !== 'none' ? { opacity, filter, parent: outer } : outer;
}

const byTree = (a: Layer, b: Layer): number => a.node.box.id - b.node.box.id;

function paintContext(layer: Layer, outer: Group | null, out: PaintItem[]): void {
  const { node } = layer;
  const group = groupOf(node.box, outer);
  const parts = collect(node);
  const { layers } = parts;
  const emit = (item: PaintNode) => out.push({ node: item, group, index: out.length });
  emit(node);
  const below = layers.filter((l) => l.real && l.z < 0).sort((a, b) => a.z - b.z || byTree(a, b));
  for (const l of below) paintContext(l, group, out);
  paintFlow(parts, emit, group, out);
  const level = layers.filter((l) => !l.real || l.z === 0).sort(byTree);
  for (const l of level) l.real ? paintContext(l, group, out) : paintPseudo(l.node, group, out);
  const above = layers.filter((l) => l.real && l.z > 0).sort((a, b) => a.z - b.z || byTree(a, b));
  for (const l of above) paintContext(l, group, out);
}

function paintFlow(parts: Collected, emit: (node: PaintNode) => void, group: Group | null, out: PaintItem[]): void {
  parts.blocks.forEach(emit);
  for (const float of parts.floats) paintPseudo(float, group, out);
  for (const inline of parts.inlines) {
    if (isAtomic(inline)) paintPseudo(inline, group, out);
    else emit(inline);
  }
}

/** Painted like a stacking context, except that positioned descendants are left to the real one. */
function paintPseudo(node: PaintNode, group: Group | null, out: PaintItem[]): void {
  const emit = (item: PaintNode) => out.push({ node: item, group, index: out.length });
  emit(node);
  paintFlow(collect(node), emit, group, out);
}

const isAtomic = (node: PaintNode): boolean =>
  node.fragment.kind === 'box' && (node.box.outer === 'atomic' || isFlexItem(node.box));
const isFlexItem = (box: Box): boolean =>
  box.parent !== null && ['flex', 'grid'].includes(box.parent.inner) && box.outer !== 'inline';

/** Sorts what lies below a node into the phases of painting, layers taken out with all levels of them. */
function collect(node: PaintNode): Collected {
  const parts: Collected = { blocks: [], floats: [], inlines: [], layers: [] };
  for (const child of node.children) visit(child, parts);
  return parts;
}

function visit(node: PaintNode, parts: Collected): void {
  const { box, fragment } = node;
  if (fragment.kind === 'text') {
    parts.inlines.push(node);
    return;
  }
  if (stackingReasons(box).length > 0) {
    parts.layers.push({ node, z: usedZIndex(box), real: true });
    return;
  }
  if (isPositioned(box)) {
    parts.layers.push({ node, z: 0, real: false });
    hoist(node, parts);
    return;
  }
  const floats = !box.anonymous && box.style.float !== 'none';
  if (floats || isAtomic(node)) {
    (floats ? parts.floats : parts.inlines).push(node);
    hoist(node, parts);
    return;
  }
  // What an inline box has around a block lies below it.
  if (box.outer === 'inline' && fragment.kind !== 'line') parts.inlines.push(node);
  else parts.blocks.push(node);
  for (const child of node.children) visit(child, parts);
}

/** Layers inside a pseudo context belong to the real context around it. */
function hoist(node: PaintNode, parts: Collected): void {
  for (const child of node.children) {
    if (child.fragment.kind === 'text') continue;
    if (stackingReasons(child.box).length > 0) parts.layers.push({ node: child, z: usedZIndex(child.box), real: true });
    else {
      if (isPositioned(child.box)) parts.layers.push({ node: child, z: 0, real: false });
      hoist(child, parts);
    }
  }
}
