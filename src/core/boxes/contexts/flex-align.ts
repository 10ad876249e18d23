import type { Edges } from '../fragment.js';
import type { Space } from '../layout.js';
import type { Frame } from '../used/sizes.js';
import { aligningOf, edgeOf, offsetTo, startEdge } from '../used/alignment.js';
import { distribute } from './distribute.js';
import type { Container, Item } from './flex-items.js';
import type { Line } from './flex-lines.js';
import { sharing } from './flex-cross.js';
import { crossAlignment } from './flex-self.js';

/** @spec css-flexbox-1 §9.5 */
export function placeMain(line: Line, mainSize: number, c: Container): void {
  const { items } = line;
  const sizes = items.map((item) => (c.row ? item.fragment!.width : item.fragment!.height));
  const used =
    items.reduce((sum, item, i) => sum + sizes[i]! + item.mainMargin, 0) + c.mainGap * Math.max(0, items.length - 1);
  const spare = mainSize - used;
  const ends = items.map(({ margins }): [number | null, number | null] =>
    c.row ? [margins.left, margins.right] : [margins.top, margins.bottom],
  );
  if (c.mainBackwards) for (const pair of ends) pair.reverse();
  const autos = ends.flat().filter((m) => m === null).length;
  const auto = autos > 0 && spare > 0 ? spare / autos : 0;
  const asked = c.box.style.justifyContent;
  // What would reach out of the container at its start stands there, whichever way the items run.
  const justify = spare < 0 && /^safe |^space-(around|evenly)$/.test(asked) ? 'start' : asked;
  const { offset, between } =
    autos > 0 && spare > 0 ? { offset: 0, between: 0 } : distribute(mainJustify(justify, c), spare, items.length);
  let at = offset;
  items.forEach((item, i) => {
    const [start, end] = ends[i]!;
    at += start ?? auto;
    item.autoMain = auto;
    item.mainAt = c.mainBackwards ? mainSize - at - sizes[i]! : at;
    at += sizes[i]! + (end ?? auto) + between + c.mainGap;
  });
}

/** Turns start, end, left and right into flow-relative words. */
export function mainJustify(value: string, c: Container): string {
  const plain = value.replace(/^(safe|unsafe) /, '');
  const rtl = c.box.style.direction === 'rtl';
  const towards = (left: boolean) =>
    (c.row ? left !== c.mainBackwards : !c.mainBackwards) ? 'flex-start' : 'flex-end';
  const safe = value.startsWith('safe') ? 'safe ' : '';
  if (plain === 'normal') return 'flex-start';
  if (plain === 'left' || plain === 'right') return towards(!c.row || plain === 'left');
  if (plain === 'start') return c.row ? towards(!rtl) : towards(true);
  if (plain === 'end') return c.row ? towards(rtl) : c.mainBackwards ? 'flex-start' : 'flex-end';
  return `${safe}${plain}`;
}

/** @spec css-flexbox-1 §9.6 */
export function placeCross(line: Line, c: Container): void {
  for (const item of line.items) {
    const size = c.row ? item.fragment!.height : item.fragment!.width;
    const [start, end] = c.row ? [item.margins.top, item.margins.bottom] : [item.margins.left, item.margins.right];
    const spare = line.cross - size - item.crossMargin;
    item.crossAt = line.at + (start ?? 0) + crossOffset(item, spare, start === null, end === null, line, c);
  }
}

function crossOffset(
  item: Item,
  spare: number,
  autoStart: boolean,
  autoEnd: boolean,
  line: Line,
  c: Container,
): number {
  if (autoStart || autoEnd) {
    if (spare <= 0) return 0;
    item.autoCross = autoStart && autoEnd ? spare / 2 : spare;
    return autoStart && autoEnd ? spare / 2 : autoStart ? spare : 0;
  }
  const start = c.crossBackwards ? 'high' : 'low';
  const alignment = crossAlignment(item, c);
  const stands = sharing(item, c);
  if (stands)
    return stands.side === 'low' ? line.low.above - stands.above : line.cross - line.high.below - stands.above;
  return offsetTo(
    alignment.safe && spare < 0 ? startEdge(c.row ? 'block' : 'inline', aligningOf(c.box)) : edgeOf(alignment, start),
    spare,
  );
}

export interface Outer {
  readonly width: number;
  readonly frame: Frame;
  readonly margin: Edges;
  readonly space: Space;
  readonly specified: number | null;
}
