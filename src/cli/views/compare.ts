import wrapAnsi from 'wrap-ansi';
import { formatPosition, printWidths, type Finding, type SharedFinding, wordOf } from '../../core/index.js';
import { comparisonCounts, mendedAt, sentences, type ToldComparison } from '../../formats/index.js';
import { harmless, type Terminal } from '../terminal.js';
import { findingView } from './audit.js';
import { indent } from './layout.js';

const MOST_STILL = 20;

/** A finding in a line. */
export function findingLine(finding: Finding, pages: readonly string[], { colours, columns, paint }: Terminal): string {
  const at = mendedAt(finding);
  const place = at ? `  ${colours.dim(formatPosition(at))}` : '';
  const many = pages.length > 1 ? colours.dim(`  on ${pages.length} pages`) : '';
  return indent(
    `${paint(wordOf(finding))(wordOf(finding))}  ${colours.bold(finding.check)}  ${printWidths(finding.widths)} px: ${harmless(sentences(finding.says).title)}${place}${many}`,
    2,
    columns,
  );
}

/** What changed between two runs: new findings in full, the others in a line each. @param brief without those still there */
export function compareView(
  told: ToldComparison,
  before: string,
  after: string,
  terminal: Terminal,
  brief = false,
): string {
  const { colours, columns } = terminal;
  const head = `${colours.bold(harmless(before))} → ${colours.bold(harmless(after))}`;
  const line = ({ finding, pages }: SharedFinding) => findingLine(finding, pages, terminal);
  const part = (title: string, lines: readonly string[], apart = '\n') =>
    lines.length > 0 ? [`${colours.bold(`${title}: ${lines.length}`)}\n${lines.join(apart)}`] : [];
  const range = { from: 0, to: 0 };
  const still = told.still.map(line);
  const shown =
    still.length > MOST_STILL ? [...still.slice(0, MOST_STILL), `  and ${still.length - MOST_STILL} more`] : still;
  const parts = [
    head,
    ...part(
      'New',
      told.fresh.map((one, i) =>
        findingView({ number: i + 1, finding: one.finding }, range, terminal, one.pages.length > 1 ? one.pages : []),
      ),
      '\n\n',
    ),
    ...part('Cleared', told.cleared.map(line)),
    ...part(
      'At other widths',
      told.moved.map(({ before: was, after: is }) =>
        indent(
          `${colours.bold(is.check)}  ${printWidths(was.widths)} px → ${printWidths(is.widths)} px: ${harmless(is.says)}`,
          2,
          columns,
        ),
      ),
    ),
    ...(still.length > 0 && !brief ? [`${colours.bold(`Still there: ${still.length}`)}\n${shown.join('\n')}`] : []),
    wrapAnsi(colours.bold(`${comparisonCounts(told)}.`), columns),
  ];
  return `${parts.join('\n\n')}\n`;
}
