import type { Rect } from '../../base/index.js';
import { isFormControl, type Box } from '../box.js';
import type { Layout } from '../layout.js';
import { isOrthogonal } from '../flows/modes.js';
import {
  acrossRatio,
  alongRatio,
  clampHeight,
  clampWidth,
  frameWidth,
  heightFor,
  preferredRatio,
  shrinkToFit,
  widthFor,
  yieldsToContent,
  type Frame,
} from '../used/sizes.js';
import { replacedSize } from '../used/replaced.js';
import { roomOf, stretchOf, type Axis } from './absolute-axis.js';

/** Border-box size of an absolutely positioned box; null is that of its content. @spec css2 §10.3.7, §10.3.8, §10.6.4 */
export function absoluteSize(
  box: Box,
  x: Axis,
  y: Axis,
  area: Rect,
  frame: Frame,
  layout: Layout,
): { width: number | null; height: number | null } {
  const { style } = box;
  if (box.inner === 'replaced') return replacedAbsolute(box, x, y, area, frame);
  const crossed = isOrthogonal(box.frame, box.mode);
  const stretchX = stretchOf(x, box);
  const stretchY = stretchOf(y, box);
  const ratio = preferredRatio(box);
  const intrinsic = () =>
    layout.intrinsic(box, { width: area.width, basis: area.height, fixed: stretchY ?? undefined });
  const extraX = frameWidth(frame);
  const availableX = roomOf(x);
  const asked = widthFor(box, style.width, area.width, availableX, frame, intrinsic);
  const askedY = heightFor(box, style.height, area.height, frame);
  let width = asked;
  if (width === null && style.width === 'auto') {
    const tall = askedY ?? (stretchX === null ? stretchY : null);
    if (ratio !== null && tall !== null) width = acrossRatio(box, tall, ratio, frame);
    else width = stretchX;
  }
  if (width === null && !crossed) {
    const { min, max } = intrinsic();
    width = shrinkToFit(min + extraX, max + extraX, Math.max(0, availableX));
  }
  if (width !== null) width = clampWidth(box, width, area.width, availableX, frame, intrinsic);
  const natural = () => {
    const fixed = width === null ? { shrink: true } : { fixedWidth: width };
    return layout.place(box, { width: area.width, height: area.height, ...fixed, byContent: 'height' }).height;
  };
  let height = askedY;
  if (height === null && style.height === 'auto') {
    if (ratio !== null && width !== null && (stretchY === null || asked !== null || stretchX !== null))
      height = Math.max(alongRatio(box, width, ratio, frame), yieldsToContent(box, style.minHeight) ? natural() : 0);
    else height = stretchY;
  }
  return { width, height: height === null ? null : clampHeight(box, height, area.height, frame, natural) };
}

function replacedAbsolute(box: Box, x: Axis, y: Axis, area: Rect, frame: Frame): { width: number; height: number } {
  const { style } = box;
  const control = isFormControl(box);
  const only = (axis: Axis, size: typeof style.width) =>
    size === 'auto' && (axis.align.to === 'stretch' || (axis.align.to === 'normal' && control))
      ? (stretchOf(axis, box) ?? undefined)
      : undefined;
  const wide = only(x, style.width) ?? widthByRatio(box, roomOf(x));
  return replacedSize(box, area.width, area.height, frame, {
    width: wide,
    height: only(y, style.height),
  });
}

/** What has a ratio and no size at all is as wide as there is room. */
function widthByRatio(box: Box, room: number): number | undefined {
  const { style, natural } = box;
  const sizeless = style.width === 'auto' && style.height === 'auto' && !natural?.width && !natural?.height;
  return sizeless && preferredRatio(box) !== null ? Math.max(0, room) : undefined;
}
