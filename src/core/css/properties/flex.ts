import { isIdent, type Component } from '../values/index.js';
import { areas, autoTracks, gridLine, trackList } from './grid.js';
import { keyword, lengthOr, number, row, sizing, text, type PropertyRow, type Sizing, printSizing } from './define.js';

const SELF_POSITIONS = ['center', 'start', 'end', 'self-start', 'self-end', 'flex-start', 'flex-end'];
const CONTENT_POSITIONS = ['center', 'start', 'end', 'flex-start', 'flex-end'];
const DISTRIBUTIONS = ['space-between', 'space-around', 'space-evenly', 'stretch'];

/** An alignment value, baseline and overflow forms included. @spec css-align-3 §4 */
function alignment(
  initial: string,
  positions: readonly string[],
  loose: readonly string[],
  overflowOnly: readonly string[] = positions,
): PropertyRow<string> {
  return row<string>(
    initial,
    (items: readonly Component[]) => {
      const names = items.map((item) => (item.type === 'ident' ? item.name : ''));
      const [first = '', second] = names;
      if (names.length === 1 && (positions.includes(first) || loose.includes(first))) return () => first;
      if (names.length !== 2) return null;
      const baseline = first === 'baseline' ? second : second === 'baseline' ? first : undefined;
      if (loose.includes('baseline') && (baseline === 'first' || baseline === 'last')) {
        const value = baseline === 'first' ? 'baseline' : 'last baseline';
        return () => value;
      }
      if ((first === 'safe' || first === 'unsafe') && overflowOnly.includes(second!)) return () => `${first} ${second}`;
      if (loose.includes('legacy') && names.includes('legacy')) return () => names.join(' ');
      return null;
    },
    (v) => v,
  );
}

const WITH_SIDES = ['left', 'right'];
const gap = () => lengthOr('normal', ['normal'], { negative: false }, { percent: 'own-box' });
const size = sizing('auto', 'inline-size');

export const FLEX = {
  flexDirection: keyword(['row', 'row-reverse', 'column', 'column-reverse']),
  flexWrap: keyword(['nowrap', 'wrap', 'wrap-reverse']),
  flexGrow: number(0, { min: 0 }),
  flexShrink: number(1, { min: 0 }),
  flexBasis: row<Sizing | 'content'>(
    'auto',
    (items, source) =>
      isIdent(items[0], 'content') && items.length === 1 ? () => 'content' : size.parse(items, source),
    (v) => (v === 'content' ? v : printSizing(v)),
    { percent: 'own-box' },
  ),
  order: number(0, { integer: true }),
  justifyContent: alignment(
    'normal',
    [...CONTENT_POSITIONS, ...WITH_SIDES],
    ['normal', ...DISTRIBUTIONS],
    [...CONTENT_POSITIONS, ...WITH_SIDES],
  ),
  alignContent: alignment('normal', CONTENT_POSITIONS, ['normal', 'baseline', ...DISTRIBUTIONS]),
  justifyItems: alignment(
    'normal',
    [...SELF_POSITIONS, ...WITH_SIDES],
    ['normal', 'stretch', 'baseline', 'legacy', 'anchor-center'],
  ),
  alignItems: alignment('normal', SELF_POSITIONS, ['normal', 'stretch', 'baseline', 'anchor-center']),
  justifySelf: alignment(
    'auto',
    [...SELF_POSITIONS, ...WITH_SIDES],
    ['auto', 'normal', 'stretch', 'baseline', 'anchor-center'],
  ),
  alignSelf: alignment('auto', SELF_POSITIONS, ['auto', 'normal', 'stretch', 'baseline', 'anchor-center']),
  rowGap: gap(),
  columnGap: gap(),
  gridTemplateColumns: trackList(),
  gridTemplateRows: trackList(),
  gridTemplateAreas: areas(),
  gridAutoColumns: autoTracks(),
  gridAutoRows: autoTracks(),
  gridAutoFlow: text('row', (items) => items.every((item) => isIdent(item, 'row', 'column', 'dense'))),
  gridRowStart: gridLine(),
  gridRowEnd: gridLine(),
  gridColumnStart: gridLine(),
  gridColumnEnd: gridLine(),
} as const;
