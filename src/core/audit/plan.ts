import { AT_REST, Subject, type Asks } from '../checks/index.js';
import { endsOf, rungsAt, rungsOf, stationsOf, type Rung } from '../ladder/index.js';
import { findMenus, firstRoutes, openingsAt, shapeOf, type Menu, type Opening } from '../menus/index.js';
import { poseAfter, setting, withoutScript, type Page, type Visitor } from '../scene/index.js';
import type { AuditOptions } from './options.js';

/** Visitors to whom the same opens. */
const alike = (visitor: Visitor): Visitor => (visitor === 'keyboard' ? 'mouse' : visitor);

/** What is looked at in an audit: widths, visitors and poses, each worked out once and shared by all checks. */
export class Plan {
  readonly menus: readonly Menu[];
  readonly rungs: readonly Rung[];
  readonly #subjects = new Map<string, Subject>();
  readonly #stations = new Map<Rung, readonly number[]>();
  readonly #shapes = new Map<number, string>();
  readonly #openings = new Map<string, readonly Opening[]>();

  constructor(
    readonly page: Page,
    readonly options: AuditOptions,
  ) {
    this.menus = findMenus(page);
    const all = rungsOf(page.ruleSet.thresholds, options);
    this.rungs = options.at ? rungsAt(all, options.at) : all;
  }

  /** The widths of a rung a check is shown, ascending. */
  stations(rung: Rung, { widths }: Asks): readonly number[] {
    if (widths === 'ends') return endsOf(rung);
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

  /** All that a check asks to be shown at a width. @param posed whether poses and states are among it */
  subjects(width: number, { visitors, poses }: Asks, posed: boolean): readonly Subject[] {
    return visitors.flatMap((visitor) => [
      posed ? this.rest(width, visitor) : this.rest(width, visitor).still,
      ...(poses === 'opened' && posed
        ? this.openings(width, visitor).map((one) => this.#subject(width, visitor, one))
        : []),
    ]);
  }

  /** What opens at a width; looked for at the ends of its rung. */
  openings(width: number, visitor: Visitor = 'mouse'): readonly Opening[] {
    const rung = this.rungs.find(({ from, to }) => width >= from && width <= to);
    const ends = rung ? endsOf(rung) : [width];
    const byText = new Map<string, Opening>();
    for (const end of ends)
      for (const opening of firstRoutes(this.#routes(end, visitor)))
        if (!byText.has(opening.text)) byText.set(opening.text, opening);
    return [...byText.values()];
  }

  /** Every way in which panels of the menus come into view for a visitor. */
  #routes(width: number, visitor: Visitor): readonly Opening[] {
    const key = `${width}/${alike(visitor)}`;
    let known = this.#openings.get(key);
    if (!known) {
      const { page, menus, setting: at } = this.rest(width, visitor);
      this.#openings.set(key, (known = openingsAt(menus, page, at)));
    }
    return known;
  }

  #subject(width: number, visitor: Visitor, opening: Opening | null): Subject {
    const key = `${width}/${visitor}/${opening?.text ?? ''}`;
    let subject = this.#subjects.get(key);
    if (!subject) this.#subjects.set(key, (subject = this.#make(width, visitor, opening)));
    return subject;
  }

  #make(width: number, visitor: Visitor, opening: Opening | null): Subject {
    const page = withoutScript(visitor) ? this.page.scriptless : this.page;
    const menus = page === this.page ? this.menus : findMenus(page);
    const { height, level } = this.options;
    const routes = () => this.#routes(width, visitor);
    const parts = { page, menus, level, width, height, visitor, routes };
    if (!opening) return new Subject({ ...parts, pose: AT_REST, opened: null });
    const state = poseAfter(page, opening.moves, setting(width, { height, visitor }));
    return new Subject({ ...parts, pose: { text: opening.text, state }, opened: opening.shows });
  }
}
