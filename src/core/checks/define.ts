import type { ElementNode } from '../html/index.js';
import type { Position, Span } from '../base/index.js';
import type { Cause, Criterion, Figure, State, Verdict, Weight } from '../findings/index.js';
import type { Menu } from '../menus/index.js';
import type { Visitor } from '../scene/index.js';
import type { Lie, Standing } from './shared/standing.js';
import type { Subject } from './subject.js';

/** What an observation points at. */
export type Spot =
  | { readonly kind: 'element'; readonly element: ElementNode }
  | { readonly kind: 'rule'; readonly selector: string; readonly span: Span }
  | { readonly kind: 'query'; readonly condition: string; readonly span: Span }
  | { readonly kind: 'page' };

/** What a check saw at one width. Equal spots, messages and states at other widths are the same fault. */
export interface Observation {
  readonly at: Spot;
  readonly menus: readonly Menu[];
  readonly state: State;
  /** Which of the check's messages. */
  readonly message: string;
  readonly data: Readonly<Record<string, string | number>>;
  readonly verdict?: Verdict;
  readonly measured?: Figure;
  readonly needed?: Figure;
  readonly cause?: Cause | null;
  /** What changing the cause would touch: a remedy for all observations of one cause is made from it. */
  readonly standing?: Standing;
  /** What observations of one cause have in common where no declaration is the cause, such as `href="#"`. */
  readonly common?: string;
  /** What its verdict hangs on, where that is not what the check as a whole leans on. */
  readonly leansOn?: CheckMeta['leansOn'];
}

export interface Message {
  /** One sentence or two: what is wrong, for whom. */
  readonly says: string;
  readonly mends: string;
  /** The criteria it fails; it is said from the lowest of their levels on, always if there are none. */
  readonly criteria: readonly Criterion[];
}

/** What a check asks to be shown. */
export interface Asks {
  readonly visitors: readonly Visitor[];
  /** `rest`: the closed pose alone; `opened`: what each opening shows, too. Hover and focus are the check's own moves. */
  readonly poses: 'rest' | 'opened';
  /**
   * `ends`: of each rung; `inside`: also where the geometry changes in between; `bands`: the ends of neighbouring rungs
   * between which nothing changes for the menus, for what hangs on states and not on places.
   */
  readonly widths: 'ends' | 'inside' | 'bands';
}

/** What a reader needs to know of a check: its page of documentation is made from it. */
export interface Explanation {
  /** What it means, for whom. */
  readonly means: string;
  /** The rule, and what is left out of it. */
  readonly rule: readonly string[];
  /** The same in faulty and in mended style or markup. */
  readonly faulty: string;
  readonly mended: string;
}

/** A figure of a check that no standard fixes: whoever uses it may set another. */
export interface OwnFigure {
  readonly value: number;
  readonly unit: string;
  readonly means: string;
  /** What can be meant. */
  readonly least: number;
  readonly most: number;
}

export interface CheckMeta {
  readonly id: string;
  readonly title: string;
  readonly weight: Weight;
  /** What one inspection is about. */
  readonly scope: 'menu' | 'page' | 'site';
  readonly asks: Asks;
  readonly explains: Explanation;
  /** Whether its verdict hangs on how wide text is. */
  readonly textWidth?: boolean;
  /** What of a page its verdict hangs on beside the markup; sheets if nothing else is said. */
  readonly leansOn?: readonly ('sheets' | 'scripts')[];
  /** What an inked part is called in remedies that serve all places of one cause. */
  readonly inks?: string;
  /** Figures that may be set, by name. */
  readonly figures?: Readonly<Record<string, OwnFigure>>;
  /** Which way its figure is worse; null where nothing is measured. */
  readonly worse: 'lower' | 'higher' | null;
  readonly messages: Readonly<Record<string, Message>>;
}

/** A check of one page. */
export interface PageCheck {
  readonly meta: CheckMeta;
  readonly inspect: (subject: Subject) => readonly Observation[];
  /** What else a change of an observation's cause would touch in what is shown. */
  readonly touches: ((subject: Subject, observation: Observation) => readonly Lie[]) | null;
}

export function defineCheck(
  meta: CheckMeta,
  inspect: PageCheck['inspect'],
  touches: PageCheck['touches'] = null,
): PageCheck {
  return Object.freeze({ meta: Object.freeze(meta), inspect, touches });
}

/** Something in a menu, as it is known of an audited page. */
export interface SiteEntry {
  readonly label: string;
  readonly path: string;
  readonly selector: string;
  readonly at: Position | null;
}

/** An item and where it leads, told from the root of the site; null where it leads nowhere by itself. */
export interface SiteItem extends SiteEntry {
  readonly address: string | null;
}

export interface SiteMenu {
  readonly id: string;
  readonly kind: string;
  readonly label: string;
  readonly selector: string;
  readonly items: readonly SiteItem[];
  readonly toggles: readonly SiteEntry[];
}

/** What a check across pages is shown of each. */
export interface SitePage {
  readonly page: string;
  /** Language of the page as its markup says; empty where it does not. */
  readonly language: string;
  readonly menus: readonly SiteMenu[];
}

/** A difference between pages of one run. */
export interface Difference {
  readonly message: string;
  readonly data: Readonly<Record<string, string | number>>;
  /** Where it differs, one a page. */
  readonly places: readonly SiteEntry[];
  /** Tells it from other differences of the check; the same in every run. */
  readonly key: string;
}

/** A check of several pages against each other. */
export interface SiteCheck {
  readonly meta: CheckMeta;
  readonly compare: (pages: readonly SitePage[]) => readonly Difference[];
}

export function defineSiteCheck(
  meta: Omit<CheckMeta, 'scope' | 'asks' | 'worse'>,
  compare: SiteCheck['compare'],
): SiteCheck {
  const asks: Asks = { visitors: ['mouse'], poses: 'rest', widths: 'ends' };
  return Object.freeze({ meta: Object.freeze({ ...meta, scope: 'site', asks, worse: null }), compare });
}

export type Check = PageCheck | SiteCheck;

export const isPageCheck = (check: Check): check is PageCheck => 'inspect' in check;

export const onElement = (element: ElementNode): Spot => ({ kind: 'element', element });

/** All criteria a check can cite. */
export const criteriaOf = ({ messages }: CheckMeta): readonly Criterion[] => [
  ...new Map(Object.values(messages).flatMap(({ criteria }) => criteria.map((c) => [c.number, c] as const))).values(),
];
