import { descendants, type ElementNode } from '../../html/index.js';
import { canTakeFocus, isNativelyFocusable, roleOf, subjectOf, tabIndexOf } from '../../naming/index.js';
import { controlOf } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { goesByScript } from '../shared/addresses.js';
import { endsOn } from '../shared/panels.js';
import { IS_PRESS, leavesByPress } from '../shared/presses.js';
import type { Subject } from '../subject.js';

/** Controls only a pointer can press. @spec WCAG 2.2 SC 2.1.1, 4.1.2 */
export const pressOnlyControl = defineCheck(
  {
    id: 'press-only-control',
    title: 'What can be pressed can be pressed by keyboard',
    weight: 'blocks',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'opened', widths: 'ends' },
    leansOn: [],
    explains: {
      means:
        'A div with a click handler looks like a button and is none: Tab passes it by, Enter and Space do nothing, and a screen reader does not say that it can be pressed.',
      rule: [
        'What a press opens or follows is a native control, or has a role, a tabindex and handles Enter and Space.',
        'A label is pressed by keyboard through its checkbox, if that can take focus.',
      ],
      faulty: '<div class="burger" onclick="toggleMenu()">Menu</div>',
      mended: '<button type="button" aria-expanded="false" onclick="toggleMenu()">Menu</button>',
    },
    worse: null,
    messages: {
      'no-focus': {
        says: '{subject} ({tag}) {does} by a press, and the Tab key never stops at it. Whoever uses a keyboard cannot press it.',
        mends: 'Make it a button (or a link where it leads to another page).',
        criteria: [
          { number: '2.1.1', level: 'A' },
          { number: '4.1.2', level: 'A' },
        ],
      },
      'no-key': {
        says: '{subject} ({tag}) {does} by a press and takes focus, but neither Enter nor Space presses it.',
        mends: 'Make it a button, or listen to Enter and Space as well.',
        criteria: [{ number: '2.1.1', level: 'A' }],
      },
      'no-role': {
        says: '{subject} ({tag}) {does} by a press, but no role says so: a screen reader does not tell that it can be pressed.',
        mends: 'Make it a button, or give it role="button".',
        criteria: [{ number: '4.1.2', level: 'A' }],
      },
      'dead-label': {
        says: '{subject} is the label of a checkbox that takes no focus: only a pointer can press it. Whoever uses a keyboard cannot open the menu.',
        mends:
          'Hide the checkbox by opacity or off the screen instead of display: none or hidden, and show focus on the label.',
        criteria: [{ number: '2.1.1', level: 'A' }],
      },
    },
  },
  (subject) => {
    const handles = new Set(subject.controls.map(({ element }) => element));
    return [...handles].flatMap((element): Observation[] => {
      const message = pressOnly(element, subject);
      if (!message) return [];
      const menus = subject.menus.filter(
        (m) => m.toggles.some((t) => t.element === element) || m.items.some((i) => i.element === element),
      );
      const does = opens(element, subject) ? 'opens a part of the menu' : 'leads elsewhere';
      return [
        {
          at: onElement(element),
          menus,
          state: 'normal',
          message,
          // What focus alone opens may be meant to be come to, not pressed.
          ...(message === 'no-role' && !isHeard(element, subject) ? { verdict: 'look' as const } : {}),
          data: { subject: subjectOf(element, subject.scene), tag: element.tag, does },
          common: `${message} ${element.tag}.${element.classes.join('.')}`,
        },
      ];
    });
  },
);

const opens = (element: ElementNode, { routes }: Subject): boolean => routes.some((o) => endsOn(o, element, 'press'));

/** Whether a script answers to a press on an element. */
const isHeard = (element: ElementNode, { page }: Subject): boolean =>
  element.attributes.has('onclick') || page.hearing.on(element, IS_PRESS);

/** What keeps a key from pressing a control that a pointer can press; null for sound ones and those that do nothing. */
export function pressOnly(
  element: ElementNode,
  subject: Subject,
): 'no-focus' | 'no-key' | 'no-role' | 'dead-label' | null {
  const { scene, page, routes } = subject;
  const opening = opens(element, subject);
  if (element.tag === 'label') {
    const control = controlOf(element, scene.document);
    if (!opening || !control || control.tag !== 'input') return null;
    return canTakeFocus(control, scene) || canTakeFocus(element, scene) ? null : 'dead-label';
  }
  if (isNativelyFocusable(element, scene)) return null;
  const handler = element.attributes.get('onclick') ?? '';
  if (!isHeard(element, subject) && !opening) return null;
  // A plain element around a native control is pressed through that.
  if ([...descendants(element)].some((e) => isNativelyFocusable(e, scene))) return null;
  if (!opening && !goesByScript(handler) && !leavesByPress(element, subject)) return null;
  if (tabIndexOf(element, scene) === null) return 'no-focus';
  const byKey = routes.some((o) => endsOn(o, element, 'key'));
  const heard = page.hearing.on(element, /^key(down|up|press)$/);
  if (!byKey && !heard) return 'no-key';
  return roleOf(element, scene) === 'generic' ? 'no-role' : null;
}
