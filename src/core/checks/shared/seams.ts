import { seamsOf, type Seam } from '../../ladder/index.js';
import type { Menu } from '../../menus/index.js';
import type { Page } from '../../scene/index.js';
import { menusAround } from './around.js';

/** A seam between queries that speak of menus, and the whole px at which it is met. */
export interface MenuSeam {
  readonly seam: Seam;
  readonly from: number;
  readonly to: number;
}

/** The whole px at which a seam is met; of one between two of them both, as the widths next to it. */
function wholePx({ kind, from, to }: Seam): readonly [number, number] {
  if (kind === 'gap') return [Math.floor(from) + 1, Math.ceil(to) - 1];
  return kind === 'overlap' ? [Math.ceil(from), Math.floor(to)] : [Math.floor(from), Math.ceil(to)];
}

/** Seams both sides of which have a say in menus or in what they stand in. */
export function menuSeams(page: Page, menus: readonly Menu[]): readonly MenuSeam[] {
  const around = [...menusAround(menus).keys()];
  const touches = (text: string) => around.some((e) => page.conditionTouches(text, e));
  return seamsOf(page.ruleSet.thresholds)
    .filter(({ lower, upper }) => touches(lower.condition) && touches(upper.condition))
    .map((seam) => {
      const [from, to] = wholePx(seam);
      return { seam, from, to };
    });
}
