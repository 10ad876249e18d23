import { stringify } from 'csv-stringify/sync';
import { formatPosition, printFigure, type AuditResult, type Finding, wordOf } from '../core/index.js';
import { criteriaText, inert, mendedAt, type Format } from './format.js';

const COLUMNS = [
  'page',
  'weight',
  'check',
  'message',
  'from px',
  'to px',
  'states',
  'poses',
  'criteria',
  'place',
  'label',
  'file',
  'line',
  'column',
  'rule',
  'measured',
  'needed',
  'what is wrong',
  'how to mend it',
  'accepted because',
] as const;

/** A row for each range of widths of each finding. */
function rowsOf(page: string, finding: Finding, reason: string): readonly (readonly (string | number)[])[] {
  const at = mendedAt(finding);
  const { check, message, states, poses, places, cause, measured, needed, says, mends, widths } = finding;
  return widths.map(({ from, to }) => [
    page,
    wordOf(finding),
    check,
    message,
    from,
    to,
    states.join(' '),
    poses.join(', '),
    criteriaText(finding),
    places.map(({ selector }) => selector).join(', '),
    places[0]!.label,
    at?.file ?? '',
    at?.line ?? '',
    at?.column ?? '',
    cause ? `${cause.selector ?? ''} { ${cause.text} } ${formatPosition(cause.at)}`.trim() : '',
    measured ? printFigure(measured) : '',
    needed ? printFigure(needed) : '',
    says,
    mends,
    reason,
  ]);
}

/** Spreadsheets take text that begins like this for a formula, also after blanks. */
const FORMULA = /^[\s\u00a0]*[=+\-@|%\uff1d\uff0b\uff0d\uff20]/;

/** Text of a cell that stays text. */
export const cellText = (value: string | number): string | number => {
  if (typeof value === 'number') return value;
  const text = inert(value);
  return FORMULA.test(text) ? `'${text}` : text;
};

/** A table of findings for spreadsheets and trackers. @spec RFC 4180 */
export const csv: Format = {
  material: false,
  open: () => {
    const parts = [table([COLUMNS])];
    const add = (page: string, { findings, accepted }: Pick<AuditResult, 'findings' | 'accepted'>) => {
      const open = findings.flatMap((finding) => rowsOf(page, finding, ''));
      parts.push(table([...open, ...accepted.flatMap(({ finding, reason }) => rowsOf(page, finding, reason))]));
    };
    return {
      page: (result) => add(result.page, result),
      end: ({ across }) => {
        add('several pages', across);
        return parts.join('');
      },
    };
  },
};

const table = (rows: readonly (readonly (string | number)[])[]): string =>
  rows.length === 0
    ? ''
    : stringify(
        rows.map((row) => row.map(cellText)),
        { record_delimiter: 'windows' },
      );
