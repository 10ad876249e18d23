import { isAncestorOrSelf, type ElementNode } from '../../html/index.js';
import { roleOf, subjectOf } from '../../naming/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import type { Subject } from '../subject.js';

const LISTS = new Set(['ul', 'ol', 'menu']);
const ENTRIES = new Set(['li', 'script', 'template']);

/** Lists that are none, and entries without a list. @spec html §4.4.5, WCAG 2.2 SC 1.3.1 */
export const listStructure = defineCheck(
  {
    id: 'list-structure',
    title: 'Lists of the menu are lists',
    weight: 'polish',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'bands' },
    leansOn: [],
    explains: {
      means:
        'A screen reader says how many entries a list has and where one is in it. Links or boxes straight in a ul, and entries without a list, break the count.',
      rule: [
        'In a menu a ul or ol holds li and nothing else, and every li stands in a list.',
        'Lists with another role are left out. Where an li stands in a link straight in a list, the link is the fault.',
      ],
      faulty: '<ul><a href="fares.html">Fares</a></ul>',
      mended: '<ul><li><a href="fares.html">Fares</a></li></ul>',
    },
    worse: null,
    messages: {
      stranger: {
        says: '{subject} stands straight in a {list}, in no li: a screen reader miscounts its entries.',
        mends: 'Put it into an li.',
        criteria: [{ number: '1.3.1', level: 'A' }],
      },
      orphan: {
        says: 'The entry {subject} is an li in {list}, in no list: a screen reader does not tell that it is one of several.',
        mends: 'Put the entries into a ul.',
        criteria: [{ number: '1.3.1', level: 'A' }],
      },
    },
  },
  inspect,
);

function inspect({ scene, menus }: Subject): readonly Observation[] {
  return menus.flatMap((menu) =>
    scene.document.elements.flatMap((element): Observation[] => {
      if (!isAncestorOrSelf(menu.root, element)) return [];
      const say = (at: ElementNode, message: string, list: string): Observation => ({
        at: onElement(at),
        menus: [menu],
        state: 'normal',
        message,
        data: { subject: subjectOf(at, scene), list: message === 'orphan' ? `<${list}>` : list },
        common: `${message} ${menu.id}`,
      });
      if (LISTS.has(element.tag) && roleOf(element, scene) === 'list') {
        const stranger = element.elements.find((e) => !ENTRIES.has(e.tag) && e.attributes.get('role') !== 'listitem');
        return stranger ? [say(stranger, 'stranger', element.tag)] : [];
      }
      const alone =
        element.tag === 'li' &&
        element.parent !== null &&
        !LISTS.has(element.parent.tag) &&
        element.parent.attributes.get('role') !== 'list' &&
        !(element.parent.tag === 'a' && LISTS.has(element.parent.parent?.tag ?? '')) &&
        !element.attributes.has('role');
      return alone ? [say(element, 'orphan', element.parent!.tag)] : [];
    }),
  );
}
