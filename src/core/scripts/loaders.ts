import { descendants, type ElementNode } from '../html/index.js';
import type { Look, Reading } from './reading.js';
import type { Standing } from './standing.js';

/** Words of what covers a page until it is there. */
const LOADER = /(^|[-_])(pre-?loader|page-?loader|loader|loading|splash)([-_]|$)/i;
/** Loaders stand no deeper below the body. */
const DEEPEST = 2;
/** A loader covers this share of the screen, along both axes. */
const WHOLE = 0.9;
const HOLDS: ReadonlySet<string> = new Set(['a', 'button', 'nav', 'input', 'main', 'h1']);

const namesOf = ({ id, classes }: ElementNode): readonly string[] =>
  [...(id === null ? [] : [id]), ...classes].filter((name) => LOADER.test(name));

function isNearBody(element: ElementNode, body: ElementNode | null): boolean {
  let parent = element.parent;
  for (let depth = 0; depth < DEEPEST && parent; depth++, parent = parent.parent) if (parent === body) return true;
  return false;
}

/** What may be a loader: near the body, named so by markup and by a script, with nothing in it to go on with. */
const candidates = ({ document }: Reading, texts: readonly string[]): readonly ElementNode[] =>
  document.elements.filter(
    (element) =>
      isNearBody(element, document.body) &&
      namesOf(element).some((name) => texts.some((text) => text.includes(name))) &&
      ![...descendants(element)].some(({ tag }) => HOLDS.has(tag)),
  );

/** Whether something lies over the whole screen; null where places are not told. */
function covers(element: ElementNode, { layouts, medium }: Look, standing: Standing): boolean | null {
  if (!layouts.whole) return null;
  const told = (property: string) => layouts.computed(element, property, standing, null);
  if (told('display') === 'none' || told('visibility') !== 'visible' || told('opacity') === '0') return false;
  if (!/^(fixed|absolute)$/.test(told('position') ?? '')) return false;
  const rect = layouts.rect(element, standing);
  return !!rect && rect.width >= medium.width * WHOLE && rect.height >= medium.height * WHOLE;
}

/**
 * Takes away what covers the whole screen while a page loads, where a script names it and none was seen to take it away:
 * what visitors come to see lies beneath. Said of each.
 */
export function takeLoadersAway(reading: Reading, texts: readonly string[]): void {
  const { standing } = reading;
  for (const element of candidates(reading, texts)) {
    const style = standing.attribute(element, 'style');
    const hide = () => reading.setAttribute(element, 'style', `${style ? `${style}; ` : ''}display: none`);
    const over = reading.ask(`loader ${element.index}`, (look) => covers(element, look, standing));
    if (over === null) reading.perhaps(hide);
    else if (over) {
      reading.note(
        'nothing was seen to take away what covers the page while it loads; it is looked at without',
        element,
      );
      hide();
    }
  }
}
