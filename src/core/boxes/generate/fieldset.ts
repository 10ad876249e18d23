import { isInFlow, type Box, type Inner } from '../box.js';
import { complete } from './anonymous.js';
import { make, type Building } from './make.js';

/** Whether a child would be a fieldset's rendered legend. @spec html §15.3.13 */
export const isLegend = (box: Box): boolean =>
  box.element?.tag === 'legend' && box.element.namespace === 'html' && !box.pseudo && !box.anonymous && isInFlow(box);

/** The rendered legend of a fieldset; null without one. */
export function legendOf(box: Box): Box | null {
  const [legend, content] = box.children;
  const parted = box.element?.tag === 'fieldset' && !box.pseudo && box.children.length === 2 && content?.anonymous;
  return parted && legend && isLegend(legend) ? legend : null;
}

/** Whether a box is what a fieldset holds beside its legend: it stands for the fieldset then. */
export const isBesideLegend = ({ anonymous, parent, id }: Box): boolean =>
  anonymous && parent !== null && legendOf(parent) !== null && parent.children[1]!.id === id;

/** A fieldset with a rendered legend holds it and, in a box of its own that is laid out as it asks, the rest. */
export function partFieldset(box: Box, building: Building): void {
  const { element } = box;
  if (element?.tag !== 'fieldset' || element.namespace !== 'html' || box.pseudo) return;
  const legend = box.children.find(isLegend);
  if (!legend) return;
  const content = make(building, {
    style: box.computed,
    outer: 'block',
    inner: box.inner,
    parent: box,
    anonymous: true,
  });
  for (const child of box.children.splice(0)) {
    if (child === legend) continue;
    (child as { parent: Box }).parent = content;
    content.children.push(child);
  }
  (box as { inner: Inner }).inner = 'flow';
  (legend as { outer: Box['outer'] }).outer = 'block';
  complete(content, building);
  box.children.push(legend, content);
}
