import { originOf, withValues, type ComputedStyle, type StyleTree } from '../../cascade/index.js';
import type { Display, PseudoElement } from '../../css/index.js';
import type { LimitLog } from '../../base/index.js';
import { isForScriptless, type ElementNode, type HtmlDocument, type MarkupView } from '../../html/index.js';
import { type Box, type Inner, type NaturalSize, type Outer } from '../box.js';
import { styleInFlow } from '../flows/modes.js';
import { type TextMetrics } from '../text/index.js';
import { generatedContent, Quotes } from './content.js';
import { Counters } from './counters.js';
import { needsLine } from './editable.js';
import { partFieldset } from './fieldset.js';
import { firstLetter } from './first-letter.js';
import { insideMarker, outsideMarker } from './markers.js';
import { NOTHING, picture, pictureOf } from './pictures.js';
import { text, textOfUnboxed } from './text-boxes.js';
import { missingImage, type Alternative, fillWithAlternative } from './alternative.js';
import { containedNatural } from './contained.js';
import { magnifiedSize, zoomed } from './zoom.js';
import { isPlain, isReplaced, naturalSize, type Part, type ImageSizes, type PictureSizes } from './natural.js';
import { groupLabel, isListBox, labelOf, rowsOf } from './list-box.js';
import { type Building, make, push } from './make.js';
import { complete } from './anonymous.js';
import { UNDRAWN } from './undrawn.js';

export interface BoxTree {
  readonly root: Box;
  /** The principal box of each element, by element index; null where there is none. */
  readonly principal: readonly (Box | null)[];
  /** Boxes whose content is skipped while it is far from the screen. @spec css-contain-3 §4.2 */
  readonly deferring: readonly Box[];
  /** All boxes of an element, pseudo-elements left out: more than one only for parts the engine splits. */
  readonly count: number;
  /** How much an element is zoomed. */
  readonly zoom: (element: ElementNode) => number;
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
  given: StyleTree,
  { images, pictures }: { readonly images: ImageSizes; readonly pictures: PictureSizes },
  metrics: TextMetrics,
  limits: LimitLog,
): BoxTree {
  const { styles, of: zoom } = zoomed(document, given);
  const building: Building = {
    styles,
    zoom,
    images,
    pictures,
    metrics,
    limits,
    principal: new Array<Box | null>(document.elements.length).fill(null),
    document,
    counters: new Counters(styles.view),
    quotes: new Quotes(),
    next: 0,
  };
  const style = styles.of(document.root);
  const body = document.body ? styles.of(document.body) : style;
  // The body's writing mode and direction are those of the whole page. @spec css-writing-modes-4 §8
  const principal = body.display === 'none' ? style : body;
  const mode = principal.writingMode;
  const root = make(building, {
    element: document.root,
    style: style.direction === principal.direction ? style : withValues(style, { direction: principal.direction }),
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
  const deferring = building.principal.filter((box) => box?.computed.contentVisibility === 'auto');
  return { root, principal: building.principal, count: building.next, deferring: deferring as Box[], zoom };
}

/** An inline box with a flow of its own is one piece in its line. @spec css-writing-modes-4 §3.2 */
const outerIn = (outer: Outer, inner: Inner, style: ComputedStyle, parent: Box): Outer =>
  outer === 'inline' && inner === 'flow' && style.writingMode !== parent.mode ? 'atomic' : outer;

function fill(box: Box, element: ElementNode, building: Building): void {
  const { styles } = building;
  const style = styles.of(element);
  insideMarker(box, element, style, building);
  pseudo(box, element, 'before', building);
  if (isDetails(element) && !summaryOf(element)) ownSummary(box, building);
  if (element.tag === 'optgroup') groupLabel(box, element, style, building);
  if (isDetails(element)) fillDetails(box, element, building);
  else if (element.tag === 'option' && element.namespace === 'html')
    text(box, labelOf(element, styles.view), style, building);
  else if (!isPlain(element, style)) for (const child of element.children) nodeBox(box, child, element, building);
  pseudo(box, element, 'after', building);
  building.counters.leave(element);
}

const isDetails = ({ tag, namespace }: ElementNode): boolean => tag === 'details' && namespace === 'html';

const summaryOf = (details: ElementNode): ElementNode | undefined => details.elements.find((e) => e.tag === 'summary');

/** Details without a summary have one of the browser's own. @spec html §15.5.4 */
function ownSummary(box: Box, building: Building): void {
  const line = push(
    box,
    make(building, { style: box.computed, outer: 'block', inner: 'flow', parent: box, anonymous: true }),
  );
  const style = withValues(box.computed, { listStyleType: { name: 'disclosure-closed' } });
  push(
    line,
    make(building, { style, pseudo: 'marker', outer: 'inline', inner: 'text', parent: line, text: '\u25b8 ' }),
  );
  text(line, 'Details', box.computed, building);
}

/** Details hold their summary, and the rest in a box of its own that is shown while they are open. @spec html §15.5.4, css-pseudo-4 §4.4 */
function fillDetails(box: Box, element: ElementNode, building: Building): void {
  const summary = summaryOf(element);
  if (summary) elementBox(box, summary, building);
  const style = building.styles.pseudo(element, 'details-content');
  if (!style || style.display === 'none') return;
  const slot = style.display === 'contents' ? box : push(box, contentBox(box, element, style, building));
  for (const child of element.children) if (child !== summary) nodeBox(slot, child, element, building);
  if (slot !== box) complete(slot, building);
}

function contentBox(parent: Box, element: ElementNode, style: ComputedStyle, building: Building): Box {
  const [outer, inner] = TYPES[style.display] ?? (['block', 'flow'] as const);
  return make(building, {
    element,
    pseudo: 'details-content',
    style,
    outer: outerIn(outer, inner, style, parent),
    inner,
    parent,
    locked: style.contentVisibility === 'hidden' && canLock(outer, inner),
  });
}

function nodeBox(box: Box, node: ElementNode['children'][number], parent: ElementNode, building: Building): void {
  if (node.kind !== 'text') return elementBox(box, node, building);
  const style = building.styles.of(parent);
  if (style.display === 'contents') textOfUnboxed(box, node.data, parent, building);
  else text(box, node.data, style, building);
}

function elementBox(parent: Box, element: ElementNode, building: Building): void {
  const style = building.styles.of(element);
  if (style.display === 'none' || isForScriptless(element, building.document)) return;
  // Graphics are no boxes: the picture around them draws them.
  if (element.namespace === 'svg' && element.parent?.namespace === 'svg') return;
  building.counters.enter(style, element.parent ?? building, element);
  if (style.display === 'contents') return fill(parent, element, building);
  if (element.namespace === 'html' && (element.tag === 'br' || element.tag === 'wbr'))
    return breakBox(parent, element, style, building);
  const { natural, alternative, own } = replacementOf(element, style, building);
  const replaced = natural !== null;
  const rows = isListBox(element, building.styles.view) ? rowsOf(element, building.styles.view) : 0;
  const [outer, within] = typesOf(style, replaced || alternative !== null || isField(element, style));
  // Texts in place of pictures and lists of options run on, whatever the style asks for.
  const inner = alternative || rows > 0 ? 'flow' : within;
  const centred =
    !replaced &&
    !alternative &&
    inner === 'flow' &&
    (element.tag === 'button' || (element.tag === 'input' && !isPlain(element, style)));
  const framed = element.tag === 'fieldset' && element.namespace === 'html';
  const firstLine =
    inner === 'flow' && outer !== 'inline' && !replaced ? building.styles.pseudo(element, 'first-line') : null;
  if (leavesPlane(style)) notePerspective(element, building);
  if (style.display === 'ruby-text')
    building.limits.add('unsupported', 'ruby', 'its annotations stand in the line of the text', element.startTag);
  if (style.overlay === 'auto') backdrop(parent, element, building);
  const box = make(building, {
    element,
    style: own,
    firstLine: firstLine && styleInFlow(firstLine, style.writingMode),
    outer:
      replaced || centred || framed || alternative
        ? outer === 'inline'
          ? 'atomic'
          : outer
        : outerIn(outer, inner, style, parent),
    inner: replaced ? 'replaced' : inner,
    parent,
    natural,
    centred,
    rows,
    locked: style.contentVisibility === 'hidden' && !replaced && (canLock(outer, inner) || centred),
    viewport: element.tag === 'body' && element.parent?.parent === null && isOpen(building.styles.of(element.parent)),
    marker: outsideMarker(element, style, building),
  });
  push(parent, box);
  building.principal[element.index] = box;
  if (element.namespace === 'svg') embedded(box, element, building);
  if (replaced) return;
  if (alternative) {
    fillWithAlternative(box, alternative, building);
    return;
  }
  if (element.tag === 'input' && !isPlain(element, style))
    text(box, inputLabel(element, building.styles.view) || NO_LABEL, style, building);
  else fill(box, element, building);
  if (needsLine(box, element, building.styles.view)) text(box, NO_LABEL, style, building);
  if (box.inner === 'flow' && box.outer !== 'inline') firstLetter(box, element, building);
  partFieldset(box, building);
  complete(box, building);
}

/** Inline boxes and the rows and columns of tables have no size to contain. @spec css-contain-3 §4 (as browsers have it) */
const canLock = (outer: Outer, inner: Inner): boolean =>
  inner !== 'flow' ? outer !== 'table-part' : outer !== 'inline';

/** Outer and inner type. What stands by itself is neither table nor part of one. @spec css-tables-3 §2.1 */
function typesOf(style: ComputedStyle, alone: boolean): readonly [Outer, Inner] {
  const types = TYPES[style.display] ?? (['block', 'flow'] as const);
  if (!alone || (types[0] !== 'table-part' && types[1] !== 'table')) return types;
  return [types[0] === 'atomic' ? 'atomic' : 'block', 'flow'];
}

/** Fields and buttons keep their kind of box without the looks of the system. */
const isField = (element: ElementNode, style: ComputedStyle): boolean =>
  element.namespace === 'html' &&
  /^(button|select|textarea|fieldset|input)$/.test(element.tag) &&
  !isPlain(element, style);

function breakBox(parent: Box, element: ElementNode, style: ComputedStyle, building: Building): void {
  // An occasion to break is no box.
  if (element.tag === 'wbr')
    push(parent, make(building, { style, outer: 'inline', inner: 'text', parent, text: '\u200b' }));
  else
    building.principal[element.index] = push(
      parent,
      make(building, { element, style, outer: 'inline', inner: 'break', parent }),
    );
}

/** What stands in the place of an element's content: a picture or a control of its own size, or the text for it. */
function replacementOf(
  element: ElementNode,
  style: ComputedStyle,
  building: Building,
): {
  readonly natural: NaturalSize | null;
  readonly alternative: Alternative | null;
  readonly own: ComputedStyle;
} {
  const natural = pictureOf(style, building);
  if (natural) return { natural, alternative: null, own: style };
  const { images, pictures, metrics, document } = building;
  const part: Part = (control, name) => {
    const found = building.styles.pseudo(control, name);
    return found && styleInFlow(found, style.writingMode);
  };
  const sources = { markup: building.styles.view, images, pictures, metrics, part };
  const missing = missingImage(element, style, { ...sources, quirks: document.quirks });
  const { alternative, style: own } = missing ?? { alternative: null, style };
  const replaced = !alternative && isReplaced(element, style, sources, document.scripting);
  if (!replaced) return { natural: null, alternative, own };
  const shown = magnifiedSize(element, naturalSize(element, own, sources), building.zoom(element));
  const size = containedNatural(element, own, shown, sources.markup);
  return { natural: missing?.framed ? { ...size, framed: true, filled: missing.filled } : size, alternative, own };
}

/** Whether a transform turns or moves a box out of the plane it stands in. */
const leavesPlane = ({ transform, rotate }: ComputedStyle): boolean =>
  [...transform, ...rotate].some(
    (s) => s.kind === 'space' || (s.kind === 'rotate' && s.axis !== 'z') || (s.kind === 'translate' && s.z.px !== 0),
  );

function notePerspective(element: ElementNode, { styles, limits }: Building): void {
  if (!element.parent || styles.of(element.parent).perspective === 'none') return;
  limits.add(
    'unsupported',
    'perspective of a parent',
    'what is turned inside is placed as seen from far away',
    element.startTag,
  );
}

/** What a picture embeds of HTML stands in boxes of its own; the picture puts them into their place. @spec svg-2 §12.4 */
function embedded(picture: Box, element: ElementNode, building: Building): void {
  for (const child of element.elements) {
    const style = building.styles.of(child);
    if (child.namespace !== 'svg' || style.display === 'none' || UNDRAWN.has(child.tag)) continue;
    if (child.tag !== 'foreignObject') embedded(picture, child, building);
    else if (child.elements.length > 0) {
      const own = withValues(style, { position: 'relative', top: 'auto', right: 'auto', bottom: 'auto', left: 'auto' });
      const box = push(
        picture,
        make(building, { element: child, style: own, outer: 'block', inner: 'flow', parent: picture }),
      );
      fill(box, child, building);
      complete(box, building);
    }
  }
}

const isOpen = (style: ComputedStyle): boolean => style.overflowX === 'visible' && style.overflowY === 'visible';

/** Keeps a button without a label, or what is edited, one line high: it is text that is no space. */
const NO_LABEL = '\u2060';

function inputLabel(element: ElementNode, markup: MarkupView): string {
  const type = (markup.attribute(element, 'type') ?? '').toLowerCase();
  return markup.attribute(element, 'value') ?? (type === 'submit' ? 'Submit' : type === 'reset' ? 'Reset' : '');
}

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
      const natural = building.images(part.url, originOf(style, 'content')?.declaration.span);
      picture(target, { element, pseudo: name, style, natural: natural ?? NOTHING }, building);
    }
  }
  if (target !== parent) complete(target, building);
}
