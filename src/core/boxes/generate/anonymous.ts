import { isInFlow, isInlineLevel, type Box } from '../box.js';
import { keepsSpaces } from '../text/index.js';
import { collapseBorders } from '../contexts/table-borders.js';
import { wrapTableParts } from './tables.js';
import { type Building, make } from './make.js';

/** Puts the children of one box into the form its layout needs. */
export function complete(box: Box, building: Building): void {
  if (['table', 'row-group', 'row'].includes(box.inner)) {
    wrapTableParts(box, (draft) => make(building, draft));
    completeCells(box, building);
    if (box.inner === 'table') collapseBorders(box);
    return;
  }
  if (box.inner === 'flow') {
    wrapTableParts(box, (draft) => make(building, draft));
    for (const table of box.children.filter((child) => child.anonymous && child.inner === 'table')) {
      completeCells(table, building);
      collapseBorders(table);
    }
  }
  if (box.inner === 'flex' || box.inner === 'grid') wrapRuns(box, building, true);
  else if (box.inner === 'flow' && box.outer !== 'inline' && mixes(box)) wrapRuns(box, building, false);
}

/** Cells made for what stands in a table without one. */
function completeCells(box: Box, building: Building): void {
  for (const child of box.children) {
    if (!child.anonymous) continue;
    if (child.inner === 'flow') complete(child, building);
    else completeCells(child, building);
  }
}

const mixes = (box: Box): boolean =>
  box.children.some((child) => isInFlow(child) && !isInlineLevel(child)) &&
  box.children.some((child) => isInFlow(child) && isInlineLevel(child));

const isBlank = (box: Box): boolean => isSpace(box) && !keepsSpaces(box.style);

/** White space alone makes no item, whether it is kept or not. @spec css-flexbox-1 §4, css-grid-2 §6 */
const isSpace = (box: Box): boolean => box.inner === 'text' && /^[ \t\r\n\f]*$/.test(box.text);

/** What text of an element without a box stands in. */
const isAroundText = ({ anonymous, outer }: Box): boolean => anonymous && outer === 'inline';

/** Gathers runs of inline-level children into anonymous block boxes. @spec css2 §9.2.1.1, css-flexbox-1 §4 */
function wrapRuns(box: Box, building: Building, items: boolean): void {
  const children = box.children.splice(0);
  let run: Box[] = [];
  const flush = () => {
    const visible = items
      ? run.some((child) => !isSpace(child))
      : run.some((child) => !isBlank(child) && isInFlow(child));
    if (visible) {
      const wrapper = make(building, {
        style: box.computed,
        outer: 'block',
        inner: 'flow',
        parent: box,
        anonymous: true,
        firstLine: box.children.some(isInFlow) ? null : box.firstLine,
      });
      for (const child of run) wrapper.children.push(adopt(child, wrapper));
      box.children.push(wrapper);
    } else for (const child of run) if (!(items ? isSpace : isBlank)(child)) box.children.push(child);
    run = [];
  };
  for (const child of children) {
    const joins = items
      ? child.inner === 'text' || child.inner === 'break' || isAroundText(child)
      : isInlineLevel(child) || (run.length > 0 && !isInFlow(child));
    if (joins) run.push(child);
    else {
      flush();
      box.children.push(child);
    }
  }
  flush();
}

function adopt(child: Box, parent: Box): Box {
  (child as { parent: Box }).parent = parent;
  return child;
}
