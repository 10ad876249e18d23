import { subjectOf } from '../../naming/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { addressOf } from '../shared/addresses.js';
import { handleShows, panelsOf } from '../shared/panels.js';
import type { Subject } from '../subject.js';

/** Submenus no press opens where nothing can hover. @spec mediaqueries-4 §6.2 (hover), WCAG 2.2 SC 2.5.1 */
export const touchDead = defineCheck(
  {
    id: 'touch-dead',
    title: 'Submenus open by a press where nothing can hover',
    weight: 'hinders',
    scope: 'menu',
    asks: { visitors: ['touch'], poses: 'rest', widths: 'bands' },
    leansOn: ['sheets', 'scripts'],
    explains: {
      means: 'On a touch screen a tap on a link follows it at once: a submenu that waits for a hover is never seen.',
      rule: [
        'For a visitor who cannot hover, every submenu whose parent leads to another page opens by a press on it or on a button beside it.',
        'Left out: parents without an address, whose tap only hovers, and submenus that stand open there.',
      ],
      faulty: '<li><a href="islands.html">Islands</a><ul>…</ul></li> and li:hover ul { display: block }',
      mended: '<li><a href="islands.html">Islands</a><button aria-expanded="false">More</button><ul>…</ul></li>',
    },
    worse: null,
    messages: {
      navigates: {
        says: '{subject} opens its submenu by {how} only, and a tap on it goes to “{href}”. On a touch screen its {count} entries are never seen.',
        mends: 'Add a button that opens the submenu by a press, or show the entries where nothing can hover.',
        criteria: [],
      },
    },
  },
  inspect,
);

function inspect(subject: Subject): readonly Observation[] {
  const mayBe = subject.menus.some(({ items }) =>
    items.some(({ element, submenu }) => submenu !== null && addressOf(element).kind === 'page'),
  );
  if (!mayBe) return [];
  return panelsOf(subject).flatMap((panel): Observation[] => {
    const { handle, menu, item, hidden, openings } = panel;
    if (!item || handle.tag !== 'a' || addressOf(handle).kind !== 'page') return [];
    if (openings.some(({ moves }) => moves.every(({ by }) => by === 'press'))) return [];
    if (!handleShows(panel, subject)) return [];
    // What a pointer does not get to either is another fault.
    const { routes } = subject.parts.usual();
    const usual = routes.filter(({ shows }) => hidden.some((e) => shows.has(e)));
    if (usual.length === 0) return [];
    const how = usual.every(({ moves }) => moves.some(({ by }) => by === 'key')) ? 'keys' : 'hovering';
    return [
      {
        at: onElement(handle),
        menus: [menu],
        state: 'normal',
        message: 'navigates',
        data: { subject: subjectOf(handle, subject.scene), how, href: item.href ?? '', count: hidden.length },
        common: `touch-dead ${menu.id}`,
      },
    ];
  });
}
