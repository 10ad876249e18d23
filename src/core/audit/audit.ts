import { formatPosition, positionOf, type Limit, type Position } from '../base/index.js';
import { CHECKS, placeOf, selectorOf, type Check, type Look, type Observation } from '../checks/index.js';
import { fill, LEVELS, mergePlaces, type Finding, type Level, type WidthRange } from '../findings/index.js';
import { endsOf, rungsAt, rungsOf, spread, type Rung } from '../ladder/index.js';
import { findMenus, formOf, seenItems, type Menu, type MenuForm } from '../menus/index.js';
import { setting, type Page } from '../scene/index.js';

export interface AuditOptions {
  readonly from: number;
  readonly to: number;
  /** Look at these widths only, px. */
  readonly at: readonly number[] | null;
  readonly height: number;
  readonly level: Level;
  readonly only: readonly string[] | null;
  readonly skip: readonly string[];
  /** Told before each check; for progress. */
  readonly onCheck?: (id: string, index: number, count: number) => void;
}

export const DEFAULTS: AuditOptions = Object.freeze({
  from: 320,
  to: 1920,
  at: null,
  height: 800,
  level: 'AA',
  only: null,
  skip: [],
});

export interface AuditedRung extends WidthRange {
  readonly starts: Rung['starts'];
  /** Form of each menu, by menu id: at the lower and the upper end. */
  readonly forms: Readonly<Record<string, readonly [MenuForm, MenuForm]>>;
}

export interface AuditedMenu {
  readonly id: string;
  readonly kind: string;
  readonly label: string;
  readonly selector: string;
  readonly at: Position | null;
  readonly landmark: boolean;
  readonly items: readonly {
    readonly label: string;
    readonly href: string | null;
    readonly level: number;
    readonly submenu: boolean;
    readonly current: boolean;
  }[];
  readonly toggles: readonly { readonly label: string; readonly selector: string; readonly by: string }[];
}

/** What an audit found on one page. */
export interface AuditResult {
  readonly page: string;
  readonly widths: WidthRange;
  readonly level: Level;
  readonly menus: readonly AuditedMenu[];
  readonly rungs: readonly AuditedRung[];
  readonly checks: readonly string[];
  readonly findings: readonly Finding[];
  /** Checks that broke off, with what they said. */
  readonly crashed: readonly { readonly check: string; readonly message: string }[];
  readonly limits: readonly Limit[];
}

/** Audits a page at every rung, in every state the checks ask for. */
export function auditPage(page: Page, given: Partial<AuditOptions> = {}): AuditResult {
  const options: AuditOptions = { ...DEFAULTS, ...given };
  const menus = findMenus(page.document);
  const all = rungsOf(page.ruleSet.thresholds, options);
  const rungs = options.at ? rungsAt(all, options.at) : all;
  const looks = new Map<number, Look>();
  const lookAt = (width: number): Look => {
    let look = looks.get(width);
    if (!look) looks.set(width, (look = makeLook(page, menus, width, options)));
    return look;
  };
  const chosen = chooseChecks(options);
  const crashed: { check: string; message: string }[] = [];
  const findings = chosen.flatMap((check, i) => {
    options.onCheck?.(check.meta.id, i, chosen.length);
    try {
      return runCheck(check, rungs, lookAt);
    } catch (error) {
      crashed.push({ check: check.meta.id, message: (error as Error).message });
      return [];
    }
  });
  return Object.freeze({
    page: page.name,
    widths: { from: rungs[0]!.from, to: rungs[rungs.length - 1]!.to },
    level: options.level,
    menus: menus.map(describeMenu),
    rungs: rungs.map((rung) => describeRung(rung, menus, lookAt)),
    checks: chosen.map((check) => check.meta.id),
    findings: mergePlaces(findings),
    crashed,
    limits: [...page.limits, ...unopened(menus, rungs, lookAt)],
  });
}

function makeLook(page: Page, menus: readonly Menu[], width: number, options: AuditOptions): Look {
  const base = { height: options.height };
  return {
    page,
    menus,
    level: options.level,
    width,
    scene: page.scene(setting(width, base)),
    recoloured: (pose) => page.recoloured(setting(width, { ...base, pose })),
    posed: (pose) => page.scene(setting(width, { ...base, pose })),
  };
}

/** Checks asked for, of the level asked for. */
function chooseChecks({ only, skip, level }: AuditOptions): readonly Check[] {
  const reach = LEVELS.indexOf(level);
  return CHECKS.filter(({ meta }) => {
    if (only && !only.includes(meta.id)) return false;
    if (skip.includes(meta.id)) return false;
    return meta.criteria.length === 0 || meta.criteria.some((c) => LEVELS.indexOf(c.level) <= reach);
  });
}

const keyOf = (o: Observation): string => `${o.element.path}|${o.state}|${o.message}`;

function runCheck(check: Check, rungs: readonly Rung[], lookAt: (width: number) => Look): Finding[] {
  const seen = new Map<number, Map<string, Observation>>();
  const at = (width: number): Map<string, Observation> => {
    let known = seen.get(width);
    if (!known) seen.set(width, (known = new Map(check.inspect(lookAt(width)).map((o) => [keyOf(o), o]))));
    return known;
  };
  const keys = new Set(rungs.flatMap((rung) => endsOf(rung).flatMap((width) => [...at(width).keys()])));
  return [...keys].map((key) => {
    const widths = spread(rungs, (width) => at(width).has(key));
    const worst = [...seen.values()]
      .map((m) => m.get(key))
      .filter((o) => o !== undefined)
      .sort((a, b) => (a.measured?.value ?? 0) - (b.measured?.value ?? 0))[0]!;
    return makeFinding(check, worst, widths);
  });
}

function makeFinding({ meta }: Check, o: Observation, widths: readonly WidthRange[]): Finding {
  const message = meta.messages[o.message]!;
  const place = placeOf(o.element);
  return Object.freeze({
    key: `${meta.id}|${o.message}|${o.state}|${place.path}`,
    check: meta.id,
    message: o.message,
    verdict: o.verdict ?? 'fault',
    weight: meta.weight,
    criteria: meta.criteria,
    menu: o.menu?.id ?? null,
    state: o.state,
    pose: o.state === 'hover' || o.state === 'focus' ? `${o.state}:${place.selector}` : 'closed',
    widths,
    places: [place],
    cause: o.cause ?? null,
    measured: o.measured ?? null,
    needed: o.needed ?? null,
    says: fill(message.says, o.data),
    mends: fill(message.mends, o.data),
  });
}

/** Parts of menus that show only after a press or under the pointer are not opened yet, and the result says so. */
function unopened(menus: readonly Menu[], rungs: readonly Rung[], lookAt: (width: number) => Look): Limit[] {
  const scenes = rungs.flatMap((rung) => endsOf(rung).map((width) => lookAt(width).scene));
  return menus.flatMap((menu): Limit[] => {
    const hidden = menu.items.filter((item) => scenes.some((scene) => scene.seen(item.element) === null));
    const opens = menu.toggles.length > 0 || menu.items.some((item) => item.submenu !== null);
    if (hidden.length === 0 || !opens) return [];
    return [
      {
        kind: 'unsupported',
        subject: `opened parts of ${menu.id}`,
        consequence: `${hidden.length} of its ${menu.items.length} items are hidden at some width until something opens them, and are judged only where they show at rest`,
        place: menu.root.startTag ? formatPosition(positionOf(menu.root.startTag)) : null,
        count: 1,
      },
    ];
  });
}

function describeMenu(menu: Menu): AuditedMenu {
  return {
    id: menu.id,
    kind: menu.kind,
    label: menu.label,
    selector: selectorOf(menu.root),
    at: menu.root.startTag ? positionOf(menu.root.startTag) : null,
    landmark: menu.landmark,
    items: menu.items.map((item) => ({
      label: item.label,
      href: item.href,
      level: item.level,
      submenu: item.submenu !== null,
      current: item.current !== null,
    })),
    toggles: menu.toggles.map((toggle) => ({
      label: toggle.label,
      selector: selectorOf(toggle.element),
      by: toggle.by,
    })),
  };
}

function describeRung(rung: Rung, menus: readonly Menu[], lookAt: (width: number) => Look): AuditedRung {
  const forms = Object.fromEntries(
    menus.map((menu) => [
      menu.id,
      [formOf(menu, lookAt(rung.from).scene), formOf(menu, lookAt(rung.to).scene)] as const,
    ]),
  );
  return { from: rung.from, to: rung.to, starts: rung.starts, forms };
}

export { seenItems };
