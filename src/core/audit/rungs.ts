import { descendants, type ElementNode } from '../html/index.js';
import type { Range } from '../base/index.js';
import { isConditionOf, rungsOf, seamsOf, type Rung, type Seam } from '../ladder/index.js';
import { findMenus, formOf, type Menu, type MenuForm } from '../menus/index.js';
import { setting, type Page } from '../scene/index.js';

export interface LadderRung extends Range {
  readonly starts: Rung['starts'];
  /** Form of each menu, by menu id: at the lower and the upper end. */
  readonly forms: Readonly<Record<string, readonly [MenuForm, MenuForm]>>;
  /** Menus of which some element is styled by a condition that changes where the rung begins. */
  readonly touches: readonly string[];
}

export interface LadderResult {
  readonly page: string;
  readonly menus: readonly { readonly id: string; readonly label: string }[];
  readonly rungs: readonly LadderRung[];
  readonly seams: readonly (Seam & { readonly touches: readonly string[] })[];
}

/** The ladder of a page: its rungs, what begins each, the form of every menu, and where conditions do not meet. */
export function ladderOf(page: Page, options: Range & { readonly height: number }): LadderResult {
  const menus = findMenus(page);
  const rungs = rungsOf(page.thresholds, options);
  const touching = (conditions: readonly string[]) =>
    menus.filter((menu) => conditions.some((text) => touches(page, menu, text))).map((menu) => menu.id);
  const form = (menu: Menu, width: number) => formOf(menu, page.scene(setting(width, { height: options.height })));
  return {
    page: page.name,
    menus: menus.map(({ id, label }) => ({ id, label })),
    rungs: rungs.map((rung) => ({
      from: rung.from,
      to: rung.to,
      starts: rung.starts,
      forms: Object.fromEntries(menus.map((menu) => [menu.id, [form(menu, rung.from), form(menu, rung.to)] as const])),
      touches: menus.filter((menu) => isTouched(rung, page, menu)).map((menu) => menu.id),
    })),
    seams: seamsOf(page.ruleSet.thresholds).map((seam) => ({
      ...seam,
      touches: touching([seam.lower.condition, seam.upper.condition]),
    })),
  };
}

/** The rungs of a page, each with whether what begins it has a say in some menu; nothing is laid out. */
export function rungsTouching(
  page: Page,
  menus: readonly Menu[],
  range: Range,
): readonly (Range & { readonly touched: boolean })[] {
  return rungsOf(page.thresholds, range).map(({ from, to, starts }) => ({
    from,
    to,
    touched: menus.some((menu) => isTouched({ starts }, page, menu)),
  }));
}

/** Whether what begins a rung has a say in a menu; what scripts decide may be anything. */
const isTouched = ({ starts }: Pick<Rung, 'starts'>, page: Page, menu: Menu): boolean =>
  starts.some(({ condition }) => isConditionOf(page.scriptThresholds, condition) || touches(page, menu, condition));

/** Whether a condition has a say in the menu, its toggles or what holds them. */
function touches(page: Page, menu: Menu, condition: string): boolean {
  const around: ElementNode[] = [];
  for (let e = menu.root.parent; e && e.tag !== 'html'; e = e.parent) around.push(e);
  const own = [menu.root, ...descendants(menu.root), ...menu.toggles.map((t) => t.element), ...around];
  return own.some((e) => page.conditionTouches(condition, e));
}
