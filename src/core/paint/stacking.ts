import type { Box } from '../boxes/index.js';

/** Why a box paints its descendants as one group. @spec css2 §9.9.1, css-position-4, css-color-4 §3.2, filter-effects-1, css-transforms-1, css-will-change-1, css-contain-3 */
export function stackingReasons(box: Box): readonly string[] {
  if (box.anonymous || box.inner === 'text') return [];
  const { style } = box;
  const reasons: string[] = [];
  const inFlexOrGrid =
    box.parent !== null && ['flex', 'grid'].includes(box.parent.inner) && box.style.position === 'static';
  if (box.parent === null) reasons.push('root element');
  if (style.position === 'fixed' || style.position === 'sticky') reasons.push(`position: ${style.position}`);
  else if (style.position !== 'static' && style.zIndex !== 'auto')
    reasons.push(`position: ${style.position} with z-index: ${style.zIndex}`);
  if (inFlexOrGrid && style.zIndex !== 'auto') reasons.push(`flex or grid item with z-index: ${style.zIndex}`);
  if (style.opacity < 1) reasons.push(`opacity: ${style.opacity}`);
  if (style.mixBlendMode !== 'normal') reasons.push(`mix-blend-mode: ${style.mixBlendMode}`);
  if (style.isolation === 'isolate') reasons.push('isolation: isolate');
  if (style.clipPath !== null) reasons.push('clip-path');
  if (style.maskImage !== 'none') reasons.push('mask');
  if (/\b(layout|paint|strict|content)\b/.test(style.contain)) reasons.push(`contain: ${style.contain}`);
  if (/\b(size|inline-size)\b/.test(style.containerType)) reasons.push(`container-type: ${style.containerType}`);
  if (box.outer !== 'inline' || box.inner !== 'flow') {
    for (const [name, set] of [
      ['transform', style.transform.length > 0],
      ['translate', style.translate.length > 0],
      ['rotate', style.rotate.length > 0],
      ['scale', style.scale.length > 0],
    ] as const)
      if (set) reasons.push(name);
    if (style.perspective !== 'none') reasons.push('perspective');
  }
  if (style.filter !== 'none') reasons.push('filter');
  if (style.backdropFilter !== 'none') reasons.push('backdrop-filter');
  const will =
    /\b(transform|translate|rotate|scale|opacity|filter|backdrop-filter|perspective|mix-blend-mode|isolation|position|z-index|clip-path|mask|contain)\b/.exec(
      style.willChange,
    );
  if (will) reasons.push(`will-change: ${will[1]}`);
  return reasons;
}

/** The z-index that counts for painting: zero for contexts made by other means. */
export function usedZIndex(box: Box): number {
  const { style } = box;
  const inFlexOrGrid = box.parent !== null && ['flex', 'grid'].includes(box.parent.inner);
  if (style.zIndex === 'auto') return 0;
  return style.position !== 'static' || inFlexOrGrid ? style.zIndex : 0;
}
