import { establishesFormattingContext, hasInlineContent, isFloating, isBlankText, isInFlow, type Box } from '../box.js';
import type { Layout } from '../layout.js';
import { usedBorder, usedMargins, usedPadding } from '../used/edges.js';
import { frameWidth, preferredRatio, type Frame } from '../used/sizes.js';
import { trims } from './margin-trim.js';
import { keepsSpaces } from '../text/index.js';
import {
  isByDefault,
  isThroughByDefault,
  joinMargin,
  joinStruts,
  NO_STRUT,
  withinEdge,
  type Strut,
} from './margins.js';
import { clearValue, floatSide, sidesHeld, type Clear, type Side } from './float-sides.js';
import { besideFloats, placeFloat, type Flow } from './flow-floats.js';
import { frameOf, blockWidth, horizontalMargins } from './flow-sizes.js';
import { Floats } from './floats.js';

export interface TopStrut {
  /** A first child that clears floats: where clearance moves it, its margins stay out of the strut. */
  readonly clearing: { readonly clear: Clear; readonly strut: Strut; readonly without: Strut } | null;
  /** A first child that is a formatting context: where it does not fit beside floats, its margins stay out of the strut. */
  readonly fitting: FirstContext | null;
  readonly strut: Strut;
  readonly through: boolean;
  /** The margins that decide where the box itself stands. */
  readonly place: Strut;
}

/** The containing block of a formatting context: where it begins in the box looked into, and its width. Px. */
interface FirstContext {
  readonly box: Box;
  readonly x: number;
  readonly width: number;
  readonly without: Strut;
}

/**
 * The margins that meet at the top of a box: its own and those of its first children, looked up ahead of layout.
 * @spec css2 §8.3.1
 */
export function topStrut(box: Box, containing: number, noFloats: boolean, layout: Layout): TopStrut {
  // Every ancestor looks down the same first children: each box answers once.
  return layout.recall(
    box,
    `top/${containing}/${noFloats}`,
    () => findTopStrut(box, containing, noFloats, layout),
    (found) => found,
  );
}

function findTopStrut(box: Box, containing: number, noFloats: boolean, layout: Layout): TopStrut {
  const margins = usedMargins(box, containing);
  const own = joinMargin(NO_STRUT, margins.top, isByDefault(box, 'marginTop', layout));
  let strut = own;
  let clearing: TopStrut['clearing'] = null;
  let fitting: FirstContext | null = null;
  const stop = (): TopStrut => ({ strut, through: false, place: strut, clearing, fitting });
  /** The margins meet right through: the box itself is placed as if its bottom margin were not there. */
  const pass = (): TopStrut => ({
    strut: joinMargin(strut, margins.bottom, isThroughByDefault(box, layout)),
    through: true,
    place: strut,
    clearing,
    fitting: null,
  });
  if (establishesFormattingContext(box) || trims(box, 'start')) return stop();
  const frame = frameOf(box, containing);
  if (frame.border.top > 0 || frame.padding.top > 0) return stop();
  const { boxes, blocked } = hasInlineContent(box) ? blocksAmongLines(box) : { boxes: box.children, blocked: false };
  const width = Math.max(0, blockWidth(box, containing, frame, layout) - frameWidth(frame));
  const inside = new Set<Side>();
  const floats: Box[] = [];
  for (const child of boxes) {
    if (isFloating(child)) {
      inside.add(floatSide(child));
      floats.push(child);
    }
    if (!isInFlow(child)) continue;
    const clear = clearValue(child);
    if (clear && (meets(clear, inside) || (!noFloats && clearing))) return stop();
    const inner = startsWithin(box, topStrut(child, width, noFloats && inside.size === 0, layout), layout);
    fitting = firstContext(child, width, strut, inner, layout);
    if (fitting && floats.length > 0 && !fitsBeside(fitting, floats, width, layout)) {
      strut = fitting.without;
      fitting = null;
      return stop();
    }
    if (clear && !noFloats) clearing = { clear, strut: joinStruts(strut, inner.place), without: strut };
    else if (inner.clearing) {
      if (clearing || inside.size > 0) {
        strut = joinStruts(strut, inner.clearing.without);
        return stop();
      }
      const { clear: side, strut: met, without } = inner.clearing;
      clearing = { clear: side, strut: joinStruts(strut, met), without: joinStruts(strut, without) };
    }
    for (const side of sidesHeld(child)) inside.add(side);
    strut = joinStruts(strut, inner.strut);
    if (!inner.through) return stop();
  }
  if (blocked) return stop();
  return through(box, frame) ? pass() : stop();
}

/** The formatting context a child is or begins with. @param strut the margins in front of the child */
function firstContext(
  child: Box,
  width: number,
  strut: Strut,
  { fitting }: TopStrut,
  layout: Layout,
): FirstContext | null {
  if (establishesFormattingContext(child))
    return clearValue(child) ? null : { box: child, x: 0, width, without: strut };
  if (!fitting) return null;
  const frame = frameOf(child, width);
  const { left } = horizontalMargins(child, blockWidth(child, width, frame, layout), width);
  const x = left + frame.border.left + frame.padding.left + fitting.x;
  return { ...fitting, x, without: joinStruts(strut, fitting.without) };
}

/** Whether a formatting context stands beside floats that come before it in the same block. */
function fitsBeside({ box, x, width }: FirstContext, before: readonly Box[], room: number, layout: Layout): boolean {
  const flow: Flow = { floats: new Floats(), x: 0, y: 0 };
  for (const float of before) placeFloat(float, 0, room, NaN, flow, layout);
  return besideFloats(box, 0, width, NaN, { ...flow, x }, layout).y === 0;
}

const meets = (clear: Clear, sides: ReadonlySet<Side>): boolean =>
  clear === 'both' ? sides.size > 0 : sides.has(clear);

/** What a first child's margins are to the box they meet. */
export function startsWithin(box: Box, top: TopStrut, layout: Layout): TopStrut {
  const within = (strut: Strut) => withinEdge(box, strut, layout);
  const { clearing, fitting, strut, place } = top;
  return {
    ...top,
    fitting: fitting && { ...fitting, without: within(fitting.without) },
    strut: within(strut),
    place: within(place),
    clearing: clearing && { ...clearing, strut: within(clearing.strut), without: within(clearing.without) },
  };
}

/** Whether a box without content would let its margins meet. */
export function through(box: Box, frame: Frame): boolean {
  if (box.anonymous) return true;
  const { height, minHeight } = box.style;
  const none = (value: typeof height) =>
    typeof value === 'string' || (!('fit' in value) && value.px === 0 && value.percent === 0 && !value.curve);
  return (
    box.marker === null &&
    frame.border.bottom === 0 &&
    frame.padding.bottom === 0 &&
    none(height) &&
    none(minHeight) &&
    preferredRatio(box) === null
  );
}

/** Blocks and floats among inline content up to where that makes a line. */
function blocksAmongLines(box: Box): { readonly boxes: readonly Box[]; readonly blocked: boolean } {
  const boxes: Box[] = [];
  /** Whether a line is met. */
  const walk = (inside: Box): boolean =>
    inside.children.some((child) => {
      if (child.inner === 'text') return !isBlankText(child.text) || keepsSpaces(child.style);
      if (!isInFlow(child) || child.outer === 'block') {
        boxes.push(child);
        return false;
      }
      if (child.outer !== 'inline' || child.inner !== 'flow') return true;
      // Whether there is an edge does not depend on what a share of it refers to.
      const edges = [usedMargins(child, 1), usedBorder(child), usedPadding(child, 1)];
      const [start, end] =
        child.style.direction === 'rtl' ? (['right', 'left'] as const) : (['left', 'right'] as const);
      return edges.some((e) => e[start] !== 0) || walk(child) || edges.some((e) => e[end] !== 0);
    });
  return { blocked: walk(box), boxes };
}
