import type { Face, TextMetrics } from './metrics.js';

/**
 * The same metrics with another width for text whose font is not known: its first family is none of those held, so
 * that another one stands in for it. What else is told of fonts stays.
 */
export function stretchedMetrics(base: TextMetrics, factor: number): TextMetrics {
  const made = new WeakMap<Face, Face>();
  const stretched = (face: Face): Face => {
    let known = made.get(face);
    if (!known) made.set(face, (known = stretchedFace(face, factor)));
    return known;
  };
  return {
    knows: (family) => base.knows(family),
    isSymbolic: (families) => base.isSymbolic(families),
    face(families, weight, italic, features) {
      const face = base.face(families, weight, italic, features);
      return base.knows(families[0]?.name ?? '') ? face : stretched(face);
    },
  };
}

const stretchedFace = (face: Face, factor: number): Face => ({
  name: face.name,
  width: (text, size, kerning) => face.width(text, size, kerning) * factor,
  ascent: (size) => face.ascent(size),
  descent: (size) => face.descent(size),
  lineHeight: (size) => face.lineHeight(size),
  xHeight: (size) => face.xHeight(size),
  capHeight: (size) => face.capHeight(size),
  average: (size) => face.average(size) * factor,
  widest: (size) => face.widest(size) * factor,
  runs: (text, size) => face.runs(text, size),
  has: (code) => face.has(code),
  draws: (code) => face.draws(code),
  reach: (text, size) => face.reach(text, size),
});
