import { defineCheck, onElement, type Observation } from '../define.js';
import { handleShows, isHoverOnly, panelsOf } from '../shared/panels.js';
import { subjectOf } from '../../naming/index.js';
import type { Subject } from '../subject.js';

/** Submenus that open under the pointer and by nothing else. @spec WCAG 2.2 SC 2.1.1 */
export const hoverOnlyOpening = defineCheck(
  {
    id: 'hover-only-opening',
    title: 'What opens under the pointer opens by keyboard too',
    weight: 'blocks',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'bands' },
    leansOn: ['sheets', 'scripts'],
    explains: {
      means:
        'Whoever uses a keyboard, a switch or their voice has no pointer to hover with: a submenu that only hovering opens is not there for them.',
      rule: [
        'Every submenu that hovering opens also opens by focus, by a key or by a press.',
        'A press on a link that leads to another page is no way to open.',
      ],
      faulty: '.item:hover .sub { display: block }',
      mended: '.item:hover .sub, .item:focus-within .sub { display: block }',
    },
    worse: null,
    messages: {
      'hover-only': {
        says: '{subject} opens {count} under the pointer only: no key, no focus and no press opens it. Whoever has no mouse cannot get there.',
        mends:
          'Let focus open it as well (:focus-within beside :hover), or better a button beside it that a press and a key open.',
        criteria: [{ number: '2.1.1', level: 'A' }],
      },
    },
  },
  inspect,
);

function inspect(subject: Subject): readonly Observation[] {
  return panelsOf(subject)
    .filter((panel) => isHoverOnly(panel, subject) && handleShows(panel, subject))
    .map(({ handle, menu, hidden }) => ({
      at: onElement(handle),
      menus: [menu],
      state: 'normal',
      message: 'hover-only',
      data: { subject: subjectOf(handle, subject.scene), count: entries(hidden.length) },
      common: `hover-only ${menu.id}`,
    }));
}

export const entries = (count: number): string => (count === 1 ? 'one entry' : `${count} entries`);
