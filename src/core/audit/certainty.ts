import type { Observation, PageCheck, Subject } from '../checks/index.js';
import { descendants, isAncestorOrSelf, textContent, type ElementNode } from '../html/index.js';
import type { Range } from '../base/index.js';
import { directivesOf } from '../menus/index.js';
import type { Page } from '../scene/index.js';

/** How much wider or narrower the text of an unknown font may be than that of the font that stands in. */
const FONT_FACTORS = [0.94, 1.06] as const;

/** What a finding adds when it hangs on the font. */
export const WITH_YOUR_FONTS =
  'The font that is asked for is not at hand, and with text 6 % narrower or wider it would not be so: look at it with your fonts.';

const asked = (element: ElementNode, subject: Subject): boolean => {
  const [first] = subject.scene.style(element).fontFamily;
  return first !== undefined && !subject.page.metrics.knows(first.name);
};

const rootsOf = ({ at, menus }: Observation): readonly ElementNode[] =>
  at.kind === 'element' ? [at.element] : menus.map(({ root }) => root);

/** Whether the text that an observation is about is set in a font that is not at hand. */
export function unknownFont(observation: Observation, subject: Subject): boolean {
  return rootsOf(observation).some((root) => [root, ...descendants(root)].some((e) => hasText(e) && asked(e, subject)));
}

const hasText = (element: ElementNode): boolean =>
  element.children.some((child) => child.kind === 'text' && child.data.trim() !== '');

/** The widths at which it is asked whether a finding is still there: the ends of its ranges, and between them. */
export const sampledWidths = (ranges: readonly Range[]): readonly number[] => [
  ...new Set(ranges.flatMap(({ from, to }) => [from, Math.round((from + to) / 2), to])),
];

/** The page at every factor. */
export const stretchedPages = (page: Page): readonly Page[] =>
  FONT_FACTORS.flatMap((factor) => page.stretched(factor) ?? []);

/** Whether the verdict of a check hangs on fonts at all. */
export const leansOnText = ({ meta }: PageCheck): boolean => meta.textWidth === true;

/** What a page asks for and does not get. */
interface Lacking {
  readonly sheets: readonly string[];
  readonly scripts: readonly string[];
  /** Attributes that have a library do something nobody followed. */
  readonly told: readonly string[];
  /** Elements that scripts move. */
  readonly moved: readonly ElementNode[];
  /** Classes that the sheets at hand name. */
  readonly named: ReadonlySet<string>;
}

/** The address of a sheet that brings fonts alone asks for families. */
const FONTS_ALONE = /[?&]family=/i;
const CLASS = /\.(-?[_a-zA-Z\u0080-\uffff][\w\u0080-\uffff-]*)/g;
const lacking = new WeakMap<Page, Lacking>();

function lackingOf(page: Page): Lacking {
  let known = lacking.get(page);
  if (!known) {
    const subjects = page.limits.filter(({ kind }) => kind === 'missing').map(({ subject }) => subject);
    const after = (word: string) => subjects.flatMap((s) => (s.startsWith(word) ? [s.slice(word.length)] : []));
    const sheets = after('sheet ').filter((name) => !FONTS_ALONE.test(name));
    const texts = sheets.length === 0 ? [] : page.ruleSet.rules.flatMap((rule) => rule.selectors.map((s) => s.text));
    const named = new Set(texts.flatMap((text) => [...text.matchAll(CLASS)].map(([, name]) => name!)));
    const told = [...new Set(directivesOf(page).map(({ name }) => name))];
    known = {
      sheets,
      scripts: [...after('script '), ...after('module ')],
      told,
      moved: page.hearing.marks.moved,
      named,
    };
    lacking.set(page, known);
  }
  return known;
}

/** The element, what is in it, and what it stands in inside of the menu. */
function concerned(observation: Observation): readonly ElementNode[] {
  const around = (e: ElementNode): readonly ElementNode[] =>
    e.parent && observation.menus.some(({ root }) => isAncestorOrSelf(root, e.parent!))
      ? [e.parent, ...around(e.parent)]
      : [];
  return rootsOf(observation).flatMap((e) => [e, ...descendants(e), ...around(e)]);
}

const listed = ([first, ...others]: readonly string[]): string =>
  others.length === 0 ? `“${first}”` : `“${first}” and ${others.length} more`;

/**
 * What a finding adds when it may be another with what the page asks for and could not be read or followed: a script,
 * what attributes tell a library to do, what a script does to the element, or a sheet where most classes at the place
 * are named by no sheet at hand; null where it would be the same.
 */
export function lackingFor({ meta }: PageCheck, observation: Observation, { page }: Subject): string | null {
  const leans = observation.leansOn ?? meta.leansOn ?? ['sheets'];
  const { sheets, scripts, told, moved, named } = lackingOf(page);
  if (leans.length > 0 && rootsOf(observation).some((e) => moved.some((m) => isAncestorOrSelf(m, e))))
    return 'A script moves it elsewhere in the page: look at it where it is then.';
  if (leans.includes('scripts') && scripts.length > 0)
    return `The script ${listed(scripts)} could not be read: look at it with all scripts.`;
  if (leans.includes('scripts') && told.length > 0)
    return `What attributes such as “${told[0]!}” tell a library to do is not followed: look at it with scripts running.`;
  if (leans.includes('scripts') && isDoubted(observation, page))
    return 'A script changes it in a way that could not be followed: look at it with scripts running.';
  if (!leans.includes('sheets') || sheets.length === 0) return null;
  return isBare(concerned(observation), named) || rootsOf(observation).some((e) => isBarePicture(e, named))
    ? `The sheet ${listed(sheets)} could not be read: look at it with all sheets.`
    : null;
}

/** Whether scripts change the element, what it opens, or something in it or around it, and how could not be told. */
const isDoubted = (observation: Observation, { hearing: { doubted } }: Page): boolean =>
  doubted.size > 0 && [...concerned(observation), ...opened(observation)].some((e) => doubted.has(e));

/** What belongs to the items and toggles that an observation is about, and all that is in it. */
function opened(observation: Observation): readonly ElementNode[] {
  const about = new Set(rootsOf(observation));
  return observation.menus
    .flatMap(({ items, toggles }) => [
      ...items.flatMap(({ element, submenu }) => (submenu && about.has(element) ? [submenu] : [])),
      ...toggles.flatMap(({ element, panel }) => (panel && about.has(element) ? [panel] : [])),
    ])
    .flatMap((panel) => [panel, ...descendants(panel)]);
}

/** Hooks of scripts and leftovers are named by no sheet either: only where so many are is something of a sheet missing. */
const MOST_NAMED = 0.5;

function isBare(elements: readonly ElementNode[], named: ReadonlySet<string>): boolean {
  const classes = [...new Set(elements.flatMap((e) => e.classes))];
  return classes.length > 0 && classes.filter((name) => named.has(name)).length <= classes.length * MOST_NAMED;
}

/** A control without a word, of an empty box that a sheet at hand does not know: an icon that is drawn by another. */
const isBarePicture = (e: ElementNode, named: ReadonlySet<string>): boolean =>
  textContent(e).trim() === '' &&
  [...descendants(e)].some(
    (x) => x.elements.length === 0 && x.classes.length > 0 && !x.classes.some((c) => named.has(c)),
  );
