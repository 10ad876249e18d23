import { bottom } from '../../base/index.js';
import { figure } from '../../findings/index.js';
import { selectorOf } from '../../html/index.js';
import { scrollEnd, scrolledScene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { menusAround } from '../shared/around.js';
import { causeOf } from '../shared/causes.js';
import { stuckAt, type StuckPart } from '../shared/stuck.js';
import type { Subject } from '../subject.js';

const THIRD = 100 / 3;
const MOST = {
  value: 33,
  unit: '%',
  means: 'The most that stuck parts may take of the height of the screen; 33 is a third.',
  least: 5,
  most: 95,
} as const;
const LOOKS = [0.3, 0.7];

/** Stuck parts that leave too little of the screen. @spec WCAG 2.2 SC 1.4.10 */
export const stickyGreedy = defineCheck(
  {
    id: 'sticky-greedy',
    title: 'Stuck parts leave most of the screen to the content',
    weight: 'hinders',
    scope: 'page',
    asks: { visitors: ['mouse', 'short-screen'], poses: 'rest', widths: 'ends' },
    explains: {
      means:
        'On a phone held sideways, and for everyone who enlarges the page, bars that stay leave a slit to read through.',
      rule: [
        'While the page scrolls, fixed and sticky bars together take no more than a third of the height of the screen; also on one that is 375 px high.',
        'Rails at the side, small buttons and what scrolls away are not counted.',
      ],
      faulty: '.header { position: sticky; top: 0; height: 160px }',
      mended: '@media (max-height: 480px) { .header { position: static } }',
    },
    figures: { most: MOST },
    worse: 'higher',
    messages: {
      greedy: {
        says: 'While the page scrolls, {parts} {take} {px} of the {height} px of the screen: more than {most}. Little is left to read in.',
        mends: 'Let less of it stick, or none on low screens (@media (max-height: 480px)).',
        criteria: [{ number: '1.4.10', level: 'AA' }],
      },
    },
  },
  inspect,
);

function inspect(subject: Subject): readonly Observation[] {
  const { scene, page, setting, menus } = subject;
  const end = scrollEnd(scene);
  if (end < 1) return [];
  const { height } = scene.medium;
  const percent = subject.figureOf('sticky-greedy', 'most', MOST);
  const most = percent === MOST.value ? THIRD : percent;
  // What comes and goes as one scrolls up and down counts with the least it takes.
  const looks = LOOKS.map((share) => {
    const at = scrolledScene(page, setting, Math.round(end * share));
    const parts = stuckAt(at, scene).filter(({ kind }) => kind === 'top' || kind === 'foot');
    return { parts, taken: heightOf(parts) };
  });
  const least = looks.reduce((a, b) => (b.taken < a.taken ? b : a));
  const [tallest] = [...least.parts].sort((a, b) => b.rect.height - a.rect.height);
  if (!tallest || least.taken <= (height * most) / 100 + 0.5) return [];
  const around = menusAround(menus);
  return [
    {
      at: onElement(tallest.element),
      menus: [...new Set(least.parts.flatMap(({ element }) => around.get(element) ?? []))],
      state: 'normal',
      message: 'greedy',
      data: {
        parts: least.parts.map(({ element }) => selectorOf(element)).join(', '),
        take: least.parts.length > 1 ? 'take' : 'takes',
        px: Math.round(least.taken),
        height,
        most: most === THIRD ? 'a third' : `${percent} %`,
      },
      measured: figure(Math.round((least.taken / height) * 100), '%'),
      needed: figure(percent, '%'),
      cause: causeOf(scene.style(tallest.element), 'position'),
    },
  ];
}

/** How much of the height of the screen parts take, overlaps counted once, px. */
function heightOf(parts: readonly StuckPart[]): number {
  let taken = 0;
  let to = -Infinity;
  for (const { rect } of [...parts].sort((a, b) => a.rect.y - b.rect.y)) {
    taken += Math.max(0, bottom(rect) - Math.max(rect.y, to));
    to = Math.max(to, bottom(rect));
  }
  return taken;
}
