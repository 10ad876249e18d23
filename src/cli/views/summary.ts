import wrapAnsi from 'wrap-ansi';
import { grouped, printWidths, WEIGHTS, type Finding } from '../../core/index.js';
import { mendedAt } from '../../formats/index.js';
import { harmless, type Terminal } from '../terminal.js';
import { plural } from './layout.js';

/** `9 findings: 2 block, 6 hinder, 1 to look at.` */
export function countedFindings(
  findings: readonly Pick<Finding, 'verdict' | 'weight'>[],
  { colours, paint }: Pick<Terminal, 'colours' | 'paint'>,
): string {
  const faults = findings.filter((f) => f.verdict === 'fault');
  const worded = WEIGHTS.flatMap((weight) => {
    const count = faults.filter((f) => f.weight === weight).length;
    const word = weight === 'polish' ? 'to polish' : count === 1 ? weight : weight.replace(/s$/, '');
    return count > 0 ? [paint(weight)(`${count} ${word}`)] : [];
  });
  const looks = findings.length - faults.length;
  if (looks > 0) worded.push(paint('look')(`${looks} to look at`));
  return worded.length > 0
    ? `${plural(findings.length, 'finding')}: ${worded.join(', ')}.`
    : colours.green('No findings.');
}

const MOST_NUMBERS = 6;

/** Two lines: what matters most, and where to begin: the file in which most of it can be mended. @param findings the heaviest first */
export function mattersMost(
  findings: readonly { readonly number: number; readonly finding: Finding }[],
  { colours, columns }: Terminal,
): string {
  const faults = findings.filter(({ finding }) => finding.verdict === 'fault');
  const [first] = faults;
  if (!first) return '';
  const { finding, number } = first;
  const line = (word: string, text: string) => wrapAnsi(`${colours.bold(word)} ${text}`, columns);
  const most = line(
    'Matters most:',
    `${number} ${finding.check}, ${printWidths(finding.widths)} px: ${harmless(finding.says)}`,
  );
  const counted = faults.filter((fault) => fault.finding.weight !== 'polish' || finding.weight === 'polish');
  const files = grouped(counted, (fault) => mendedAt(fault.finding)?.file);
  files.delete(undefined);
  const [file, own] = [...files].sort((a, b) => b[1].length - a[1].length)[0] ?? [];
  if (!own || faults.length === 1) return `${most}\n${line('Begin with:', harmless(finding.mends))}`;
  const numbers = own.slice(0, MOST_NUMBERS).map((one) => one.number);
  const shown = `${numbers.join(', ')}${own.length > MOST_NUMBERS ? ' …' : ''}`;
  return `${most}\n${line('Begin in:', `${harmless(file!)}, where ${plural(own.length, 'finding')} (${shown}) can be mended. ${own[0]!.number}: ${harmless(own[0]!.finding.mends)}`)}`;
}
