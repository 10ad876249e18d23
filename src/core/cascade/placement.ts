import type { Display } from '../css/index.js';
import { displaySize, type ElementNode } from '../html/index.js';
import type { ComputedStyle } from './style.js';

/** A checkbox or radio button; an input that is a button; a select that drops down. */
export type Drawn = 'tick' | 'button' | 'menu';

/** Elements some of whose computed values differ from what rules and parent give. */
export type Particular = 'table' | 'textarea';

/** Where an element stands, as far as its computed values depend on it. */
export interface Placement {
  readonly root: boolean;
  /** Display of the box-making parent, `contents` looked through. */
  readonly parentDisplay: Display | null;
  /** A replaced element or form control: `display: contents` makes it nothing. */
  readonly atomic: boolean;
  /** What browsers draw themselves unless told otherwise. */
  readonly drawn: Drawn | null;
  readonly particular: Particular | null;
}

const ATOMIC = new Set([
  'img',
  'video',
  'audio',
  'canvas',
  'iframe',
  'object',
  'embed',
  'input',
  'select',
  'textarea',
  'br',
  'wbr',
  'meter',
  'progress',
  'svg',
]);

const FLEXIBLE = /^(inline-)?(flex|grid)$/;
const DRAWN: readonly (Drawn | null)[] = [null, 'tick', 'button', 'menu'];

const PARTICULAR: readonly (Particular | null)[] = [null, 'table', 'textarea'];

/** What computed values depend on beside rules and parent, as a number below 128. */
export function placementCode({ root, atomic, drawn, particular, parentDisplay }: Placement): number {
  return (
    Number(root) +
    2 * Number(atomic) +
    4 * Number(parentDisplay !== null && FLEXIBLE.test(parentDisplay)) +
    8 * DRAWN.indexOf(drawn) +
    32 * PARTICULAR.indexOf(particular)
  );
}

export function placementOf(element: ElementNode, read: (index: number) => ComputedStyle): Placement {
  let parentDisplay: Display | null = null;
  let from = element;
  for (let a = element.parent; a; from = a, a = a.parent) {
    // What is no summary stands in a box of its own inside of details.
    parentDisplay = a.tag === 'details' && from.tag !== 'summary' ? 'block' : read(a.index).display;
    if (parentDisplay !== 'contents') break;
  }
  return {
    root: element.parent === null,
    parentDisplay,
    atomic: ATOMIC.has(element.tag),
    drawn: drawnAs(element),
    particular: element.namespace === 'html' ? particularOf(element.tag) : null,
  };
}

/** Where something stands that no element stands for: in a box of the given style. */
export const insideOf = ({ display }: ComputedStyle): Placement => ({
  root: false,
  parentDisplay: display,
  atomic: false,
  drawn: null,
  particular: null,
});

const particularOf = (tag: string): Particular | null => (tag === 'table' || tag === 'textarea' ? tag : null);

function drawnAs({ tag, attributes }: ElementNode): Drawn | null {
  if (tag === 'select') return displaySize((name) => attributes.get(name)) > 1 ? null : 'menu';
  if (tag !== 'input') return null;
  const type = attributes.get('type')?.toLowerCase() ?? '';
  if (type === 'checkbox' || type === 'radio') return 'tick';
  return ['submit', 'button', 'reset'].includes(type) ? 'button' : null;
}
