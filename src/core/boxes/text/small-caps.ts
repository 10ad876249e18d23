import type { SmallCaps } from './features.js';
import type { Face, FontRun } from './metrics.js';
import { split } from './split.js';

/** Size of a small capital made of a capital, whole px. @spec css-fonts-4 §6.6 (browsers agree on the factor) */
const reduced = (size: number): number => Math.round(size * 0.7);

/** Unicase leaves lower-case letters alone and makes all else small. */
const isSmall = (character: string, made: SmallCaps): boolean => {
  if (made === 'all') return true;
  return (character.toUpperCase() === character) === (made === 'upper');
};

/** A font that has no small capitals, with capitals at a smaller size in their place. */
export function smallCapsFace(face: Face, made: SmallCaps): Face {
  const parts = (text: string) =>
    split(text, (character) => isSmall(character, made)).map(({ key, text: part }) => ({
      small: key,
      text: key && made !== 'upper' ? part.toUpperCase() : part,
    }));
  return {
    name: face.name,
    width: (text, size, kerning) =>
      parts(text).reduce((sum, one) => sum + face.width(one.text, one.small ? reduced(size) : size, kerning), 0),
    ascent: (size) => face.ascent(size),
    descent: (size) => face.descent(size),
    lineHeight: (size) => face.lineHeight(size),
    xHeight: (size) => face.xHeight(size),
    capHeight: (size) => face.capHeight(size),
    average: (size) => face.average(size),
    widest: (size) => face.widest(size),
    runs: (text, size) =>
      parts(text).flatMap((one) => {
        const at = one.small ? reduced(size) : size;
        const drawn = (run: FontRun) => ({
          ...run,
          scale: (run.scale * at) / size,
          width: face.width(run.text, at, true),
        });
        return face.runs(one.text, size).map(drawn);
      }),
    has: (code) => face.has(code),
    draws: (code) => face.draws(code),
    reach: (text, size) => face.reach(text, size),
  };
}
