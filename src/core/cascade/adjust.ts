import { PROPERTY_KEYS, ZERO, type ComputedValues, type Display } from '../css/index.js';
import type { Winner } from './block.js';
import type { Drawn, Particular, Placement } from './placement.js';
import { indexOf, type ComputedStyle } from './style.js';

const BLOCKIFIED: Partial<Readonly<Record<Display, Display>>> = {
  inline: 'block',
  'inline-block': 'block',
  'inline-flex': 'flex',
  'inline-grid': 'grid',
  'inline-table': 'table',
  'inline list-item': 'list-item',
  'table-row-group': 'block',
  'table-header-group': 'block',
  'table-footer-group': 'block',
  'table-row': 'block',
  'table-cell': 'block',
  'table-column-group': 'block',
  'table-column': 'block',
  'table-caption': 'block',
  ruby: 'block ruby',
  'ruby-text': 'block',
  math: 'block math',
};

/** Displays of what has the looks of a control, whatever it is. @spec css-ui-4 §7.2 (browsers agree) */
const AS_CONTROL: Partial<Readonly<Record<Display, Display>>> = {
  inline: 'inline-block',
  'inline-table': 'inline-block',
  'table-row-group': 'inline-block',
  'table-header-group': 'inline-block',
  'table-footer-group': 'inline-block',
  'table-row': 'inline-block',
  'table-cell': 'inline-block',
  'table-column-group': 'inline-block',
  'table-column': 'inline-block',
  'table-caption': 'inline-block',
  'list-item': 'block',
  table: 'block',
};

const I = {
  display: indexOf('display'),
  position: indexOf('position'),
  float: indexOf('float'),
  overflowX: indexOf('overflowX'),
  overflowY: indexOf('overflowY'),
  textAlign: indexOf('textAlign'),
  webkitLineClamp: indexOf('webkitLineClamp'),
  webkitBoxOrient: indexOf('webkitBoxOrient'),
  appearance: indexOf('appearance'),
  lineHeight: indexOf('lineHeight'),
};
const EDGES = (['Top', 'Right', 'Bottom', 'Left'] as const).map(
  (side) => [indexOf(`border${side}Style`), indexOf(`border${side}Width`)] as const,
);

const PADDINGS = (['Top', 'Right', 'Bottom', 'Left'] as const).map((side) => indexOf(`padding${side}`));

/**
 * Computed values that depend on one another or on the parent's box type.
 * @spec css-display-3 §2.7 (blockification), css-overflow-3 §3.1, css-backgrounds-3 §4.3, css2 §9.7
 */
export function adjust(
  values: unknown[],
  parent: ComputedStyle | null,
  placement: Placement,
  winners: ReadonlyMap<number, Winner>,
): void {
  const display = values[I.display] as Display;
  const position = values[I.position] as ComputedValues['position'];
  const outOfFlow = position === 'absolute' || position === 'fixed';
  if (outOfFlow) values[I.float] = 'none';
  const inFlexOrGrid = /^(inline-)?(flex|grid)$/.test(placement.parentDisplay ?? '');
  if (display === 'contents') {
    if (placement.atomic) values[I.display] = 'none';
    else if (placement.root) values[I.display] = 'block';
  } else if (display !== 'none' && (outOfFlow || values[I.float] !== 'none' || placement.root || inFlexOrGrid)) {
    values[I.display] = BLOCKIFIED[display] ?? display;
  }
  if (values[I.appearance] !== 'none')
    values[I.display] = AS_CONTROL[values[I.display] as Display] ?? values[I.display];
  if (placement.drawn && values[I.appearance] !== 'none') drawNatively(values, placement.drawn, winners);
  for (const [style, width] of EDGES) if (values[style] === 'none' || values[style] === 'hidden') values[width] = 0;
  settleOverflow(values);
  if (values[I.textAlign] === 'match-parent') values[I.textAlign] = matchParent(parent);
  settleParticular(values, placement.particular);
}

/** What browsers draw themselves keeps to the look of its kind, whatever is asked. @spec html §15.5 (browsers agree) */
function drawNatively(values: unknown[], kind: Drawn, winners: ReadonlyMap<number, Winner>): void {
  if (kind === 'tick') drawTick(values);
  else if (kind === 'menu' || (values[I.appearance] === 'auto' && !hasLook(winners))) values[I.lineHeight] = 'normal';
}

/** A page that gives a button a ground or a border draws it itself. @spec css-ui-4 §7.2 (devolvable) */
const hasLook = (winners: ReadonlyMap<number, Winner>): boolean =>
  LOOKS.some((index) => winners.get(index)?.match.origin === 'author');
const LOOKS = PROPERTY_KEYS.flatMap((key, index) =>
  /^(background|border(?!Spacing|Collapse))/.test(key) ? [index] : [],
);

/** Checkboxes and radio buttons that the browser draws have neither border nor padding, whatever is asked. */
function drawTick(values: unknown[]): void {
  for (const [style] of EDGES) values[style] = 'none';
  for (const padding of PADDINGS) values[padding] = ZERO;
}

/**
 * An old flexible box along the block axis that clamps its lines is a block container.
 * @param display as declared
 * @spec css-overflow-4 §4.4 (-webkit-line-clamp)
 */
export function clampLines(values: unknown[], display: string): void {
  const old = /^\s*-webkit-(inline-)?box\s*$/i.exec(display);
  const clamps = values[I.webkitLineClamp] !== 'none' && values[I.webkitBoxOrient] === 'vertical';
  if (old && clamps) values[I.display] = old[1] ? 'inline-block' : 'flow-root';
}

function settleOverflow(values: unknown[]): void {
  const loose = (value: unknown) => value === 'visible' || value === 'clip';
  const x = values[I.overflowX];
  const y = values[I.overflowY];
  const scrollable = (value: unknown) => (value === 'visible' ? 'auto' : 'hidden');
  if (loose(x) && !loose(y)) values[I.overflowX] = scrollable(x);
  else if (loose(y) && !loose(x)) values[I.overflowY] = scrollable(y);
  // Tables do not scroll. @spec css-tables-3 §3.6 (overflow)
  if (!/^(inline-)?table$/.test(String(values[I.display]))) return;
  const scrolls = [values[I.overflowX], values[I.overflowY]].some((value) => value === 'auto' || value === 'scroll');
  if (scrolls) values[I.overflowX] = values[I.overflowY] = 'visible';
}

/** Tables do not pass on how blocks around them are aligned; text areas always scroll. @spec html §15.3.8, §15.5.19 (browsers agree) */
function settleParticular(values: unknown[], particular: Particular | null): void {
  if (particular === 'table' && /^-webkit-/.test(String(values[I.textAlign]))) values[I.textAlign] = 'start';
  if (particular !== 'textarea') return;
  for (const axis of [I.overflowX, I.overflowY]) if (values[axis] === 'visible') values[axis] = 'auto';
}

/** @spec css-text-4 §6.1 (match-parent) */
function matchParent(parent: ComputedStyle | null): ComputedValues['textAlign'] {
  if (!parent) return 'start';
  if (parent.textAlign !== 'start' && parent.textAlign !== 'end') return parent.textAlign;
  return (parent.textAlign === 'start') === (parent.direction === 'ltr') ? 'left' : 'right';
}
