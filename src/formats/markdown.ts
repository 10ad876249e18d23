import { formatPosition, SharedFindings, type AuditResult, type SharedFinding, wordOf, WORDS } from '../core/index.js';
import { criteriaText, inert, mendedAt, widthsText, type Format } from './format.js';

/** More findings are counted, not told: a comment has an end. */
const MOST = 50;
const MOST_PAGES = 5;

/** Text of a page as text in Markdown: no markup, no links, no mentions. */
export const plain = (text: string): string =>
  inert(text)
    .replace(/[\\`*_[\]|~<>&$]/g, (c) => (c === '<' ? '&lt;' : c === '>' ? '&gt;' : c === '&' ? '&amp;' : `\\${c}`))
    .replace(/@(?=[\w-])/g, '@\u200b')
    .replace(/(https?):\/\//gi, '$1:\u200b//');

/** Code that no back tick of its own can end. */
export function code(text: string): string {
  const inner = inert(text);
  const fence = '`'.repeat(Math.max(0, ...[...inner.matchAll(/`+/g)].map((m) => m[0].length)) + 1);
  return fence.length > 1 || inner.startsWith('`') ? `${fence} ${inner} ${fence}` : `${fence}${inner}${fence}`;
}

function itemOf({ finding, pages }: SharedFinding): string {
  const at = mendedAt(finding);
  const criteria = criteriaText(finding);
  const shown = pages.slice(0, MOST_PAGES).map(code).join(', ');
  const where = pages.length > MOST_PAGES ? `${shown} and ${pages.length - MOST_PAGES} more pages` : shown;
  return [
    `- **${finding.check}** (${wordOf(finding)}, ${widthsText(finding)}${criteria ? `, ${criteria}` : ''}): ${plain(finding.says)}`,
    `  - mend: ${plain(finding.mends)}`,
    ...(at
      ? [
          `  - at ${code(formatPosition(at))}: ${code(finding.cause ? `${finding.cause.selector ?? ''} { ${finding.cause.text} }`.trim() : finding.places[0]!.selector)}`,
        ]
      : []),
    ...(where ? [`  - on ${where}`] : []),
  ].join('\n');
}

const TITLES: Readonly<Record<string, string>> = {
  blocks: 'Someone cannot get there',
  hinders: 'People get there with trouble',
  polish: 'Worth mending',
  look: 'To look at',
};

/** A summary for a pull request. @spec CommonMark 0.31 */
export const markdown: Format = {
  material: false,
  open: () => {
    const told = new SharedFindings();
    const pages: Pick<AuditResult, 'page' | 'widths' | 'level'>[] = [];
    const crashed: string[] = [];
    let accepted = 0;
    return {
      page: (result) => {
        const { page, widths, level } = result;
        pages.push({ page, widths, level });
        accepted += result.accepted.length;
        for (const finding of result.findings) told.add(finding, page);
        for (const { check, message } of result.crashed)
          crashed.push(`${check} broke off on ${code(page)}: ${plain(message)}`);
      },
      end: ({ across, failures }) => {
        for (const finding of across.findings) told.add(finding, null);
        accepted += across.accepted.length;
        const all = told.list();
        const counted = WORDS.flatMap((word) => {
          const count = all.filter(({ finding }) => wordOf(finding) === word).length;
          return count > 0 ? [`${count} ${word}`] : [];
        });
        const [first] = pages;
        const scope = first
          ? `${pages.length === 1 ? code(first.page) : `${pages.length} pages`}, ${first.widths.from} to ${first.widths.to} px, WCAG 2.2 level ${first.level}`
          : 'No page was audited';
        const sections = WORDS.flatMap((word) => {
          const own = all.filter(({ finding }) => wordOf(finding) === word);
          return own.length > 0
            ? [
                `### ${TITLES[word]}\n\n${own.slice(0, MOST).map(itemOf).join('\n')}${own.length > MOST ? `\n- and ${own.length - MOST} more` : ''}`,
              ]
            : [];
        });
        const lost = [
          ...failures.map(({ name, message }) => `${code(name)} was not audited: ${plain(message)}`),
          ...crashed,
        ];
        return `${[
          '## Navigation menus',
          `${scope}. ${all.length === 0 ? 'No findings.' : `${all.length} ${all.length === 1 ? 'finding' : 'findings'}: ${counted.join(', ')}.`}${accepted > 0 ? ` ${accepted} accepted.` : ''}`,
          ...sections,
          ...(lost.length > 0 ? [`### Not audited\n\n${lost.map((line) => `- ${line}`).join('\n')}`] : []),
        ].join('\n\n')}\n`;
      },
    };
  },
};
