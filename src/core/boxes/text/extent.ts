/** How far something reaches above and below a baseline, px. */
export interface Extent {
  readonly above: number;
  readonly below: number;
}

/** With half of what a line is higher on each side; the upper half is rounded down, as browsers do. */
export function withLeading({ above, below }: Extent, lineHeight: number): Extent {
  const spare = lineHeight - above - below;
  const upper = Math.floor(spare / 2);
  return { above: above + upper, below: below + spare - upper };
}
