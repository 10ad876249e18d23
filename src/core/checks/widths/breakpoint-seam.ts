import type { Span } from '../../base/index.js';
import { formOf } from '../../menus/index.js';
import { setting, type Page } from '../../scene/index.js';
import { defineCheck, type Observation } from '../define.js';
import { menuSeams } from '../shared/seams.js';
import type { Subject } from '../subject.js';

/** Neighbouring queries that do not meet, where that hits a menu. */
export const breakpointSeam = defineCheck(
  {
    id: 'breakpoint-seam',
    title: 'The queries of a menu meet',
    weight: 'hinders',
    scope: 'page',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'ends' },
    leansOn: [],
    explains: {
      means:
        'Where one query ends before the next begins, screens in between get neither menu; where both hold, they get a mixture. Enlarged pages meet fractional widths, too.',
      rule: [
        'An upper bound and the lower bound next to it leave no width in neither of them or in both, as far as both speak of menus and the menus look different there than on both sides.',
        'Gaps of less than a twentieth of a px are met by nobody.',
      ],
      faulty: '@media (max-width: 767px) { … } @media (min-width: 769px) { … }',
      mended: '@media (width < 768px) { … } @media (width >= 768px) { … }',
    },
    worse: null,
    messages: {
      gap: {
        says: 'Between {lower} and {upper} neither holds: {where} the menus have {form} and are {others} beside it.',
        mends: 'Let them meet: (width < {px}px) and (width >= {px}px).',
        criteria: [],
      },
      overlap: {
        says: '{lower} and {upper} both hold {where}: the menus have {form} there and are {others} beside it.',
        mends: 'Let them meet: (width < {px}px) and (width >= {px}px).',
        criteria: [],
      },
    },
  },
  inspect,
);

function inspect({ page, menus, parts }: Subject): readonly Observation[] {
  return menuSeams(page, menus).flatMap(({ seam, from, to }): Observation[] => {
    const inside =
      seam.kind === 'fraction' ? (seam.from + seam.to) / 2 : Math.ceil(seam.from + (seam.kind === 'gap' ? 0.01 : 0));
    const [first, last] = [Math.floor(seam.from), Math.ceil(seam.to)];
    if (parts.width < from || parts.width > to) return [];
    const formsAt = (width: number) => menus.map((menu) => formOf(menu, page.scene(setting(width)))).join(', ');
    const form = formsAt(inside);
    const beside = [formsAt(first - 2), formsAt(last + 2)];
    if (beside.includes(form)) return [];
    const threshold = thresholdOf(page, seam.upper.condition);
    if (!threshold) return [];
    return [
      {
        at: { kind: 'query', condition: seam.upper.condition, span: threshold },
        menus,
        state: 'normal',
        message: seam.kind === 'overlap' ? 'overlap' : 'gap',
        data: {
          lower: seam.lower.condition,
          upper: seam.upper.condition,
          where:
            seam.kind === 'fraction'
              ? `at fractional widths such as ${Math.round(inside * 100) / 100} px`
              : `at ${inside} px`,
          form: `the forms ${form}`,
          others: beside.join(' and '),
          px: Math.round(seam.to),
        },
      },
    ];
  });
}

function thresholdOf(page: Page, condition: string): Span | null {
  const found = page.ruleSet.thresholds.flatMap(({ places }) => places).find(({ text }) => text === condition);
  return found?.span ?? null;
}
