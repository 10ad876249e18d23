import { scaleLinear } from 'd3-scale';
import { wordOf } from '../../core/index.js';
import type { AuditedMenu, AuditedRung, Finding, Range } from '../../core/index.js';
import { harmless, type Terminal } from '../terminal.js';
import { cut } from './layout.js';

/** What a chart is made of: one page's rungs and menus, and findings with their numbers. */
export interface Charted {
  readonly widths: Range;
  readonly menus: readonly AuditedMenu[];
  readonly rungs: readonly AuditedRung[];
  readonly findings: readonly { readonly number: number; readonly finding: Finding }[];
}

/** Columns for names at the left, on a wide terminal and on a narrow one. */
const NAMES = 24;
const FEWER = 16;
const MOST_FINDINGS = 40;

/** What bars and bands are drawn with; letters of ASCII where the terminal knows no others. */
const INK = {
  fine: { blocks: '▆', hinders: '▄', polish: '▂', look: '┄', cut: '│', line: '─', more: '…', to: '–' },
  plain: { blocks: '#', hinders: '=', polish: '-', look: '?', cut: '|', line: '.', more: '~', to: '-' },
} as const;

type Ink = (typeof INK)[keyof typeof INK];

/** Widths along the top, forms of the menus as bands, each finding a bar over its widths. */
export function chartView({ widths, menus, rungs, findings }: Charted, terminal: Terminal): string {
  const { colours, columns, plain } = terminal;
  const ink: Ink = plain ? INK.plain : INK.fine;
  const names = columns < 76 ? FEWER : NAMES;
  const room = Math.max(20, columns - names - 3);
  const scale = scaleLinear([widths.from, widths.to + 1], [0, room]);
  const x = (px: number): number => Math.max(0, Math.min(room, Math.round(scale(px))));
  const name = (text: string): string => `  ${cut(harmless(text), names - 1, ink.more).padEnd(names)} `;
  const lines = [colours.dim(`${name('px')}${axis(rungs, widths, x, room)}`)];
  for (const menu of menus) lines.push(`${name(`${menu.id} ${menu.label}`)}${forms(menu.id, rungs, x, ink)}`);
  for (const { number, finding } of findings.slice(0, MOST_FINDINGS)) {
    const word = wordOf(finding);
    const bar = barOf(finding.widths, x, room, ink[word]);
    lines.push(`${name(`${String(number).padStart(2)} ${finding.check}`)}${terminal.paint(word)(bar)}`);
  }
  if (findings.length > MOST_FINDINGS)
    lines.push(`${name('')}${colours.dim(`and ${findings.length - MOST_FINDINGS} more findings`)}`);
  const key = (['blocks', 'hinders', 'polish', 'look'] as const)
    .map((word) => `${ink[word].repeat(2)} ${word}`)
    .join('  ');
  if (findings.length > 0) lines.push(colours.dim(`  ${key}`));
  return lines.map((line) => line.trimEnd()).join('\n');
}

/** Numbers of px where rungs begin, as far as they have room. */
function axis(rungs: readonly AuditedRung[], { from, to }: Range, x: (px: number) => number, room: number): string {
  const last = String(to);
  let out = '';
  for (const px of [from, ...rungs.slice(1).map((rung) => rung.from)]) {
    const at = x(px);
    const text = String(px);
    if ((out === '' || at > out.length + 1) && at + text.length + 1 < room - last.length) out = out.padEnd(at) + text;
  }
  return `${out.padEnd(room - last.length)}${last}`;
}

function forms(id: string, rungs: readonly AuditedRung[], x: (px: number) => number, ink: Ink): string {
  const bands: { from: number; to: number; form: string }[] = [];
  for (const { from, to, forms: all } of rungs) {
    const [low, high] = all[id]!;
    const form = low === high ? low : `${low}/${high}`;
    const before = bands[bands.length - 1];
    if (before && before.form === form) before.to = to;
    else bands.push({ from, to, form });
  }
  return bands
    .map(({ from, to, form }, i) => {
      const width = x(to + 1) - x(from);
      if (width <= 0) return '';
      const edge = i === 0 ? '' : ink.cut;
      const inner = width - edge.length;
      const text = form === 'none' ? '' : cut(form, inner, ink.more);
      return `${edge}${text}${(form === 'none' ? ' ' : ink.line).repeat(Math.max(0, inner - text.length))}`;
    })
    .join('');
}

function barOf(widths: readonly Range[], x: (px: number) => number, room: number, mark: string): string {
  const cells = Array.from({ length: room }, () => ' ');
  for (const { from, to } of widths) {
    const start = Math.min(room - 1, x(from));
    for (let i = start; i < Math.max(start + 1, x(to + 1)); i++) cells[i] = mark;
  }
  return cells.join('');
}
