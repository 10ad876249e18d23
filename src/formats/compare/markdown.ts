import { formatPosition, printWidths, type SharedFinding, wordOf } from '../../core/index.js';
import { mendedAt, widthsText } from '../format.js';
import { code, plain } from '../markdown.js';
import { comparisonCounts, type ToldComparison } from './told.js';

const MOST = 40;

const line = ({ finding, pages }: SharedFinding): string => {
  const at = mendedAt(finding);
  return `- **${finding.check}** (${wordOf(finding)}, ${widthsText(finding)}): ${plain(finding.says)}${at ? ` ${code(formatPosition(at))}` : ''}${pages.length > 1 ? ` on ${pages.length} pages` : ''}`;
};

function section(title: string, lines: readonly string[]): string[] {
  if (lines.length === 0) return [];
  const more = lines.length > MOST ? [`- and ${lines.length - MOST} more`] : [];
  return [`### ${title}\n\n${[...lines.slice(0, MOST), ...more].join('\n')}`];
}

/** A comparison for a pull request. @spec CommonMark 0.31 */
export function comparisonMarkdown(told: ToldComparison, before: string, after: string): string {
  return `${[
    '## Navigation menus, before and after',
    `${code(before)} → ${code(after)}: ${comparisonCounts(told)}.`,
    ...section('New', told.fresh.map(line)),
    ...section('Cleared', told.cleared.map(line)),
    ...section(
      'At other widths',
      told.moved.map(
        ({ before: was, after: is }) =>
          `- **${is.check}**: ${printWidths(was.widths)} px → ${printWidths(is.widths)} px: ${plain(is.says)}`,
      ),
    ),
    ...section('Still there', told.still.map(line)),
  ].join('\n\n')}\n`;
}
