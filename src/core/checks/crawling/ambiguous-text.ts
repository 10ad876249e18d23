import { grouped } from '../../base/index.js';
import { nameOf } from '../../naming/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { addressOf, gotTo, leadsOn } from '../shared/destinations.js';
import type { Subject } from '../subject.js';

/** Items whose words do not say where they lead. @spec WCAG 2.2 SC 2.4.4 */
export const ambiguousText = defineCheck(
  {
    id: 'ambiguous-text',
    title: 'The words of an item say where it leads',
    weight: 'polish',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'bands' },
    leansOn: [],
    explains: {
      means:
        'Screen readers list the links of a page without what stands around them, and search engines weigh a page by the words that lead to it.',
      rule: [
        'No item is named by words such as “More” or “Click here” alone, and no two items of one list have the same name and lead to different pages.',
        'The same words under different entries (an “Overview” in each submenu), and two links to one address, are no fault.',
      ],
      faulty: '<li><a href="/fares/">More</a></li> <li><a href="/crew/">More</a></li>',
      mended: '<li><a href="/fares/">Fares</a></li> <li><a href="/crew/">Crew</a></li>',
    },
    worse: null,
    messages: {
      same: {
        says: '{count} items of one list are called “{name}” and lead to different pages ({addresses}).',
        mends: 'Name each after the page it leads to.',
        criteria: [{ number: '2.4.4', level: 'A' }],
      },
      empty: {
        says: 'An item is called “{name}”: taken out of its surroundings that says nothing of where it leads ({addresses}).',
        mends: 'Name it after the page it leads to, or add the missing words for screen readers.',
        criteria: [{ number: '2.4.4', level: 'A' }],
      },
    },
  },
  inspect,
);

const EMPTY = /^(click here|here|more|read more|learn more|details|link|this page|go|see more|view more|continue)$/i;
/** Words that stand for the same page wherever they are. */
const plain = (text: string): string =>
  text
    .replace(/[\s\u00a0]+/g, ' ')
    .replace(/[.…»›→:]+$/u, '')
    .trim();

function inspect({ menus, scene, page, routes }: Subject): readonly Observation[] {
  const isReached = gotTo(scene, routes);
  return menus.flatMap((menu): Observation[] => {
    const links = menu.items.flatMap((item) =>
      leadsOn(item.href) && isReached(item.element)
        ? [{ item, name: plain(nameOf(item.element, scene)), address: addressOf(item.href, page) }]
        : [],
    );
    const alike = grouped(links, ({ item, name }) => `${item.parent?.element.index ?? ''} ${name.toLowerCase()}`);
    return [...alike.values()].flatMap((ones): Observation[] => {
      const { item, name, address } = ones[0]!;
      if (name === '') return [];
      const base = { at: onElement(item.element), menus: [menu], state: 'normal' as const };
      const addresses = [...new Set(ones.map((one) => one.address))];
      const shown = addresses.join(', ');
      if (addresses.length > 1 && !isNumber(name))
        return [{ ...base, message: 'same', data: { count: ones.length, name, addresses: shown } }];
      if (EMPTY.test(name) && menu.kind !== 'pager')
        return [{ ...base, message: 'empty', data: { name, addresses: shown || address } }];
      return [];
    });
  });
}

const isNumber = (text: string): boolean => /^[\d\p{P}\p{S}]+$/u.test(text);
