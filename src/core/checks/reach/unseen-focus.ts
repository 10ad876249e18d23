import { closest, type ElementNode } from '../../html/index.js';
import { subjectOf, tabOrder } from '../../naming/index.js';
import { CLOSED, type Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
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
        'Every stop of the Tab key in a menu shows while it has focus.',
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
    menus.flatMap((menu) => [...menu.items, ...menu.toggles].map(({ element }) => [element, menu] as const)),
  );
  const posed = subject.parts.opened !== null;
  const atRest = posed ? new Set(tabOrder(subject.page.scene({ ...subject.setting, pose: CLOSED }))) : null;
  if (posed && scene.setting.pose.hovered && !scene.setting.pose.focused) return [];
  return tabOrder(scene).flatMap((element): Observation[] => {
    const menu = own.get(element);
    if (!menu || atRest?.has(element) || scene.reach(element) !== null || isShownByLabel(element, scene)) return [];
    const focused = subject.after({ by: 'focus', element });
    if (posed && focused.rect(element) === null) return [];
    if (focused.reach(element) !== null) return [];
    return [
      {
        at: onElement(element),
        menus: [menu],
        state: 'normal',
        message: 'unseen',
        data: { subject: subjectOf(element, scene), why: whyOf(element, focused) },
        common: `unseen ${menu.id} ${culpritOf(element, focused)}`,
      },
    ];
  });
}

const isShownByLabel = (element: ElementNode, scene: Scene): boolean =>
  element.tag === 'input' &&
  scene.document.elements.some(
    (e) => e.tag === 'label' && e.attributes.get('for') === element.id && scene.reach(e) !== null,
  );

/** What keeps an element out of sight: the part around it that is transparent, or taken out of the flow. */
function culpritOf(element: ElementNode, scene: Scene): string {
  const found =
    closest(element, (e) => scene.style(e).opacity === 0) ??
    closest(element, (e) => ['fixed', 'absolute'].includes(scene.style(e).position)) ??
    closest(element, (e) => scene.style(e).overflowX !== 'visible');
  return found ? `${found.tag}.${found.classes.join('.')}` : '';
}

function whyOf(element: ElementNode, scene: Scene): string {
  const clear = closest(element, (e) => scene.style(e).opacity === 0);
  if (clear) return 'it is transparent';
  const rect = scene.rect(element);
  if (!rect || rect.width < 1 || rect.height < 1) return 'it has no size';
  const { width } = scene.medium;
  if (rect.x + rect.width <= 0 || rect.y + rect.height <= 0 || rect.x >= width) return 'it lies off the screen';
  return 'it is clipped away';
}
