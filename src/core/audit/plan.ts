import { AT_REST, Subject, type Asks } from '../checks/index.js';
import { descendants, sameChanges, type ElementNode } from '../html/index.js';
import { endsOf, isConditionOf, rungsAt, rungsOf, stationsOf, type Rung } from '../ladder/index.js';
import { findMenus, firstRoutes, openingsAt, shapeOf, type Menu, type Opening } from '../menus/index.js';
import { setting, withoutScript, type Page, type Visitor } from '../scene/index.js';
import { stretchedPages } from './certainty.js';
import type { AuditOptions } from './options.js';

const WITH_A_MOUSE: ReadonlySet<Visitor> = new Set(['keyboard', 'large-text', 'text-spacing', 'short-screen']);
/** Visitors to whom the same opens. */
const alike = (visitor: Visitor): Visitor => (WITH_A_MOUSE.has(visitor) ? 'mouse' : visitor);

/**
 * Those for whom room is what matters: poses are looked at for them where a band is narrowest, and further up only
 * where something was found there.
 */
const SHORT_OF_ROOM: ReadonlySet<Visitor> = new Set(['large-text', 'text-spacing', 'short-screen']);

/** What is looked at in an audit: widths, visitors and poses, each worked out once and shared by all checks. */
export class Plan {
  readonly menus: readonly Menu[];
  readonly rungs: readonly Rung[];
  /** Neighbouring rungs as one where no rule that tells them apart speaks of the menus or of what they stand in. */
  readonly bands: readonly (readonly Rung[])[];
  readonly #subjects = new Map<string, Subject>();
  readonly #stations = new Map<Rung, readonly number[]>();
  readonly #shapes = new Map<number, string>();
  readonly #openings = new Map<string, readonly Opening[]>();
  readonly #concerned = new Map<string, boolean>();
  #stretched: readonly Plan[] | null = null;

  constructor(
    readonly page: Page,
    readonly options: AuditOptions,
  ) {
    this.menus = findMenus(page);
    const all = rungsOf(page.thresholds, options);
    this.rungs = options.at ? rungsAt(all, options.at) : all;
    this.bands = this.#bandsOf(this.rungs);
  }

  #bandsOf(rungs: readonly Rung[]): readonly (readonly Rung[])[] {
    const bands: Rung[][] = [];
    for (const rung of rungs) {
      const band = bands[bands.length - 1];
      const joins =
        band?.[band.length - 1]!.to === rung.from - 1 &&
        !rung.starts.some(({ condition }) => this.#concerns(condition));
      if (joins) band.push(rung);
      else bands.push([rung]);
    }
    return bands;
  }

  /** The same plan for the page with text of unknown fonts wider and narrower. */
  get stretched(): readonly Plan[] {
    return (this.#stretched ??= stretchedPages(this.page).map((page) => new Plan(page, this.options)));
  }

  bandAt(width: number): readonly Rung[] {
    return this.bands.find((band) => width >= band[0]!.from && width <= band[band.length - 1]!.to) ?? [];
  }

  /** The widths of a rung a check is shown, ascending. */
  stations(rung: Rung, { widths }: Asks): readonly number[] {
    if (widths === 'ends') return endsOf(rung);
    if (widths === 'bands') return bandEnds(this.bandAt(rung.from)).filter((w) => w >= rung.from && w <= rung.to);
    let known = this.#stations.get(rung);
    if (!known) this.#stations.set(rung, (known = stationsOf(rung, (width) => this.#shape(width))));
    return known;
  }

  #shape(width: number): string {
    let known = this.#shapes.get(width);
    if (known === undefined) this.#shapes.set(width, (known = shapeOf(this.menus, this.rest(width).scene)));
    return known;
  }

  /** A page at rest. */
  rest(width: number, visitor: Visitor = 'mouse'): Subject {
    return this.#subject(width, visitor, null);
  }

  /**
   * All that a check asks to be shown at a width.
   * @param posed whether poses and states are among it
   * @param among poses, as texts, if not all of them matter; of those it names none is spared
   */
  subjects(
    width: number,
    { visitors, poses }: Asks,
    posed: boolean,
    among: ReadonlySet<string> | null = null,
  ): readonly Subject[] {
    const matters = (pose: string) => among === null || among.has(pose);
    return visitors.flatMap((visitor) => {
      const rest = this.rest(width, visitor);
      if (!posed) return [rest.still];
      const opens = poses === 'opened' && (among !== null || !this.#spares(visitor, width));
      const opened = opens ? this.openings(width, visitor).filter(({ text }) => matters(text)) : [];
      return [...(matters(AT_REST.text) ? [rest] : []), ...opened.map((one) => this.#subject(width, visitor, one))];
    });
  }

  /** Whether a check is shown less at a width than elsewhere, unless it asks for poses by name. */
  sparesAt(width: number, { visitors }: Asks): boolean {
    return visitors.some((visitor) => this.#spares(visitor, width));
  }

  #spares(visitor: Visitor, width: number): boolean {
    return SHORT_OF_ROOM.has(visitor) && this.bandAt(width)[0]?.from !== width;
  }

  /** What opens at a width; looked for at the ends of its band. */
  openings(width: number, visitor: Visitor = 'mouse'): readonly Opening[] {
    const ends = bandEnds(this.bandAt(width));
    const byText = new Map<string, Opening>();
    for (const end of ends.length > 0 ? ends : [width])
      for (const opening of firstRoutes(this.#routes(end, visitor)))
        if (!byText.has(opening.text)) byText.set(opening.text, opening);
    return [...byText.values()];
  }

  /** Every way in which panels of the menus come into view for a visitor. */
  #routes(given: number, whoever: Visitor): readonly Opening[] {
    const visitor = alike(whoever);
    const width = this.#standFor(given, visitor);
    const key = `${width}/${visitor}`;
    let known = this.#openings.get(key);
    if (!known) {
      const { page, menus, setting: at } = this.rest(width, visitor);
      this.#openings.set(key, (known = openingsAt(menus, page, at)));
    }
    return known;
  }

  /** The first width of its band, where menus stand alike there: the same opens then. */
  #standFor(width: number, visitor: Visitor): number {
    const from = this.bandAt(width)[0]?.from ?? width;
    return width > from && this.#alike(from, width, visitor) ? from : width;
  }

  #alike(one: number, other: number, visitor: Visitor): boolean {
    if (this.#shape(one) !== this.#shape(other)) return false;
    const [a, b] = [one, other].map((width) => this.rest(width, visitor).setting.pose);
    return sameChanges(a!.changed, b!.changed);
  }

  /** Whether a media condition has a say in how menus show. */
  #concerns(condition: string): boolean {
    let known = this.#concerned.get(condition);
    if (known === undefined) {
      const { page, menus } = this;
      const around = new Set<ElementNode>();
      for (const { root, toggles, items } of menus)
        for (const e of [root, ...descendants(root), ...[...toggles, ...items].map(({ element }) => element)])
          for (let a: ElementNode | null = e; a && !around.has(a); a = a.parent) around.add(a);
      known =
        isConditionOf(page.scriptThresholds, condition) || [...around].some((e) => page.conditionTouches(condition, e));
      this.#concerned.set(condition, known);
    }
    return known;
  }

  #subject(width: number, visitor: Visitor, opening: Opening | null): Subject {
    const key = `${width}/${visitor}/${opening?.text ?? ''}`;
    let subject = this.#subjects.get(key);
    if (!subject) this.#subjects.set(key, (subject = this.#make(width, visitor, opening)));
    return subject;
  }

  /** Lets go of what was opened at the ends of a band. */
  forget(band: readonly Rung[]): void {
    for (const width of bandEnds(band))
      for (const [key, { parts }] of this.#subjects)
        if (parts.width === width && parts.opened !== null) this.#subjects.delete(key);
  }

  #make(width: number, visitor: Visitor, opening: Opening | null): Subject {
    const page = withoutScript(visitor) ? this.page.scriptless : this.page;
    const menus = page === this.page ? this.menus : findMenus(page);
    const { height, level, figures } = this.options;
    const routes = () => this.#routes(width, visitor);
    const before = () => page.scene(setting(width, { height, visitor }));
    const usual = () => this.#subject(width, 'mouse', opening);
    const parts = { page, menus, level, figures, width, height, visitor, routes, before, usual };
    const rest = new Subject({ ...parts, pose: AT_REST, opened: null });
    return opening ? rest.opened(opening) : rest;
  }
}

/** The first and the last width of a band. */
export const bandEnds = (band: readonly Rung[]): readonly number[] => {
  const [first, last] = [band[0], band[band.length - 1]];
  return first && last ? [...new Set([first.from, last.to])] : [];
};
