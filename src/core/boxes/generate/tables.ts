import { isBlankText, isCaption, type Box, type Inner } from '../box.js';

type Make = (draft: Pick<Box, 'style' | 'outer' | 'inner' | 'parent'> & Partial<Box>) => Box;

const isPart = (box: Box): boolean => box.outer === 'table-part';
const isCell = (box: Box): boolean =>
  box.outer === 'table-part' && box.inner === 'flow' && box.style.display === 'table-cell' && !box.anonymous;
const isBlank = (box: Box): boolean => box.inner === 'text' && isBlankText(box.text);

/**
 * Adds the anonymous boxes that make every table part stand in its proper parent.
 * @spec css-tables-3 §2.2, css2 §17.2.1
 */
export function wrapTableParts(box: Box, make: Make): void {
  if (box.inner === 'table')
    wrap(box, make, (c) => isCaption(c) || ['row-group', 'row', 'column', 'column-group'].includes(c.inner), 'row');
  if (box.inner === 'table') wrap(box, make, (c) => c.inner !== 'row', 'row-group');
  else if (box.inner === 'row-group') wrap(box, make, (c) => c.inner === 'row', 'row');
  else if (box.inner === 'row') wrap(box, make, (c) => isCell(c) || (c.anonymous && c.outer === 'table-part'), 'flow');
  else if (box.inner === 'flow' && box.children.some(isPart)) wrapStray(box, make);
}

/** White space between what stands in a table without a cell counts only behind text. (Browsers agree.) */
const goesOn = (before: Box | undefined): boolean => before?.inner === 'text' || before?.inner === 'break';

/** Children that are not proper go, run by run, into an anonymous box of the given kind. */
function wrap(box: Box, make: Make, proper: (child: Box) => boolean, inner: Inner): void {
  const children = box.children.splice(0);
  let run: Box[] = [];
  const flush = () => {
    if (run.some((child) => !isBlank(child))) {
      const made = make({ style: box.computed, outer: 'table-part', inner, parent: box, anonymous: true });
      for (const child of run) {
        made.children.push(child);
        (child as { parent: Box }).parent = made;
      }
      if (inner === 'row') wrap(made, make, (c) => isCell(c), 'flow');
      box.children.push(made);
    } else for (const child of run) if (!isBlank(child)) box.children.push(child);
    run = [];
  };
  for (const child of children) {
    if (proper(child)) {
      flush();
      box.children.push(child);
    } else if (box.anonymous || !isBlank(child) || goesOn(run.at(-1))) run.push(child);
  }
  flush();
}

/** Table parts outside a table get one. */
function wrapStray(box: Box, make: Make): void {
  const children = box.children.splice(0);
  let run: Box[] = [];
  const flush = () => {
    const last = run.findLastIndex(isPart);
    const parts = run.slice(0, last + 1);
    if (parts.length > 0) {
      const inline = box.outer === 'inline';
      const table = make({
        style: box.computed,
        outer: inline ? 'atomic' : 'block',
        inner: 'table',
        parent: box,
        anonymous: true,
      });
      for (const child of parts) if (!isBlank(child)) table.children.push(child);
      for (const child of table.children) (child as { parent: Box }).parent = table;
      wrapTableParts(table, make);
      box.children.push(table);
    }
    for (const child of run.slice(last + 1)) box.children.push(child);
    run = [];
  };
  for (const child of children) {
    if (isPart(child) || (run.length > 0 && isBlank(child))) run.push(child);
    else {
      flush();
      box.children.push(child);
    }
  }
  flush();
}
