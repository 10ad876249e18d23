import wrapAnsi from 'wrap-ansi';
import { printWidths, WEIGHTS, type Finding, type Weight } from '../../core/index.js';
import { harmless, type Terminal } from '../terminal.js';
import { plural } from './layout.js';

export type Word = Weight | 'look';

/** `hinders`, or `look` where a person has to judge. */
export const findingWord = ({ verdict, weight }: Pick<Finding, 'verdict' | 'weight'>): Word =>
  verdict === 'look' ? 'look' : weight;

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

/** Two lines: what matters most, and where to begin: the declaration or element behind most of what weighs most. */
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
  const files = new Map<string, number[]>();
  for (const {
    number: own,
    finding: { weight, cause, places },
  } of faults) {
    if (weight === 'polish' && finding.weight !== 'polish') continue;
    const file = cause?.at.file ?? places[0]!.at?.file;
    if (file !== undefined) files.set(file, [...(files.get(file) ?? []), own]);
  }
  const [file, numbers] = [...files].sort((a, b) => b[1].length - a[1].length)[0] ?? [];
  if (file === undefined || faults.length === 1) return `${most}\n${line('Begin with:', harmless(finding.mends))}`;
  const shown = numbers!.slice(0, 6).join(', ');
  return `${most}\n${line('Begin in:', `${harmless(file)}, where ${plural(numbers!.length, 'finding')} (${shown}${numbers!.length > 6 ? ' …' : ''}) can be mended; first: ${harmless(finding.mends)}`)}`;
}
