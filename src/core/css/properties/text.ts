import { isIdent, type Component } from '../values/index.js';
import { content, readPicture } from './content.js';
import { colour, keyword, lengthOr, row, single, text } from './define.js';
import { counterChanges, words } from './lists.js';
import { shadows } from './shadows.js';

const CURSORS = new Set(
  'auto default none context-menu help pointer progress wait cell crosshair text vertical-text alias copy move no-drop not-allowed grab grabbing all-scroll col-resize row-resize n-resize e-resize s-resize w-resize ne-resize nw-resize se-resize sw-resize ew-resize ns-resize nesw-resize nwse-resize zoom-in zoom-out -webkit-grab -webkit-grabbing -webkit-zoom-in -webkit-zoom-out'.split(
    ' ',
  ),
);
const isCursor = (items: readonly Component[]) => {
  const last = items[items.length - 1];
  return last?.type === 'ident' && CURSORS.has(last.name);
};

/** Older names of cursors compute to those of the standard. @spec css-ui-4 §6.1, compat §3 */
const cursor = row<string>(
  'auto',
  (items, source) => {
    if (!isCursor(items)) return null;
    const [only] = items;
    const value = items.length === 1 && only!.type === 'ident' ? only.name : source.trim().replace(/\s+/g, ' ');
    const named = value.replace(/-webkit-(grab|grabbing|zoom-in|zoom-out)$/i, '$1');
    return () => named;
  },
  (value) => value,
  { inherited: true, affects: 'nothing' },
);

/** @spec css-content-3 §3.1 (pairs of opening and closing marks, outermost first) */
const quotes = row<'auto' | readonly string[]>(
  'auto',
  (items) => {
    const [only] = items;
    if (items.length === 1 && isIdent(only, 'auto', 'match-parent')) return () => 'auto';
    if (items.length === 1 && isIdent(only, 'none')) return () => [];
    const marks = items.map((item) => (item.type === 'string' ? item.value : null));
    return marks.length % 2 === 1 || marks.includes(null) ? null : () => marks as readonly string[];
  },
  (value) =>
    value === 'auto' ? value : value.length === 0 ? 'none' : value.map((mark) => JSON.stringify(mark)).join(' '),
  { inherited: true },
);

/** A counter style's name, or the text that is every marker. @spec css-lists-3 §3.2 */
export type ListStyleType = { readonly name: string } | { readonly marker: string };

const listStyleType = row<ListStyleType>(
  { name: 'disc' },
  single<ListStyleType>((item) => {
    if (item.type === 'string') return () => ({ marker: item.value });
    if (item.type === 'function') return () => ({ name: item.node.toString() });
    return item.type === 'ident' ? () => ({ name: isStyleName(item.name) ? item.name : item.raw }) : null;
  }),
  (value) => ('name' in value ? value.name : JSON.stringify(value.marker)),
  { inherited: true },
);

/** Names the standards give in lower case; those of a page's own are kept as written. */
const isStyleName = (name: string): boolean => /^[a-z-]+$/.test(name);

/** @spec css-inline-3 §5.3 (text-box-edge, as browsers take it) */
export const isTextEdge = (items: readonly Component[]): boolean => {
  const [over, under, more] = items;
  if (!over || more) return false;
  if (!under) return isIdent(over, 'auto', 'text');
  return isIdent(over, 'text', 'cap', 'ex') && isIdent(under, 'text', 'alphabetic');
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
  textDecorationLine: words('none', ['underline', 'overline', 'line-through', 'blink'], { affects: 'edge' }),
  textDecorationStyle: keyword(['solid', 'double', 'dotted', 'dashed', 'wavy'], { affects: 'edge' }),
  textDecorationColor: colour((c) => c.currentColor, { affects: 'edge' }),
  textDecorationThickness: lengthOr('auto', ['auto', 'from-font'], {}, { affects: 'edge' }),
  textUnderlineOffset: lengthOr('auto', ['auto'], {}, { inherited: true, affects: 'edge' }),
  textShadow: shadows('text', { inherited: true, affects: 'edge' }),
  textOverflow: text('clip'),
  boxDecorationBreak: keyword(['slice', 'clone']),
  textBoxTrim: keyword(['none', 'trim-start', 'trim-end', 'trim-both']),
  textBoxEdge: text('auto', isTextEdge, { inherited: true }),
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
  listStyleType,
  listStylePosition: keyword(['outside', 'inside'], { inherited: true }),
  listStyleImage: row<string | null>(
    null,
    ([item, more]) => {
      if (more || !item) return null;
      if (isIdent(item, 'none')) return () => null;
      const picture = readPicture(item);
      return picture === null ? null : () => picture;
    },
    (value) => (value === null ? 'none' : `url("${value}")`),
    { inherited: true },
  ),
  quotes,
  content,
  counterReset: counterChanges(0),
  counterIncrement: counterChanges(1),
  counterSet: counterChanges(0),
  cursor,
  initialLetter: text('normal'),
  orphans: text('2', undefined, { inherited: true }),
  widows: text('2', undefined, { inherited: true }),
} as const;
