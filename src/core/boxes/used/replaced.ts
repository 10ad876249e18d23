import { isLengthPercentage, type Sizing } from '../../css/index.js';
import { isFormControl, type Box } from '../box.js';
import { horizontal, snap } from '../fragment.js';
import { isDateType } from '../generate/date-field.js';
import { usedMargins } from './edges.js';
import { frameHeight, frameWidth, heightFor, isByContent, preferredRatio, widthFor, type Frame } from './sizes.js';

/** Height of the frame in an image without file or text: its icon and what is around it, px. */
export const EMPTY_FRAME = 20;
/** Narrower frames have no room for the small picture that tells of a missing one, px. */
const ICON_ROOM = 18;

const DEFAULT = { width: 300, height: 150 };

/**
 * Border-box size of a replaced element.
 * @param width containing block's width, px; NaN while measuring
 * @param height percentage basis of heights, NaN if indefinite
 * @param fixed sizes decided outside, and the axis along which the style has no say
 * @spec css2 §10.3.2, §10.6.2, §10.4 (table of min/max violations); css-sizing-4 §4
 */
export function replacedSize(
  box: Box,
  width: number,
  height: number,
  frame: Frame,
  fixed: { width?: number | undefined; height?: number | undefined; byContent?: 'width' | 'height' } = {},
): { width: number; height: number } {
  const { style } = box;
  const natural = box.natural!;
  const ratio = preferredRatio(box);
  const fx = frameWidth(frame);
  const fy = frameHeight(frame);
  const readY = (value: Sizing) =>
    box.anonymous || fixed.byContent === 'height' ? null : heightFor(box, value, height, frame);
  const h = fixed.height ?? readY(style.height);
  // The words for sizes by content mean the width that a height gives. @spec css-sizing-4 §5.2
  const intrinsic = () => {
    const own = h !== null && ratio ? fromHeight(clampH(h)) - fx : naturalWidth();
    return { min: own, max: own };
  };
  const room = width - horizontal(usedMargins(box, width));
  const naturalWidth = () =>
    natural.width ?? (natural.height !== null && ratio ? natural.height * ratio : fallbackWidth(box, room, fx, ratio));
  const read = (value: Sizing, basis = width) =>
    box.anonymous || fixed.byContent === 'width' ? null : widthFor(box, value, basis, room, frame, intrinsic);
  const widthAsked = () => fixed.width ?? read(style.width);
  const shows = () => natural.filled || (widthAsked() ?? 0) - fx >= ICON_ROOM;
  const filled = natural.framed && h === null && style.minHeight === 'auto' && ratio !== null && shows();
  const limitY = (value: Sizing) =>
    isByContent(value) && natural.height !== null && !ratio ? natural.height + fy : readY(value);
  const minH = Math.max(filled ? EMPTY_FRAME + fy : fy, limitY(style.minHeight) ?? 0);
  const maxH = Math.max(minH, limitY(style.maxHeight) ?? Infinity);
  const clampH = (v: number) => Math.max(minH, Math.min(maxH, v));
  // A ratio the page asks for holds for the box that box-sizing names.
  const asked = !style.aspectRatio.auto && style.aspectRatio.ratio !== null;
  const whole = style.boxSizing === 'border-box' && asked;
  const fromHeight = (v: number) => (whole ? v * ratio! : (v - fy) * ratio! + fx);
  const fromWidth = (v: number) => (whole ? v / ratio! : (v - fx) / ratio! + fy);
  const w = widthAsked();
  // While measuring, shares of a width that is not known yet count as nothing. @spec css-sizing-3 §5.2.1
  const minW = Math.max(fx, read(style.minWidth, width || 0) ?? 0);
  const maxW = Math.max(minW, read(style.maxWidth) ?? Infinity);
  const clampW = (v: number) => Math.max(minW, Math.min(maxW, v));
  if (w !== null && h !== null) return { width: clampW(w), height: clampH(h) };
  if (w !== null) {
    const used = clampW(w);
    return { width: used, height: clampH(ratio ? snap(fromWidth(used)) : (natural.height ?? DEFAULT.height) + fy) };
  }
  if (h !== null) {
    const used = clampH(h);
    return { width: clampW(ratio ? snap(fromHeight(used)) : (natural.width ?? DEFAULT.width) + fx), height: used };
  }
  const nw = naturalWidth();
  const nh = natural.height ?? (ratio ? nw / ratio : DEFAULT.height);
  const full = { width: nw + fx, height: asked && ratio ? fromWidth(nw + fx) : nh + fy };
  return ratio
    ? constrain(full, { minW, maxW, minH, maxH }, fromWidth, fromHeight)
    : { width: clampW(full.width), height: clampH(full.height) };
}

/**
 * Without natural width but with a ratio, block-level rules give the width of the containing block; such a box asks
 * for none itself.
 */
function fallbackWidth({ style }: Box, room: number, extra: number, ratio: number | null): number {
  if (ratio === null || (Number.isNaN(room) && isLengthPercentage(style.width))) return DEFAULT.width;
  return Number.isNaN(room) ? 0 : Math.max(0, room - extra);
}

interface Bounds {
  readonly minW: number;
  readonly maxW: number;
  readonly minH: number;
  readonly maxH: number;
}

function constrain(
  size: { width: number; height: number },
  b: Bounds,
  fromWidth: (w: number) => number,
  fromHeight: (h: number) => number,
): { width: number; height: number } {
  let { width, height } = size;
  if (width > b.maxW) {
    width = b.maxW;
    height = Math.max(fromWidth(width), b.minH);
  }
  if (height > b.maxH) {
    height = b.maxH;
    width = Math.max(Math.min(fromHeight(height), b.maxW), b.minW);
  }
  if (width < b.minW) {
    width = b.minW;
    height = Math.min(fromWidth(width), b.maxH);
  }
  if (height < b.minH) {
    height = b.minH;
    width = Math.min(Math.max(fromHeight(height), b.minW), b.maxW);
  }
  return { width: snap(width), height: snap(height) };
}

const hasPercentage = (value: Sizing): boolean =>
  isLengthPercentage(value) && (value.percent !== 0 || value.curve !== null);

/** What keeps its size; dates are made of parts that stay side by side. */
const isRigid = (type: string): boolean => type === 'checkbox' || type === 'radio' || isDateType(type);

/**
 * Whether a percentage squeezes a replaced box or a list of options to nothing where its container is sized by content.
 * An image without its file is a box like others. @spec css-sizing-3 §5.2.2 (compressible replaced elements)
 */
export function isSqueezed(box: Box): boolean {
  const { width, maxWidth } = box.style;
  const tag = box.element?.tag;
  const type = tag === 'input' ? (box.element!.attributes.get('type') ?? '').toLowerCase() : '';
  if (box.natural?.framed || isRigid(type)) return false;
  return hasPercentage(width) || (hasPercentage(maxWidth) && !isFormControl(box) && tag !== 'select');
}
