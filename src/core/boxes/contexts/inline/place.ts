import type { ComputedStyle } from '../../../cascade/index.js';
import { isBlankText, isFormControl, type Box } from '../../box.js';
import { snapUp, type Fragment, type Placed } from '../../fragment.js';
import type { Layout } from '../../layout.js';
import { relativeOffset } from '../../used/relative.js';
import { hangsSpaces, type Extent } from '../../text/index.js';
import { mergeText } from './lines.js';
import { edgeWidth } from './pieces.js';
import type { Piece } from './cut-text.js';
import { faceOf, separatorsIn, sizeOf } from './set-text.js';
import { visualSteps, withEndReset, type Step } from './visual.js';
import { aboutMiddle, isCentral, leadedExtent } from './extents.js';
import { type Level, NOTHING, hasEdge, type Open, type Part, type Static, levelOf } from './levels.js';
import { flat, shiftFor, textPart, inlinePart, atomicBaseline } from './parts.js';

export interface LineInput {
  readonly pieces: readonly Piece[];
  readonly container: Box;
  /** Width of the block container's content box, for percentages. */
  readonly basis: number;
  /** Its height, NaN where that is not definite. */
  readonly height: number;
  readonly layout: Layout;
  readonly atomics: ReadonlyMap<Box, Fragment>;
  /** The style of an inline box on this line, where it is not its own: in first lines. */
  readonly styleOf: (box: Box) => ComputedStyle;
  /** Inline boxes that are open when the line begins. */
  readonly open: readonly Box[];
  /** Embedding level of its paragraph where parts of it run from right to left: it is set in visual order. */
  readonly base: number | null;
  /** The line is turned over when it is done: its upper side is the far one. */
  readonly turned: boolean;
  /** Extra width for each space of a justified line. */
  readonly expand: number;
}

export interface LineResult {
  readonly children: readonly Placed[];
  readonly height: number;
  readonly baseline: number;
  readonly outOfFlow: readonly Static[];
  readonly open: readonly Box[];
}

/** Places the pieces of one line: inline boxes with their children, baselines, the height of the line box. */
class LineBuilder {
  readonly root: Level;
  readonly edges: Level[] = [];
  readonly parts: Part[] = [];
  readonly outOfFlow: Static[] = [];
  readonly stack: Open[] = [];
  x = 0;

  constructor(readonly input: LineInput) {
    const { style, anonymous } = input.container;
    this.root = levelOf(style, null, this.strut(style, false));
    const inOrder = input.base === null;
    if (inOrder) for (const box of input.open) this.open(box, false);
    // In list items the box a loose line begins in takes up its line height. (Browsers agree.)
    const begins = inOrder || input.open.length === 0;
    if (begins && !anonymous && /list-item/.test(style.display)) this.hold();
  }

  /** Nothing stands in the line yet. */
  get isEmpty(): boolean {
    return this.parts.length === 0 && this.stack.every(({ children }) => children.length === 0);
  }

  get level(): Level {
    return this.stack[this.stack.length - 1] ?? this.root;
  }

  get offset(): { x: number; y: number } {
    const offsets = this.stack.map(({ box }) => relativeOffset(box, this.input.basis, this.input.height));
    return { x: offsets.reduce((sum, o) => sum + o.x, 0), y: offsets.reduce((sum, o) => sum + o.y, 0) };
  }

  /** What a box takes up before it holds anything; in loose lines nothing, unless its edge there shows. */
  strut(style: ComputedStyle, shows: boolean): Extent {
    return this.input.layout.looseLines && !shows ? NOTHING : leadedExtent(style, this.input.layout);
  }

  /** Text and edges make their inline box, or the line itself, take up the line height. */
  hold(): void {
    const { level } = this;
    if (!this.input.layout.looseLines) return;
    const { above, below } = leadedExtent(level.style, this.input.layout);
    level.above = Math.max(level.above, above);
    level.below = Math.max(level.below, below);
    level.held = true;
  }

  /** A forced break needs room only where nothing else in its box has any: elsewhere it has no height of its own. @spec quirks §3.3 */
  break(piece: Piece): void {
    if (this.level.above === NOTHING.above) this.hold();
    const { layout, styleOf } = this.input;
    const part = textPart(piece, this.x, 0, this.level, layout, styleOf(piece.box));
    this.add(this.level.held ? part : flat(part, this.level));
  }

  add(part: Part): void {
    (this.stack[this.stack.length - 1]?.children ?? this.parts).push(part);
  }

  open(box: Box, left: boolean): void {
    const style = this.input.styleOf(box);
    const strut = this.strut(style, left && hasEdge(style, 'Left'));
    const { verticalAlign: value } = style;
    this.stack.push({
      style,
      parent: this.level,
      align: value === 'top' || value === 'bottom' ? value : 'baseline',
      shift: 0,
      held: strut !== NOTHING,
      above: strut.above,
      below: strut.below,
      box,
      startX: this.x,
      children: [],
      left,
    });
  }

  close(right: boolean): void {
    if (right && hasEdge(this.level.style, 'Right')) this.hold();
    const done = this.stack.pop()!;
    this.settle(done);
    this.add(inlinePart(done, this.x - done.startX, right, this.input));
  }

  /** Finds a level's baseline and lets its parent, or the line, make room for it. @spec css2 §10.8.1 (vertical-align) */
  settle(level: Level): void {
    if (level.align !== 'baseline') {
      this.edges.push(level);
      return;
    }
    const parent = level.parent!;
    level.shift = shiftFor(level.style, parent.style, level, this.input.layout);
    parent.above = Math.max(parent.above, level.above - level.shift);
    parent.below = Math.max(parent.below, level.below + level.shift);
  }

  /** Where the line height is normal, fonts that stand in for missing glyphs count too. @spec css-inline-3 §5.1 */
  makeRoom({ box: { style, pseudo }, text }: Piece): void {
    const reach =
      style.lineHeight === 'normal' && pseudo !== 'marker'
        ? faceOf(style, this.input.layout).reach(text, sizeOf(style, this.input.layout))
        : null;
    if (!reach) return;
    const { level } = this;
    const { above, below } = isCentral(style) ? aboutMiddle(reach.above + reach.below) : reach;
    level.above = Math.max(level.above, above);
    level.below = Math.max(level.below, below);
  }

  atomic(piece: Piece): void {
    const { box } = piece;
    const fragment = this.input.atomics.get(box)!;
    const { turned } = this.input;
    const [over, under] = turned
      ? [fragment.margin.bottom, fragment.margin.top]
      : [fragment.margin.top, fragment.margin.bottom];
    const central = isCentral(this.level.style);
    const own = isFormControl(box) && !keepsBaseline(box, central) ? null : atomicBaseline(fragment);
    const middle = () => (fragment.height + over + under) / 2 - over;
    const baseline =
      own === null ? (central ? middle() : fragment.height + under) : turned ? fragment.height - own : own;
    const level = levelOf(box.style, this.level, {
      above: baseline + over,
      below: fragment.height - baseline + under,
    });
    this.settle(level);
    const offset = relativeOffset(box, this.input.basis, this.input.height);
    this.add({
      x: this.x + fragment.margin.left + offset.x,
      fragment: () => fragment,
      top: (baselines) => baselines(level) - baseline + (turned ? -offset.y : offset.y),
    });
    this.x += piece.width;
  }
}

/** Controls stand with their middles on that of a vertical line; across their own lines only sliders keep a baseline. */
const keepsBaseline = ({ computed, element }: Box, central: boolean): boolean =>
  !central && (!isCentral(computed) || element?.attributes.get('type')?.toLowerCase() === 'range');

/**
 * Lays out one line. Positions are relative to the start of the line, x to the right, y down from the line's top.
 * @spec css2 §10.8.1, css-inline-3 §4
 */
export function placeLine(input: LineInput): LineResult {
  const line = new LineBuilder(input);
  const pieces = mergeText(input.pieces);
  const lastText = pieces.findLast((p) => p.kind === 'text' && p.text !== '');
  const hanging = lastText && hangs(pieces, lastText) ? lastText : null;
  if (input.base !== null) {
    const settled = hanging && hangsSpaces(hanging.box.style) ? withEndReset(pieces, input.base) : pieces;
    for (const step of visualSteps(settled, input.open, input.base)) setStep(line, step, hanging);
    return assemble(line, openAfter(pieces, input.open));
  }
  for (const piece of pieces) setPiece(line, piece, hanging);
  const open = line.stack.map((o) => o.box);
  while (line.stack.length > 0) line.close(false);
  return assemble(line, open);
}

function setStep(line: LineBuilder, step: Step, hanging: Piece | null): void {
  const edge = (which: 'left' | 'right') =>
    step.kind !== 'piece' && step.edge ? edgeWidth(step.box, line.input.basis, which) : 0;
  if (step.kind === 'piece') return setPiece(line, step.piece, hanging);
  if (step.kind === 'open') {
    line.open(step.box, step.edge);
    line.x += edge('left');
  } else {
    line.x += edge('right');
    line.close(step.edge);
  }
}

function setPiece(line: LineBuilder, piece: Piece, hanging: Piece | null): void {
  const { layout, expand } = line.input;
  switch (piece.kind) {
    case 'open':
      line.open(piece.box, piece.edge !== false);
      line.x += piece.width;
      break;
    case 'close':
      line.x += piece.width;
      line.close(piece.edge !== false);
      break;
    case 'text': {
      const hang = piece === hanging && !hangsSpaces(piece.box.style) ? piece.trailing : 0;
      const spaces = expand === 0 ? 0 : separatorsIn(hang > 0 ? piece.text.trimEnd() : piece.text);
      const width = snapUp(piece.width - hang) + spaces * expand;
      if (piece.text !== '') {
        if (width > 0 || !isBlankText(piece.text)) line.hold();
        line.makeRoom(piece);
        line.add(textPart(piece, line.x, width, line.level, layout));
      } else if (piece.forced && line.level.above === NOTHING.above) line.hold();
      line.x += width;
      break;
    }
    case 'break':
      line.break(piece);
      break;
    case 'atomic':
      line.atomic(piece);
      break;
    case 'out':
      line.outOfFlow.push({
        box: piece.box,
        x: line.x,
        first: line.input.base === null ? line.isEmpty : beginsLine(piece.box, line.input.pieces),
        backwards: piece.level % 2 === 1,
        offset: line.offset,
        inlineContainer: line.stack.findLast((o) => o.style.position !== 'static')?.box ?? null,
      });
      break;
    default:
      break;
  }
}

/** Whether nothing stands before an absolute box in a line, in the order of the document. */
const beginsLine = (box: Box, pieces: readonly Piece[]): boolean =>
  pieces
    .slice(
      0,
      pieces.findIndex((piece) => piece.box === box),
    )
    .every(({ kind, text }) => /^(open|float|out)$/.test(kind) || (kind === 'text' && text === ''));

/** Inline boxes that go on in the next line. */
function openAfter(pieces: readonly Piece[], before: readonly Box[]): readonly Box[] {
  const open = [...before];
  for (const { kind, box } of pieces)
    if (kind === 'open') open.push(box);
    else if (kind === 'close') open.pop();
  return open;
}

/** Spaces hang only where nothing but the edges of inline boxes follows. */
const hangs = (pieces: readonly Piece[], text: Piece): boolean =>
  pieces.slice(pieces.indexOf(text) + 1).every(({ kind }) => kind !== 'atomic' && kind !== 'block');

function assemble({ root, edges, parts, outOfFlow: out }: LineBuilder, open: readonly Box[]): LineResult {
  let height = Math.max(0, root.above + root.below);
  let above = root.above > NOTHING.above ? root.above : 0;
  for (const level of edges) {
    const size = level.above + level.below;
    if (size <= height) continue;
    if (level.align === 'bottom') above += size - height;
    height = size;
  }
  const baselines = (level: Level): number =>
    level.align === 'top'
      ? level.above
      : level.align === 'bottom'
        ? height - level.below
        : level.parent
          ? baselines(level.parent) + level.shift
          : above;
  const children = parts.map((part): Placed => ({
    fragment: part.fragment(baselines),
    x: part.x,
    y: part.top(baselines),
  }));
  return { children, height, baseline: above, outOfFlow: out, open };
}
