import { defineCheck, onElement, type Observation } from '../define.js';
import { mainLandmarks } from '../shared/landmarks.js';
import type { Subject } from '../subject.js';

/** One main landmark. @spec html §4.4.14 (main), WCAG 2.2 SC 1.3.1, 2.4.1 */
export const mainLandmark = defineCheck(
  {
    id: 'main-landmark',
    title: 'The content is marked as main, once',
    weight: 'hinders',
    scope: 'page',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'ends' },
    leansOn: [],
    explains: {
      means:
        'The main landmark is where a screen reader jumps to get past the menu. Without one there is no such place, with two there is no telling which.',
      rule: [
        'A page shows exactly one main element or role at every width.',
        'Those that are not rendered do not count, and pages without a menu are left out.',
      ],
      faulty: '<nav>…</nav><div class="content">…</div>',
      mended: '<nav>…</nav><main>…</main>',
    },
    worse: null,
    messages: {
      none: {
        says: 'Nothing on the page is marked as its main content: whoever wants past the menu by landmark has nowhere to go.',
        mends: 'Put the content of the page into <main>.',
        criteria: [
          { number: '1.3.1', level: 'A' },
          { number: '2.4.1', level: 'A' },
        ],
      },
      several: {
        says: '{count} main landmarks show at once: it cannot be told which of them is the content.',
        mends: 'Leave one, and make the others sections.',
        criteria: [{ number: '1.3.1', level: 'A' }],
      },
    },
  },
  inspect,
);

function inspect({ scene, menus }: Subject): readonly Observation[] {
  if (menus.length === 0) return [];
  const all = mainLandmarks(scene);
  if (all.length === 0) return [{ at: { kind: 'page' }, menus: [], state: 'normal', message: 'none', data: {} }];
  const [, second] = all;
  return second
    ? [{ at: onElement(second), menus: [], state: 'normal', message: 'several', data: { count: all.length } }]
    : [];
}
