import { Eta } from 'eta';
import {
  CHECKS,
  formatPosition,
  likenessOf,
  SharedFindings,
  type SharedFinding,
  printFigure,
  printWidths,
  type AuditResult,
  type Finding,
  type Limit,
  wordOf,
  WORDS,
  isTold,
} from '../../core/index.js';
import { criteriaText, inert, sentences, widthsText, type Format, type RunEnd, type RunStart } from '../format.js';
import { ladderChart, MOST_BARS } from './chart.js';
import type { Excerpt, PageMaterial } from './material.js';
import { subpageOf, type PictureAt } from './pages.js';
import { peopleOf } from './people.js';
import { policyOf } from './policy.js';
import { SCRIPT } from './script.js';
import { STYLE } from './style.js';
import { FINDING, PAGE, SUBPAGE } from './templates.js';

/** Pages whose pictures and ways are shown; a report of hundreds would open in no time a reader has. */
const MOST_PICTURED = 12;
const MOST_FIRST = 3;

const TITLES = new Map(CHECKS.map(({ meta }) => [meta.id, meta.title]));
const SAYS: Readonly<Record<string, string>> = {
  blocks: 'keep someone from getting there',
  hinders: 'make it hard to get there',
  polish: 'are worth mending',
  look: 'need a person to look',
};
const WEIGHT_TEXT: Readonly<Record<string, string>> = {
  blocks: 'Blocks',
  hinders: 'Hinders',
  polish: 'Polish',
  look: 'To look at',
};

/** One page to read and to hand on: everything in it, nothing loaded. */
export const report: Format = {
  material: true,
  open: (start) => {
    const told = new SharedFindings();
    const excerpts = new Map<string, readonly Excerpt[]>();
    const pages: { readonly result: AuditResult; readonly material: PageMaterial }[] = [];
    const all: Pick<AuditResult, 'page' | 'widths' | 'level' | 'checks' | 'menus'>[] = [];
    const limits = new Map<string, number>();
    const accepted: { check: string; page: string; says: string; reason: string; until: string | null }[] = [];
    let first: AuditResult | null = null;
    const addAccepted = (page: string, { accepted: all }: Pick<AuditResult, 'accepted'>) => {
      for (const { finding, reason, until } of all)
        accepted.push({ check: finding.check, page, says: finding.says, reason, until });
    };
    return {
      page: (result, material) => {
        const { page, widths, level, checks, menus } = result;
        if (!first || first.menus.length === 0) first = result;
        // What is not shown is not kept.
        all.push({ page, widths, level, checks, menus: menus.slice(0, 1) });
        if (material && pages.length < MOST_PICTURED) pages.push({ result, material });
        result.findings.forEach((finding, i) => {
          const key = told.add(finding, page);
          const lines = material?.excerpts[i];
          if (lines && !excerpts.has(key)) excerpts.set(key, lines);
        });
        addAccepted(page, result);
        for (const limit of result.limits.filter(isTold))
          limits.set(limitText(limit), (limits.get(limitText(limit)) ?? 0) + 1);
        for (const { check, message } of result.crashed)
          limits.set(`${check} broke off and its result is missing: ${message}`, 1);
      },
      end: (end) => {
        for (const finding of end.across.findings) told.add(finding, null);
        addAccepted('several pages', end.across);
        return render({ start, end, told: told.list(), excerpts, pages, all, limits, accepted, first });
      },
    };
  },
};

const limitText = ({ subject, consequence }: Limit): string => `${subject}: ${consequence}`;

interface Gathered {
  readonly start: RunStart;
  readonly end: RunEnd;
  readonly told: readonly SharedFinding[];
  readonly excerpts: ReadonlyMap<string, readonly Excerpt[]>;
  readonly pages: readonly { readonly result: AuditResult; readonly material: PageMaterial }[];
  readonly all: readonly Pick<AuditResult, 'page' | 'widths' | 'level' | 'checks' | 'menus'>[];
  readonly limits: ReadonlyMap<string, number>;
  readonly accepted: readonly { check: string; page: string; says: string; reason: string; until: string | null }[];
  readonly first: AuditResult | null;
}

function render(g: Gathered): string {
  const { told } = g;
  const numbers = new Map(told.map(({ finding }, i) => [likenessOf(finding), i + 1]));
  const numberOf = (finding: Finding): number | null => numbers.get(likenessOf(finding)) ?? null;
  const pages = g.pages.map(({ result, material }, i) => subpageOf(result, material, i, numberOf));
  const pictured = new Map<number, PictureAt[]>();
  for (const { shown } of pages)
    for (const picture of shown)
      for (const number of picture.findings) pictured.set(number, [...(pictured.get(number) ?? []), picture]);
  const findings = told.map((one, i) =>
    findingView(one, g.excerpts.get(likenessOf(one.finding)) ?? [], i + 1, pictured.get(i + 1) ?? [], g.all.length),
  );
  const eta = new Eta({ autoEscape: true, cache: true, autoTrim: false });
  eta.loadTemplate('@finding', FINDING);
  eta.loadTemplate('@page', SUBPAGE);
  const name = g.all.length === 1 ? g.all[0]!.page : `${g.all.length} pages`;
  const widths = g.first?.widths ?? { from: 320, to: 1920 };
  return eta.renderString(PAGE, {
    title: inert(`Navigation menus of ${name}`),
    scope: inert(scopeText(g)),
    policy: policyOf({ style: STYLE, script: SCRIPT }),
    style: STYLE,
    script: SCRIPT,
    parts: [
      ['summary', 'Summary'],
      ...(chartedPage(g.first) ? [['ladder', 'By width']] : []),
      ['findings', 'Findings'],
      ['pages', g.all.length === 1 ? 'The page' : 'The pages'],
      ['looked', 'What was looked at'],
    ],
    ...summaryOf(g, numberOf),
    ...chartOf(g),
    findings,
    none: g.all.some(({ menus }) => menus.length > 0)
      ? 'Nothing was found at any width, in any state of the menus that was looked at.'
      : 'No menu was found, so none was judged.',
    filters: filtersOf(findings),
    accepted: g.accepted.map((one) => ({
      ...one,
      page: inert(one.page),
      says: inert(one.says),
      reason: inert(one.reason),
    })),
    slider: pages.some(({ pictures }) => pictures.length > 0)
      ? { ...widths, at: Math.min(Math.max(375, widths.from), widths.to) }
      : null,
    pages,
    bare: g.all.length > g.pages.length ? g.all.slice(g.pages.length).map(({ page }) => inert(page)) : [],
    looked: lookedText(g),
    limits: [
      ...g.end.failures.map(({ name: page, message }) => inert(`${page} was not audited: ${message}`)),
      ...[...g.limits].map(([text, count]) => inert(`${text}${count > 1 ? ` (on ${count} pages)` : ''}`)),
    ],
    foot: `Made by Rope Ladder ${g.start.version}${g.start.day === null ? '' : ` on ${g.start.day}`}. It reads markup, style sheets and scripts as browsers do; no browser was asked.`,
  });
}

/** What the summary says. */
function summaryOf(g: Gathered, numberOf: (finding: Finding) => number | null) {
  const faults = g.told.filter(({ finding }) => finding.verdict === 'fault');
  return {
    opening: openingText(g.told, g),
    counts: WORDS.map((word) => ({
      word,
      count: g.told.filter(({ finding }) => wordOf(finding) === word).length,
      title: SAYS[word],
    })),
    first: faults
      .slice(0, MOST_FIRST)
      .map(({ finding }) => ({ number: numberOf(finding), check: finding.check, says: inert(finding.says) })),
    people: peopleCounts(g.told),
  };
}

/** The chart, of the first page where there are several. */
function chartOf({ first, all, told }: Gathered) {
  const page = chartedPage(first);
  const bars = told.map(({ finding }, i) => ({ number: i + 1, finding }));
  return {
    chart: page ? ladderChart(page, bars) : null,
    charted: all.length > 1 ? page?.page : null,
    uncharted: Math.max(0, told.length - MOST_BARS),
  };
}

const chartedPage = (first: AuditResult | null): AuditResult | null => (first && first.menus.length > 0 ? first : null);

function scopeText({ all, start }: Gathered): string {
  const [first] = all;
  if (!first) return 'No page could be audited.';
  return `Screens from ${first.widths.from} to ${first.widths.to} px wide, held to WCAG 2.2 level ${first.level}${start.day === null ? '' : `, ${start.day}`}`;
}

const counted = (count: number, one: string, many: string): string => `${count} ${count === 1 ? one : many}`;

function openingText(told: readonly SharedFinding[], { all }: Gathered): string {
  const count = (word: string) => told.filter(({ finding }) => wordOf(finding) === word).length;
  if (all.length > 0 && all.every(({ menus }) => menus.length === 0))
    return 'No menu was found: no list of links that is marked, named or placed like one.';
  if (told.length === 0) return 'Everyone gets to everything in these menus, as far as was looked.';
  const parts = [
    ...(count('blocks') > 0
      ? [`${counted(count('blocks'), 'fault keeps', 'faults keep')} someone from getting where they want to go`]
      : []),
    ...(count('hinders') > 0 ? [`${counted(count('hinders'), 'makes', 'make')} it harder than it should be`] : []),
    ...(count('polish') > 0 ? [`${counted(count('polish'), 'is', 'are')} worth mending when there is time`] : []),
    ...(count('look') > 0 ? [`${counted(count('look'), 'place needs', 'places need')} a person to look`] : []),
  ];
  return `${parts.join('; ')}.`;
}

function peopleCounts(told: readonly SharedFinding[]): readonly { who: string; count: string }[] {
  const counts = new Map<string, number>();
  for (const { finding } of told) counts.set(peopleOf(finding.check), (counts.get(peopleOf(finding.check)) ?? 0) + 1);
  return [...counts]
    .sort((a, b) => b[1] - a[1])
    .map(([who, count]) => ({
      who: who.charAt(0).toUpperCase() + who.slice(1),
      count: counted(count, 'finding', 'findings'),
    }));
}

const MOST_PAGES_NAMED = 6;

function findingView(
  { finding, pages }: SharedFinding,
  excerpts: readonly Excerpt[],
  number: number,
  pictures: readonly PictureAt[],
  audited: number,
) {
  const { check, cause, places, says, mends, measured, needed, states, poses, widths } = finding;
  const weight = wordOf(finding);
  const shown = pages.slice(0, MOST_PAGES_NAMED).join(', ');
  // Of a state the state itself says how it is reached.
  const posed = states.includes('normal') ? poses.filter((pose) => pose !== 'closed').map(inert) : [];
  return {
    number,
    check,
    weight,
    weightText: WEIGHT_TEXT[weight],
    ...sentences(inert(says)),
    rule: TITLES.get(check) ?? '',
    widths: widthsText(finding),
    ranges: widths.map(({ from, to }) => `${from}-${to}`).join(' '),
    states: states.filter((state) => state !== 'normal').join(', '),
    criteria: criteriaText(finding)
      .split(', ')
      .filter((one) => one !== ''),
    mends: inert(mends),
    people: peopleOf(check),
    measured: measured ? printFigure(measured) : '',
    needed: needed ? printFigure(needed) : '',
    poses:
      posed.length > 0 && posed.length <= 3
        ? `after ${posed.join(' or ')}`
        : posed.length > 3
          ? `after ${posed[0]} and ${posed.length - 1} other moves`
          : '',
    decided: cause ? inert(`${cause.selector ?? ''} { ${cause.text} }`.trim()) : '',
    places: places.map(({ label, selector, at, widths: own }) => ({
      label: label === '' ? '' : `“${inert(label)}”`,
      where: inert(`${at ? `${formatPosition(at)} ` : ''}${selector}${own ? ` (${printWidths(own)} px)` : ''}`),
    })),
    excerpts: excerpts.map((one) => ({ ...one, file: inert(one.file), lines: dedented(one.lines.map(sourceLine)) })),
    pages: audited > 1 ? pages.map(inert) : [],
    onPages: inert(
      pages.length > MOST_PAGES_NAMED ? `${shown} and ${pages.length - MOST_PAGES_NAMED} more pages` : shown,
    ),
    pictures: pictures.slice(0, 4).map(({ id, title }) => ({ id, text: `picture: ${title}` })),
  };
}

/** Lines without the blanks that all of them begin with. */
function dedented(lines: readonly string[]): readonly string[] {
  const depth = Math.min(
    ...lines.filter((line) => line.trim() !== '').map((line) => line.length - line.trimStart().length),
  );
  return lines.map((line) => line.slice(Number.isFinite(depth) ? depth : 0));
}

/** A line of source: its blanks stay, nothing in it acts. */
const sourceLine = (text: string): string => text.split('\t').map(inert).join('\t');

function filtersOf(findings: readonly ReturnType<typeof findingView>[]) {
  const unique = (values: readonly string[]) => [...new Set(values)].sort();
  return [
    {
      name: 'weight',
      label: 'Weight',
      values: WORDS.filter((word) => findings.some(({ weight }) => weight === word)),
    },
    { name: 'check', label: 'Check', values: unique(findings.map(({ check }) => check)) },
    { name: 'criterion', label: 'Criterion', values: unique(findings.flatMap(({ criteria }) => criteria)) },
    { name: 'page', label: 'Page', values: unique(findings.flatMap(({ pages }) => pages)) },
  ].filter(({ values }) => values.length > 1);
}

function lookedText({ all, first }: Gathered): readonly string[] {
  if (!first) return ['Nothing could be looked at.'];
  const visitors = [
    ...new Set(CHECKS.filter(({ meta }) => first.checks.includes(meta.id)).flatMap(({ meta }) => meta.asks.visitors)),
  ];
  const posed = CHECKS.filter(({ meta }) => first.checks.includes(meta.id) && meta.asks.poses === 'opened').length;
  return [
    `${counted(all.length, 'page', 'pages')}, at every width from ${first.widths.from} to ${first.widths.to} px: ${first.rungs.length} bands between breakpoints on ${first.page}, and inside them wherever the geometry changes.`,
    `On screens ${new Intl.ListFormat('en').format(first.heights.map(String))} px high, and what low screens meet also at 375 px.${first.widths.from <= 320 ? ' 320 px is what a window of 1280 px shows at 400 % zoom.' : ''}`,
    `${counted(first.checks.length, 'check', 'checks')}, of which ${posed} also look at the menus opened, in every way in which hover, focus, presses, keys and scrolling open them.`,
    `As visitors: ${visitors.join(', ').replace(/-/g, ' ')}.`,
    'Not looked at: what only a server or a third party brings, pictures (only their sizes count), and scripts beyond what can be read off them; where that matters the list below says so.',
  ].map(inert);
}
