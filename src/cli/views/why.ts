import { formatPosition, type WhyBand, type WhyEntry, type WhyResult } from '../../core/index.js';
import { harmless, type Terminal } from '../terminal.js';
import { indent } from './layout.js';

/** The story of one value, band by band: what wins, what loses and why, what does not count here. */
export function whyView(result: WhyResult, terminal: Terminal): string {
  const { colours, columns } = terminal;
  const { element, property, pose } = result;
  const at = element.at ? `  ${colours.dim(formatPosition(element.at))}` : '';
  const head = indent(
    `${colours.bold(property)} of ${harmless(element.selector)}${pose === 'closed' ? '' : `, ${harmless(pose)}`}${at}`,
    0,
    columns,
  );
  return `${head}\n\n${result.bands.map((band) => bandView(band, terminal)).join('\n\n')}\n`;
}

function bandView(band: WhyBand, terminal: Terminal): string {
  const { colours, columns } = terminal;
  const widths = band.from === band.to ? `${band.from} px` : `${band.from}–${band.to} px`;
  const from = band.inheritedFrom ? `, inherited from ${harmless(band.inheritedFrom.selector)}` : '';
  const source = band.source === 'initial' ? ', the initial value: no declaration counts here' : from;
  const lines = [indent(`${widths}  ${colours.bold(harmless(band.value))}${source}`, 0, columns)];
  for (const entry of band.entries) lines.push(entryLines(entry, terminal));
  for (const variable of band.variables) {
    const where = variable.place ? `set on ${harmless(variable.on!)} at ${variable.place}` : 'set nowhere';
    lines.push(
      indent(
        colours.dim(
          `${harmless(variable.name)} is ${variable.value === null ? 'nothing' : `“${harmless(variable.value)}”`}, ${where}`,
        ),
        2,
        columns,
      ),
    );
  }
  return lines.join('\n');
}

const WORDS: Readonly<Record<WhyEntry['fate'], string>> = {
  wins: 'wins',
  loses: 'loses',
  yields: 'yields',
  passed: 'passed',
  idle: 'idle',
  invalid: 'dropped',
};

/** The rule on one line; its place, weight and why it does not count on the next. */
function entryLines(entry: WhyEntry, { colours, columns }: Terminal): string {
  const paint = entry.fate === 'wins' ? colours.green : entry.fate === 'invalid' ? colours.red : colours.dim;
  const text = `${entry.text}${entry.important ? ' !important' : ''}`;
  const own = entry.selector?.endsWith('attribute') ? `${entry.selector}: ${text}` : `${entry.selector} { ${text} }`;
  const facts = [
    entry.place ?? 'browser default',
    entry.layer ? `layer ${entry.layer}` : '',
    `specificity ${entry.specificity.join('-')}`,
  ];
  const because = entry.because === '' ? [] : [entry.because];
  const first = `${paint(WORDS[entry.fate].padEnd(7))}  ${harmless(entry.selector === null ? text : own)}`;
  const second = `${colours.dim(facts.filter((f) => f !== '').join('  '))}${because.map((b) => `  ${harmless(b)}`).join('')}`;
  return `${indent(first, 2, columns)}\n${indent(second, 11, columns)}`;
}
