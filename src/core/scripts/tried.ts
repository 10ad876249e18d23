import { isAncestorOrSelf, type ElementNode, type HtmlDocument } from '../html/index.js';
import type { Move } from './moves.js';

/** More elements than this are not tried one by one. */
const MOST = 600;

const isPressable = (e: ElementNode): boolean =>
  ['a', 'button', 'label', 'summary', 'input'].includes(e.tag) ||
  ['button', 'menuitem', 'tab', 'link'].includes(e.attributes.get('role') ?? '') ||
  ['onclick', 'tabindex', 'aria-expanded', 'aria-controls', 'aria-haspopup'].some((name) => e.attributes.has(name)) ||
  [...e.attributes.keys()].some((name) => /^data-.*(toggle|target|menu|open|dismiss)/.test(name));

const KEYS = ['Enter', ' ', 'ArrowDown', 'Escape'];

/** The moves that may set scripts going, each made from the page at rest: pressed once and once more, hovered, with keys. */
export function* tried(
  document: HtmlDocument,
  listening: ReadonlyMap<ElementNode, readonly string[]>,
  mentioned: ReadonlySet<ElementNode>,
): Generator<readonly Move[]> {
  let left = MOST;
  const { body } = document;
  if (!body) return;
  for (const element of document.elements) {
    if (!isAncestorOrSelf(body, element)) continue;
    const types = listening.get(element) ?? [];
    const pressable = isPressable(element) || mentioned.has(element);
    if (!pressable && types.length === 0) continue;
    if (left-- === 0) return;
    const has = (pattern: RegExp) => types.some((type) => pattern.test(type));
    if (pressable || has(/^(click|pointer|mousedown|mouseup|touch|change|input)/)) {
      const press: Move = { by: 'press', element };
      yield [press];
      yield [press, press];
      yield [press, { by: 'key', element, key: 'Escape' }];
    }
    if (has(/^(mouse(enter|over|leave|out|move)|pointer(enter|over|leave|out))/)) {
      yield [{ by: 'hover', element }];
      yield [
        { by: 'hover', element },
        { by: 'hover', element: body },
      ];
    }
    if (has(/^focus/) || (pressable && has(/^blur/))) yield [{ by: 'focus', element }];
    if (has(/^key/)) for (const key of KEYS) yield [{ by: 'key', element, key }];
  }
}
