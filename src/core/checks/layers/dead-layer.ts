import { winnerOf } from '../../cascade/index.js';
import { selectorOf, type ElementNode } from '../../html/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { menusAround } from '../shared/around.js';
import { causeOf } from '../shared/causes.js';
import type { Subject } from '../subject.js';

/** Declared stacking positions that nothing comes of. @spec css2 §9.9.1 */
export const deadLayer = defineCheck(
  {
    id: 'dead-layer',
    title: 'Every z-index of a menu has an effect',
    weight: 'polish',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'ends' },
    explains: {
      means:
        'A z-index on a box that is not positioned does nothing. Whoever wrote it believes the menu lies on top, and finds out when it does not.',
      rule: [
        'A z-index on a menu, on what it holds or stands in takes effect: the box is positioned, or an item of a flex or grid container.',
        'Where some other width or state positions the box it is no fault.',
      ],
      faulty: '.panel { z-index: 999 }',
      mended: '.panel { position: relative; z-index: 999 }',
    },
    worse: null,
    messages: {
      dead: {
        says: '{element} has z-index: {z} and is not positioned: it has no effect.',
        mends: 'Give it position: relative if it is to lie above other things, or take the z-index away.',
        criteria: [],
      },
    },
  },
  inspect,
);

const FLEXIBLE = /^(-webkit-|-ms-)?(inline-)?(flex|flexbox|grid|box)$/;

function inspect({ scene, page, menus }: Subject): readonly Observation[] {
  const sometimes = (element: ElementNode, name: string, wanted: (value: string) => boolean) =>
    page.declarationsOf(element, name).some(({ text }) => wanted(text.trim().toLowerCase()));
  const inFlexible = ({ parent }: ElementNode) =>
    parent !== null &&
    (FLEXIBLE.test(scene.style(parent).display) || sometimes(parent, 'display', (v) => FLEXIBLE.test(v)));
  return [...menusAround(menus)].flatMap(([element, own]): Observation[] => {
    const style = scene.style(element);
    const winner = winnerOf(style, 'zIndex');
    if (style.zIndex === 'auto' || !winner || winner.match.origin !== 'author' || !scene.box(element)) return [];
    if (style.position !== 'static' || sometimes(element, 'position', (v) => v !== 'static')) return [];
    if (inFlexible(element)) return [];
    return [
      {
        at: onElement(element),
        menus: own,
        state: 'normal',
        message: 'dead',
        data: { element: selectorOf(element), z: style.zIndex },
        cause: causeOf(style, 'zIndex'),
      },
    ];
  });
}
