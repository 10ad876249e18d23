import type { ComputedStyle, StyleTree } from '../../cascade/index.js';
import type { Display, PseudoElement } from '../../css/index.js';
import type { LimitLog } from '../../base/index.js';
import type { ElementNode, HtmlDocument, MarkupView } from '../../html/index.js';
import { isInFlow, isInlineLevel, type Box, type Inner, type NaturalSize, type Outer } from '../box.js';
import { isVertical, styleInFlow, type Mode } from '../flows/modes.js';
import { naturalTurned } from '../flows/turn.js';
import { keepsSpaces, transformText, type TextMetrics } from '../text/index.js';
import { generatedContent, markerText, Quotes } from './content.js';
import { Counters } from './counters.js';
import { firstTextOf, splitFirstLetter } from './first-letter.js';
import { collapseBorders } from '../contexts/table-borders.js';
import { isReplaced, naturalSize, type ImageSizes } from './natural.js';
import { wrapTableParts } from './tables.js';

export interface BoxTree {
  readonly root: Box;
  /** The principal box of each element, by element index; null where there is none. */
  readonly principal: readonly (Box | null)[];
  /** All boxes of an element, pseudo-elements left out: more than one only for parts the engine splits. */
  readonly count: number;
}

interface Building {
  readonly styles: StyleTree;
  readonly images: ImageSizes;
  readonly metrics: TextMetrics;
  readonly limits: LimitLog;
  readonly principal: (Box | null)[];
  readonly counters: Counters;
  readonly quotes: Quotes;
  next: number;
}

/** Inner and outer type by display. @spec css-display-3 §2 */
const TYPES: Partial<Readonly<Record<Display, readonly [Outer, Inner]>>> = {
  inline: ['inline', 'flow'],
  'inline list-item': ['inline', 'flow'],
  ruby: ['inline', 'flow'],
  'ruby-text': ['inline', 'flow'],
  math: ['inline', 'flow'],
  'inline-block': ['atomic', 'flow'],
  flex: ['block', 'flex'],
  'inline-flex': ['atomic', 'flex'],
  grid: ['block', 'grid'],
  'inline-grid': ['atomic', 'grid'],
  table: ['block', 'table'],
  'inline-table': ['atomic', 'table'],
  'table-row-group': ['table-part', 'row-group'],
  'table-header-group': ['table-part', 'row-group'],
  'table-footer-group': ['table-part', 'row-group'],
  'table-row': ['table-part', 'row'],
  'table-cell': ['table-part', 'flow'],
  'table-caption': ['table-part', 'flow'],
  'table-column': ['table-part', 'column'],
  'table-column-group': ['table-part', 'column-group'],
};

/**
 * Makes the box tree of a document: display, pseudo-elements, then anonymous boxes.
 * @spec css-display-3 §2, css2 §9.2
 */
export function generateBoxes(
  document: HtmlDocument,
  styles: StyleTree,
  images: ImageSizes,
  metrics: TextMetrics,
  limits: LimitLog,
): BoxTree {
  const building: Building = {
    styles,
    images,
    metrics,
    limits,
    principal: new Array<Box | null>(document.elements.length).fill(null),
    counters: new Counters(styles.view),
    quotes: new Quotes(),
    next: 0,
  };
  const style = styles.of(document.root);
  const body = document.body ? styles.of(document.body) : style;
  // The body's writing mode is that of the whole page. @spec css-writing-modes-4 §8
  const mode = body.display === 'none' ? style.writingMode : body.writingMode;
  const root = make(building, {
    element: document.root,
    style,
    frame: mode,
    mode,
    outer: 'block',
    inner: TYPES[style.display]?.[1] ?? 'flow',
    parent: null,
    viewport: !isOpen(style),
  });
  building.principal[document.root.index] = root;
  if (style.display !== 'none') {
    building.counters.enter(style, building, null);
    fill(root, document.root, building);
    complete(root, building);
  }
  return { root, principal: building.principal, count: building.next };
}

/** What a box is made from; its style is the cascade's. */
type Draft = Pick<Box, 'style' | 'outer' | 'inner' | 'parent'> & Partial<Box>;

function make(building: Pick<Building, 'next'>, draft: Draft): Box {
  const { style, parent } = draft;
  const frame = draft.frame ?? parent?.mode ?? style.writingMode;
  const natural = draft.natural ?? null;
  // Written out: all boxes are of one shape, which makes reading them fast.
  return {
    id: building.next++,
    element: draft.element ?? null,
    pseudo: draft.pseudo ?? null,
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
    marker: draft.marker ?? '',
    collapsed: draft.collapsed ?? null,
    firstLine: draft.firstLine ?? null,
    viewport: draft.viewport ?? false,
  };
}

const PARTS: readonly Inner[] = ['row-group', 'row', 'column', 'column-group'];

/** The flow of a box's content; writing-mode does not apply to everything. @spec css-writing-modes-4 §3.2 */
function ownMode(style: ComputedStyle, { inner, anonymous }: Omit<Draft, 'style'>, frame: Mode): Mode {
  if (anonymous || inner === 'text' || inner === 'break' || inner === 'replaced' || PARTS.includes(inner)) return frame;
  return style.writingMode;
}

/** An inline box with a flow of its own is one piece in its line. @spec css-writing-modes-4 §3.2 */
const outerIn = (outer: Outer, inner: Inner, style: ComputedStyle, parent: Box): Outer =>
  outer === 'inline' && inner === 'flow' && style.writingMode !== parent.mode ? 'atomic' : outer;

function fill(box: Box, element: ElementNode, building: Building): void {
  const { styles } = building;
  const style = styles.of(element);
  if (/list-item/.test(style.display)) marker(box, element, style, building);
  pseudo(box, element, 'before', building);
  for (const child of element.children) {
    if (child.kind === 'text') text(box, child.data, styles.of(element), building);
    else elementBox(box, child, building);
  }
  pseudo(box, element, 'after', building);
  building.counters.leave(element);
}

const skipped = (element: ElementNode, { styles }: Building): boolean =>
  element.parent?.tag === 'details' &&
  styles.view.attribute(element.parent, 'open') === undefined &&
  element.parent.elements.find((e) => e.tag === 'summary') !== element;

function elementBox(parent: Box, element: ElementNode, building: Building): void {
  const style = building.styles.of(element);
  if (style.display === 'none') return;
  if (element.namespace === 'svg' && element.parent?.namespace === 'svg') return;
  building.counters.enter(style, element.parent ?? building, element);
  if (style.display === 'contents') return fill(parent, element, building);
  if (skipped(element, building)) return;
  if (element.tag === 'br' && element.namespace === 'html') {
    building.principal[element.index] = push(
      parent,
      make(building, { element, style, outer: 'inline', inner: 'break', parent }),
    );
    return;
  }
  if (element.tag === 'wbr') {
    building.principal[element.index] = push(
      parent,
      make(building, { element, style, outer: 'inline', inner: 'flow', parent }),
    );
    push(
      building.principal[element.index]!,
      make(building, { style, outer: 'inline', inner: 'text', parent, text: '\u200b' }),
    );
    return;
  }
  const [outer, inner] = TYPES[style.display] ?? (['block', 'flow'] as const);
  const sources = { markup: building.styles.view, images: building.images, metrics: building.metrics };
  const replaced = isReplaced(element, building.styles.view);
  const natural: NaturalSize | null = replaced ? naturalSize(element, style, sources) : null;
  const centred = !replaced && inner === 'flow' && (element.tag === 'button' || element.tag === 'input');
  const firstLine =
    inner === 'flow' && outer !== 'inline' && !replaced ? building.styles.pseudo(element, 'first-line') : null;
  if (style.overlay === 'auto') backdrop(parent, element, building);
  const box = make(building, {
    element,
    style,
    firstLine: firstLine && styleInFlow(firstLine, style.writingMode),
    outer: replaced || centred ? (outer === 'inline' ? 'atomic' : outer) : outerIn(outer, inner, style, parent),
    inner: replaced ? 'replaced' : inner,
    parent,
    natural,
    centred,
    viewport: element.tag === 'body' && element.parent?.parent === null && isOpen(building.styles.of(element.parent)),
    marker:
      /list-item/.test(style.display) && style.listStylePosition === 'outside' && element.tag !== 'summary'
        ? markerText(style, building.counters.values('list-item').at(-1)!)
        : '',
  });
  push(parent, box);
  building.principal[element.index] = box;
  if (replaced) return;
  if (element.tag === 'input') text(box, inputLabel(element, building.styles.view), style, building);
  else fill(box, element, building);
  if (box.inner === 'flow' && box.outer !== 'inline') firstLetter(box, element, building);
  complete(box, building);
}

/** Puts the first letter of a block container into a box of its own where the page styles it. @spec css-pseudo-4 §2.2 */
function firstLetter(box: Box, element: ElementNode, building: Building): void {
  const style = building.styles.pseudo(element, 'first-letter');
  const text = style && style.display !== 'none' ? firstTextOf(box) : null;
  const parts = text ? splitFirstLetter(text.text) : null;
  if (!style || !text || !parts) return;
  const parent = text.parent!;
  const floats = style.float !== 'none';
  const part = make(building, {
    element,
    pseudo: 'first-letter',
    style,
    outer: floats ? 'block' : 'inline',
    inner: 'flow',
    parent,
  });
  const lettered = transformText(parts.letter, style.textTransform, '');
  push(part, make(building, { style, outer: 'inline', inner: 'text', parent: part, text: lettered }));
  const plain = (content: string): Box[] =>
    content === ''
      ? []
      : [make(building, { style: text.computed, outer: 'inline', inner: 'text', parent, text: content })];
  parent.children.splice(parent.children.indexOf(text), 1, ...plain(parts.space), part, ...plain(parts.rest));
}

const isOpen = (style: ComputedStyle): boolean => style.overflowX === 'visible' && style.overflowY === 'visible';

function push(parent: Box, child: Box): Box {
  parent.children.push(child);
  return child;
}

function inputLabel(element: ElementNode, markup: MarkupView): string {
  const type = (markup.attribute(element, 'type') ?? '').toLowerCase();
  return markup.attribute(element, 'value') ?? (type === 'submit' ? 'Submit' : type === 'reset' ? 'Reset' : '');
}

function text(parent: Box, data: string, style: ComputedStyle, building: Building): void {
  if (data === '') return;
  const before = style.textTransform === 'none' ? '' : characterBefore(parent);
  push(
    parent,
    make(building, {
      style,
      outer: 'inline',
      inner: 'text',
      parent,
      text: transformText(data, style.textTransform, before),
    }),
  );
}

/** The character in front of what comes next into a box, across the edges of inline boxes; empty where none is. */
function characterBefore(parent: Box, skip = 0): string {
  for (let i = parent.children.length - 1 - skip; i >= 0; i--) {
    const child = parent.children[i]!;
    if (child.inner === 'text') return child.text.slice(-1);
    if (child.outer !== 'inline' || child.inner !== 'flow') return '';
    const inside = lastCharacter(child);
    if (inside !== '') return inside;
  }
  return parent.outer === 'inline' && parent.parent ? characterBefore(parent.parent, 1) : '';
}

const lastCharacter = (box: Box): string =>
  box.children.reduceRight(
    (found, child) => found || (child.inner === 'text' ? child.text.slice(-1) : lastCharacter(child)),
    '',
  );

/** The box beneath what stands in the top layer. @spec css-position-4 §4.3 */
function backdrop(parent: Box, element: ElementNode, building: Building): void {
  const style = building.styles.pseudo(element, 'backdrop');
  if (!style || style.display === 'none') return;
  push(parent, make(building, { element, pseudo: 'backdrop', style, outer: 'block', inner: 'flow', parent }));
}

function pseudo(parent: Box, element: ElementNode, name: PseudoElement, building: Building): void {
  const style = building.styles.pseudo(element, name);
  if (!style || style.display === 'none') return;
  building.counters.enter(style, element, null);
  const content = generatedContent(style, element, name, building);
  if (!content) return;
  const [outer, inner] = TYPES[style.display] ?? (['block', 'flow'] as const);
  const target =
    style.display === 'contents'
      ? parent
      : push(
          parent,
          make(building, {
            element,
            pseudo: name,
            style,
            outer: outerIn(outer, inner, style, parent),
            inner,
            parent,
          }),
        );
  for (const part of content) {
    if (part.kind === 'text') text(target, part.text, style, building);
    else {
      const size = building.images(part.url);
      const natural = size ?? { width: 0, height: 0, ratio: null };
      push(
        target,
        make(building, {
          element,
          pseudo: name,
          style: style,
          outer: 'atomic',
          inner: 'replaced',
          parent: target,
          natural,
          anonymous: true,
        }),
      );
    }
  }
  if (target !== parent) complete(target, building);
}

function marker(box: Box, element: ElementNode, style: ComputedStyle, building: Building): void {
  if (style.listStylePosition !== 'inside' || element.tag === 'summary') {
    if (element.tag !== 'summary') return;
  }
  const text = markerText(style, building.counters.values('list-item').at(-1)!);
  if (text !== '') push(box, make(building, { style, outer: 'inline', inner: 'text', parent: box, text }));
}

/** Puts the children of one box into the form its layout needs. */
function complete(box: Box, building: Building): void {
  if (['table', 'row-group', 'row'].includes(box.inner)) {
    wrapTableParts(box, (draft) => make(building, draft));
    if (box.inner === 'table') collapseBorders(box);
    return;
  }
  if (box.inner === 'flow') wrapTableParts(box, (draft) => make(building, draft));
  if (box.inner === 'flex' || box.inner === 'grid') wrapRuns(box, building, true);
  else if (box.inner === 'flow' && box.outer !== 'inline' && mixes(box)) wrapRuns(box, building, false);
}

const mixes = (box: Box): boolean =>
  box.children.some((child) => isInFlow(child) && !isInlineLevel(child)) &&
  box.children.some((child) => isInFlow(child) && isInlineLevel(child));

const isBlank = (box: Box): boolean =>
  box.inner === 'text' && /^[ \t\r\n\f]*$/.test(box.text) && !keepsSpaces(box.style);

/** Gathers runs of inline-level children into anonymous block boxes. @spec css2 §9.2.1.1, css-flexbox-1 §4 */
function wrapRuns(box: Box, building: Building, items: boolean): void {
  const children = box.children.splice(0);
  let run: Box[] = [];
  const flush = () => {
    const visible = items
      ? run.some((child) => !isBlank(child))
      : run.some((child) => !isBlank(child) && isInFlow(child));
    if (visible) {
      const wrapper = make(building, {
        style: box.computed,
        outer: 'block',
        inner: 'flow',
        parent: box,
        anonymous: true,
        firstLine: box.children.some(isInFlow) ? null : box.firstLine,
      });
      for (const child of run) wrapper.children.push(adopt(child, wrapper));
      box.children.push(wrapper);
    } else for (const child of run) if (!isBlank(child)) box.children.push(child);
    run = [];
  };
  for (const child of children) {
    const joins = items ? child.inner === 'text' : isInlineLevel(child) || (run.length > 0 && !isInFlow(child));
    if (joins) run.push(child);
    else {
      flush();
      box.children.push(child);
    }
  }
  flush();
}

export function adopt(child: Box, parent: Box): Box {
  (child as { parent: Box }).parent = parent;
  return child;
}
