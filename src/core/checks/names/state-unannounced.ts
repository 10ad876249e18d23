import { closest, decoded, isAncestorOrSelf, type ElementNode } from '../../html/index.js';
import { subjectOf } from '../../naming/index.js';
import { poseAfter, type Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { addressOf } from '../shared/addresses.js';
import { atOnce, panelsOf, pressOf } from '../shared/panels.js';
import { PRESSES } from '../shared/presses.js';
import type { Subject } from '../subject.js';

/** Toggles that do not say whether they are open. @spec WCAG 2.2 SC 4.1.2, wai-aria-1.2 (aria-expanded) */
export const stateUnannounced = defineCheck(
  {
    id: 'state-unannounced',
    title: 'Toggles say whether they are open',
    weight: 'hinders',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'bands' },
    explains: {
      means:
        'Whoever does not see the panel open is told by nothing else: without aria-expanded a press seems to do nothing.',
      rule: [
        'A control that opens a part of a menu by a press has aria-expanded, false while it is closed and true once it is open.',
        'Where focus alone opens it, aria-expanded has to tell the right state if it is there.',
        'A link without a script that leads to the part it shows is looked at.',
        'Left out: summary, popover buttons and checkboxes, which tell their state by themselves, and openers of dialogs.',
      ],
      faulty: '<button class="burger">Menu</button>',
      mended: '<button class="burger" aria-expanded="false">Menu</button>, set to true by the script that opens it',
    },
    worse: null,
    messages: {
      missing: {
        says: '{subject} opens a part of the menu and has no aria-expanded: a screen reader does not say that something opened.',
        mends: 'Give it aria-expanded="false" and let the script set it to true and back.',
        criteria: [{ number: '4.1.2', level: 'A' }],
      },
      wrong: {
        says: '{subject} says aria-expanded="{value}" while its part of the menu is {state}. A screen reader tells the opposite of what is there.',
        mends: 'Let the script that opens and closes it set aria-expanded with it.',
        criteria: [{ number: '4.1.2', level: 'A' }],
      },
    },
  },
  inspect,
);

function inspect(subject: Subject): readonly Observation[] {
  const { scene, page, setting: at } = subject;
  return panelsOf(subject).flatMap((panel): Observation[] => {
    const { handle, menu, hidden } = panel;
    const pressed = pressOf(panel, subject);
    const opening = pressed ?? atOnce(panel, 'focus');
    if (!opening || tellsByItself(handle, scene)) return [];
    const before = page.scene({ ...at, pose: poseAfter(page, opening.moves.slice(0, -1), at) }, scene);
    const open = page.scene({ ...at, pose: poseAfter(page, opening.moves, at) }, before);
    const shown = hidden.find((e) => opening.shows.has(e));
    if (
      shown &&
      closest(
        shown,
        (e) =>
          e.tag === 'dialog' || open.attribute(e, 'role') === 'dialog' || open.attribute(e, 'aria-modal') === 'true',
      )
    )
      return [];
    const say = (message: string, data: Readonly<Record<string, string>> = {}): Observation[] => [
      {
        at: onElement(handle),
        menus: [menu],
        state: 'normal',
        message,
        data: { subject: subjectOf(handle, scene), ...data },
        // A link that leads to the part it shows says so by going there.
        ...(leadsThere(handle, hidden, subject) ? { verdict: 'look' as const } : {}),
        common: `${message} ${menu.id}`,
      },
    ];
    const [closed, opened] = [stateOf(handle, before), stateOf(handle, open)];
    // What focus alone opens is no toggle; one that claims a state has to tell the right one all the same.
    if (!pressed && closed !== 'false') return [];
    if (closed === null && opened === null) return say('missing');
    if (closed === 'true') return say('wrong', { value: 'true', state: 'closed' });
    return opened === 'true' ? [] : say('wrong', { value: opened ?? 'nothing', state: 'open' });
  });
}

/** aria-expanded on the handle, or on the one control in it. */
function stateOf(handle: ElementNode, scene: Scene): string | null {
  const holder = [handle, ...scene.document.elements.filter((e) => e !== handle && isAncestorOrSelf(handle, e))].find(
    (e) => scene.attribute(e, 'aria-expanded') !== undefined,
  );
  return holder ? (scene.attribute(holder, 'aria-expanded')!.trim().toLowerCase() ?? null) : null;
}

/** Whether a link without a script leads to what it shows. @spec selectors-4 §9.5 (:target) */
function leadsThere(handle: ElementNode, hidden: readonly ElementNode[], { scene, page }: Subject): boolean {
  const address = addressOf(handle);
  if (address.kind !== 'fragment' || page.hearing.of(handle, PRESSES)) return false;
  const target = scene.byId(decoded(address.href.slice(1)));
  return target !== null && hidden.some((e) => isAncestorOrSelf(target, e));
}

/** Native controls that tell their state. */
const tellsByItself = (handle: ElementNode, scene: Scene): boolean =>
  ['summary', 'label', 'input'].includes(handle.tag) ||
  scene.attribute(handle, 'popovertarget') !== undefined ||
  /popover/.test(scene.attribute(handle, 'command') ?? '') ||
  /modal/.test(scene.attribute(handle, 'command') ?? '') ||
  scene.attribute(handle, 'aria-haspopup') === 'dialog';
