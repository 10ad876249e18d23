import { isIdent, readLength, readNumber, splitAt, ZERO_PERCENT, type Component } from '../values/index.js';
import type { PropertyKey } from './table.js';
import {
  type Piece,
  type Shorthand,
  accepts,
  sides,
  ends,
  anyOrder,
  SIDES,
  ident,
  place,
  container,
  positionTry,
} from './shorthand-parts.js';
import { background } from './shorthand-backgrounds.js';
import { isTextEdge } from './text.js';
import { timeline } from './shorthand-timelines.js';
import { gridLines, gridTemplate, grid } from './shorthand-grid.js';
import { font, fontVariant } from './shorthand-fonts.js';

const BORDER_PARTS = ['width', 'style', 'color'] as const;

function border(sideNames: readonly string[], also: readonly string[] = []): Shorthand {
  const parts = anyOrder(BORDER_PARTS.map((part) => `border-${sideNames[0]}-${part}`));
  return {
    longhands: [...sideNames.flatMap((side) => BORDER_PARTS.map((part) => `border-${side}-${part}`)), ...also],
    expand: (items, text) => {
      const first = parts.expand(items, text);
      if (!first) return null;
      return Object.fromEntries(
        sideNames.flatMap((side) =>
          BORDER_PARTS.map((part) => [`border-${side}-${part}`, first[`border-${sideNames[0]}-${part}`] ?? 'initial']),
        ),
      );
    },
  };
}

const RADII = [
  'border-top-left-radius',
  'border-top-right-radius',
  'border-bottom-right-radius',
  'border-bottom-left-radius',
];
const radius: Shorthand = {
  longhands: RADII,
  expand: (items) => {
    const axes = splitAt(items, '/');
    if (
      axes.length > 2 ||
      axes.some((axis) => axis.length < 1 || axis.length > 4 || !axis.every((i) => readLength(i, { negative: false })))
    )
      return null;
    const fill = (list: readonly Component[]) => {
      const [a, b = a, c = a, d = b] = list;
      return [a!, b!, c!, d!];
    };
    const x = fill(axes[0]!);
    const y = axes[1] ? fill(axes[1]) : x;
    return Object.fromEntries(RADII.map((name, i) => [name, [x[i]!, y[i]!]]));
  },
};

/** @spec css-flexbox-1 §7.1 */
const flex: Shorthand = {
  longhands: ['flex-grow', 'flex-shrink', 'flex-basis'],
  expand: (items) => {
    const zero = () => ZERO_PERCENT;
    if (items.length === 1) {
      if (isIdent(items[0], 'none')) return { 'flex-grow': () => 0, 'flex-shrink': () => 0, 'flex-basis': 'initial' };
      if (isIdent(items[0], 'initial')) return {};
    }
    const pieces: Record<string, Piece> = {};
    for (const item of items) {
      const isNumber = readNumber(item, { min: 0 }) !== null;
      const last = items[items.length - 1] === item;
      if (isNumber && !('flex-grow' in pieces)) pieces['flex-grow'] = [item];
      else if (isNumber && !('flex-shrink' in pieces) && 'flex-grow' in pieces) pieces['flex-shrink'] = [item];
      else if (!('flex-basis' in pieces) && accepts('flex-basis', [item]) && (last || (!isNumber && item === items[0])))
        pieces['flex-basis'] = [item];
      else return null;
    }
    if (items.length === 0 || items.length > 3) return null;
    return { 'flex-grow': () => 1, 'flex-shrink': () => 1, 'flex-basis': zero, ...pieces };
  },
};

const listStyle: Shorthand = {
  longhands: ['list-style-type', 'list-style-position', 'list-style-image'],
  expand: (items) => {
    const pieces: Record<string, Piece> = {};
    let nones = 0;
    for (const item of items) {
      if (isIdent(item, 'none')) nones++;
      else if (isIdent(item, 'inside', 'outside') && !pieces['list-style-position'])
        pieces['list-style-position'] = [item];
      else if (
        (item.type === 'url' || (item.type === 'function' && item.name !== 'symbols')) &&
        !pieces['list-style-image']
      )
        pieces['list-style-image'] = [item];
      else if (isIdent(item) || item.type === 'string' || item.type === 'function') {
        if (pieces['list-style-type']) return null;
        pieces['list-style-type'] = [item];
      } else return null;
    }
    if (nones > 0 && !pieces['list-style-type']) pieces['list-style-type'] = [ident('none')];
    return items.length === 0 || nones > 2 ? null : pieces;
  },
};

const DECORATION = [
  'text-decoration-line',
  'text-decoration-style',
  'text-decoration-color',
  'text-decoration-thickness',
];
const LINES = ['underline', 'overline', 'line-through', 'blink'];
const textDecoration: Shorthand = {
  longhands: DECORATION,
  expand: (items, text) => {
    const lines = items.filter((item) => isIdent(item, ...LINES));
    const rest = items.filter((item) => !isIdent(item, ...LINES));
    const others = rest.length > 0 ? anyOrder(DECORATION).expand(rest, text) : {};
    if (!others || (lines.length > 0 && others['text-decoration-line'])) return null;
    return lines.length > 0 ? { ...others, 'text-decoration-line': lines } : others;
  },
};

const flexFlow = anyOrder(['flex-direction', 'flex-wrap']);
const outline = anyOrder(['outline-color', 'outline-style', 'outline-width']);
export const columns: Shorthand = {
  longhands: ['column-width', 'column-count'],
  expand: (items, text) => {
    const rest = items.filter((item) => !isIdent(item, 'auto'));
    return items.length > 2
      ? null
      : rest.length === 0
        ? {}
        : anyOrder(['column-width', 'column-count']).expand(rest, text);
  },
};

const wrapping = anyOrder(['white-space-collapse', 'text-wrap-mode']);

/** What the older keywords stand for. @spec css-text-4 §3 (white-space) */
const WHITE_SPACE: Readonly<Record<string, readonly [string, string]>> = {
  normal: ['collapse', 'wrap'],
  pre: ['preserve', 'nowrap'],
  'pre-wrap': ['preserve', 'wrap'],
  'pre-line': ['preserve-breaks', 'wrap'],
};

const whiteSpace: Shorthand = {
  longhands: wrapping.longhands,
  expand: (items, text) => {
    const [item] = items;
    const pair = items.length === 1 && item?.type === 'ident' ? WHITE_SPACE[item.name] : undefined;
    if (!pair) return wrapping.expand(items, text);
    return { 'white-space-collapse': [ident(pair[0])], 'text-wrap-mode': [ident(pair[1])] };
  },
};

/** Edges alone ask for both to be trimmed. @spec css-inline-3 §5.2 */
const textBox: Shorthand = {
  longhands: ['text-box-trim', 'text-box-edge'],
  expand: (items) => {
    if (items.length === 1 && isIdent(items[0], 'normal'))
      return { 'text-box-trim': [ident('none')], 'text-box-edge': [ident('auto')] };
    const trim = items.filter((item) => isIdent(item, 'none', 'trim-start', 'trim-end', 'trim-both'));
    const edge = items.filter((item) => !trim.includes(item));
    const apart = trim.length === 0 || trim[0] === items[0] || trim[0] === items[items.length - 1];
    if (trim.length > 1 || !apart || (edge.length > 0 && !isTextEdge(edge))) return null;
    return {
      'text-box-trim': trim.length > 0 ? trim : [ident('trim-both')],
      'text-box-edge': edge.length > 0 ? edge : [ident('auto')],
    };
  },
};

/** The shortest text of the two longhands. @spec cssom-1 §6.7.2 */
export function printWhiteSpace(collapse: string, mode: string): string {
  const old = Object.entries(WHITE_SPACE).find(([, pair]) => pair[0] === collapse && pair[1] === mode);
  if (old) return old[0];
  return mode === 'wrap' ? collapse : collapse === 'collapse' ? mode : `${collapse} ${mode}`;
}

function overflow(): Shorthand {
  return ends('overflow-x', 'overflow-y');
}

const quad = (before: string, after = ''): Shorthand => sides(SIDES.map((side) => `${before}${side}${after}`));
const axis = (before: string, name: string, after = ''): Shorthand =>
  ends(`${before}${name}-start${after}`, `${before}${name}-end${after}`);

export const SHORTHANDS: Readonly<Record<string, Shorthand>> = {
  margin: quad('margin-'),
  padding: quad('padding-'),
  inset: sides([...SIDES]),
  'scroll-margin': quad('scroll-margin-'),
  'scroll-padding': quad('scroll-padding-'),
  'border-width': quad('border-', '-width'),
  'border-style': quad('border-', '-style'),
  'border-color': quad('border-', '-color'),
  border: border(SIDES, ['border-image-source']),
  ...Object.fromEntries(
    [...SIDES, 'inline-start', 'inline-end', 'block-start', 'block-end'].map((side) => [
      `border-${side}`,
      border([side]),
    ]),
  ),
  'border-inline': border(['inline-start', 'inline-end']),
  'border-block': border(['block-start', 'block-end']),
  ...Object.fromEntries(
    ['inline', 'block'].flatMap((name) => [
      [`margin-${name}`, axis('margin-', name)],
      [`padding-${name}`, axis('padding-', name)],
      [`inset-${name}`, axis('inset-', name)],
      [`scroll-margin-${name}`, axis('scroll-margin-', name)],
      [`scroll-padding-${name}`, axis('scroll-padding-', name)],
      ...BORDER_PARTS.map((part) => [`border-${name}-${part}`, axis('border-', name, `-${part}`)]),
    ]),
  ),
  'border-radius': radius,
  outline,
  font,
  'font-variant': fontVariant,
  flex,
  'flex-flow': flexFlow,
  background,
  transition: timeline('transition', ['property', 'duration', 'timing-function', 'delay']),
  animation: timeline('animation', [
    'name',
    'duration',
    'timing-function',
    'delay',
    'iteration-count',
    'direction',
    'fill-mode',
    'play-state',
    'timeline',
  ]),
  gap: ends('row-gap', 'column-gap'),
  'grid-gap': ends('row-gap', 'column-gap'),
  'place-content': place('align-content', 'justify-content'),
  'place-items': place('align-items', 'justify-items'),
  'place-self': place('align-self', 'justify-self'),
  'contain-intrinsic-size': place('contain-intrinsic-width', 'contain-intrinsic-height'),
  'grid-area': gridLines(['grid-row-start', 'grid-column-start', 'grid-row-end', 'grid-column-end']),
  'grid-row': gridLines(['grid-row-start', 'grid-row-end']),
  'grid-column': gridLines(['grid-column-start', 'grid-column-end']),
  'grid-template': gridTemplate,
  grid,
  'list-style': listStyle,
  'text-decoration': textDecoration,
  overflow: overflow(),
  'white-space': whiteSpace,
  'text-box': textBox,
  'text-wrap': anyOrder(['text-wrap-mode', 'text-wrap-style']),
  'overscroll-behavior': ends('overscroll-behavior-x', 'overscroll-behavior-y'),
  columns,
  container,
  'position-try': positionTry,
};

const OLD_SIDES = [
  ['start', 'inline-start'],
  ['end', 'inline-end'],
  ['before', 'block-start'],
  ['after', 'block-end'],
] as const;

/** Names logical sides and sizes had before they were standardised; browsers still take them. */
const OLD_LOGICAL: Readonly<Record<string, string>> = Object.fromEntries([
  ...OLD_SIDES.flatMap(([old, side]) => [
    [`-webkit-margin-${old}`, `margin-${side}`],
    [`-webkit-padding-${old}`, `padding-${side}`],
    ...['', '-color', '-style', '-width'].map((part) => [`-webkit-border-${old}${part}`, `border-${side}${part}`]),
  ]),
  ...['', 'min-', 'max-'].flatMap((bound) => [
    [`-webkit-${bound}logical-width`, `${bound}inline-size`],
    [`-webkit-${bound}logical-height`, `${bound}block-size`],
  ]),
]);

/** Other spellings of properties. */
export const ALIASES: Readonly<Record<string, string>> = {
  'word-wrap': 'overflow-wrap',
  'grid-row-gap': 'row-gap',
  'grid-column-gap': 'column-gap',
  '-webkit-box-shadow': 'box-shadow',
  '-webkit-mask-image': 'mask-image',
  '-webkit-mask': 'mask-image',
  mask: 'mask-image',
  '-webkit-text-decoration': 'text-decoration',
  'font-width': 'font-stretch',
  'page-break-inside': 'break-inside',
  'page-break-before': 'break-before',
  'page-break-after': 'break-after',
  '-webkit-column-break-inside': 'break-inside',
  ...OLD_LOGICAL,
  ...Object.fromEntries(
    'align-content align-items align-self animation animation-delay animation-direction animation-duration animation-fill-mode animation-iteration-count animation-name animation-play-state animation-timing-function appearance backface-visibility background-clip background-origin background-size border-radius box-sizing clip-path column-count column-width columns filter flex flex-basis flex-direction flex-flow flex-grow flex-shrink flex-wrap justify-content order perspective perspective-origin transform transform-origin transform-style transition transition-delay transition-duration transition-property transition-timing-function user-select column-gap column-span column-fill font-feature-settings box-decoration-break opacity shape-outside text-orientation writing-mode border-top-left-radius border-top-right-radius border-bottom-left-radius border-bottom-right-radius'
      .split(' ')
      .map((name) => [`-webkit-${name}`, name]),
  ),
};

export type { PropertyKey };
