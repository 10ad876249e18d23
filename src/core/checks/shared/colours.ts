import { contrastRatio, luminance, printColour, type Rgba } from '../../css/index.js';

/** `#rrggbb`, or rgba() where it is see-through. */
export function hexOf(colour: Rgba): string {
  if (colour.a < 1) return printColour(colour);
  return `#${[colour.r, colour.g, colour.b].map((v) => Math.round(v).toString(16).padStart(2, '0')).join('')}`;
}

const mix = (from: Rgba, to: number, share: number): Rgba => ({
  r: Math.round(from.r + (to - from.r) * share),
  g: Math.round(from.g + (to - from.g) * share),
  b: Math.round(from.b + (to - from.b) * share),
  a: 1,
});

/**
 * The colour nearest to a given one that reaches a contrast on a ground, darkened or lightened as is shorter;
 * null where neither black nor white does.
 */
export function passingColour(colour: Rgba, ground: Rgba, needed: number): Rgba | null {
  const darker = luminance(ground) > 0.18 ? [0, 255] : [255, 0];
  for (const end of darker) {
    if (contrastRatio(mix(colour, end, 1), ground) < needed) continue;
    let low = 0;
    let high = 1;
    for (let i = 0; i < 12; i++) {
      const middle = (low + high) / 2;
      if (contrastRatio(mix(colour, end, middle), ground) >= needed) high = middle;
      else low = middle;
    }
    return mix(colour, end, high);
  }
  return null;
}
