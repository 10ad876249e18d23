import { isIdent, type Component, type Computation } from '../values/index.js';
import { colour, keyword, lengthOr, row, text } from './define.js';

/** Any of the listed keywords together, in the order of the list; `none` alone. */
function set(names: readonly string[], traits: { inherited?: boolean } = {}) {
  return row<string>(
    'none',
    (items): Computation<string> | null => {
      if (items.length === 1 && isIdent(items[0], 'none')) return () => 'none';
      const given = items.map((item) => (item.type === 'ident' ? item.name : ''));
      if (given.length === 0 || new Set(given).size !== given.length || !given.every((name) => names.includes(name)))
        return null;
      const value = names.filter((name) => given.includes(name)).join(' ');
      return () => value;
    },
    (v) => v,
    traits,
  );
}

const CURSORS = new Set(
  'auto default none context-menu help pointer progress wait cell crosshair text vertical-text alias copy move no-drop not-allowed grab grabbing all-scroll col-resize row-resize n-resize e-resize s-resize w-resize ne-resize nw-resize se-resize sw-resize ew-resize ns-resize nesw-resize nwse-resize zoom-in zoom-out -webkit-grab -webkit-grabbing -webkit-zoom-in -webkit-zoom-out'.split(
    ' ',
  ),
);
const isCursor = (items: readonly Component[]) => {
  const last = items[items.length - 1];
  return last?.type === 'ident' && CURSORS.has(last.name);
};

export const TEXT = {
  textAlign: keyword(
    [
      'start',
      'left',
      'right',
      'center',
      'end',
      'justify',
      'match-parent',
      '-webkit-left',
      '-webkit-right',
      '-webkit-center',
    ],
    { inherited: true },
    { '-webkit-match-parent': 'match-parent' },
  ),
  textAlignLast: keyword(['auto', 'start', 'left', 'right', 'center', 'end', 'justify'], { inherited: true }),
  textTransform: row<string>(
    'none',
    (items) => {
      const names = items.map((item) => (item.type === 'ident' ? item.name : ''));
      const known = ['capitalize', 'uppercase', 'lowercase', 'full-width', 'full-size-kana', 'math-auto'];
      if (names.length === 1 && names[0] === 'none') return () => 'none';
      if (names.length === 0 || !names.every((name) => known.includes(name))) return null;
      return () => names.join(' ');
    },
    (v) => v,
    { inherited: true },
  ),
  textDecorationLine: set(['underline', 'overline', 'line-through', 'blink']),
  textDecorationStyle: keyword(['solid', 'double', 'dotted', 'dashed', 'wavy']),
  textDecorationColor: colour((c) => c.currentColor),
  textDecorationThickness: lengthOr('auto', ['auto', 'from-font']),
  textUnderlineOffset: lengthOr('auto', ['auto'], {}, { inherited: true }),
  textShadow: text('none', undefined, { inherited: true }),
  textOverflow: text('clip'),
  whiteSpaceCollapse: keyword(['collapse', 'preserve', 'preserve-breaks', 'break-spaces'], { inherited: true }),
  textWrapMode: keyword(['wrap', 'nowrap'], { inherited: true }),
  textWrapStyle: keyword(['auto', 'balance', 'pretty', 'stable'], { inherited: true }),
  overflowWrap: keyword(['normal', 'break-word', 'anywhere'], { inherited: true }),
  wordBreak: keyword(['normal', 'break-all', 'keep-all', 'break-word', 'auto-phrase'], { inherited: true }),
  lineBreak: keyword(['auto', 'loose', 'normal', 'strict', 'anywhere'], { inherited: true }),
  hyphens: keyword(['manual', 'none', 'auto'], { inherited: true }),
  direction: keyword(['ltr', 'rtl'], { inherited: true }),
  unicodeBidi: keyword(['normal', 'embed', 'isolate', 'bidi-override', 'isolate-override', 'plaintext']),
  writingMode: keyword(
    ['horizontal-tb', 'vertical-rl', 'vertical-lr', 'sideways-rl', 'sideways-lr'],
    { inherited: true },
    { 'lr-tb': 'horizontal-tb', 'tb-rl': 'vertical-rl', lr: 'horizontal-tb', tb: 'vertical-rl' },
  ),
  textOrientation: keyword(['mixed', 'upright', 'sideways'], { inherited: true }, { 'sideways-right': 'sideways' }),
  listStyleType: text('disc', (items) => items.length === 1, { inherited: true }),
  listStylePosition: keyword(['outside', 'inside'], { inherited: true }),
  listStyleImage: text('none', (items) => items.length === 1, { inherited: true }),
  quotes: text('auto', undefined, { inherited: true }),
  content: text('normal'),
  counterReset: text('none'),
  counterIncrement: text('none'),
  counterSet: text('none'),
  cursor: text('auto', isCursor, { inherited: true }),
  orphans: text('2', undefined, { inherited: true }),
  widows: text('2', undefined, { inherited: true }),
} as const;
