import wrapAnsi from 'wrap-ansi';
import { WORDS } from '../../core/index.js';
import type { Run, PageLine } from '../audit/run.js';
import { harmless, type Terminal } from '../terminal.js';
import { findingView, type Numbered } from './audit.js';
import { indent, plural } from './layout.js';
import { countedFindings, mattersMost } from './summary.js';

/** One line for a page of a run of several, as soon as it is done. */
export function pageLine({ page, counts, menus, crashed }: PageLine, { colours, paint }: Terminal): string {
  const told = WORDS.flatMap((word) => (counts[word] ? [paint(word)(`${counts[word]} ${word}`)] : []));
  const found =
    told.length > 0 ? told.join(', ') : menus.length === 0 ? colours.yellow('no menu') : colours.green('clean');
  return `  ${harmless(page)}  ${found}${crashed > 0 ? colours.red(`  ${plural(crashed, 'check')} broke off`) : ''}`;
}

/** All pages of a run: what they have in common is told once, with the pages that have it. */
export function runView(run: Run, terminal: Terminal): string {
  const { colours } = terminal;
  const range = run.pages[0]?.widths ?? { from: 0, to: 0 };
  const numbered: Numbered[] = [...run.shared.map(({ finding }) => finding), ...run.across.findings].map(
    (finding, i) => ({ number: i + 1, finding }),
  );
  const pagesOf = (i: number) => run.shared[i]?.pages ?? [];
  const told = numbered.map((one, i) => findingView(one, range, terminal, pagesOf(i)));
  const parts = [
    ...(told.length > 0
      ? [`${colours.bold('Findings')}  ${colours.dim('each once, with the pages that have it')}\n${told.join('\n\n')}`]
      : []),
    limitsPart(run, terminal),
    [mattersMost(numbered, terminal), runSummary(run, terminal)].filter((part) => part !== '').join('\n'),
  ];
  return `${parts.filter((part) => part !== '').join('\n\n')}\n`;
}

const MOST_LIMITS = 12;

function limitsPart({ limits, across }: Run, { colours, columns }: Terminal): string {
  const all = [...limits].sort((a, b) => b[1] - a[1]);
  const lines = [
    ...across.crashed.map(({ check, message }) => `${check} broke off: ${message}`),
    ...all.slice(0, MOST_LIMITS).map(([text, count]) => `${text}${count > 1 ? ` (on ${count} pages)` : ''}`),
    ...(all.length > MOST_LIMITS ? [`and ${all.length - MOST_LIMITS} more; --json lists them`] : []),
  ];
  if (lines.length === 0) return '';
  return `${colours.bold('Not taken into account')}\n${lines.map((line) => indent(harmless(line), 2, columns)).join('\n')}`;
}

/** One line over all pages of a run. */
function runSummary({ pages, shared, across, failures, accepted }: Run, terminal: Terminal): string {
  const { colours, columns } = terminal;
  const faulty = pages.filter(({ counts }) => Object.values(counts).some((count) => count > 0)).length;
  const failed = failures.length;
  const parts = [
    `${plural(pages.length + failed, 'page')}: ${faulty} with findings, ${pages.length - faulty} without`,
    ...(failed > 0 ? [colours.red(`${failed} could not be audited`)] : []),
  ];
  const all = [...shared.map(({ finding }) => finding), ...across.findings];
  return wrapAnsi(
    `${colours.bold('All pages')}  ${parts.join(', ')}. ${countedFindings(all, terminal)}${accepted > 0 ? ` ${accepted} accepted.` : ''}`,
    columns,
  );
}
