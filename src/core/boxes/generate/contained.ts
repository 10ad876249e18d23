import type { ComputedStyle } from '../../cascade/index.js';
import type { ElementNode, MarkupView } from '../../html/index.js';
import type { NaturalSize } from '../box.js';
import { isDateType } from './date-field.js';

/** How much of its natural size an element keeps where its content does not count. */
interface Kept {
  /** Along its lines, px; null what it has anyhow. */
  readonly along: number | null;
  readonly across: number | null;
  /** Whether a size it is given in place of the content's counts. */
  readonly replaceable: boolean;
}

const PICTURE: Kept = { along: 0, across: 0, replaceable: true };
const FIELD: Kept = { along: null, across: null, replaceable: true };
const FIXED: Kept = { along: null, across: null, replaceable: false };
const BAR: Kept = { along: null, across: 0, replaceable: true };
/** The arrow of a drop-down list. */
const ARROW: Kept = { along: 20, across: null, replaceable: true };

function keptOf({ tag }: ElementNode, type: string): Kept {
  switch (tag) {
    case 'select':
      return ARROW;
    case 'textarea':
      return FIELD;
    case 'meter':
    case 'progress':
      return FIXED;
    case 'input':
      if (type === 'color') return FIXED;
      if (type === 'image' || isDateType(type)) return PICTURE;
      return type === 'range' || type === 'file' ? BAR : FIELD;
    default:
      return PICTURE;
  }
}

/**
 * The natural size of a replaced element or form control whose content does not count for it: pictures have none and no
 * ratio, controls keep what does not come from what they hold.
 * @spec css-contain-3 §3.1, css-sizing-4 §4 (contain-intrinsic-*); what controls keep is as browsers have it
 */
export function containedNatural(
  element: ElementNode,
  style: ComputedStyle,
  natural: NaturalSize,
  markup: MarkupView,
): NaturalSize {
  const words = [...style.contain, ...style.containerType];
  const whole = style.contentVisibility === 'hidden' || words.some((word) => word === 'size' || word === 'strict');
  if (!whole && !words.includes('inline-size')) return natural;
  const kept = keptOf(element, (markup.attribute(element, 'type') ?? 'text').toLowerCase());
  const flat = style.writingMode === 'horizontal-tb';
  const along = !whole && element.tag === 'select' ? null : kept.along;
  const axis = (size: number | null, asked: number | null, least: number | null, held: boolean) =>
    held ? ((kept.replaceable ? asked : null) ?? least ?? size) : size;
  return {
    ...natural,
    width: axis(natural.width, style.containIntrinsicWidth.px, flat ? along : kept.across, whole || flat),
    height: axis(natural.height, style.containIntrinsicHeight.px, flat ? kept.across : along, whole || !flat),
    ratio: null,
  };
}
