import Table from 'cli-table3';
import wrapAnsi from 'wrap-ansi';
import {
  asksForLook,
  formatPosition,
  printWidths,
  type LinkBand,
  type LinkRow,
  type LinksResult,
} from '../../core/index.js';
import { harmless, type Terminal } from '../terminal.js';
import { cut, indent, NO_LINES, PLAIN_STYLE, plural } from './layout.js';

/** Destinations against widths: what differs stands out, in words where there is no colour. */
export function linksView(result: LinksResult, terminal: Terminal): string {
  const { colours } = terminal;
  const head = `${colours.bold(harmless(result.page))}  ${plural(result.links.length, 'destination')} of its menus`;
  const parts = [
    head,
    ...(result.links.length > 0 ? [tablePart(result, terminal)] : []),
    ...withoutPart(result, terminal),
    ...limitsPart(result, terminal),
    wrapAnsi(colours.bold(linksSummary(result)), terminal.columns),
  ];
  return `${parts.join('\n\n')}\n`;
}

function tablePart({ bands, links }: LinksResult, { colours, columns }: Terminal): string {
  const head = ['', ...bands.map((band) => `${printWidths([band])} px`), 'crawler', 'target'];
  const cells = links.map((row) => [
    ...row.bands.map(wordOf),
    row.crawler ? 'yes' : row.rel.includes('nofollow') ? 'nofollow' : 'no',
    targetOf(row),
  ]);
  const taken = head
    .slice(1)
    .reduce((sum, title, i) => sum + 2 + Math.max(title.length, ...cells.map((c) => c[i]!.length)), 4);
  const room = Math.max(18, columns - taken);
  const table = new Table({ head, style: PLAIN_STYLE, chars: NO_LINES });
  links.forEach((row, r) => {
    const name = cut(harmless(row.names[0] || '(no words)'), Math.ceil(room / 2) - 1);
    const address = cutLeft(harmless(row.address), room - name.length - 2);
    table.push([`${name}  ${colours.dim(address)}`, ...cells[r]!.map((text) => paint(text, colours))]);
  });
  return table
    .toString()
    .split('\n')
    .map((line) => line.trimEnd())
    .join('\n');
}

/** The end of an address tells more than its beginning. */
const cutLeft = (text: string, room: number): string =>
  text.length <= room ? text : `…${text.slice(text.length - Math.max(1, room - 1))}`;

/** `shown` or `opens` for everyone, else who is left out. */
function wordOf({ form, keyboard, touch }: LinkBand): string {
  if (form === 'none') return keyboard || touch ? 'not by mouse' : 'NOT THERE';
  const out = [...(keyboard ? [] : ['keyboard']), ...(touch ? [] : ['touch'])];
  return out.length === 0 ? form : `no ${out.join(', ')}`;
}

function targetOf({ target, fragment }: LinkRow): string {
  if (fragment === 'missing') return 'NO SUCH PART';
  if (target === 'missing') return 'NO SUCH PAGE';
  return fragment === 'there' ? 'on this page' : target === 'other-site' ? 'other site' : target;
}

function paint(text: string, colours: Terminal['colours']): string {
  if (/^(NOT|NO) /.test(text)) return colours.red(text);
  if (/^no/.test(text)) return colours.yellow(text);
  return text === 'shown' || text === 'yes' || text === 'there' ? text : colours.dim(text);
}

function withoutPart({ without }: LinksResult, { colours, columns }: Terminal): string[] {
  if (without.length === 0) return [];
  const lines = without.map(({ name, href, at }) =>
    indent(
      `“${harmless(name)}”  ${href === null ? 'no address' : harmless(href) || 'an empty address'}${at ? colours.dim(`  ${formatPosition(at)}`) : ''}`,
      2,
      columns,
    ),
  );
  return [`${colours.bold('Items that lead nowhere by themselves')}\n${lines.join('\n')}`];
}

function limitsPart({ limits }: LinksResult, { colours, columns }: Terminal): string[] {
  const told = limits.filter(asksForLook);
  if (told.length === 0) return [];
  return [
    `${colours.bold('To look at')}\n${told.map(({ subject, consequence }) => indent(`${harmless(subject)}: ${harmless(consequence)}`, 2, columns)).join('\n')}`,
  ];
}

/** One line to paste: how many destinations, and which of them not everyone gets to. */
function linksSummary({ page, links, without, bands }: LinksResult): string {
  const names = (rows: readonly LinkRow[]) => {
    const shown = rows.slice(0, 3).map(({ names: [name], address }) => harmless(name || address));
    return `${rows.length} (${shown.join(', ')}${rows.length > 3 ? ' …' : ''})`;
  };
  const lacking = (test: (band: LinkBand) => boolean) => links.filter((row) => row.bands.some(test));
  const told = [
    ['not there at some width', lacking(({ form, keyboard, touch }) => form === 'none' && !keyboard && !touch)],
    ['not by keyboard', lacking(({ form, keyboard }) => form !== 'none' && !keyboard)],
    ['not by touch', lacking(({ form, touch }) => form !== 'none' && !touch)],
    ['not for crawlers', links.filter(({ crawler }) => !crawler)],
    ['not with scripts off', links.filter((row) => !row.scriptsOff && row.bands.some(({ form }) => form !== 'none'))],
    ['without a page or part', links.filter(({ target, fragment }) => target === 'missing' || fragment === 'missing')],
  ] as const;
  const parts = told.filter(([, rows]) => rows.length > 0).map(([word, rows]) => `${names(rows)} ${word}`);
  const dead = without.length > 0 ? [`${plural(without.length, 'item')} without an address`] : [];
  const range = bands.length > 0 ? ` from ${bands[0]!.from} to ${bands[bands.length - 1]!.to} px` : '';
  const all = [...parts, ...dead];
  return `${harmless(page)}: ${plural(links.length, 'destination')}${all.length > 0 ? `; ${all.join('; ')}` : links.length > 0 ? `, everyone gets to all of them${range}` : ''}.`;
}
