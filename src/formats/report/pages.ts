import type { AuditResult, Finding, LinkBand, LinkRow, Stop } from '../../core/index.js';
import { isFaintlyMarked, printWidths } from '../../core/index.js';
import { inert } from '../format.js';
import { group, shape, toXml, type Shape } from '../drawing/xml.js';
import type { PageMaterial, Picture } from './material.js';

/** A picture by its id, and the numbers of the findings that stand in it. */
export interface PictureAt {
  readonly id: string;
  readonly title: string;
  readonly findings: readonly number[];
}

type NumberOf = (finding: Finding) => number | null;

/** What the report shows of one page. */
export function subpageOf(result: AuditResult, material: PageMaterial, index: number, numberOf: NumberOf) {
  const id = `page-${index + 1}`;
  const numbers = result.findings.map(numberOf);
  const pictures = material.pictures.map((picture, i) => pictureView(picture, `${id}-picture-${i + 1}`, numbers));
  return {
    id,
    name: inert(result.page),
    menus: result.menus.map(({ label, kind, items, toggles }) => ({
      label: inert(label),
      kind,
      items: items.length,
      toggles:
        toggles.length === 0 ? 'none' : toggles.map((toggle) => inert(toggle.label) || 'without a name').join(', '),
    })),
    pictures,
    shown: pictures.map(({ id: own, title, findings }): PictureAt => ({ id: own, title, findings })),
    walks: material.walks.map(({ width, stops }) => ({ width, stops: stops.map(stopView) })),
    links: linksView(material),
  };
}

function pictureView(picture: Picture, id: string, numbers: readonly (number | null)[]) {
  const { from, to, width, pose, forms } = picture;
  const title = `${from === to ? from : `${from}–${to}`} px, ${inert(pose)}`;
  const pins = picture.pins.flatMap((pin) =>
    numbers[pin.finding] == null ? [] : [{ ...pin, number: numbers[pin.finding]! }],
  );
  return {
    id,
    title,
    note: `drawn at ${width} px${forms === '' ? '' : `: ${forms}`}`,
    range: `${from}-${to}`,
    findings: [...new Set(pins.map(({ number }) => number))],
    svg: pictureSvg(picture, pins, title),
  };
}

const FLAG = 15;

/** The drawing as a picture that nothing acts in, with the findings' numbers as links upon it. */
export function pictureSvg(
  { wide, high, svg }: Picture,
  pins: readonly (Picture['pins'][number] & { readonly number: number })[],
  title: string,
): string {
  const byBox = new Map<string, { box: Picture['pins'][number]; numbers: number[] }>();
  for (const pin of pins) {
    const key = [pin.x, pin.y, pin.w, pin.h].map(Math.round).join();
    const known = byBox.get(key);
    if (!known) byBox.set(key, { box: pin, numbers: [pin.number] });
    else if (!known.numbers.includes(pin.number)) known.numbers.push(pin.number);
  }
  const marks = [...byBox.values()].map(({ box, numbers }) =>
    markOf(
      box,
      numbers.sort((a, b) => a - b),
      wide,
      high,
    ),
  );
  const root = shape(
    'svg',
    {
      xmlns: 'http://www.w3.org/2000/svg',
      viewBox: `0 0 ${wide} ${high}`,
      width: wide,
      height: high,
      role: 'group',
      'aria-label': `Menus at ${title}`,
    },
    [
      shape('image', {
        href: `data:image/svg+xml;base64,${Buffer.from(svg).toString('base64')}`,
        width: wide,
        height: high,
      }),
      ...marks,
    ],
  );
  return toXml(root).replace(/^<\?xml[^>]*\?>\s*/, '');
}

function markOf(
  { x, y, w, h }: Picture['pins'][number],
  numbers: readonly number[],
  wide: number,
  high: number,
): Shape {
  const text = numbers.length > 1 ? `${numbers[0]!}+${numbers.length - 1}` : String(numbers[0]!);
  const width = Math.max(FLAG, text.length * 6 + 6);
  // On the upper edge, so that what the box holds can be read.
  const left = Math.min(Math.max(0, x + w - width + 4), Math.max(0, wide - width));
  const top = Math.min(Math.max(0, y - FLAG + 4), Math.max(0, high - FLAG));
  return shape('a', { href: `#f${numbers[0]!}`, class: 'pin', 'aria-label': `Finding ${numbers.join(', ')}` }, [
    shape('rect', { x, y, width: w, height: h, class: 'box' }),
    group([
      shape('rect', { x: left, y: top, width, height: FLAG, rx: 3, class: 'flag' }),
      shape('text', { x: left + width / 2, y: top + 11, 'text-anchor': 'middle' }, [text]),
    ]),
  ]);
}

function stopView(stop: Stop) {
  const { role, name, states, seen, mark, contrast, at, keys } = stop;
  const told = keys
    .filter(({ key, does }) => !(key === 'Enter' && does.startsWith('goes to') && role === 'link'))
    .map(({ key, does }) => `${key === ' ' ? 'Space' : key} ${does}`);
  const words = [
    `${role === 'generic' ? 'no role' : role} ${name === '' ? '' : `“${name}”`}`.trim(),
    ...states,
    ...told,
    ...(at ? [`${at.file}:${at.line}`] : []),
  ];
  return {
    text: inert(words.join(', ')),
    faults: [
      ...(name === '' ? ['without a name'] : []),
      ...(seen ? [] : ['cannot be seen']),
      ...(mark.length > 0 ? [] : ['no mark of focus']),
      ...(isFaintlyMarked(stop) ? [`its mark of focus hardly stands out (${contrast}:1)`] : []),
    ],
  };
}

interface Cell {
  readonly text: string;
  readonly bad: boolean;
}

const cell = (text: string, bad = false): Cell => ({ text, bad });

function bandCell({ form, keyboard, touch }: LinkBand): Cell {
  if (form === 'none') return cell('not there', true);
  const out = [...(keyboard ? [] : ['keyboard']), ...(touch ? [] : ['touch'])];
  return out.length === 0 ? cell(form) : cell(`not by ${out.join(' or ')}`, true);
}

function targetCell({ target, fragment }: LinkRow): Cell {
  if (fragment === 'missing') return cell('no such part', true);
  if (target === 'missing') return cell('no such page', true);
  return cell(fragment === 'there' ? 'on this page' : target.replace('-', ' '));
}

function linksView({ links: { bands, links } }: PageMaterial) {
  return {
    heads: ['Item', 'Address', ...bands.map((band) => `${printWidths([band])} px`), 'Crawler', 'Target'],
    rows: links.map((row): readonly Cell[] => [
      cell(inert(row.names[0] || '(no words)')),
      cell(inert(row.address)),
      ...row.bands.map(bandCell),
      row.crawler ? cell('yes') : cell('no', true),
      targetCell(row),
    ]),
  };
}
