import type { Job } from './job.js';
import { isInFlow, isOutOfFlow, type Box } from '../box.js';
import { makeFragment, type Fragment, type OutOfFlow, type Placed } from '../fragment.js';
import { relativeOffset } from '../used/relative.js';
import { clampHeight, frameHeight, frameWidth, preferredRatio } from '../used/sizes.js';
import { edgeOf, type Edge } from '../used/alignment.js';
import { standingOf, type Which } from './baselines.js';
import { staticAt } from './static-position.js';
import { heightByRatio, leastByRatio, specifiedHeight } from './flow-sizes.js';
import { containerFragment } from './container-fragment.js';
import { type Container, type Item, byOrder, container, alignOf, makeItem } from './flex-items.js';
import { type Line, collectLines, columnMain, resolveFlexible } from './flex-lines.js';
import { layoutItem, baselineOf, settleLines, stretch } from './flex-cross.js';
import { placeMain, mainJustify, placeCross, type Outer } from './flex-align.js';
import { crossAlignment } from './flex-self.js';

/**
 * Lays out a flex container.
 * @spec css-flexbox-1 §9
 */
export function layoutFlex(asked: Job): Fragment {
  const { box, width, frame, space } = asked;
  const specified = space.fixedHeight ?? containerHeight(asked);
  const job = specified === null ? asked : { ...asked, natural: () => naturalWithin(asked, specified) };
  const height =
    specified === null
      ? NaN
      : Math.max(
          0,
          (space.fixedHeight ?? clampHeight(box, specified, space.height, frame, job.natural)) - frameHeight(frame),
        );
  const c = container(job, Math.max(0, width - frameWidth(frame)), height);
  const items = box.children
    .filter(isInFlow)
    .map((child) => makeItem(child, c, space.definite !== false))
    .sort(byOrder);
  const lines = collectLines(items, c, space, frame);
  const mainSize = Number.isNaN(c.mainSize) ? columnMain(lines, c, frame) : c.mainSize;
  for (const line of lines)
    resolveFlexible(
      line.items,
      mainSize - c.mainGap * Math.max(0, line.items.length - 1),
      Number.isNaN(c.mainSize) && Number.isNaN(mainSize),
    );
  for (const line of lines) for (const item of line.items) item.fragment = layoutItem(item, c, null);
  const crossSize = settleLines(lines, c, frame);
  for (const line of lines) for (const item of line.items) stretch(item, line, c);
  for (const line of lines) placeMain(line, mainSize, c);
  for (const line of lines) placeCross(line, c);
  const content = { width: c.width, height: c.row ? crossSize : mainSize };
  return assemble(c, lines, content, { ...job, specified });
}

/** Height by content where a height is given: the one line of a row is that tall, whatever it stretches. @spec css-flexbox-1 §9.4 (8) */
function naturalWithin({ box, natural }: Job, specified: number): number {
  const content = () => natural?.() ?? 0;
  if (heightByRatio(box, specified) !== null) return specified;
  if (!isRow(box)) return content();
  return isStretched(box) ? specified : Math.max(specified, content());
}

const isRow = ({ style }: Box): boolean => style.flexDirection.startsWith('row') && style.flexWrap === 'nowrap';

/** All that stands in its one row takes the height the row is given. */
const isStretched = (box: Box): boolean =>
  isRow(box) &&
  box.children
    .filter(isInFlow)
    .every(
      ({ anonymous, style: { alignSelf, height } }) =>
        /^(normal|stretch)$/.test(anonymous || alignSelf === 'auto' ? box.style.alignItems : alignSelf) &&
        (anonymous || height === 'auto'),
    );

/** Border-box height by the style or a ratio, which does not cut off the content; null for that of the content. */
function containerHeight({ box, width, frame, space, natural }: Job): number | null {
  if (space.byContent === 'height') return null;
  const height = specifiedHeight(box, space, frame, width);
  return height === null || !natural || preferredRatio(box) === null || isStretched(box)
    ? height
    : Math.max(height, leastByRatio(box, space, frame, natural()));
}

function assemble(
  c: Container,
  lines: readonly Line[],
  content: { width: number; height: number },
  outer: Outer,
): Fragment {
  const { frame, space, specified } = outer;
  const { box, layout } = c;
  const height = space.fixedHeight ?? c.clamped(specified ?? Math.max(content.height + frameHeight(frame), c.filled));
  const dx = frame.border.left + frame.padding.left;
  const dy = frame.border.top + frame.padding.top;
  const children: Placed[] = [];
  const outOfFlow: OutOfFlow[] = [];
  for (const line of lines) {
    for (const item of line.items) {
      const offset = relativeOffset(item.box, c.width, c.height);
      const x = dx + (c.row ? item.mainAt : item.crossAt) + offset.x;
      const y = dy + (c.row ? item.crossAt : item.mainAt) + offset.y;
      children.push({ fragment: withMargins(item, c.row), x, y });
      for (const entry of item.fragment!.outOfFlow) outOfFlow.push({ ...entry, x: entry.x + x, y: entry.y + y });
    }
  }
  const inner = { width: c.width, height: Math.max(0, height - frameHeight(frame)) };
  for (const child of box.children) if (isOutOfFlow(child)) outOfFlow.push(staticPosition(child, c, inner, dx, dy));
  const [baseline, lastBaseline] = (['baseline', 'last baseline'] as const).map((which) =>
    containerBaseline(lines, c, which, dy),
  ) as [number | null, number | null];
  return containerFragment({ ...outer, box, layout }, { height, children, baseline, lastBaseline, outOfFlow });
}

/** @spec css-flexbox-1 §8.5 */
function containerBaseline(lines: readonly Line[], c: Container, which: Which, dy: number): number | null {
  const { flexDirection, flexWrap } = c.box.style;
  // The first baseline is that of what comes first along the block axis, or along the line.
  const fromEnd = (reversed: boolean) => (which === 'baseline') === reversed;
  const line = fromEnd(flexWrap === 'wrap-reverse') ? lines[lines.length - 1] : lines[0];
  if (!line || line.items.length === 0) return null;
  const items = fromEnd(flexDirection.endsWith('reverse')) ? [...line.items].reverse() : line.items;
  const item = (c.row ? items.find((one) => baselineOf(one, c) !== null) : undefined) ?? items[0]!;
  const { above } = standingOf(item.fragment!, 0, 0, c.box, which);
  return dy + (c.row ? item.crossAt : item.mainAt) + above;
}

/** The item's fragment with its auto margins as used. */
function withMargins(item: Item, row: boolean): Fragment {
  const { margins } = item;
  const fragment = item.fragment!;
  if (Object.values(margins).every((m) => m !== null)) return fragment;
  const [x, y] = row ? [item.autoMain, item.autoCross] : [item.autoCross, item.autoMain];
  return makeFragment({
    ...fragment,
    margin: { top: margins.top ?? y, right: margins.right ?? x, bottom: margins.bottom ?? y, left: margins.left ?? x },
  });
}

/** An absolute child stands as if it were the only item. @spec css-flexbox-1 §4.1 */
function staticPosition(
  child: Box,
  c: Container,
  inner: { width: number; height: number },
  dx: number,
  dy: number,
): OutOfFlow {
  const main = mainJustify(c.box.style.justifyContent, c).replace('safe ', '');
  const m: Edge = /center|space-around|space-evenly/.test(main)
    ? 'center'
    : /end/.test(main) !== c.mainBackwards
      ? 'high'
      : 'low';
  const cross = edgeOf(crossAlignment({ align: alignOf(child, c), box: child }, c), c.crossBackwards ? 'high' : 'low');
  const rect = { x: dx, y: dy, ...inner };
  return c.row ? staticAt(child, rect, m, cross) : staticAt(child, rect, cross, m);
}
