import { withValues, type ComputedStyle } from '../../cascade/index.js';
import type { AnchorQuery, LengthPercentage } from '../../css/index.js';
import type { Box } from '../box.js';

type Axis = 'block' | 'inline';

const SIDES = { block: ['top', 'bottom'], inline: ['left', 'right'] } as const;
const MARGINS = { block: ['marginTop', 'marginBottom'], inline: ['marginLeft', 'marginRight'] } as const;

/**
 * An absolute box as it is placed in turn until it fits: as it stands, then as its fallbacks say.
 * @spec css-anchor-position-1 §6.1 (position-try-fallbacks), §6.1.2 (tactics)
 */
export function placementsOf(box: Box): readonly Box[] {
  const { positionTryFallbacks: list } = box.style;
  if (list === 'none') return [box];
  return [box, ...list.split(',').flatMap((option) => placement(box, option.trim().toLowerCase()))];
}

function placement(box: Box, option: string): readonly Box[] {
  const words = option.split(/\s+/);
  const tactics = words.filter((word) => word.startsWith('flip-'));
  if (tactics.length === 0)
    return option.startsWith('--') ? [] : [{ ...box, style: withValues(box.style, { positionArea: option }) }];
  if (tactics.length < words.length || tactics.includes('flip-start')) return [];
  const axes = tactics.map((word): Axis => (word === 'flip-block' ? 'block' : 'inline'));
  return [axes.reduce(flipped, box)];
}

function flipped(box: Box, axis: Axis): Box {
  const { style } = box;
  const [low, high] = SIDES[axis];
  const [before, after] = MARGINS[axis];
  const self = axis === 'block' ? 'alignSelf' : 'justifySelf';
  return {
    ...box,
    style: withValues(style, {
      [low]: turned(style[high], axis),
      [high]: turned(style[low], axis),
      [before]: style[after],
      [after]: style[before],
      [self]: exchanged(style[self], [
        ['start', 'end'],
        ['left', 'right'],
      ]),
      positionArea: areaFlipped(style.positionArea, axis),
    } as Partial<ComputedStyle>),
  };
}

/** A length that asks for the opposite edge of its anchor. */
function turned(value: ComputedStyle['top'], axis: Axis): ComputedStyle['top'] {
  if (value === 'auto' || !value.anchored) return value;
  const { anchored } = value;
  const word = (query: AnchorQuery): string =>
    query.asks === 'size'
      ? query.word
      : query.word.endsWith('%')
        ? `${100 - Number.parseFloat(query.word)}%`
        : exchanged(query.word, [SIDES[axis], ['start', 'end']]);
  const opposite: LengthPercentage['anchored'] = (find) => anchored((query) => find({ ...query, word: word(query) }));
  return { ...value, anchored: opposite };
}

/** Words of the block axis in an area, and those of no axis by where they stand: the block axis comes first. */
function areaFlipped(area: string, axis: Axis): string {
  const words = area.split(' ');
  return words
    .map((word, i) => {
      const ofAxis = axis === 'block' ? /\b(top|bottom|y|block)\b/ : /\b(left|right|x|inline)\b/;
      const bare = !/\b(top|bottom|left|right|x|y|block|inline)\b/.test(word);
      const here = bare && (words.length === 1 || (i === 0) === (axis === 'block'));
      return ofAxis.test(word) || here ? exchanged(word, [SIDES[axis], ['start', 'end']]) : word;
    })
    .join(' ');
}

/** A word with the ends it names exchanged. */
function exchanged(word: string, pairs: readonly (readonly [string, string])[]): string {
  for (const [one, other] of pairs) {
    const found = new RegExp(`\\b(${one}|${other})$`).exec(word);
    if (found) return word.slice(0, found.index) + (found[0] === one ? other : one);
  }
  return word;
}
