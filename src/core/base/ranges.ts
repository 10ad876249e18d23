/** Whole px from one to another, both included. */
export interface Range {
  readonly from: number;
  readonly to: number;
}

/** What of some ranges lies in none of others, in order. */
export function withoutRanges(ranges: readonly Range[], others: readonly Range[]): readonly Range[] {
  return joinRanges(others).reduce<readonly Range[]>(
    (left, { from, to }) =>
      left.flatMap((one) =>
        [
          { from: one.from, to: Math.min(one.to, from - 1) },
          { from: Math.max(one.from, to + 1), to: one.to },
        ].filter((rest) => rest.from <= rest.to),
      ),
    joinRanges(ranges),
  );
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
