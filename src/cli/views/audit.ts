import { grouped } from '../../core/index.js';
import wrapAnsi from 'wrap-ansi';
import {
  asksForLook,
  byWeight,
  compareText,
  formatPosition,
  isTold,
  printWidths,
  type AuditedMenu,
  type AuditResult,
  type Finding,
  type Limit,
  type Range,
  wordOf,
} from '../../core/index.js';
import { harmless, type Terminal } from '../terminal.js';
import { chartView } from './chart.js';
import { indent, plural } from './layout.js';
import { countedFindings, mattersMost } from './summary.js';

/** The audit of one page as a person reads it: menus, ladder, findings, what was not judged, summary. */
export function auditView(result: AuditResult, terminal: Terminal): string {
  const numbered = numberFindings(result);
  const heaviest = [...numbered].sort((a, b) => byWeight(a.finding, b.finding));
  const parts = [
    heading(result, terminal),
    menusPart(result, terminal),
    ladderPart(result, numbered, terminal),
    ...findingsParts(result, numbered, terminal),
    limitsPart(result, terminal),
    [mattersMost(heaviest, terminal), summary(result, terminal)].filter((part) => part !== '').join('\n'),
  ];
  return `${parts.filter((part) => part !== '').join('\n\n')}\n`;
}

function heading({ page, widths, level }: AuditResult, { colours }: Terminal): string {
  return `${colours.bold(harmless(page))}  ${widths.from === widths.to ? widths.from : `${widths.from} to ${widths.to}`} px, level ${level}`;
}

function menusPart({ menus }: AuditResult, terminal: Terminal): string {
  const { colours, columns } = terminal;
  if (menus.length === 0)
    return `${colours.bold('Menus')}\n${indent('No menu was found: no navigation landmark with links and no list of links that is named or placed like one. If the page has one, it may be made by a script.', 2, columns)}`;
  const lines = menus.map((menu) => {
    const subs = menu.items.filter((item) => item.submenu).length;
    const opened = menu.toggles.length > 0 ? `, opened by ${menu.toggles.map(toggleName).join(' or ')}` : '';
    const place = menu.at ? `  ${colours.dim(`${harmless(menu.selector)}  ${formatPosition(menu.at)}`)}` : '';
    return indent(
      `${colours.cyan(menu.id)} ${harmless(menu.label)}: ${plural(menu.items.length, 'item')}${subs > 0 ? `, ${plural(subs, 'submenu')}` : ''}${opened}${menu.landmark ? '' : ', in no landmark'}${place}`,
      2,
      columns,
    );
  });
  return `${colours.bold('Menus')}\n${lines.join('\n')}`;
}

/** A toggle by its label, or as what it is where it has none. */
function toggleName({ label, selector }: AuditedMenu['toggles'][number]): string {
  const last = harmless(selector.split(' > ').slice(-1)[0]!);
  return label === '' ? `a control without a name (${last})` : `“${harmless(label)}”`;
}

function ladderPart({ widths, menus, rungs }: AuditResult, numbered: readonly Numbered[], terminal: Terminal): string {
  if (menus.length === 0) return '';
  const { colours } = terminal;
  const title = `${colours.bold('Ladder')}  ${colours.dim('widths along the top, the form of each menu, and where each finding holds')}`;
  return `${wrapAnsi(title, terminal.columns)}\n${chartView({ widths, menus, rungs, findings: numbered }, terminal)}`;
}

/** A finding and its number in the view. */
export interface Numbered {
  readonly number: number;
  readonly finding: Finding;
}

/** Findings in the order they are told: by menu, what concerns the page last. */
function numberFindings({ findings }: AuditResult): readonly Numbered[] {
  const menus = [...new Set(findings.map(({ menus: [menu] }) => menu ?? null))];
  const ordered = menus.sort((a, b) => compareText(a ?? '~', b ?? '~'));
  return ordered
    .flatMap((menu) => findings.filter((finding) => (finding.menus[0] ?? null) === menu))
    .map((finding, i) => ({ number: i + 1, finding }));
}

function findingsParts(result: AuditResult, numbered: readonly Numbered[], terminal: Terminal): string[] {
  return [...grouped(numbered, ({ finding }) => finding.menus[0] ?? null)].map(([menu, own]) => {
    const title = titleOf(result.menus.find((m) => m.id === menu));
    return `${terminal.colours.bold(title)}\n${own.map((one) => findingView(one, result.widths, terminal)).join('\n\n')}`;
  });
}

const titleOf = (menu: AuditedMenu | undefined): string => (menu ? `${harmless(menu.label)} (${menu.id})` : 'Page');

/** A finding as a person reads it. @param pages the pages that have it, where several were audited */
export function findingView(
  { number, finding }: Numbered,
  range: Range,
  terminal: Terminal,
  pages: readonly string[] = [],
): string {
  const { colours, columns } = terminal;
  const weight = wordOf(finding);
  const paint = terminal.paint(weight);
  const criteria = finding.criteria.map((c) => `WCAG ${c.number} ${c.level}`).join(', ');
  const everywhere =
    finding.widths.length === 1 && finding.widths[0]!.from === range.from && finding.widths[0]!.to === range.to;
  const widths = everywhere ? 'every width' : `${printWidths(finding.widths)} px`;
  const shown = finding.states.filter((state) => state !== 'normal');
  const state = shown.length === 0 ? '' : `  ${finding.states.join(', ')}`;
  const head = `${colours.dim(String(number).padStart(3))} ${paint(weight.padEnd(7))}  ${colours.bold(finding.check)}  ${widths}${state}${criteria ? `  ${colours.dim(criteria)}` : ''}`;
  const [place, ...others] = finding.places;
  const row = (word: string, text: string) => indent(colours.dim(`${word.padEnd(6)} ${text}`), 4, columns);
  const lines = [
    wrapAnsi(head, columns, { hard: true, trim: false }),
    indent(harmless(finding.says), 4, columns),
    indent(`${colours.green('mend')}   ${harmless(finding.mends)}`, 4, columns),
    row('at', `${place!.at ? `${formatPosition(place!.at)}  ` : ''}${harmless(place!.selector)}`),
  ];
  if (finding.cause) {
    const { selector, text, at } = finding.cause;
    lines.push(row('by', `${formatPosition(at)}  ${harmless(selector ? `${selector} { ${text} }` : text)}`));
  }
  if (others.length > 0) {
    const named = others
      .slice(0, 6)
      .map((p) => `“${harmless(p.label || p.selector)}”${p.widths ? ` (${printWidths(p.widths)})` : ''}`);
    lines.push(
      row('and', `${others.length} more of the same cause: ${named.join(', ')}${others.length > 6 ? ' …' : ''}`),
    );
  }
  if (pages.length > 0)
    lines.push(
      row(
        'on',
        `${pages.slice(0, 6).map(harmless).join(', ')}${pages.length > 6 ? ` and ${pages.length - 6} more pages` : ''}`,
      ),
    );
  else if (finding.menus.length > 1) lines.push(row('also', `in ${finding.menus.slice(1).join(', ')}`));
  return lines.join('\n');
}

function limitsPart({ limits, crashed }: AuditResult, terminal: Terminal): string {
  const { colours, columns } = terminal;
  const told = limits.filter(isTold);
  const quiet = limits.length - told.length;
  if (told.length === 0 && crashed.length === 0 && quiet === 0) return '';
  const line = (limit: Limit) =>
    `${harmless(limit.subject)}: ${harmless(limit.consequence)}${limit.place ? `  ${limit.place}` : ''}${limit.count > 1 ? ` (${limit.count} times)` : ''}`;
  const lines = [
    ...crashed.map((c) => indent(`${c.check} broke off and its result is missing: ${harmless(c.message)}`, 2, columns)),
    ...told.map((limit) => indent(line(limit), 2, columns)),
  ];
  if (quiet > 0)
    lines.push(
      indent(
        colours.dim(
          `${plural(quiet, 'rule or value', 'rules and values')} dropped as browsers drop them; --json lists them.`,
        ),
        2,
        columns,
      ),
    );
  return `${colours.bold('Not taken into account')}\n${lines.join('\n')}`;
}

function summary({ findings, accepted, checks, menus, rungs, limits }: AuditResult, terminal: Terminal): string {
  const { colours, columns } = terminal;
  const unseen = limits.filter(asksForLook).length;
  // A page on which nothing was judged is not one without faults.
  const open = unseen > 0 ? colours.magenta(` ${plural(unseen, 'part')} to look at.`) : '';
  const counted =
    menus.length === 0 && findings.length === 0
      ? colours.yellow('No menu was found, so none was judged.')
      : countedFindings(findings, terminal);
  const scope = `${plural(checks.length, 'check')}, ${plural(menus.length, 'menu')}, ${plural(rungs.length, 'rung')}.`;
  return wrapAnsi(
    `${colours.bold(counted)}${open}${accepted.length > 0 ? ` ${accepted.length} accepted.` : ''} ${colours.dim(scope)}`,
    columns,
  );
}
