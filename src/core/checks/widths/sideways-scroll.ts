import { figure } from '../../findings/index.js';
import { closest, descendants, isAncestorOrSelf, selectorOf, type ElementNode } from '../../html/index.js';
import type { Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { causeOf } from '../shared/causes.js';
import { pastEdge } from '../shared/edges.js';
import type { Subject } from '../subject.js';

/** Pages that scroll sideways because of their menu. @spec WCAG 2.2 SC 1.4.10 */
export const sidewaysScroll = defineCheck(
  {
    id: 'sideways-scroll',
    title: 'The menu does not make the page scroll sideways',
    weight: 'hinders',
    scope: 'page',
    asks: { visitors: ['mouse'], poses: 'opened', widths: 'inside' },
    explains: {
      means:
        'A menu that is wider than the screen makes the whole page slide to and fro under the finger. Whoever enlarges the page has to scroll for each line.',
      rule: [
        'No part of a menu reaches beyond the screen so that the page can be scrolled sideways, at rest or with a panel open.',
        'Where items of a panel lie beyond the screen, that is told as a panel cut off.',
        'Strips that scroll by themselves, and parts parked beside the screen that nothing scrolls to, are no fault. Where something else of the page is wider still, it is not the menu’s.',
      ],
      faulty: '.menu { display: flex } .menu a { white-space: nowrap }',
      mended: '.menu { display: flex; overflow-x: auto }',
    },
    textWidth: true,
    worse: 'higher',
    messages: {
      wide: {
        says: '{element} reaches {px} px beyond the {side} edge of the screen, and the page scrolls sideways because of it.',
        mends:
          'Let it shrink or wrap (flex-wrap, min-width: 0), scroll by itself (overflow-x: auto), or begin the narrow menu earlier.',
        criteria: [{ number: '1.4.10', level: 'AA' }],
      },
      opened: {
        says: 'While it is open, {element} reaches {px} px beyond the {side} edge of the screen, and the page scrolls sideways because of it.',
        mends:
          'Let it be no wider than the screen, its padding and borders included (left: 0; right: 0, or box-sizing: border-box).',
        criteria: [{ number: '1.4.10', level: 'AA' }],
      },
    },
  },
  inspect,
);

const LEAST = 1.5;

/** An item that reaches farther than this part of it lies beyond the screen. */
const CUT = 0.25;

function inspect(subject: Subject): readonly Observation[] {
  const { scene, menus, parts } = subject;
  const { width } = scene.medium;
  if (scene.scrollSize.width <= width + LEAST) return [];
  if (parts.opened !== null) {
    const lost = (e: ElementNode) => {
      const rect = scene.rect(e);
      return rect !== null && pastEdge(rect, scene) > rect.width * CUT;
    };
    if (parts.before().scrollSize.width >= scene.scrollSize.width || [...parts.opened].some(lost)) return [];
  }
  const own = new Map(
    menus.flatMap((menu) =>
      [menu.root, ...descendants(menu.root), ...menu.toggles.map(({ element }) => element)].map(
        (e) => [e, menu] as const,
      ),
    ),
  );
  const beyond = (e: ElementNode): number => {
    const seen = scene.box(e) ? scene.seen(e) : null;
    if (!seen || scene.nodes(e).some(({ fixed }) => fixed)) return 0;
    return pastEdge(seen, scene);
  };
  const end = scene.scrollSize.width - width;
  // What makes the page that wide, innermost; if it is none of a menu's, the menu is not to blame.
  const makers = scene.document.elements.filter((e) => beyond(e) >= end - LEAST);
  const innermost = makers.filter((e) => !makers.some((other) => other !== e && isAncestorOrSelf(e, other)));
  const widest = innermost.find((e) => own.has(e));
  if (!widest || innermost.some((e) => !own.has(e))) return [];
  // What is fixed and held by something around it is a fault of its own.
  if (closest(widest, (e) => scene.style(e).position === 'fixed') !== null) return [];
  const part = outermost(widest, makers, scene);
  const px = Math.round(end * 10) / 10;
  return [
    {
      at: onElement(part),
      menus: [own.get(widest)!],
      state: 'normal',
      message: parts.opened === null ? 'wide' : 'opened',
      data: { element: selectorOf(widest), px, side: scene.scrollsLeftwards ? 'left' : 'right' },
      measured: figure(px, 'px'),
      needed: figure(0, 'px'),
      cause:
        causeOf(scene.style(widest), 'whiteSpaceCollapse') ??
        causeOf(scene.style(part), 'display') ??
        causeOf(scene.style(widest), 'width'),
    },
  ];
}

/** The outermost element around it that reaches as far: what sticks out as a whole. */
function outermost(element: ElementNode, makers: readonly ElementNode[], scene: Scene): ElementNode {
  let e = element;
  while (e.parent && makers.includes(e.parent) && e.parent !== scene.document.body) e = e.parent;
  return e;
}
