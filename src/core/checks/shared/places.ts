import { positionOf } from '../../base/index.js';
import type { Place } from '../../findings/index.js';
import { closest, selectorOf, type ElementNode } from '../../html/index.js';
import { labelOf } from '../../naming/index.js';
import type { Glance } from '../../scene/index.js';
import type { Spot } from '../define.js';

export function placeOf(element: ElementNode, view: Glance): Place {
  return {
    kind: 'element',
    selector: selectorOf(element),
    path: element.path,
    label: inHead(element) ? '' : labelOf(element, view),
    at: element.startTag ? positionOf(element.startTag) : null,
    widths: null,
  };
}

/** What stands in the head says nothing a visitor reads. */
const inHead = (element: ElementNode): boolean => closest(element, ({ tag }) => tag === 'head') !== null;

/** The place of whatever an observation points at. */
export function placeAt(spot: Spot, view: Glance): Place {
  const { path } = view.document.root;
  switch (spot.kind) {
    case 'element':
      return placeOf(spot.element, view);
    case 'rule':
      return { kind: 'rule', selector: spot.selector, path, label: '', at: positionOf(spot.span), widths: null };
    case 'query':
      return { kind: 'query', selector: spot.condition, path, label: '', at: positionOf(spot.span), widths: null };
    case 'page':
      return { kind: 'page', selector: path, path, label: '', at: null, widths: null };
  }
}
