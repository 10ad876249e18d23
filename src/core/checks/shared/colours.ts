import { contrastRatio, printColour, type Rgba } from '../../css/index.js';

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

/** A colour and how far it went from the one it came from: 0 not at all, 1 to black or white. */
export interface Passing {
  readonly colour: Rgba;
  readonly share: number;
}

/** The colour nearest to a given one that reaches a contrast against another; null where neither black nor white does. */
export function passingColour(colour: Rgba, against: Rgba, needed: number): Passing | null {
  const found = [0, 255].flatMap((end): Passing[] => {
    if (contrastRatio(mix(colour, end, 1), against) < needed) return [];
    let low = 0;
    let high = 1;
    for (let i = 0; i < 12; i++) {
      const middle = (low + high) / 2;
      if (contrastRatio(mix(colour, end, middle), against) >= needed) high = middle;
      else low = middle;
    }
    return [{ colour: mix(colour, end, high), share: high }];
  });
  return found.sort((a, b) => a.share - b.share)[0] ?? null;
}

const STEPS = 40;

/** Ever darker and ever lighter shades of a colour, the nearest first, black and white among them. */
export const shades = (colour: Rgba): readonly Passing[] =>
  Array.from({ length: STEPS }, (_, i) => (i + 1) / STEPS).flatMap((share) =>
    [0, 255].map((end) => ({ colour: mix(colour, end, share), share })),
  );
