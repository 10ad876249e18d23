import type { ElementNode } from '../html/index.js';
import type { ComputedStyle } from '../cascade/index.js';
import { makersOf, type PseudoElement } from '../css/index.js';
import type { Mode } from './flows/modes.js';
import type { Edges } from './fragment.js';

/** Natural width, height (px) and ratio of replaced content; null where there is none. @spec css-images-3 §4.1 */
export interface NaturalSize {
  readonly width: number | null;
  readonly height: number | null;
  readonly ratio: number | null;
  /** An image without its file: it holds a frame of the size asked for, which stands on the line. */
  readonly framed?: boolean;
  /** The frame holds text: it has some height where that is open. */
  readonly filled?: boolean;
  /** The width to which a percentage may squeeze it, px; nothing where not given. */
  readonly least?: number;
}

/** What a box does with its children. */
export type Inner =
  'flow' | 'flex' | 'grid' | 'table' | 'row-group' | 'row' | 'column' | 'column-group' | 'replaced' | 'text' | 'break';

/** How a box takes part in its parent's layout. */
export type Outer = 'block' | 'inline' | 'atomic' | 'table-part';

/**
 * A box of the box tree: style and structure, no geometry.
 * Geometry lives on fragments, so one tree serves every width with the same styles.
 */
/** A list marker that stands beside its item, in line with the first line there. @spec css-lists-3 §3.1 */
export interface Marker {
  readonly style: ComputedStyle;
  /** Empty where it shows pictures alone, or nothing. */
  readonly text: string;
  /** Height of the tallest picture it shows, px; null without one. */
  readonly pictureHeight: number | null;
}

export interface Box {
  readonly id: number;
  readonly element: ElementNode | null;
  readonly pseudo: PseudoElement | null;
  /** Of text boxes: whose text it is, where that element has no box. @spec css-display-3 §2.5 (contents) */
  readonly owner: ElementNode | null;
  /** As layout reads it: sizes and sides in the terms of the flow the box stands in. */
  readonly style: ComputedStyle;
  /** As the cascade gave it, in the page's terms. */
  readonly computed: ComputedStyle;
  /** The flow the box stands in. */
  readonly frame: Mode;
  /** The flow of its content. */
  readonly mode: Mode;
  readonly outer: Outer;
  readonly inner: Inner;
  readonly parent: Box | null;
  readonly children: Box[];
  /** Made by the engine to hold inline content or table parts; has its parent's inherited style only. */
  readonly anonymous: boolean;
  /** Of text boxes: the text with text-transform applied, white space as in the document. */
  readonly text: string;
  /** Of replaced boxes. */
  readonly natural: NaturalSize | null;
  /** A form control whose content is centred in the block direction. */
  readonly centred: boolean;
  /** Rows a list box shows at once; zero for other boxes. */
  readonly rows: number;
  /** The marker beside a list item; null without one. */
  readonly marker: Marker | null;
  /** Of tables whose borders collapse, and of their cells: the halves that take the place of their own borders, px. */
  readonly collapsed: Edges | null;
  /** Of block containers: the style of their first line, where the page gives it one. */
  readonly firstLine: ComputedStyle | null;
  /** What it holds is laid out and neither shown nor pressed. @spec css-contain-3 §4, html §4.11.1 (closed details) */
  readonly locked: boolean;
  /** The viewport took over its overflow: it neither clips nor contains floats by it. @spec css-overflow-3 §3.3 */
  readonly viewport: boolean;
}

/** The root's box or the body's. */
export const isPage = ({ element }: Box): boolean =>
  element !== null && (element.parent === null || (element.tag === 'body' && element.parent.parent === null));

/** Stands in the top layer: above everything, placed by the viewport alone. @spec css-position-4 §4.1 */
export const isInTopLayer = (box: Box): boolean => !box.anonymous && box.style.overlay === 'auto' && isOutOfFlow(box);

/** Text boxes have the style of what they stand in, which may itself be out of flow. */
export const isOutOfFlow = (box: Box): boolean =>
  !box.anonymous && box.inner !== 'text' && (box.style.position === 'absolute' || box.style.position === 'fixed');
/** Children of flex and grid containers do not float. @spec css-flexbox-1 §3 */
export const isFloating = (box: Box): boolean =>
  !box.anonymous &&
  box.style.float !== 'none' &&
  box.inner !== 'text' &&
  box.parent?.inner !== 'flex' &&
  box.parent?.inner !== 'grid';
/** A replaced box that is a form control: it fills and shrinks by rules of its own. Buttons that show a picture are pictures. */
export const isFormControl = (box: Box): boolean =>
  box.inner === 'replaced' &&
  /^(input|select|textarea|meter|progress)$/.test(box.element?.tag ?? '') &&
  box.element!.attributes.get('type')?.toLowerCase() !== 'image';
export const isInFlow = (box: Box): boolean => !isOutOfFlow(box) && !isFloating(box);
export const isInlineLevel = (box: Box): boolean => box.outer === 'inline' || box.outer === 'atomic';

/** Whether a box is a scroll container, be it one that only scripts scroll. Tables and their parts are none. @spec css-overflow-3 §3 */
export const scrollsContent = ({ anonymous, inner, outer, style }: Box): boolean =>
  !anonymous &&
  inner !== 'table' &&
  outer !== 'inline' &&
  (inner === 'flow' || outer !== 'table-part') &&
  [style.overflowX, style.overflowY].some((value) => value !== 'visible' && value !== 'clip');

/** Whether a text is white space alone, which may collapse; characters without width make a line. */
export const isBlankText = (text: string): boolean => /^[ \t\r\n\f]*$/.test(text);

export const isCaption = (box: Box): boolean =>
  !box.anonymous && box.outer === 'table-part' && box.style.display === 'table-caption';

/** Anonymous boxes paint and position nothing of their own. */
export const isPositioned = (box: Box): boolean =>
  !box.anonymous && box.inner !== 'text' && box.style.position !== 'static';

/** Answers about boxes of a finished tree: nothing they depend on changes any more. */
function memo(ask: (box: Box) => boolean): (box: Box) => boolean {
  const known = new WeakMap<Box, boolean>();
  return (box) => {
    let answer = known.get(box);
    if (answer === undefined) known.set(box, (answer = ask(box)));
    return answer;
  };
}

/** The block container a box stands in, across inline boxes around it. */
export function containerOf({ parent }: Box): Box | null {
  let at = parent;
  while (at && at.outer === 'inline' && at.inner === 'flow' && at.parent) at = at.parent;
  return at;
}

/** The box's children are all laid out in lines. Of finished trees only. */
export const hasInlineContent = memo(
  (box) =>
    box.inner === 'flow' &&
    box.children.length > 0 &&
    box.children.every((child) => isInlineLevel(child) || !isInFlow(child)) &&
    box.children.some(isInlineLevel),
);

/** Of finished trees only. @spec css-display-3 §2.1, css2 §9.4.1 */
export const establishesFormattingContext = memo((box) => {
  const { style } = box;
  if (box.anonymous) return box.inner === 'table' || box.locked;
  return (
    box.inner !== 'flow' ||
    box.outer === 'atomic' ||
    box.frame !== box.mode ||
    box.parent === null ||
    box.centred ||
    (box.pseudo === null && /^(fieldset|img)$/.test(box.element?.tag ?? '')) ||
    isOutOfFlow(box) ||
    isFloating(box) ||
    /^flow-root|^inline-block$|^table-(cell|caption)$/.test(style.display) ||
    makesContext(box) ||
    ['flex', 'grid'].includes(box.parent.inner) ||
    (box.outer === 'block' && style.alignContent !== 'normal')
  );
});

const FORMATTING = makersOf('formatting');
const CONTAINING = makersOf('containing');
const OVERFLOWS: ReadonlySet<string> = new Set(['overflowX', 'overflowY']);

/** By a property's value; the overflow of the page itself is the viewport's. */
const makesContext = ({ style, viewport }: Box): boolean =>
  FORMATTING.some(({ key, says }) => !(viewport && OVERFLOWS.has(key)) && says(style[key]) !== null);

/** Whether a box around it keeps it from being shown. Of finished trees only. */
export const isSkipped: (box: Box) => boolean = memo(
  ({ parent }) => parent !== null && (parent.locked || isSkipped(parent)),
);

const canHold = (box: Box): boolean =>
  !box.anonymous && box.inner !== 'text' && !(box.outer === 'inline' && box.inner === 'flow');

/** Whether percentages, absolute and fixed boxes may refer to it. */
export const containsFixed = (box: Box): boolean =>
  box.locked || (canHold(box) && CONTAINING.some(({ key, says }) => says(box.style[key]) !== null));

/** Whether nothing around a fixed box keeps it from the screen. Of finished trees only. @spec css-position-3 §2.1 */
export const keepsToScreen = memo(({ parent }) => {
  for (let box = parent; box?.parent; box = box.parent) if (containsFixed(box)) return false;
  return true;
});

export const containsAbsolute = (box: Box): boolean => isPositioned(box) || containsFixed(box);
