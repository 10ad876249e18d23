import type { Box } from '../box.js';
import { NO_EDGES, type Edges } from '../fragment.js';
import { tableGrid, type TableGrid } from './table-grid.js';

type Side = 'Top' | 'Right' | 'Bottom' | 'Left';

/** The edge between two slots of a table: the widest border asked for there, or none where one is hidden. */
class GridEdge {
  width = 0;
  hidden = false;

  meet(box: Box, side: Side): void {
    if (box.anonymous) return;
    if (box.style[`border${side}Style`] === 'hidden') this.hidden = true;
    else this.width = Math.max(this.width, box.style[`border${side}Width`]);
  }

  get half(): number {
    return this.hidden ? 0 : this.width / 2;
  }
}

/** Edges of all slots: above each row and the last one's below, before each column and the last one's after. */
class GridEdges {
  readonly #across: GridEdge[][];
  readonly #along: GridEdge[][];

  constructor(
    readonly rows: number,
    readonly columns: number,
    readonly rtl: boolean,
  ) {
    const made = (a: number, b: number) =>
      Array.from({ length: a }, () => Array.from({ length: b }, () => new GridEdge()));
    this.#across = made(rows + 1, columns);
    this.#along = made(rows, columns + 1);
  }

  /** The borders of a box meet the edges around the slots it covers; ends are exclusive. */
  meet(box: Box, top: number, bottom: number, start: number, end: number): void {
    for (let c = start; c < end; c++) {
      this.#across[top]?.[c]?.meet(box, 'Top');
      this.#across[bottom]?.[c]?.meet(box, 'Bottom');
    }
    for (let r = top; r < bottom; r++) {
      this.#along[r]?.[start]?.meet(box, this.rtl ? 'Right' : 'Left');
      this.#along[r]?.[end]?.meet(box, this.rtl ? 'Left' : 'Right');
    }
  }

  /** Half of the widest edge on each side of some slots. */
  around(top: number, bottom: number, start: number, end: number): Edges {
    let [t, b, s, e] = [0, 0, 0, 0];
    for (let c = start; c < end; c++) {
      t = Math.max(t, this.#across[top]?.[c]?.half ?? 0);
      b = Math.max(b, this.#across[bottom]?.[c]?.half ?? 0);
    }
    for (let r = top; r < bottom; r++) {
      s = Math.max(s, this.#along[r]?.[start]?.half ?? 0);
      e = Math.max(e, this.#along[r]?.[end]?.half ?? 0);
    }
    return { top: t, bottom: b, left: this.rtl ? e : s, right: this.rtl ? s : e };
  }
}

const MOST_SLOTS = 200_000;

/**
 * Shares the borders of a table out among its cells where borders collapse: each box gets half of what meets its edges.
 * @spec css2 §17.6.2, css-tables-3 §3.7
 */
export function collapseBorders(table: Box): void {
  if (table.style.borderCollapse !== 'collapse') return;
  const grid = tableGrid(table);
  const [rows, columns] = [grid.rows.length, grid.columns];
  if (rows * columns > MOST_SLOTS) return;
  if (rows === 0 || columns === 0) return share(table, NO_EDGES);
  const edges = new GridEdges(rows, columns, table.style.direction === 'rtl');
  edges.meet(table, 0, rows, 0, columns);
  meetColumns(grid, edges);
  for (const group of grid.groups) {
    const own = grid.rows.flatMap((row, i) => (row.group === group ? [i] : []));
    if (own.length > 0) edges.meet(group, own[0]!, own[own.length - 1]! + 1, 0, columns);
  }
  grid.rows.forEach((row, r) => edges.meet(row.box, r, r + 1, 0, columns));
  const cells = grid.rows.flatMap((row) => row.cells);
  for (const { box, row, column, rowSpan, columnSpan } of cells)
    edges.meet(box, row, row + rowSpan, column, column + columnSpan);
  for (const { box, row, column, rowSpan, columnSpan } of cells)
    share(box, edges.around(row, row + rowSpan, column, column + columnSpan));
  share(table, edges.around(0, rows, 0, columns));
}

function meetColumns({ columnBoxes, rows, columns }: TableGrid, edges: GridEdges): void {
  const meet = (of: (box: Box | undefined) => Box | null) => {
    for (let c = 0; c < columns;) {
      const box = of(columnBoxes[c]);
      let end = c + 1;
      while (end < columns && box && of(columnBoxes[end]) === box) end++;
      if (box) edges.meet(box, 0, rows.length, c, end);
      c = end;
    }
  };
  meet((box) => (box?.inner === 'column-group' ? box : box?.parent?.inner === 'column-group' ? box.parent : null));
  columnBoxes.forEach((box, c) => {
    if (box?.inner === 'column') edges.meet(box, 0, rows.length, c, c + 1);
  });
}

const share = (box: Box, edges: Edges): void => {
  (box as { collapsed: Edges | null }).collapsed = box.anonymous && edges === NO_EDGES ? null : edges;
};
