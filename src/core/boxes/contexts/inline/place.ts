import { resolveLength } from '../../../css/index.js';
import type { ComputedStyle } from '../../../cascade/index.js';
import type { Box } from '../../box.js';
import {
  makeFragment,
  NO_EDGES,
  snap,
  snapUp,
  type Edges,
  type Fragment,
  type OutOfFlow,
  type Placed,
} from '../../fragment.js';
import type { Layout } from '../../layout.js';
import { usedBorder, usedMargins, usedPadding } from '../../used/edges.js';
import { relativeOffset } from '../../used/relative.js';
import { mergeText } from './lines.js';
import { faceOf, type Piece } from './pieces.js';

/** How far something reaches above and below a baseline, px. */
interface Extent {
  readonly above: number;
  readonly below: number;
}

/** Line height of a style in px. @spec css-inline-3 §5.1 */
export function lineHeightOf(style: ComputedStyle, layout: Pick<Layout, 'metrics'>): number {
  const { lineHeight } = style;
  if (lineHeight === 'normal') return faceOf(style, layout).lineHeight(style.fontSize);
  return Math.round(('px' in lineHeight ? lineHeight.px : lineHeight.factor * style.fontSize) * 64) / 64;
}

function contentExtent(style: ComputedStyle, layout: Pick<Layout, 'metrics'>): Extent {
  const face = faceOf(style, layout);
  return { above: face.ascent(style.fontSize), below: face.descent(style.fontSize) };
}

/** Content area with half the leading on each side; the upper half is rounded down, as browsers do. */
export function leadedExtent(style: ComputedStyle, layout: Pick<Layout, 'metrics'>): Extent {
  const { above, below } = contentExtent(style, layout);
  const spare = lineHeightOf(style, layout) - above - below;
  const upper = Math.floor(spare / 2);
  return { above: above + upper, below: below + spare - upper };
}

/** An inline box open on the line: its baseline below the root's (down is positive). */
interface Open {
  readonly box: Box;
  readonly style: ComputedStyle;
  readonly shift: number;
  readonly startX: number;
  readonly children: Part[];
  /** Group that is aligned to the line's edge rather than to a baseline. */
  readonly group: Group;
  readonly continued: boolean;
}

interface Group {
  readonly align: 'baseline' | 'top' | 'bottom';
  above: number;
  below: number;
}

interface Part {
  readonly fragment: (baseline: (group: Group) => number) => Fragment;
  readonly x: number;
  /** Top of the part relative to the line, once baselines are known. */
  readonly top: (baseline: (group: Group) => number) => number;
}

export interface LineInput {
  readonly pieces: readonly Piece[];
  readonly container: Box;
  /** Width of the block container's content box, for percentages. */
  readonly basis: number;
  readonly layout: Layout;
  readonly atomics: ReadonlyMap<Box, Fragment>;
  /** Inline boxes that are open when the line begins. */
  readonly open: readonly Box[];
  readonly trailing: boolean;
  /** Extra width for each space of a justified line. */
  readonly expand: number;
}

export interface LineResult {
  readonly children: readonly Placed[];
  readonly height: number;
  readonly baseline: number;
  readonly outOfFlow: readonly OutOfFlow[];
  readonly open: readonly Box[];
}

function include(group: Group, shift: number, extent: Extent): void {
  group.above = Math.max(group.above, extent.above - shift);
  group.below = Math.max(group.below, extent.below + shift);
}

/**
 * Places the pieces of one line: inline boxes with their children, baselines, the height of the line box.
 * Positions are relative to the start of the line, x to the right, y down from the line's top.
 * @spec css2 §10.8.1, css-inline-3 §4
 */
export function placeLine(input: LineInput): LineResult {
  const { layout, container, basis } = input;
  const rootGroup: Group = { align: 'baseline', above: -Infinity, below: -Infinity };
  const groups: Group[] = [rootGroup];
  const strut = leadedExtent(container.style, layout);
  include(rootGroup, 0, strut);
  const top: Part[] = [];
  const outOfFlow: { box: Box; x: number; inlineContainer: Box | null }[] = [];
  const stack: Open[] = [];
  let x = 0;
  const current = () => stack[stack.length - 1];
  const parts = () => current()?.children ?? top;

  const open = (box: Box, continued: boolean) => {
    const parent = current();
    const { shift, group } = alignOf(
      box,
      parent,
      rootGroup,
      groups,
      layout,
      leadedExtent(box.style, layout),
      container,
    );
    include(group, shift, leadedExtent(box.style, layout));
    stack.push({ box, style: box.style, shift, group, startX: x, children: [], continued });
  };
  const close = (ends: boolean) => {
    const done = stack.pop()!;
    const width = x - done.startX;
    parts().push(inlinePart(done, width, !done.continued, ends, basis, layout));
  };

  for (const box of input.open) open(box, true);
  const pieces = mergeText(input.pieces);
  const lastText = pieces.findLast((p) => p.kind === 'text');
  for (const piece of pieces) {
    switch (piece.kind) {
      case 'open':
        open(piece.box, false);
        x += piece.width;
        break;
      case 'close':
        x += piece.width;
        close(true);
        break;
      case 'text': {
        const owner = current();
        const hang =
          piece === lastText && input.trailing && piece.box.style.whiteSpace !== 'pre-wrap' && hangs(pieces, piece)
            ? piece.trailing
            : 0;
        const spaces = input.expand === 0 ? 0 : (piece.text.match(/[ \u00a0]/g)?.length ?? 0);
        const width = snapUp(piece.width - hang) + spaces * input.expand;
        if (piece.text !== '')
          parts().push(textPart(piece, x, width, owner?.shift ?? 0, owner?.group ?? rootGroup, layout));
        x += width;
        break;
      }
      case 'break':
        parts().push(textPart(piece, x, 0, current()?.shift ?? 0, current()?.group ?? rootGroup, layout));
        break;
      case 'atomic':
        parts().push(atomicPart(piece, x, current(), rootGroup, groups, input));
        x += piece.width;
        break;
      case 'out':
        outOfFlow.push({
          box: piece.box,
          x,
          inlineContainer: [...stack].reverse().find((o) => o.style.position !== 'static')?.box ?? null,
        });
        break;
      default:
        break;
    }
  }
  const stillOpen = stack.map((o) => o.box);
  while (stack.length > 0) close(false);
  return assemble(rootGroup, groups, top, outOfFlow, stillOpen);
}

/** Spaces hang only where nothing but closing tags follows. */
function hangs(pieces: readonly Piece[], text: Piece): boolean {
  return pieces
    .slice(pieces.indexOf(text) + 1)
    .every(
      (p) => (p.kind === 'close' && p.width === 0) || p.kind === 'out' || p.kind === 'float' || p.kind === 'break',
    );
}

function assemble(
  root: Group,
  groups: readonly Group[],
  parts: readonly Part[],
  out: readonly { box: Box; x: number; inlineContainer: Box | null }[],
  open: readonly Box[],
): LineResult {
  let height = root.above + root.below;
  let above = root.above;
  for (const group of groups) {
    const size = group.above + group.below;
    if (group.align === 'top' && size > height) height = size;
    if (group.align === 'bottom' && size > height) {
      above += size - height;
      height = size;
    }
  }
  const baseline = (group: Group): number =>
    group.align === 'baseline' ? above : group.align === 'top' ? group.above : height - group.below;
  const children = parts.map((part): Placed => ({
    fragment: part.fragment(baseline),
    x: part.x,
    y: part.top(baseline),
  }));
  const outOfFlow = out.map(({ box, x, inlineContainer }): OutOfFlow => ({
    box,
    x,
    y: 0,
    alignX: 'start',
    alignY: 'start',
    inlineContainer,
  }));
  return { children, height, baseline: above, outOfFlow, open };
}

/** Where a box's baseline goes relative to its parent's. @spec css2 §10.8.1 (vertical-align) */
function alignOf(
  box: Box,
  parent: Open | undefined,
  root: Group,
  groups: Group[],
  layout: Layout,
  extent: Extent,
  container: Box,
): { shift: number; group: Group } {
  const value = box.style.verticalAlign;
  const parentStyle = parent?.style ?? container.style;
  const base = parent?.shift ?? 0;
  const group = parent?.group ?? root;
  if (value === 'top' || value === 'bottom') {
    const made: Group = { align: value, above: -Infinity, below: -Infinity };
    groups.push(made);
    return { shift: 0, group: made };
  }
  return { shift: base + shiftFor(value, box, parentStyle, extent, layout), group };
}

function shiftFor(
  value: Exclude<ComputedStyle['verticalAlign'], 'top' | 'bottom'>,
  box: Box,
  parent: ComputedStyle,
  extent: Extent,
  layout: Layout,
): number {
  if (typeof value !== 'string') return -snap(resolveLength(value, lineHeightOf(box.style, layout)));
  const area = contentExtent(parent, layout);
  switch (value) {
    case 'sub':
      return snap(parent.fontSize / 5 + 1);
    case 'super':
      return -snap(parent.fontSize / 3 + 1);
    case 'middle':
      return -snap(faceOf(parent, layout).xHeight(parent.fontSize) / 2) + (extent.above - extent.below) / 2;
    case 'text-top':
      return extent.above - area.above;
    case 'text-bottom':
      return area.below - extent.below;
    default:
      return 0;
  }
}

function textPart(piece: Piece, x: number, width: number, shift: number, group: Group, layout: Layout): Part {
  const { above, below } = contentExtent(piece.box.style, layout);
  const fragment = makeFragment({
    kind: 'text',
    box: piece.box,
    width,
    height: above + below,
    text: piece.text,
    baseline: above,
  });
  return { fragment: () => fragment, x, top: (baseline) => baseline(group) + shift - above };
}

function inlinePart(done: Open, width: number, starts: boolean, ends: boolean, basis: number, layout: Layout): Part {
  const { above, below } = contentExtent(done.style, layout);
  const rtl = done.style.direction === 'rtl';
  const [left, right] = rtl ? [ends, starts] : [starts, ends];
  const only = (edges: Edges): Edges => ({
    top: edges.top,
    bottom: edges.bottom,
    left: left ? edges.left : 0,
    right: right ? edges.right : 0,
  });
  const margin = only(usedMargins(done.box, basis));
  const border = only(usedBorder(done.box));
  const padding = only(usedPadding(done.box, basis));
  const rise = border.top + padding.top;
  const x = done.startX + margin.left;
  const offset = relativeOffset(done.box, basis, NaN);
  const top = (baseline: (group: Group) => number) => baseline(done.group) + done.shift - above - rise;
  return {
    x: x + offset.x,
    top: (baseline) => top(baseline) + offset.y,
    fragment: (baseline) => {
      const y = top(baseline);
      return makeFragment({
        box: done.box,
        width: width - margin.left - margin.right,
        height: rise + above + below + padding.bottom + border.bottom,
        margin,
        border,
        padding,
        baseline: rise + above,
        children: done.children.map((part): Placed => ({
          fragment: part.fragment(baseline),
          x: part.x - x,
          y: part.top(baseline) - y,
        })),
      });
    },
  };
}

function atomicPart(
  piece: Piece,
  x: number,
  parent: Open | undefined,
  root: Group,
  groups: Group[],
  input: LineInput,
): Part {
  const { box } = piece;
  const fragment = input.atomics.get(box)!;
  const { margin } = fragment;
  const baseline = atomicBaseline(fragment);
  const extent: Extent = { above: baseline + margin.top, below: fragment.height - baseline + margin.bottom };
  const { shift, group } = alignOf(box, parent, root, groups, input.layout, extent, input.container);
  include(group, shift, extent);
  const offset = relativeOffset(box, input.basis, NaN);
  return {
    x: x + margin.left + offset.x,
    fragment: () => fragment,
    top: (line) => line(group) + shift - baseline + offset.y,
  };
}

/** Baseline of an atomic inline from its border-box top. @spec css2 §10.8.1 (inline-block) */
function atomicBaseline(fragment: Fragment): number {
  const { box } = fragment;
  const edge = fragment.height + fragment.margin.bottom;
  if (box.inner === 'replaced')
    return box.element && /^(input|select|textarea)$/.test(box.element.tag) ? controlBaseline(fragment) : edge;
  if (
    box.inner === 'flow' &&
    !box.centred &&
    (box.style.overflowX !== 'visible' || box.style.overflowY !== 'visible') &&
    !/clip/.test(box.style.overflowX)
  )
    return edge;
  return (box.inner === 'flow' && !box.centred ? fragment.lastBaseline : fragment.baseline) ?? edge;
}

function controlBaseline(fragment: Fragment): number {
  const type = (fragment.box.element?.attributes.get('type') ?? 'text').toLowerCase();
  if (type === 'checkbox' || type === 'radio') return fragment.height;
  return fragment.baseline ?? fragment.height + fragment.margin.bottom;
}

export { NO_EDGES };
