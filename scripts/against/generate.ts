/** Random pages from a seed: nested blocks, floats, flex, grid, tables, text, pictures, controls, positioning and writing modes. */
import fc from 'fast-check';

/** An element of a random page, or text. */
export type Part = string | Element;
export interface Element {
  readonly tag: string;
  readonly style: Readonly<Record<string, string>>;
  readonly attributes?: Readonly<Record<string, string>>;
  readonly parts: readonly Part[];
}

const WORDS =
  'tide harbour ferry island morning crossing of the and to timetable lighthouse a is fog rope ladder winter quay pier-side 12:45 (return) fare: £8.50 well-known no. 7 — north/south'.split(
    ' ',
  );

const words = fc.array(fc.constantFrom(...WORDS), { minLength: 1, maxLength: 9 }).map((list) => list.join(' '));
const maybe = <T>(value: fc.Arbitrary<T>, chance = 4): fc.Arbitrary<T | undefined> =>
  fc.option(value, { nil: undefined, freq: chance });

const px = (max: number) => fc.integer({ min: 0, max }).map((n) => `${n}px`);
const size = fc.oneof(
  { weight: 5, arbitrary: px(300) },
  { weight: 3, arbitrary: fc.constantFrom('10%', '33.3%', '50%', '75%', '100%') },
  { weight: 2, arbitrary: fc.constantFrom('3em', '7.5em', '12rem', 'calc(50% - 20px)', 'calc(20% + 3em)') },
  { weight: 1, arbitrary: fc.constantFrom('min-content', 'max-content', 'fit-content') },
);
const space = fc.oneof(px(24), fc.constantFrom('1em', '5%', '0.5em', '3.3px'));
const margin = fc.oneof(
  { weight: 5, arbitrary: space },
  { weight: 1, arbitrary: fc.constantFrom('-8px', '-1em', 'auto', '0 auto', '10px 0 4px 6px') },
);
const one = (...values: readonly string[]) => fc.constantFrom(...values);

/** Properties any box may have; the number says how rarely. */
const PROPERTIES: readonly (readonly [name: string, value: fc.Arbitrary<string>, rarity: number])[] = [
  ['width', size, 3],
  ['height', size, 6],
  ['min-width', size, 12],
  ['max-width', size, 9],
  ['min-height', size, 14],
  ['max-height', size, 16],
  ['margin', margin, 4],
  ['padding', space, 4],
  ['border', one('1px solid', '3px solid', '0 solid'), 6],
  ['box-sizing', one('border-box'), 5],
  ['float', one('left', 'right'), 9],
  ['clear', one('both', 'left', 'right'), 16],
  ['overflow', one('hidden', 'auto', 'clip'), 10],
  ['text-align', one('center', 'right', 'justify', 'end'), 9],
  ['white-space', one('nowrap', 'pre', 'pre-wrap', 'pre-line'), 14],
  ['vertical-align', one('top', 'middle', 'bottom', '4px', 'super', 'text-bottom'), 12],
  ['line-height', one('1', '1.5', '30px', '120%'), 10],
  ['font-size', one('12px', '1.4em', '80%', '13.7px', '24px'), 8],
  ['font-weight', one('bold'), 14],
  ['text-indent', one('2em', '-10px'), 20],
  ['letter-spacing', one('1px', '-0.5px'), 24],
  ['direction', one('rtl'), 18],
  ['writing-mode', one('vertical-rl', 'vertical-lr'), 40],
  ['overflow-wrap', one('break-word', 'anywhere'), 18],
  ['word-break', one('break-all'), 30],
  [
    'flex',
    one('1', '2 1 0', 'none', '1 1 100px', '0 0 40%', 'auto', '0 0 130px', '1 0 60px', '0 1 5em', '1 1 content'),
    5,
  ],
  ['order', one('-1', '2'), 24],
  ['display', one('contents', 'list-item', 'inline-flex'), 24],
  ['word-spacing', one('4px', '-2px'), 30],
  ['place-self', one('center', 'end start', 'stretch'), 24],
  ['margin-inline', one('auto', '-12px', '5%'), 20],
  ['inset-inline-start', one('6px', '10%'), 30],
  ['padding-block', one('0.5em', '4%'), 20],
  ['contain', one('layout', 'size', 'inline-size'), 50],
  ['zoom', one('1.25', '0.8'), 50],
  ['column-span', one('all'), 40],
  ['text-overflow', one('ellipsis'), 30],
  ['align-self', one('center', 'end', 'stretch', 'baseline'), 14],
  ['aspect-ratio', one('2', '3 / 4'), 24],
  ['justify-self', one('center', 'end', 'stretch'), 20],
  ['grid-column', one('span 2', '1 / -1', '2'), 18],
  ['grid-row', one('span 2', '1', '2 / 4'), 24],
  ['columns', one('2', '100px', '3 8em'), 40],
  ['text-transform', one('uppercase'), 30],
  ['transform', one('translate(10px, 5px)', 'scale(0.5)', 'rotate(90deg)'), 30],
];

const OWN: readonly fc.Arbitrary<Record<string, string>>[] = [
  fc.constant({ display: 'block' }),
  fc.constant({ display: 'block' }),
  fc.constant({ display: 'inline' }),
  fc.constant({ display: 'inline' }),
  fc.constant({ display: 'inline-block' }),
  fc.constant({ display: 'flow-root' }),
  fc.record({
    display: one('flex', 'flex', 'inline-flex'),
    'flex-direction': one('row', 'row', 'column', 'row-reverse'),
    'flex-wrap': one('nowrap', 'wrap'),
    'justify-content': one(
      'normal',
      'center',
      'space-between',
      'flex-end',
      'space-around',
      'space-evenly',
      'safe center',
    ),
    'align-items': one('normal', 'center', 'baseline', 'flex-end', 'stretch'),
    'align-content': one('normal', 'normal', 'center', 'space-between', 'end', 'space-evenly'),
    gap: one('0px', '8px', '1em', '5%', '4px 10%'),
  }),
  fc.record({
    display: one('grid', 'grid', 'inline-grid'),
    'grid-template-columns': one(
      'none',
      '1fr 2fr',
      '100px auto',
      'repeat(3, 1fr)',
      'minmax(50px, 1fr) max-content',
      'repeat(auto-fill, minmax(90px, 1fr))',
      'repeat(auto-fit, 120px)',
      'minmax(0, 1fr) 30% min-content',
      'fit-content(100px) auto',
      'max-content 1fr auto',
      'calc(100% - 140px) 120px',
      '[a] 60px [b] 1fr [c]',
      'min-content minmax(auto, 30%)',
    ),
    'grid-template-rows': one('none', 'none', '40px auto', '1fr 1fr', 'minmax(20px, auto)', '50%'),
    'grid-auto-flow': one('row', 'column', 'dense'),
    'align-items': one('normal', 'center', 'start'),
    'justify-items': one('normal', 'center', 'end'),
    'justify-content': one('normal', 'normal', 'center', 'space-between', 'end'),
    'align-content': one('normal', 'normal', 'end', 'space-around'),
    'grid-auto-rows': one('auto', 'auto', '30px', 'minmax(10px, 1fr)'),
    gap: one('0px', '8px', '1em 4px', '3%'),
  }),
];
const PLACED = fc.record({
  position: one('absolute', 'relative', 'relative', 'sticky'),
  top: one('auto', '10px', '25%', '0'),
  left: one('auto', '20px', '10%', '0'),
  right: one('auto', 'auto', '5px', '0'),
  bottom: one('auto', 'auto', '0', '10%'),
});

function styleOf(): fc.Arbitrary<Readonly<Record<string, string>>> {
  const parts = PROPERTIES.map(([name, value, rarity]) =>
    fc
      .tuple(fc.integer({ min: 0, max: rarity }), value)
      .map(([roll, given]): Record<string, string> => (roll === 0 ? { [name]: given } : {})),
  );
  return fc
    .tuple(fc.oneof(...OWN), maybe(PLACED, 1), fc.integer({ min: 0, max: 7 }), ...parts)
    .map(([own, placed, roll, ...list]) => Object.assign({}, own, roll === 0 ? placed : {}, ...list) as never);
}

const cell = (inner: fc.Arbitrary<readonly Part[]>): fc.Arbitrary<Element> =>
  fc
    .tuple(inner, maybe(size, 3), one('1', '1', '1', '2'), one('1', '1', '1', '2'))
    .map(([parts, width, colspan, rowspan]) => ({
      tag: 'td',
      style: width === undefined ? {} : { width },
      attributes: { colspan, rowspan },
      parts,
    }));

const table = (inner: fc.Arbitrary<readonly Part[]>): fc.Arbitrary<Element> =>
  fc
    .tuple(
      fc.array(fc.array(cell(inner), { minLength: 1, maxLength: 3 }), { minLength: 1, maxLength: 3 }),
      maybe(size, 2),
      one('separate', 'separate', 'collapse'),
      one('auto', 'auto', 'fixed'),
    )
    .map(([rows, width, collapse, layout]) => ({
      tag: 'table',
      style: {
        'border-collapse': collapse,
        'table-layout': layout,
        ...(width === undefined ? {} : { width }),
      },
      parts: rows.map((parts): Element => ({ tag: 'tr', style: {}, parts })),
    }));

/** A picture of its own size, drawn by an address without a file behind it. */
const picture = (width: number, height: number, ratio: string): string =>
  `data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg'${width > 0 ? ` width='${width}' height='${height}'` : ''}${ratio}/%3E`;

const SOURCES = [picture(60, 40, ''), picture(200, 50, ''), picture(0, 0, " viewBox='0 0 3 2'")];

/** Elements without children that have a size by themselves. */
const alone: fc.Arbitrary<Element> = fc
  .tuple(
    fc.oneof(
      fc.constantFrom(...SOURCES).map((src) => ({ tag: 'img', attributes: { src } })),
      fc
        .constantFrom('text', 'checkbox', 'submit')
        .map((type) => ({ tag: 'input', attributes: { type, value: 'tide' } })),
      fc.constantFrom({ tag: 'br' }, { tag: 'hr' }, { tag: 'br' }),
    ),
    styleOf(),
    fc.integer({ min: 0, max: 2 }),
  )
  .map(([{ tag, ...rest }, { display: _, ...style }, roll]) => ({
    tag,
    ...rest,
    style: tag === 'br' || roll === 0 ? {} : style,
    parts: [],
  }));

/** Elements with looks of their own, and what may stand in them. */
const named = (inner: fc.Arbitrary<readonly Part[]>): fc.Arbitrary<Element> =>
  fc
    .tuple(
      one('p', 'h2', 'ul', 'ol', 'button', 'fieldset', 'details', 'blockquote', 'a', 'dl'),
      styleOf(),
      inner,
      inner,
      words,
    )
    .map(([tag, { display, ...style }, first, second, text]): Element => {
      const plain = { ...style, ...(display === 'flex' || display === 'grid' ? { display } : {}) };
      if (tag === 'ul' || tag === 'ol')
        return { tag, style: plain, parts: [first, second].map((parts) => ({ tag: 'li', style: {}, parts })) };
      if (tag === 'dl')
        return {
          tag,
          style: plain,
          parts: [
            { tag: 'dt', style: {}, parts: [text] },
            { tag: 'dd', style: {}, parts: first },
          ],
        };
      if (tag === 'details')
        return {
          tag,
          style: plain,
          attributes: { open: '' },
          parts: [{ tag: 'summary', style: {}, parts: [text] }, ...first],
        };
      if (tag === 'fieldset')
        return { tag, style: plain, parts: [{ tag: 'legend', style: {}, parts: [text] }, ...first] };
      return { tag, style: plain, parts: tag === 'p' || tag === 'a' ? [text] : [text, ...(tag === 'h2' ? [] : first)] };
    });

/** Pages of some depth, as the parts of their body. */
export const pages: fc.Arbitrary<readonly Part[]> = fc.letrec<{ parts: readonly Part[]; part: Part }>((tie) => ({
  parts: fc.array(tie('part'), { minLength: 1, maxLength: 4, depthIdentifier: 'part' }),
  part: fc.oneof(
    { depthIdentifier: 'part', maxDepth: 4, depthSize: 'small' },
    { weight: 3, arbitrary: words },
    {
      weight: 6,
      arbitrary: fc
        .tuple(styleOf(), tie('parts'))
        .map(([style, parts]): Part => ({ tag: style.display === 'inline' ? 'span' : 'div', style, parts })),
    },
    { weight: 1, arbitrary: table(tie('parts')) },
    { weight: 1, arbitrary: alone },
    { weight: 1, arbitrary: named(tie('parts')) },
  ),
})).parts;

/** `count` pages from a seed. */
export const makePages = (count: number, seed: number): readonly (readonly Part[])[] =>
  fc.sample(pages, { numRuns: count, seed });

const inner = (part: Part): string => {
  if (typeof part === 'string') return part;
  const style = Object.entries(part.style)
    .map(([name, value]) => `${name}:${value}`)
    .join(';');
  const attributes = Object.entries(part.attributes ?? {})
    .filter(([, value]) => value !== '1')
    .map(([name, value]) => ` ${name}="${value}"`)
    .join('');
  const open = `<${part.tag}${style === '' ? '' : ` style="${style}"`}${attributes}>`;
  if (/^(img|input|br|hr)$/.test(part.tag)) return open;
  return `${open}${part.parts.map(inner).join(' ')}</${part.tag}>`;
};

/** Parts as markup. */
export const markupOf = (parts: readonly Part[]): string => parts.map(inner).join('\n');

export const htmlOf = (parts: readonly Part[]): string =>
  `<!doctype html><html><head><meta charset="utf-8"><style>body{margin:0;font:16px/20px Arial}</style></head><body>${markupOf(parts)}</body></html>`;
