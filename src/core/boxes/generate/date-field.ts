import type { ComputedStyle } from '../../cascade/index.js';
import { resolveLength, type ControlPart } from '../../css/index.js';
import type { NaturalSize } from '../box.js';
import { faceIn, type TextMetrics } from '../text/index.js';
import { usedLineHeight } from './lines.js';
import { ACROSS, DOWN, edgesAlong, fixed, partSize, sized, takesRoom } from './sized.js';

/** Types whose fields are made of parts. @spec html §4.10.5.1.7 to §4.10.5.1.11 */
export type DateType = 'date' | 'time' | 'month' | 'week' | 'datetime-local';

export const isDateType = (type: string): type is DateType => /^(date|time|month|week|datetime-local)$/.test(type);

/** What a part may show, the widest of which it has room for; or a text between two parts. */
type Part = readonly string[] | string;

const MONTHS = 'January February March April May June July August September October November December'.split(' ');
const THIN_SPACE = '\u202f';
const LAST_YEAR = '275760';
/** Step of times where none is asked for, s. */
const MINUTE = 60;
/** Room around the figures of a part, px. */
const AROUND_PART = 2;

/**
 * Natural size of a field for dates or times: its parts side by side in English, and what opens its picker.
 * @spec html §15.5.6, §15.5.7 (as Chromium draws them)
 */
export function dateField(
  type: DateType,
  read: (name: string) => string | undefined,
  style: ComputedStyle,
  metrics: TextMetrics,
  part: (name: ControlPart) => ComputedStyle | null,
): NaturalSize {
  const { fontSize } = style;
  const face = faceIn(style, metrics);
  const letter = resolveLength(style.letterSpacing, fontSize);
  const spaced = (text: string) => (text === THIN_SPACE ? 0 : text.length);
  const widthOf = (text: string) => face.width(text, fontSize, true) + letter * spaced(text);
  const parts = partsOf(type, read);
  const wide = parts.reduce(
    (sum, part) => sum + (typeof part === 'string' ? widthOf(part) : Math.max(...part.map(widthOf)) + AROUND_PART),
    0,
  );
  const within = (name: ControlPart, axis: typeof ACROSS, content: number) => {
    const found = part(name);
    return found ? partSize(found, axis, content) : content;
  };
  const indicator = part('-webkit-calendar-picker-indicator');
  const picker = (axis: typeof ACROSS) => (takesRoom(indicator) ? partSize(indicator, axis, 0) : 0);
  const line = within(EDIT, DOWN, within(FIELDS, DOWN, usedLineHeight(style, metrics)));
  // The fields take the room that is left, whatever width they are given.
  const edit = part(EDIT);
  const around = edit ? edgesAlong(edit, ACROSS) + fixed(edit.marginLeft) + fixed(edit.marginRight) : 0;
  return sized(Math.ceil(wide) + around + picker(ACROSS), Math.max(line, picker(DOWN)));
}

const EDIT = '-webkit-datetime-edit';
const FIELDS = '-webkit-datetime-edit-fields-wrapper';

function partsOf(type: DateType, read: (name: string) => string | undefined): readonly Part[] {
  const year = (hint: string): Part => [hint, /^\d{4,6}(?=-)/.exec(read('max')?.trim() ?? '')?.[0] ?? LAST_YEAR];
  const date: readonly Part[] = [['mm', '12'], '/', ['dd', '31'], '/', year('yyyy')];
  switch (type) {
    case 'date':
      return date;
    case 'time':
      return timeParts(read);
    case 'month':
      return [['---------', ...MONTHS], ' ', year('----')];
    case 'week':
      return ['Week ', ['--', '53'], ', ', year('----')];
    case 'datetime-local':
      return [...date, ', ', ...timeParts(read)];
  }
}

/** Seconds and thousandths show where the step or the value has them. */
function timeParts(read: (name: string) => string | undefined): readonly Part[] {
  const asked = Number.parseFloat(read('step') ?? '');
  const step = asked > 0 ? asked : MINUTE;
  const [, seconds = '0', parts = '0'] = /:\d\d:(\d\d)(?:\.(\d+))?$/.exec(read('value')?.trim() ?? '') ?? [];
  const fine = step % 1 !== 0 || Number(parts) > 0;
  const inSeconds = fine || step % MINUTE !== 0 || Number(seconds) > 0;
  return [
    ['--', '12'],
    ':',
    ['--', '59'],
    ...(inSeconds ? [':', ['--', '59']] : []),
    ...(fine ? ['.', ['---', '999']] : []),
    THIN_SPACE,
    ['--', 'AM', 'PM'],
  ];
}
