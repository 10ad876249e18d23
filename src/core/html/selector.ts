import type { ElementNode } from './document.js';

const PLAIN = /^[a-z_][\w-]*$/i;

/** One step that tells an element from its siblings, as short as it can be. */
function stepOf(element: ElementNode): string {
  const name = element.classes.find((c) => PLAIN.test(c));
  const step = name ? `${element.tag}.${name}` : element.tag;
  const siblings = element.parent?.elements ?? [];
  const alike = siblings.filter((s) => s.tag === element.tag && (name ? s.classes.includes(name) : true));
  return alike.length > 1 ? `${step}:nth-child(${element.position + 1})` : step;
}

/** A selector that finds just this element, anchored at the nearest id. */
export function selectorOf(element: ElementNode): string {
  const steps: string[] = [];
  for (let e: ElementNode | null = element; e; e = e.parent) {
    if (e.id !== null && PLAIN.test(e.id)) {
      steps.unshift(`#${e.id}`);
      break;
    }
    if (e.tag === 'body' || e.tag === 'html') {
      if (steps.length === 0) steps.unshift(e.tag);
      break;
    }
    steps.unshift(stepOf(e));
  }
  return steps.join(' > ');
}
