import { isInFlow, type Box } from '../../box.js';
import type { OutOfFlow, Placed } from '../../fragment.js';
import type { Layout } from '../../layout.js';
import { blockContent, layoutContent } from '../block-run.js';
import type { Content } from '../content.js';
import { Floats } from '../floats.js';
import { NO_STRUT, strutSize } from '../margins.js';
import { balancedHeight, divide, MOST_COLUMNS } from './balance.js';
import { stripOf } from './breaks.js';
import { columnsIn, isMulticol, type Columns } from './count.js';
import { cutsOf, lowestBaseline, slice } from './slice.js';

/** Room for the columns of a container, px. */
export interface ColumnRoom {
  readonly width: number;
  /** What percentage heights refer to. */
  readonly basis: number;
  /** Content height the container asks for, or may not pass; infinite without one. */
  readonly height: number;
}

const isSpanner = (box: Box): boolean =>
  !box.anonymous && box.outer === 'block' && box.style.columnSpan === 'all' && isInFlow(box);

/**
 * Lays out a multi-column container: its content in one strip as wide as a column, then divided.
 * @spec css-multicol-1 §3, §6, §7
 */
export function layoutColumns(box: Box, room: ColumnRoom, layout: Layout): Content {
  const columns = columnsIn(box, room.width);
  const run = new ColumnRun(box, room, columns, layout);
  noteDeepSpanners(box, layout);
  if (!box.children.some(isSpanner)) run.strip(null);
  else {
    let part: Box[] = [];
    for (const child of box.children) {
      if (!isSpanner(child)) {
        part.push(child);
        continue;
      }
      run.strip(part);
      run.spanner(child);
      part = [];
    }
    run.strip(part);
  }
  return run.content;
}

/** Only children of the container itself reach across its columns here. */
function noteDeepSpanners(container: Box, { limits }: Layout): void {
  const search = (box: Box): void => {
    for (const child of box.children) {
      if (child.outer !== 'block' || child.inner !== 'flow' || !isInFlow(child) || isMulticol(child)) continue;
      if (isSpanner(child) && box !== container)
        limits.add('unsupported', 'column-span: all', 'deeper in columns it stays in its own', child.element?.startTag);
      else search(child);
    }
  };
  search(container);
}

class ColumnRun {
  #y = 0;
  #baseline: number | null = null;
  #lastBaseline: number | null = null;
  readonly #children: Placed[] = [];
  readonly #outOfFlow: OutOfFlow[] = [];

  constructor(
    private readonly box: Box,
    private readonly room: ColumnRoom,
    private readonly columns: Columns,
    private readonly layout: Layout,
  ) {}

  get content(): Content {
    return {
      children: this.#children,
      height: this.#y,
      baseline: this.#baseline,
      lastBaseline: this.#lastBaseline,
      outOfFlow: this.#outOfFlow,
      end: NO_STRUT,
      through: false,
    };
  }

  /** Divides some children of the container, or all of its content. */
  strip(children: readonly Box[] | null): void {
    if (children?.length === 0) return;
    const { box, columns, room, layout } = this;
    const floats = new Floats();
    const inside = { width: columns.width, basis: room.basis, flow: { floats, x: 0, y: 0 }, absorbs: false };
    const content = children ? blockContent(box, inside, layout, children) : layoutContent(box, inside, layout);
    const bottom = Math.max(content.height, Number.isFinite(floats.bottom) ? floats.bottom : 0);
    const height = Math.max(content.height + strutSize(content.end), bottom);
    const strip = stripOf(box, content, height, bottom);
    const left = Math.max(0, room.height - this.#y);
    const fills = box.style.columnFill === 'auto';
    const wanted = fills ? height : balancedHeight(strip, columns.count);
    const tall = fills && Number.isFinite(left) ? left : Math.min(left, wanted);
    const shares = divide(strip, Math.max(tall, 1));
    if (shares.length >= MOST_COLUMNS)
      layout.limits.add('budget', 'columns', `content is divided into at most ${MOST_COLUMNS}`, box.element?.startTag);
    const cuts = cutsOf(shares);
    cuts.forEach((cut, i) => {
      const dx = this.#columnLeft(i);
      const dy = this.#y - cut.from;
      const move = <T extends { x: number; y: number }>(one: T): T => ({ ...one, x: one.x + dx, y: one.y + dy });
      this.#children.push(...slice(content.children, 0, cut).map(move));
      this.#outOfFlow.push(...content.outOfFlow.filter(({ y }) => y >= cut.first && y < cut.next).map(move));
    });
    const low = Math.max(...cuts.map((cut) => lowestBaseline(content, 0, cut) ?? -Infinity));
    this.#stands(content.baseline, Number.isFinite(low) ? low : null);
    this.#y += tall;
  }

  /** A box across all columns. @spec css-multicol-1 §6 */
  spanner(child: Box): void {
    const { box, room, layout } = this;
    const flow = { floats: new Floats(), x: 0, y: 0 };
    const content = blockContent(box, { width: room.width, basis: room.basis, flow, absorbs: false }, layout, [child]);
    const move = <T extends { y: number }>(one: T): T => ({ ...one, y: one.y + this.#y });
    this.#children.push(...content.children.map(move));
    this.#outOfFlow.push(...content.outOfFlow.map(move));
    this.#stands(content.baseline, content.lastBaseline);
    this.#y += content.height + strutSize(content.end);
  }

  #columnLeft(index: number): number {
    const { width, gap } = this.columns;
    const step = index * (width + gap);
    return this.box.style.direction === 'rtl' ? this.room.width - width - step : step;
  }

  #stands(first: number | null, last: number | null): void {
    if (first !== null) this.#baseline ??= this.#y + first;
    if (last !== null) this.#lastBaseline = this.#y + last;
  }
}
