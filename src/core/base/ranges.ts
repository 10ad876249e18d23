/** Whole px from one to another, both included. */
export interface Range {
  readonly from: number;
  readonly to: number;
}

/** Ranges that meet or overlap become one; in order. */
export function joinRanges(ranges: readonly Range[]): readonly Range[] {
  const out: { from: number; to: number }[] = [];
  for (const range of [...ranges].sort((a, b) => a.from - b.from)) {
    const last = out[out.length - 1];
    if (last && range.from <= last.to + 1) last.to = Math.max(last.to, range.to);
    else out.push({ ...range });
  }
  return out;
}
