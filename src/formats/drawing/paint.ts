import type { Rgba } from '../../core/css/index.js';

/** A colour as the two attributes SVG wants. @param name `fill` or `stroke` */
export function paint(name: 'fill' | 'stroke' | 'stop' | 'flood', colour: Rgba): Record<string, string | number> {
  const hex = [colour.r, colour.g, colour.b]
    .map((v) =>
      Math.max(0, Math.min(255, Math.round(v)))
        .toString(16)
        .padStart(2, '0'),
    )
    .join('');
  const key = name === 'stop' || name === 'flood' ? `${name}-color` : name;
  return { [key]: `#${hex}`, ...(colour.a < 1 ? { [`${name}-opacity`]: Math.round(colour.a * 1000) / 1000 } : {}) };
}
