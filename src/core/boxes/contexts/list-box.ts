import type { Box } from '../box.js';
import { vertical, type Placed } from '../fragment.js';
import { frameHeight, type Frame } from '../used/sizes.js';

/**
 * How far a list box is scrolled at first, px: so far that its first selected option shows, the last where only one may
 * be selected. @spec html §4.10.7 (browsers agree)
 */
export function scrolledBy({ rows, element }: Box, children: readonly Placed[], height: number, frame: Frame): number {
  if (rows === 0 || !element) return 0;
  const ends = selectedEnds(children, frame.padding.top);
  const shown = element.attributes.has('multiple') ? ends[0] : ends[ends.length - 1];
  const room = height - frameHeight(frame) + vertical(frame.padding);
  return Math.max(0, Math.round((shown ?? 0) - room));
}

/** Lower ends of the selected options, from the upper end of what scrolls. */
const selectedEnds = (children: readonly Placed[], from: number): number[] =>
  children.flatMap(({ fragment, y }) => {
    const { element } = fragment.box;
    if (element?.tag === 'optgroup') return selectedEnds(fragment.children, from + y);
    return element?.attributes.has('selected') ? [from + y + fragment.height] : [];
  });
