/** Adjoining margins: their sum is the largest positive plus the most negative. @spec css2 §8.3.1 */
export interface Strut {
  readonly positive: number;
  readonly negative: number;
}

export const NO_STRUT: Strut = Object.freeze({ positive: 0, negative: 0 });

export const joinMargin = (strut: Strut, margin: number): Strut =>
  margin >= 0
    ? { positive: Math.max(strut.positive, margin), negative: strut.negative }
    : { positive: strut.positive, negative: Math.min(strut.negative, margin) };

export const joinStruts = (a: Strut, b: Strut): Strut => ({
  positive: Math.max(a.positive, b.positive),
  negative: Math.min(a.negative, b.negative),
});

export const strutSize = (strut: Strut): number => strut.positive + strut.negative;
