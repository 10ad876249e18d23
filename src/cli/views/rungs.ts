import { grouped } from '../../core/index.js';
import type { LadderResult, LadderRung } from '../../core/index.js';
import { harmless, type Terminal } from '../terminal.js';
import { indent, plural } from './layout.js';

/** The ladder rung by rung, the widest at the top as a ladder stands, then the seams. */
export function rungsView(result: LadderResult, terminal: Terminal): string {
  const { colours } = terminal;
  const head = `${colours.bold(harmless(result.page))}  ${plural(result.rungs.length, 'rung')}`;
  const rungs = [...result.rungs].reverse().map((rung) => rungView(rung, result, terminal));
  return `${[head, ...rungs, seamsPart(result, terminal)].filter((part) => part !== '').join('\n\n')}\n`;
}

const formText = ([low, high]: readonly [string, string]): string =>
  low === high ? low : `${low} at its lower end, ${high} at its upper`;

function rungView(rung: LadderRung, result: LadderResult, terminal: Terminal): string {
  const { colours, columns } = terminal;
  const idle =
    rung.starts.length > 0 && rung.touches.length === 0 ? colours.dim('  nothing changes for a menu here') : '';
  const lines = [`${colours.bold(`${rung.from}–${rung.to} px`)}${idle}`];
  for (const menu of result.menus) {
    const changed = rung.touches.includes(menu.id) ? '' : colours.dim('  as below');
    lines.push(
      indent(
        `${colours.cyan(menu.id)} ${harmless(menu.label)}: ${formText(rung.forms[menu.id]!)}${rung.starts.length > 0 ? changed : ''}`,
        2,
        columns,
      ),
    );
  }
  const byCondition = grouped(
    rung.starts,
    ({ condition, change }) => `${change === 'begins' ? 'begins with' : 'begins at the end of'} ${condition}`,
  );
  for (const [words, starts] of byCondition) {
    const more = starts.length > 3 ? ` and ${starts.length - 3} more` : '';
    const places = starts.slice(0, 3).map(({ place }) => place);
    lines.push(indent(colours.dim(`${harmless(words)}  ${places.join(', ')}${more}`), 2, columns));
  }
  return lines.join('\n');
}

const SEAMS = {
  gap: (from: number, to: number) => `between ${from} and ${to} px neither of two neighbouring conditions holds`,
  fraction: (from: number, to: number) =>
    `at fractional widths between ${from} and ${to} px (zoomed pages) neither of two conditions holds`,
  overlap: (from: number, to: number) =>
    from === to
      ? `at ${from} px both of two neighbouring conditions hold`
      : `from ${from} to ${to} px both of two neighbouring conditions hold`,
} as const;

function seamsPart({ seams }: LadderResult, { colours, columns }: Terminal): string {
  if (seams.length === 0) return '';
  const lines = seams.map((seam) => {
    const whom = seam.touches.length > 0 ? `, for ${seam.touches.join(', ')}` : ', for no menu';
    const both = colours.dim(
      `${harmless(seam.lower.condition)}  ${seam.lower.place}\n${harmless(seam.upper.condition)}  ${seam.upper.place}`,
    );
    return `${indent(`${colours.yellow(seam.kind)}  ${SEAMS[seam.kind](seam.from, seam.to)}${whom}`, 2, columns)}\n${indent(both, 4, columns)}`;
  });
  return `${colours.bold('Seams')}  ${colours.dim('neighbouring conditions that do not meet')}\n${lines.join('\n')}`;
}
