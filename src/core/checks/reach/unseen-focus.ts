import { closest, textContent, type ElementNode } from '../../html/index.js';
import { subjectOf, tabOrder } from '../../naming/index.js';
import { switchedBy, type Menu } from '../../menus/index.js';
import { CLOSED, type Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { menusBeneath } from '../shared/beneath.js';
import { causeOf } from '../shared/causes.js';
import { keptBelow } from '../shared/kept-below.js';
import { skipLinks } from '../shared/skip-links.js';
import { isUndrawn } from '../shared/undrawn.js';
import type { Subject } from '../subject.js';

/** Stops of the Tab key that cannot be seen. @spec WCAG 2.2 SC 2.4.3, 2.4.7 */
export const unseenFocus = defineCheck(
  {
    id: 'unseen-focus',
    title: 'Focus does not go where nothing shows',
    weight: 'hinders',
    scope: 'menu',
    asks: { visitors: ['keyboard'], poses: 'opened', widths: 'ends' },
    explains: {
      means:
        'A menu that is closed by transparency, by clipping or off the screen still takes focus: the keyboard goes through links nobody sees.',
      rule: [
        'Every stop of the Tab key in a menu, and every skip link, shows while it has focus.',
        'Left out: skip links and panels that appear on focus, and checkboxes whose label shows the focus.',
      ],
      faulty: '.panel { opacity: 0 }',
      mended: '.panel { opacity: 0; visibility: hidden }',
    },
    worse: null,
    messages: {
      unseen: {
        says: 'Tab stops at {subject}, which cannot be seen then ({why}). Whoever uses the keyboard loses their place.',
        mends:
          'Take what is closed out of the way of focus too: visibility: hidden, display: none or inert while it is closed.',
        criteria: [
          { number: '2.4.3', level: 'A' },
          { number: '2.4.7', level: 'AA' },
        ],
      },
    },
  },
  inspect,
);

function inspect(subject: Subject): readonly Observation[] {
  const { scene, menus } = subject;
  const own = new Map(
    menus.flatMap((menu) =>
      [...menu.items, ...menu.toggles].map(
        ({ element }) => [switchedBy(element, scene.document) ?? element, menu] as const,
      ),
    ),
  );
  const posed = subject.parts.opened !== null;
  const atRest = posed ? new Set(tabOrder(subject.page.scene({ ...subject.setting, pose: CLOSED }))) : null;
  if (posed && scene.setting.pose.hovered && !scene.setting.pose.focused) return [];
  const beneath = posed ? new Set<Menu>() : menusBeneath(subject);
  const skips = posed ? [] : skipLinks(subject);
  const tall = keptBelow(subject);
  return tabOrder(scene).flatMap((element): Observation[] => {
    const menu = own.get(element) ?? null;
    if ((!menu && !skips.includes(element)) || atRest?.has(element) || tall.has(element)) return [];
    const base = { at: onElement(element), menus: menu ? [menu] : [], state: 'normal' as const, message: 'unseen' };
    if (menu && beneath.has(menu) && menu.items.some((item) => item.element === element))
      return [
        {
          ...base,
          data: { subject: subjectOf(element, scene), why: 'it lies under the page' },
          common: 'unseen beneath',
        },
      ];
    if (scene.reach(element) !== null || isShownByLabel(element, scene)) return [];
    const focused = subject.after({ by: 'focus', element });
    if (posed && focused.rect(element) === null) return [];
    if (focused.reach(element) !== null) return [];
    const hidden = hidingOf(element, focused);
    const undrawn = isUndrawn(element, subject);
    return [
      {
        ...base,
        data: {
          subject: subjectOf(element, scene),
          why: undrawn ? `${hidden.why}, unless a script draws something in it` : hidden.why,
        },
        common: `unseen ${menu ? '' : 'skip '}${hidden.key}`,
        ...(undrawn ? { verdict: 'look' as const } : {}),
        ...(isEmpty(element) ? { leansOn: ['sheets', 'scripts'] as const } : {}),
      },
    ];
  });
}

/** A control of pictures that sheets or scripts draw. */
const isEmpty = (element: ElementNode): boolean => textContent(element).trim() === '' && element.elements.length > 0;

const isShownByLabel = (element: ElementNode, scene: Scene): boolean =>
  element.tag === 'input' &&
  scene.document.elements.some(
    (e) => e.tag === 'label' && e.attributes.get('for') === element.id && scene.reach(e) !== null,
  );

/** What keeps an element out of sight, in words, and the same for all that it hides. */
interface Hiding {
  readonly why: string;
  readonly key: string;
}

const named = (e: ElementNode): string => `${e.tag}.${e.classes.join('.')}`;

/** The outermost element around one, itself included, of which something holds all the way. */
function outermost(element: ElementNode, holds: (e: ElementNode) => boolean): ElementNode {
  let e = element;
  while (e.parent && holds(e.parent)) e = e.parent;
  return e;
}

function hidingOf(element: ElementNode, scene: Scene): Hiding {
  const clear = closest(element, (e) => scene.style(e).opacity === 0);
  if (clear) {
    const at = causeOf(scene.style(clear), 'opacity')?.at;
    return { why: 'it is transparent', key: at ? `${at.file}:${at.line}:${at.column}` : named(clear) };
  }
  const isFlat = (e: ElementNode): boolean => {
    const rect = scene.rect(e);
    return !rect || rect.width < 1 || rect.height < 1;
  };
  if (isFlat(element)) return { why: 'it has no size', key: `flat ${named(outermost(element, isFlat))}` };
  const isOff = (e: ElementNode): boolean => {
    const rect = scene.rect(e);
    return !!rect && (rect.x + rect.width <= 0 || rect.y + rect.height <= 0 || rect.x >= scene.medium.width);
  };
  if (isOff(element)) return { why: 'it lies off the screen', key: `off ${named(outermost(element, isOff))}` };
  const clip = closest(element, (e) => scene.style(e).overflowX !== 'visible');
  return { why: 'it is clipped away', key: `clipped ${clip ? named(clip) : ''}` };
}
