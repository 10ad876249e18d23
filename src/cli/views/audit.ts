import Table from 'cli-table3';
import wrapAnsi from 'wrap-ansi';
import {
  asksForLook,
  compareText,
  formatPosition,
  printWidths,
  type AuditedMenu,
  type AuditResult,
  type Finding,
  type Limit,
} from '../../core/index.js';
import { harmless, type Terminal } from '../terminal.js';
import { indent, NO_LINES, PLAIN_STYLE, plural } from './layout.js';
import { countedFindings, WEIGHT_PAINT } from './summary.js';

type Paint = (text: string) => string;

/** The audit of one page as a person reads it: menus, ladder, findings, what was not judged, summary. */
export function auditView(result: AuditResult, terminal: Terminal): string {
  const parts = [
    heading(result, terminal),
    menusPart(result, terminal),
    ladderPart(result, terminal),
    ...findingsParts(result, terminal),
    limitsPart(result, terminal),
    summary(result, terminal),
  ];
  return `${parts.filter((part) => part !== '').join('\n\n')}\n`;
}

function heading({ page, widths, level }: AuditResult, { colours }: Terminal): string {
  return `${colours.bold(harmless(page))}  ${widths.from === widths.to ? widths.from : `${widths.from} to ${widths.to}`} px, level ${level}`;
}

function menusPart({ menus }: AuditResult, terminal: Terminal): string {
  const { colours, columns } = terminal;
  if (menus.length === 0)
    return `${colours.bold('Menus')}\n${indent('No menu was found: no navigation landmark and no list of links that is named or placed like one. If the page has one, it may be made by a script.', 2, columns)}`;
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

function ladderPart({ menus, rungs }: AuditResult, terminal: Terminal): string {
  const { colours, columns } = terminal;
  if (menus.length === 0) return '';
  const form = (pair: readonly [string, string]) => (pair[0] === pair[1] ? pair[0] : `${pair[0]} → ${pair[1]}`);
  const head = ['px', ...menus.map((m) => m.id)];
  const rows = rungs.map((rung) => [`${rung.from}–${rung.to}`, ...menus.map((m) => form(rung.forms[m.id]!))]);
  const taken = head.map((title, i) => Math.max(title.length, ...rows.map((row) => row[i]!.length)) + 2);
  const room = columns - taken.reduce((sum, wide) => sum + wide, 2);
  const wide = room >= 20;
  const table = new Table({ head: [...head, ...(wide ? ['begins with'] : [])], style: PLAIN_STYLE, chars: NO_LINES });
  rungs.forEach((rung, i) => table.push([...rows[i]!, ...(wide ? [colours.dim(beginning(rung, room))] : [])]));
  return `${colours.bold('Ladder')}  ${colours.dim('the form each menu shows between two breakpoints')}\n${table
    .toString()
    .split('\n')
    .map((line) => line.trimEnd())
    .join('\n')}`;
}

/** The condition a rung begins with and, where there is room, its place. */
function beginning({ starts }: AuditResult['rungs'][number], room: number): string {
  const [first] = starts;
  if (!first) return '';
  const more = starts.length > 1 ? ` +${starts.length - 1}` : '';
  const condition = first.change === 'ends' ? `end of ${first.condition}` : first.condition;
  const whole = `${condition}  ${first.place}${more}`;
  if (whole.length <= room) return whole;
  const short = `${condition}${more}`;
  return short.length <= room ? short : `${condition.slice(0, Math.max(8, room - more.length - 1))}…${more}`;
}

function findingsParts(result: AuditResult, terminal: Terminal): string[] {
  const groups = new Map<string | null, Finding[]>();
  for (const finding of result.findings)
    groups.set(finding.menus[0] ?? null, [...(groups.get(finding.menus[0] ?? null) ?? []), finding]);
  const ordered = [...groups].sort(([a], [b]) => compareText(a ?? '~', b ?? '~'));
  return ordered.map(([menu, findings]) => {
    const title = titleOf(result.menus.find((m) => m.id === menu));
    return `${terminal.colours.bold(title)}\n${findings.map((f) => findingView(f, result, terminal)).join('\n\n')}`;
  });
}

const titleOf = (menu: AuditedMenu | undefined): string => (menu ? `${harmless(menu.label)} (${menu.id})` : 'Page');

function findingView(finding: Finding, result: AuditResult, terminal: Terminal): string {
  const { colours, columns } = terminal;
  const paint: Paint = finding.verdict === 'look' ? colours.magenta : colours[WEIGHT_PAINT[finding.weight]];
  const weight = finding.verdict === 'look' ? 'look' : finding.weight;
  const criteria = finding.criteria.map((c) => `WCAG ${c.number} ${c.level}`).join(', ');
  const everywhere =
    finding.widths.length === 1 &&
    finding.widths[0]!.from === result.widths.from &&
    finding.widths[0]!.to === result.widths.to;
  const widths = everywhere ? 'every width' : `${printWidths(finding.widths)} px`;
  const shown = finding.states.filter((state) => state !== 'normal');
  const state = shown.length === 0 ? '' : `  ${finding.states.join(', ')}`;
  const head = `  ${paint(weight.padEnd(7))}  ${colours.bold(finding.check)}  ${widths}${state}${criteria ? `  ${colours.dim(criteria)}` : ''}`;
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
  if (finding.menus.length > 1) lines.push(row('also', `in ${finding.menus.slice(1).join(', ')}`));
  return lines.join('\n');
}

function limitsPart({ limits, crashed }: AuditResult, terminal: Terminal): string {
  const { colours, columns } = terminal;
  const told = limits.filter((limit) => limit.kind !== 'repaired' && limit.kind !== 'unknown');
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

function summary({ findings, checks, menus, rungs, limits }: AuditResult, terminal: Terminal): string {
  const { colours, columns } = terminal;
  const unseen = limits.filter(asksForLook).length;
  // A page on which nothing was judged is not one without faults.
  const open = unseen > 0 ? colours.magenta(` ${plural(unseen, 'part')} to look at.`) : '';
  const counted =
    menus.length === 0 && findings.length === 0
      ? colours.yellow('No menu was found, so none was judged.')
      : countedFindings(findings, terminal);
  const scope = `${plural(checks.length, 'check')}, ${plural(menus.length, 'menu')}, ${plural(rungs.length, 'rung')}.`;
  return wrapAnsi(`${colours.bold(counted)}${open} ${colours.dim(scope)}`, columns);
}
