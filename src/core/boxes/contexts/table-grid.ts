import { isLengthPercentage } from '../../css/index.js';
import { isCaption, type Box } from '../box.js';

export interface Cell {
  readonly box: Box;
  readonly row: number;
  readonly column: number;
  readonly rowSpan: number;
  readonly columnSpan: number;
  /** Columns it asks for, be they fewer in the end. */
  readonly span: number;
}

export interface Row {
  readonly box: Box;
  readonly group: Box;
  readonly cells: Cell[];
}

export interface TableGrid {
  readonly captions: readonly Box[];
  readonly groups: readonly Box[];
  readonly rows: readonly Row[];
  readonly columns: number;
  /** Column boxes by position, if the markup has any. */
  readonly columnBoxes: readonly (Box | undefined)[];
  /** Column boxes that are no columns of their own, and how many columns stand before them; those behind all cells have none. */
  readonly absent: ReadonlyMap<Box, number | null>;
}

const SPAN_CAP = 1000;
const known = new WeakMap<Box, TableGrid>();

function span(box: Box, name: 'colspan' | 'rowspan' | 'span'): number {
  const value = Number.parseInt(box.element?.attributes.get(name) ?? '', 10);
  return box.anonymous || !Number.isInteger(value) || value < 1 ? 1 : Math.min(SPAN_CAP, value);
}

/** Whether the first row alone decides the widths. @spec css2 §17.5.2.1 */
export const hasFixedLayout = ({ anonymous, style }: Box): boolean =>
  !anonymous && style.tableLayout === 'fixed' && style.width !== 'auto' && style.width !== 'max-content';

/** Puts the cells of a table into slots. @spec html §4.9.12.1 (forming a table), css-tables-3 §3.3 */
export function tableGrid(table: Box): TableGrid {
  let grid = known.get(table);
  if (!grid) known.set(table, (grid = build(table)));
  return grid;
}

function build(table: Box): TableGrid {
  const isGroup = (display: string) => (box: Box) =>
    box.inner === 'row-group' && (box.anonymous ? 'table-row-group' : box.style.display) === display;
  const groups = ['table-header-group', 'table-row-group', 'table-footer-group'].flatMap((display) =>
    table.children.filter(isGroup(display)),
  );
  const rows: Row[] = [];
  let columns = 0;
  for (const group of groups) {
    const occupied = new Set<string>();
    const first = rows.length;
    const own = group.children.filter((box) => box.inner === 'row');
    own.forEach((box, index) => {
      const row: Row = { box, group, cells: [] };
      rows.push(row);
      let column = 0;
      for (const cell of box.children) {
        while (occupied.has(`${index},${column}`)) column++;
        const columnSpan = span(cell, 'colspan');
        const rowSpan = Math.min(span(cell, 'rowspan'), own.length - index);
        for (let r = 0; r < rowSpan; r++)
          for (let c = 0; c < columnSpan; c++) occupied.add(`${index + r},${column + c}`);
        row.cells.push({ box: cell, row: first + index, column, rowSpan, columnSpan, span: columnSpan });
        column += columnSpan;
        columns = Math.max(columns, column);
      }
    });
  }
  const columnBoxes = table.children.flatMap((box) => {
    if (box.inner === 'column') return new Array<Box>(span(box, 'span')).fill(box);
    if (box.inner !== 'column-group') return [];
    const inner = box.children.filter((c) => c.inner === 'column');
    return inner.length > 0
      ? inner.flatMap((c) => new Array<Box>(span(c, 'span')).fill(c))
      : new Array<Box>(span(box, 'span')).fill(box);
  });
  const captions = table.children.filter(isCaption);
  const absent = new Map<Box, number | null>();
  const grid = { captions, groups, rows, columns: Math.max(columns, columnBoxes.length), columnBoxes, absent };
  return hasFixedLayout(table) ? grid : withoutSpannedColumns(grid);
}

const asksWidth = (box: Box | undefined): boolean =>
  box !== undefined &&
  [box.style.width, box.style.minWidth].some((w) => isLengthPercentage(w) && (w.px > 0 || w.percent > 0));

/** Columns in which nothing begins and that ask for no width are one with the column before them. @spec css-tables-3 §3.8 (as browsers have it) */
function withoutSpannedColumns(grid: TableGrid): TableGrid {
  const begun = new Set(grid.rows.flatMap(({ cells }) => cells.map(({ column }) => column)));
  const kept = Array.from({ length: grid.columns }, (_, i) => begun.has(i) || asksWidth(grid.columnBoxes[i]));
  if (kept.every(Boolean)) return grid;
  const before = (column: number) => kept.slice(0, column).filter(Boolean).length;
  const last = kept.lastIndexOf(true);
  const absent = new Map<Box, number | null>();
  grid.columnBoxes.forEach((box, i) => {
    if (box && !kept[i] && !absent.has(box)) absent.set(box, i > last ? null : before(i));
  });
  const rows = grid.rows.map((row) => ({
    ...row,
    cells: row.cells.map((cell) => {
      const column = before(cell.column);
      return { ...cell, column, columnSpan: before(cell.column + cell.columnSpan) - column };
    }),
  }));
  const columnBoxes = grid.columnBoxes.filter((_, i) => kept[i]);
  return { ...grid, rows, columns: before(grid.columns), columnBoxes, absent };
}
