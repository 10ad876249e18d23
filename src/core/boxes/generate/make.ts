import type { ComputedStyle, StyleTree } from '../../cascade/index.js';
import type { LimitLog } from '../../base/index.js';
import type { ElementNode, HtmlDocument } from '../../html/index.js';
import type { Box, Inner } from '../box.js';
import { isVertical, styleInFlow, type Mode } from '../flows/modes.js';
import { naturalTurned } from '../flows/turn.js';
import type { TextMetrics } from '../text/index.js';
import type { Quotes } from './content.js';
import type { Counters } from './counters.js';
import type { ImageSizes, PictureSizes } from './natural.js';

export interface Building {
  readonly styles: StyleTree;
  /** How much an element is zoomed. */
  readonly zoom: (element: ElementNode) => number;
  readonly images: ImageSizes;
  readonly pictures: PictureSizes;
  readonly document: HtmlDocument;
  readonly metrics: TextMetrics;
  readonly limits: LimitLog;
  readonly principal: (Box | null)[];
  readonly counters: Counters;
  readonly quotes: Quotes;
  next: number;
}

/** What a box is made from; its style is the cascade's. */
type Draft = Pick<Box, 'style' | 'outer' | 'inner' | 'parent'> & Partial<Box>;

export function make(building: Pick<Building, 'next'>, draft: Draft): Box {
  const { style, parent } = draft;
  const frame = draft.frame ?? parent?.mode ?? style.writingMode;
  const natural = draft.natural ?? null;
  // Written out: all boxes are of one shape, which makes reading them fast.
  return {
    id: building.next++,
    element: draft.element ?? null,
    pseudo: draft.pseudo ?? null,
    owner: draft.owner ?? null,
    style: styleInFlow(style, frame),
    computed: style,
    frame,
    mode: draft.mode ?? ownMode(style, draft, frame),
    outer: draft.outer,
    inner: draft.inner,
    parent,
    children: [],
    anonymous: draft.anonymous ?? false,
    text: draft.text ?? '',
    natural: isVertical(frame) ? naturalTurned(natural) : natural,
    centred: draft.centred ?? false,
    rows: draft.rows ?? 0,
    marker: draft.marker ?? null,
    collapsed: draft.collapsed ?? null,
    firstLine: draft.firstLine ?? null,
    locked: draft.locked ?? false,
    viewport: draft.viewport ?? false,
  };
}

const PARTS: readonly Inner[] = ['row-group', 'row', 'column', 'column-group'];

/** The flow of a box's content; writing-mode does not apply to everything. @spec css-writing-modes-4 §3.2 */
function ownMode(style: ComputedStyle, { inner, anonymous }: Omit<Draft, 'style'>, frame: Mode): Mode {
  if (anonymous || inner === 'text' || inner === 'break' || inner === 'replaced' || PARTS.includes(inner)) return frame;
  return style.writingMode;
}

export function push(parent: Box, child: Box): Box {
  parent.children.push(child);
  return child;
}
