import {
  isIdent,
  printLength,
  printNumber,
  readAnchored,
  readLength,
  readNumber,
  type Component,
  type Computation,
  type LengthPercentage,
} from '../values/index.js';
import { keyword, length, lengthOr, making, number, pair, row, single, sizing, text } from './define.js';
import { words } from './lists.js';

const TRIMS = ['block', 'inline', 'block-start', 'block-end', 'inline-start', 'inline-end'];

/** The size of a box whose content does not count; null where it has none. @spec css-sizing-4 §4 */
export interface IntrinsicSize {
  readonly auto: boolean;
  readonly px: number | null;
}

const intrinsic = () =>
  row<IntrinsicSize>(
    { auto: false, px: null },
    (items) => {
      const auto = isIdent(items[0], 'auto');
      const [item, ...more] = auto ? items.slice(1) : items;
      const read = item && !isIdent(item, 'none') ? readLength(item, { percent: false, negative: false }) : null;
      if (!item || more.length > 0 || (!read && !isIdent(item, 'none'))) return null;
      return (c) => ({ auto, px: read ? read(c).px : null });
    },
    ({ auto, px }) => `${auto ? 'auto ' : ''}${px === null ? 'none' : `${printNumber(px)}px`}`,
    { turns: 'contain-intrinsic-{size}' },
  );

const CONTAIN = ['none', 'strict', 'content', 'size', 'inline-size', 'layout', 'style', 'paint'];
const isolates = (value: readonly string[]): boolean =>
  value.some((word) => /^(layout|paint|strict|content)$/.test(word));
const skipping = (value: string) => (value === 'visible' ? null : `content-visibility: ${value}`);
const saying = (name: string) => (value: readonly string[]) => (isolates(value) ? `${name}: ${value.join(' ')}` : null);

const DISPLAYS = [
  'inline',
  'block',
  'inline-block',
  'flow-root',
  'list-item',
  'inline list-item',
  'flow-root list-item',
  'flex',
  'inline-flex',
  'grid',
  'inline-grid',
  'table',
  'inline-table',
  'table-row-group',
  'table-header-group',
  'table-footer-group',
  'table-row',
  'table-cell',
  'table-column-group',
  'table-column',
  'table-caption',
  'contents',
  'none',
  'ruby',
  'ruby-text',
  'math',
  'block ruby',
  'block math',
] as const;
export type Display = (typeof DISPLAYS)[number];

const DISPLAY_ALIASES: Readonly<Record<string, Display>> = {
  '-webkit-box': 'flex',
  '-webkit-inline-box': 'inline-flex',
  '-webkit-flex': 'flex',
  '-webkit-inline-flex': 'inline-flex',
};

/** Full forms of two or three keywords, sorted, and their short form. @spec css-display-3 §2 */
const DISPLAY_PAIRS: Readonly<Record<string, Display>> = {
  'block flow': 'block',
  'block flow-root': 'flow-root',
  'block flex': 'flex',
  'block grid': 'grid',
  'block table': 'table',
  'flow inline': 'inline',
  'flow-root inline': 'inline-block',
  'flex inline': 'inline-flex',
  'grid inline': 'inline-grid',
  'inline table': 'inline-table',
  'inline ruby': 'ruby',
  'block list-item': 'list-item',
  'flow list-item': 'list-item',
  'block flow list-item': 'list-item',
  'flow-root list-item': 'flow-root list-item',
  'block flow-root list-item': 'flow-root list-item',
  'inline list-item': 'inline list-item',
  'flow inline list-item': 'inline list-item',
  'block ruby': 'block ruby',
  'block math': 'block math',
  'inline math': 'math',
};

const shortDisplays = keyword(DISPLAYS, {}, { ...DISPLAY_ALIASES, flow: 'block' });
const display = row<Display>(
  'inline',
  (items, source) => {
    if (items.length === 1) return shortDisplays.parse(items, source);
    if (!items.every((item) => item.type === 'ident')) return null;
    const key = items
      .map((item) => item.name)
      .sort((a, b) => (a < b ? -1 : 1))
      .join(' ');
    const found = DISPLAY_PAIRS[key];
    return found ? () => found : null;
  },
  (value) => value,
);

const margin = () => lengthOr(0, ['auto'], {}, { percent: 'inline-size', turns: 'margin-{side}' });
const padding = () => length(0, { negative: false }, { percent: 'inline-size', turns: 'padding-{side}' });
/** @spec css-position-3 §3.1, css-anchor-position-1 §3 */
const inset = (percent: 'inline-size' | 'block-size') => {
  const plain = lengthOr('auto', ['auto'], {}, { percent, turns: '{side}' });
  const parse: typeof plain.parse = (items, source) =>
    plain.parse(items, source) ?? single((item) => readAnchored(item))(items, source);
  return Object.freeze({ ...plain, parse });
};
const scrollPadding = () =>
  lengthOr('auto', ['auto'], { negative: false }, { affects: 'nothing', turns: 'scroll-padding-{side}' });
const scrollMargin = () => length(0, { percent: false }, { affects: 'nothing', turns: 'scroll-margin-{side}' });
const overflow = () =>
  making(keyword(OVERFLOWS, { turns: 'overflow-{axis}' }, { overlay: 'auto' }), {
    formatting: (value) => (value === 'visible' || value === 'clip' ? null : `overflow: ${value}`),
  });
const BREAKS = [
  'auto',
  'avoid',
  'avoid-page',
  'page',
  'left',
  'right',
  'recto',
  'verso',
  'avoid-column',
  'column',
] as const;
const OVERFLOWS = ['visible', 'hidden', 'clip', 'scroll', 'auto'] as const;

export interface AspectRatio {
  readonly auto: boolean;
  /** Width divided by height, or null. */
  readonly ratio: number | null;
}

/** @spec css-sizing-4 §4.1 */
function parseAspectRatio(items: readonly Component[]): Computation<AspectRatio> | null {
  const rest = items.filter((item) => !isIdent(item, 'auto'));
  const auto = rest.length < items.length;
  if (items.length - rest.length > 1) return null;
  if (rest.length === 0) return () => ({ auto: true, ratio: null });
  const width = readNumber(rest[0], { min: 0 });
  if (!width) return null;
  if (rest.length === 1) return (c) => ({ auto, ratio: width(c) || null });
  const height =
    rest.length === 3 && rest[1]!.type === 'delim' && rest[1]!.value === '/' ? readNumber(rest[2], { min: 0 }) : null;
  return height ? (c) => ({ auto, ratio: width(c) / height(c) || null }) : null;
}

export const BOX = {
  display,
  position: keyword(['static', 'relative', 'absolute', 'fixed', 'sticky']),
  float: keyword(['none', 'left', 'right', 'inline-start', 'inline-end']),
  clear: keyword(['none', 'left', 'right', 'both', 'inline-start', 'inline-end']),
  visibility: keyword(['visible', 'hidden', 'collapse'], { inherited: true, affects: 'layout' }),
  boxSizing: keyword(['content-box', 'border-box']),
  width: sizing('auto', 'inline-size', '{size}'),
  height: sizing('auto', 'block-size', '{size}'),
  minWidth: sizing('auto', 'inline-size', 'min-{size}'),
  minHeight: sizing('auto', 'block-size', 'min-{size}'),
  maxWidth: sizing('none', 'inline-size', 'max-{size}'),
  maxHeight: sizing('none', 'block-size', 'max-{size}'),
  marginTop: margin(),
  marginRight: margin(),
  marginBottom: margin(),
  marginLeft: margin(),
  paddingTop: padding(),
  paddingRight: padding(),
  paddingBottom: padding(),
  paddingLeft: padding(),
  top: inset('block-size'),
  right: inset('inline-size'),
  bottom: inset('block-size'),
  left: inset('inline-size'),
  anchorName: text('none'),
  anchorScope: text('none'),
  positionAnchor: text('normal'),
  positionArea: text('none'),
  positionTryFallbacks: text('none'),
  positionTryOrder: text('normal'),
  scrollbarGutter: words('auto', ['stable', 'both-edges']),
  scrollbarWidth: keyword(['auto', 'thin', 'none']),
  overflowX: overflow(),
  overflowY: overflow(),
  overflowClipMargin: text('0px', undefined, { affects: 'paint' }),
  aspectRatio: row<AspectRatio>({ auto: true, ratio: null }, parseAspectRatio, (v) =>
    v.ratio === null ? 'auto' : `${v.auto ? 'auto ' : ''}${printNumber(v.ratio)} / 1`,
  ),
  zIndex: row<number | 'auto'>(
    'auto',
    (items, source) =>
      isIdent(items[0], 'auto') && items.length === 1
        ? () => 'auto'
        : number(0, { integer: true }).parse(items, source),
    (v) => String(v),
    { affects: 'paint' },
  ),
  objectFit: keyword(['fill', 'contain', 'cover', 'none', 'scale-down'], { affects: 'paint' }),
  objectPosition: text('50% 50%', undefined, { affects: 'paint' }),
  contain: making(words('none', CONTAIN), {
    stacking: saying('contain'),
    containing: saying('contain'),
    formatting: saying('contain'),
  }),
  containerType: making(words('normal', ['size', 'inline-size', 'scroll-state']), {
    formatting: (value) => (value.some((word) => word.endsWith('size')) ? `container-type: ${value.join(' ')}` : null),
  }),
  containerName: words('none', null, { affects: 'nothing' }),
  marginTrim: words('none', TRIMS),
  containIntrinsicWidth: intrinsic(),
  containIntrinsicHeight: intrinsic(),
  contentVisibility: making(keyword(['visible', 'auto', 'hidden']), {
    stacking: skipping,
    containing: skipping,
    formatting: skipping,
  }),
  scrollPaddingTop: scrollPadding(),
  scrollPaddingRight: scrollPadding(),
  scrollPaddingBottom: scrollPadding(),
  scrollPaddingLeft: scrollPadding(),
  scrollMarginTop: scrollMargin(),
  scrollMarginRight: scrollMargin(),
  scrollMarginBottom: scrollMargin(),
  scrollMarginLeft: scrollMargin(),
  tableLayout: keyword(['auto', 'fixed']),
  borderCollapse: keyword(['separate', 'collapse'], { inherited: true }),
  // Browsers keep it in whole px.
  borderSpacing: pair(0, { percent: false, negative: false }, { inherited: true }, (length) => ({
    ...length,
    px: Math.trunc(length.px + 0.01),
  })),
  captionSide: keyword(['top', 'bottom'], { inherited: true }),
  emptyCells: keyword(['show', 'hide'], { inherited: true }),
  columnCount: making(
    row<number | 'auto'>(
      'auto',
      (items, source) =>
        isIdent(items[0], 'auto') && items.length === 1
          ? () => 'auto'
          : number(0, { integer: true, min: 1 }).parse(items, source),
      (v) => String(v),
    ),
    { formatting: (value) => (value === 'auto' ? null : `column-count: ${value}`) },
  ),
  columnWidth: making(lengthOr('auto', ['auto'], { percent: false, negative: false }), {
    formatting: (value) => (value === 'auto' ? null : 'column-width'),
  }),
  columnSpan: making(keyword(['none', 'all']), {
    formatting: (value) => (value === 'all' ? 'column-span: all' : null),
  }),
  columnFill: keyword(['balance', 'auto']),
  breakBefore: keyword(BREAKS),
  breakAfter: keyword(BREAKS),
  breakInside: keyword(['auto', 'avoid', 'avoid-column', 'avoid-page']),
  verticalAlign: row<LengthPercentage | VerticalAlign>(
    'baseline',
    single<LengthPercentage | VerticalAlign>((item) =>
      item.type === 'ident' ? (ALIGNMENTS.has(item.name) ? () => item.name as VerticalAlign : null) : readLength(item),
    ),
    (v) => (typeof v === 'string' ? v : printLength(v)),
    { percent: 'line-height' },
  ),
} as const;

export type VerticalAlign =
  'baseline' | 'sub' | 'super' | 'top' | 'text-top' | 'middle' | '-webkit-baseline-middle' | 'bottom' | 'text-bottom';
const ALIGNMENTS = new Set([
  'baseline',
  'sub',
  'super',
  'top',
  'text-top',
  'middle',
  '-webkit-baseline-middle',
  'bottom',
  'text-bottom',
]);
