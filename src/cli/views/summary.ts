import wrapAnsi from 'wrap-ansi';
import { WEIGHTS, type AuditResult, type Finding, type Weight } from '../../core/index.js';
import type { Terminal } from '../terminal.js';
import { plural } from './layout.js';

export const WEIGHT_PAINT: Readonly<Record<Weight, 'red' | 'yellow' | 'magenta'>> = {
  blocks: 'red',
  hinders: 'yellow',
  polish: 'magenta',
};

/** `9 findings: 2 block, 6 hinder, 1 to look at.` */
export function countedFindings(findings: readonly Finding[], { colours }: Pick<Terminal, 'colours'>): string {
  const faults = findings.filter((f) => f.verdict === 'fault');
  const worded = WEIGHTS.flatMap((weight) => {
    const count = faults.filter((f) => f.weight === weight).length;
    const word = weight === 'polish' ? 'to polish' : count === 1 ? weight : weight.replace(/s$/, '');
    return count > 0 ? [colours[WEIGHT_PAINT[weight]](`${count} ${word}`)] : [];
  });
  const looks = findings.length - faults.length;
  if (looks > 0) worded.push(colours.magenta(`${looks} to look at`));
  return worded.length > 0
    ? `${plural(findings.length, 'finding')}: ${worded.join(', ')}.`
    : colours.green('No findings.');
}

/** One line over all pages of a run. */
export function runSummary(results: readonly AuditResult[], failed: number, terminal: Terminal): string {
  const { colours, columns } = terminal;
  const all = results.flatMap((result) => result.findings);
  const faulty = results.filter((result) => result.findings.length > 0).length;
  const parts = [
    `${plural(results.length + failed, 'page')}: ${faulty} with findings, ${results.length - faulty} without`,
    ...(failed > 0 ? [colours.red(`${failed} could not be audited`)] : []),
  ];
  return wrapAnsi(`${colours.bold('All pages')}  ${parts.join(', ')}. ${countedFindings(all, terminal)}`, columns);
}
