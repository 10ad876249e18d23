import { formatPosition, positionOf } from '../base/index.js';
import type { SheetThreshold } from '../sheets/index.js';

/** A place where two neighbouring conditions do not meet. */
export interface Seam {
  /** `gap`: whole px in neither; `fraction`: only fractional widths in neither; `overlap`: widths in both. */
  readonly kind: 'gap' | 'fraction' | 'overlap';
  readonly from: number;
  readonly to: number;
  /** The upper end of the lower condition, the lower end of the upper one. */
  readonly lower: { readonly condition: string; readonly place: string };
  readonly upper: { readonly condition: string; readonly place: string };
}

/** Neighbours farther apart than this are meant to be. */
const NEAR = 12;
/** Below this, browsers zooming in steps never meet the gap. */
const HAIRLINE = 0.05;

/**
 * Pairs of an upper bound and the nearest lower bound that leave a gap between them or overlap.
 * @param thresholds of all sheets, in order of px
 */
export function seamsOf(thresholds: readonly SheetThreshold[]): readonly Seam[] {
  const uppers = thresholds.filter((t) => t.side === 'above');
  const lowers = thresholds.filter((t) => t.side === 'from');
  return uppers.flatMap((upper): Seam[] => {
    const near = lowers
      .filter((l) => Math.abs(l.px - upper.px) <= NEAR)
      .sort((a, b) => Math.abs(a.px - upper.px) - Math.abs(b.px - upper.px))[0];
    if (!near || uppers.some((u) => u !== upper && Math.abs(u.px - near.px) < Math.abs(upper.px - near.px))) return [];
    const kind = kindOf(upper.px, near.px);
    if (!kind) return [];
    return [
      {
        kind,
        from: Math.min(upper.px, near.px),
        to: Math.max(upper.px, near.px),
        lower: named(upper),
        upper: named(near),
      },
    ];
  });
}

function kindOf(upper: number, lower: number): Seam['kind'] | null {
  if (lower <= upper) return 'overlap';
  if (Math.ceil(lower) - 1 >= Math.floor(upper) + 1) return 'gap';
  return lower - upper > HAIRLINE ? 'fraction' : null;
}

function named(threshold: SheetThreshold): Seam['lower'] {
  const first = threshold.places[0]!;
  return { condition: first.text, place: formatPosition(positionOf(first.span)) };
}
