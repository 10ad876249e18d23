import { tabOrder } from '../../naming/index.js';
import { leadsSomewhere } from '../../scene/index.js';
import { defineCheck, type Observation } from '../define.js';
import { mainLandmarks } from '../shared/landmarks.js';
import { skipLinks } from '../shared/skip-links.js';
import type { Subject } from '../subject.js';

/** So few stops before the content are no burden. */
const FEW = 4;

/** A way past the menu. @spec WCAG 2.2 SC 2.4.1 */
export const noSkipRoute = defineCheck(
  {
    id: 'no-skip-route',
    title: 'There is a way past the menu',
    weight: 'hinders',
    scope: 'page',
    asks: { visitors: ['keyboard'], poses: 'rest', widths: 'ends' },
    leansOn: [],
    explains: {
      means: 'Without a way past it, everyone who uses the keyboard goes through the whole menu again on every page.',
      rule: [
        'A link among the first stops leads to a part of the page that exists, or the content is marked as main.',
        'Pages with few stops before their content are left out.',
      ],
      faulty: '<body><nav>…30 links…</nav><div class="content">…</div></body>',
      mended: '<body><a href="#content">Skip to content</a><nav>…</nav><main id="content">…</main></body>',
    },
    worse: null,
    messages: {
      none: {
        says: 'There is no way past the {count} stops of the menu: neither a skip link that leads somewhere nor a main landmark.',
        mends: 'Mark the content with <main>, and put a link to it first on the page.',
        criteria: [{ number: '2.4.1', level: 'A' }],
      },
    },
  },
  inspect,
);

function inspect(subject: Subject): readonly Observation[] {
  const { scene, menus, page } = subject;
  if (mainLandmarks(scene).length > 0) return [];
  const stops = tabOrder(scene);
  const skips = skipLinks(subject).some((e) => leadsSomewhere(page, e.attributes.get('href')!));
  const before = menus.filter(({ kind }) => kind !== 'footer');
  const own = new Set(before.flatMap((menu) => menu.items.map((i) => i.element)));
  const count = stops.filter((e) => own.has(e)).length;
  if (skips || count < FEW) return [];
  return [{ at: { kind: 'page' }, menus: [], state: 'normal', message: 'none', data: { count } }];
}
