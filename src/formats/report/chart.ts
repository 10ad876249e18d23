import { scaleLinear } from 'd3-scale';
import { wordOf } from '../../core/index.js';
import type { AuditResult, Finding, Range } from '../../core/index.js';
import { inert } from '../format.js';
import { group, shape, toXml, type Shape } from '../drawing/xml.js';

const WIDTH = 960;
const LEFT = 190;
const RIGHT = 16;
const ROW = 26;
const AXIS = 34;
/** More bars make no picture. */
export const MOST_BARS = 80;
const CHARACTER = 7;

export interface Bar {
  /** Number of the finding in the report. */
  readonly number: number;
  readonly finding: Finding;
}

type Scale = (value: number) => number;

/** Widths along the top, the forms of each menu as bands, each finding a bar over its widths. */
export function ladderChart(page: AuditResult, bars: readonly Bar[]): string {
  const { widths, menus, rungs } = page;
  const x = scaleLinear([widths.from, widths.to + 1], [LEFT, WIDTH - RIGHT]);
  const shown = bars.slice(0, MOST_BARS);
  const rows = [...menus.map((menu) => formRow(menu, rungs, x)), ...shown.map((bar) => barRow(bar, x))];
  const height = AXIS + rows.length * ROW + 8;
  const lines = ticks(rungs, widths, x).map(({ at }) =>
    shape('line', { x1: at, x2: at, y1: AXIS - 6, y2: height - 4, class: 'grid' }),
  );
  const root = shape(
    'svg',
    {
      xmlns: 'http://www.w3.org/2000/svg',
      viewBox: `0 0 ${WIDTH} ${height}`,
      width: WIDTH,
      height,
      class: 'chart',
      'aria-labelledby': 'chart-title',
    },
    [
      shape('title', { id: 'chart-title' }, ['Findings and forms of the menus by width of the screen']),
      ...lines,
      ...ticks(rungs, widths, x).map(({ at, text, anchor }) =>
        shape('text', { x: at, y: 16, class: 'tick', 'text-anchor': anchor }, [text]),
      ),
      ...rows.map((row, i) => group([row], { transform: `translate(0 ${AXIS + i * ROW})` })),
    ],
  );
  return toXml(root).replace(/^<\?xml[^>]*\?>\s*/, '');
}

/** Where rungs begin, as far as their numbers have room. */
function ticks(
  rungs: AuditResult['rungs'],
  { from, to }: Range,
  x: Scale,
): readonly { at: number; text: string; anchor: string }[] {
  const out: { at: number; text: string; anchor: string }[] = [];
  const last = { at: x(to + 1), text: `${to} px`, anchor: 'end' };
  for (const px of [from, ...rungs.slice(1).map((rung) => rung.from)]) {
    const at = x(px);
    const room = out.length === 0 || at - out[out.length - 1]!.at > 40;
    if (room && last.at - at > 70) out.push({ at, text: String(px), anchor: out.length === 0 ? 'start' : 'middle' });
  }
  return [...out, last];
}

const cut = (text: string, room: number): string =>
  text.length * CHARACTER <= room ? text : `${text.slice(0, Math.max(1, Math.floor(room / CHARACTER) - 1))}…`;

const label = (text: string): Shape =>
  shape('text', { x: LEFT - 10, y: 17, class: 'label', 'text-anchor': 'end' }, [cut(inert(text), LEFT - 14)]);

function formRow({ id, label: name }: AuditResult['menus'][number], rungs: AuditResult['rungs'], x: Scale): Shape {
  const bands: { from: number; to: number; form: string }[] = [];
  for (const { from, to, forms } of rungs) {
    const [low, high] = forms[id]!;
    const form = low === high ? low : `${low} → ${high}`;
    const before = bands[bands.length - 1];
    if (before && before.form === form && before.to === from - 1) before.to = to;
    else bands.push({ from, to, form });
  }
  return group([
    label(name),
    ...bands.flatMap(({ from, to, form }) => {
      const width = x(to + 1) - x(from);
      return [
        shape('rect', {
          x: x(from),
          y: 2,
          width: Math.max(1, width - 1),
          height: ROW - 5,
          rx: 2,
          class: `form ${form === 'none' ? 'gone' : ''}`.trim(),
        }),
        ...(width > form.length * CHARACTER + 8
          ? [shape('text', { x: x(from) + 6, y: 17, class: 'form-text' }, [form])]
          : []),
      ];
    }),
  ]);
}

function barRow({ number, finding }: Bar, x: Scale): Shape {
  const bars = finding.widths.map(({ from, to }) =>
    shape('rect', {
      x: x(from),
      y: 5,
      width: Math.max(3, x(to + 1) - x(from) - 1),
      height: ROW - 11,
      rx: 3,
      class: `bar ${wordOf(finding)}`,
    }),
  );
  return shape('a', { href: `#f${number}` }, [
    shape('title', {}, [
      `${number}. ${finding.check}, ${finding.widths.map(({ from, to }) => `${from} to ${to} px`).join(', ')}`,
    ]),
    shape('rect', { x: 0, y: 0, width: WIDTH, height: ROW, class: 'hit' }),
    label(`${finding.check}  ${number}`),
    ...bars,
  ]);
}
