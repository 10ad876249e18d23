import { formatPosition, positionOf, type Limit, type Position, type Range } from '../base/index.js';
import type { PageCheck } from '../checks/index.js';
import {
  byWeight,
  mergeCauses,
  type AcceptedFinding,
  type Finding,
  type Level,
  type Single,
} from '../findings/index.js';
import { selectorOf, type ElementNode } from '../html/index.js';
import { endsOf, type Rung } from '../ladder/index.js';
import { findMenus, formOf, unfolded, unseenMenus, type Menu, type MenuForm } from '../menus/index.js';
import { addressFrom, type Page } from '../scene/index.js';
import { findingsAtHeights } from './heights.js';
import { auditOptions, chooseChecks, type AuditOptions } from './options.js';
import { Plan } from './plan.js';
import { CheckRun } from './run.js';

export interface AuditedRung extends Range {
  readonly starts: Rung['starts'];
  /** Form of each menu, by menu id: at the lower and the upper end. */
  readonly forms: Readonly<Record<string, readonly [MenuForm, MenuForm]>>;
}

export interface AuditedMenu {
  readonly id: string;
  readonly kind: string;
  readonly label: string;
  readonly selector: string;
  readonly path: string;
  readonly at: Position | null;
  readonly landmark: boolean;
  readonly items: readonly {
    readonly label: string;
    readonly path: string;
    readonly selector: string;
    readonly at: Position | null;
    readonly href: string | null;
    /** Where it leads, from the root of the site; null where it leads nowhere by itself. */
    readonly address: string | null;
    readonly level: number;
    readonly submenu: boolean;
    readonly current: boolean;
  }[];
  readonly toggles: readonly {
    readonly label: string;
    readonly path: string;
    readonly selector: string;
    readonly at: Position | null;
    readonly by: string;
  }[];
}

/** What an audit found on one page. */
export interface AuditResult {
  readonly page: string;
  /** Language of the page as its markup says; empty where it does not. */
  readonly language: string;
  readonly widths: Range;
  /** Heights of the viewport, px: the first is meant wherever none is named. */
  readonly heights: readonly number[];
  readonly level: Level;
  readonly menus: readonly AuditedMenu[];
  readonly rungs: readonly AuditedRung[];
  readonly checks: readonly string[];
  readonly findings: readonly Finding[];
  /** Findings someone has decided to live with; none of them is among the findings. */
  readonly accepted: readonly AcceptedFinding[];
  /** Checks that broke off, with what they said. */
  readonly crashed: readonly { readonly check: string; readonly message: string }[];
  readonly limits: readonly Limit[];
}

/**
 * Audits a page at every rung, in every state and pose the checks ask for.
 * Throws ArgumentError for options that cannot be meant so; a check that breaks off is told in the result.
 */
export function auditPage(page: Page, given: Partial<AuditOptions> = {}): AuditResult {
  const options = auditOptions(given);
  const plan = new Plan(page, options);
  const heights = [...new Set(options.otherHeights)].filter((height) => height !== options.height);
  const plans = [plan, ...heights.map((height) => new Plan(page, { ...options, height }))];
  const chosen = chooseChecks(options);
  const { findings, crashed } = runAll(chosen, plans, options.onCheck);
  const { rungs, menus } = plan;
  return Object.freeze({
    page: page.name,
    language: (page.document.root.attributes.get('lang') ?? '').trim().toLowerCase(),
    widths: { from: rungs[0]!.from, to: rungs[rungs.length - 1]!.to },
    heights: [options.height, ...heights],
    level: options.level,
    menus: menus.map((menu) => describeMenu(menu, page)),
    rungs: rungs.map((rung) => describeRung(rung, plan)),
    checks: chosen.map((check) => check.meta.id),
    findings: weighed(mergeCauses(findings), options.weights),
    accepted: [],
    crashed,
    limits: [...page.limits, ...unseenMenus(page, menus), ...menus.flatMap((menu) => unopened(menu, plan))],
  });
}

/** All checks over a page: band by band first, so that what they are shown there is at hand for each of them. */
function runAll(
  checks: readonly PageCheck[],
  plans: readonly Plan[],
  onCheck: AuditOptions['onCheck'],
): { findings: readonly Single[]; crashed: AuditResult['crashed'] } {
  const runs = checks.map((check) => ({ check, own: plans.map((plan) => new CheckRun(check, plan)) }));
  const crashed = new Map<string, string>();
  const steps = checks.length * (1 + plans.reduce((sum, { bands }) => sum + bands.length, 0));
  let step = 0;
  const contain = <T>({ meta: { id } }: PageCheck, work: () => readonly T[]): readonly T[] => {
    onCheck?.(id, step++, steps);
    if (crashed.has(id)) return [];
    try {
      return work();
    } catch (error) {
      crashed.set(id, (error as Error).message);
      return [];
    }
  };
  plans.forEach((plan, i) => {
    for (const band of plan.bands) {
      for (const { check, own } of runs)
        contain(check, () => {
          own[i]!.lookAhead(band);
          return [];
        });
      plan.forget(band);
    }
  });
  const findings = runs.flatMap(({ check, own }) => contain(check, () => findingsAtHeights(own)));
  return { findings, crashed: [...crashed].map(([check, message]) => ({ check, message })) };
}

/** Findings in the weights that were asked for. */
const weighed = (findings: readonly Finding[], weights: AuditOptions['weights']): readonly Finding[] =>
  Object.keys(weights).length === 0
    ? findings
    : findings.map((one) => Object.freeze({ ...one, weight: weights[one.check] ?? one.weight })).sort(byWeight);

/** Parts of a menu that show only once a script opens them are not opened yet, and the result says so. */
function unopened(menu: Menu, plan: Plan): Limit[] {
  const hidden = new Set<Menu['items'][number]>();
  for (const width of plan.rungs.flatMap(endsOf)) {
    const { scene } = plan.rest(width);
    const handles = [...menu.toggles, ...menu.items.filter((item) => item.submenu !== null)];
    if (handles.every(({ element }) => scene.reach(element) === null)) continue;
    const opened = plan.openings(width);
    const isShown = ({ element }: Menu['items'][number]) =>
      scene.reach(element) !== null || opened.some(({ shows }) => shows.has(element));
    // The other presentation of a menu is hidden on purpose.
    const addresses = new Set(menu.items.filter(isShown).map(({ href }) => href));
    // Of a panel that opens the checks say what of it stays out of reach.
    const opens = new Set(menu.items.filter(isShown).map(({ parent }) => parent));
    const isJudged = ({ element, parent }: Menu['items'][number]) =>
      parent !== null &&
      (opens.has(parent) || !unfolded(parent.element, [element], plan.page, scene.setting).next().done);
    for (const item of menu.items)
      if (!isShown(item) && (item.href === null || !addresses.has(item.href)) && !isJudged(item)) hidden.add(item);
  }
  if (hidden.size === 0) return [];
  return [
    {
      kind: 'unsupported',
      subject: `opened parts of ${menu.id}`,
      consequence: `${hidden.size} of its ${menu.items.length} items are hidden at some width, and nothing was seen to open them: they are judged only where they show`,
      place: menu.root.startTag ? formatPosition(positionOf(menu.root.startTag)) : null,
      count: 1,
    },
  ];
}

/** The menus of a page as plain data. */
export const describeMenus = (page: Page): readonly AuditedMenu[] =>
  findMenus(page).map((menu) => describeMenu(menu, page));

const placed = (element: ElementNode) => ({
  path: element.path,
  selector: selectorOf(element),
  at: element.startTag ? positionOf(element.startTag) : null,
});

export function describeMenu(menu: Menu, page: Page): AuditedMenu {
  return {
    id: menu.id,
    kind: menu.kind,
    label: menu.label,
    ...placed(menu.root),
    landmark: menu.landmark,
    items: menu.items.map((item) => ({
      label: item.label,
      ...placed(item.element),
      href: item.href,
      address: addressFrom(item.href, page),
      level: item.level,
      submenu: item.submenu !== null,
      current: item.current !== null,
    })),
    toggles: menu.toggles.map((toggle) => ({
      label: toggle.label,
      ...placed(toggle.element),
      by: toggle.by,
    })),
  };
}

function describeRung(rung: Rung, plan: Plan): AuditedRung {
  const [low, high] = [plan.rest(rung.from).scene, plan.rest(rung.to).scene];
  const forms = Object.fromEntries(
    plan.menus.map((menu) => [menu.id, [formOf(menu, low), formOf(menu, high)] as const]),
  );
  return { from: rung.from, to: rung.to, starts: rung.starts, forms };
}
