import { isFloating, isInFlow } from '../../box.js';
import { makeFragment, type Fragment, type Placed } from '../../fragment.js';
import type { Content } from '../content.js';
import type { Share } from './balance.js';
import { isDivisible } from './breaks.js';

/** A share and where the ones beside it meet it: what lies between two goes with the upper one. */
export interface Cut extends Share {
  readonly first: number;
  readonly next: number;
}

/** The cuts of a strip: nothing is lost above the first, between two or below the last. */
export const cutsOf = (shares: readonly Share[]): readonly Cut[] =>
  shares.map((share, i) => ({
    ...share,
    first: i === 0 ? -Infinity : share.from,
    next: shares[i + 1]?.from ?? Infinity,
  }));

/** What a cut holds of fragments placed in a strip; heights stay those of the strip. @param top of what they are placed in */
export function slice(children: readonly Placed[], top: number, cut: Cut): Placed[] {
  return children.flatMap((child) => {
    const y = top + child.y;
    const part = partOf(child.fragment, y, cut);
    return part ? [{ fragment: part.fragment, x: child.x, y: part.y - top }] : [];
  });
}

/** Lowest baseline of what a cut holds of some content, px from the top of the column; null if there is none. */
export function lowestBaseline(
  { lineEnds = [], lastBaseline, children }: Standing,
  top: number,
  cut: Cut,
): number | null {
  const last = lineEnds.at(-1);
  if (last !== undefined) {
    const end = lineEnds.map((at) => top + at).findLast((at) => at > cut.from && at <= cut.next);
    return end === undefined || lastBaseline === null ? null : end - (last - lastBaseline) - cut.from;
  }
  return children.reduce<number | null>((lowest, { fragment, y }) => {
    if (!isInFlow(fragment.box) || isFloating(fragment.box)) return lowest;
    const at = top + y;
    const whole = at >= cut.first && at < cut.next && fragment.lastBaseline !== null;
    const own = isDivisible(fragment)
      ? lowestBaseline(fragment, at, cut)
      : whole
        ? at + fragment.lastBaseline! - cut.from
        : null;
    return own === null ? lowest : Math.max(lowest ?? -Infinity, own);
  }, null);
}

type Standing = Pick<Content, 'lineEnds' | 'lastBaseline' | 'children'>;

function partOf(fragment: Fragment, y: number, cut: Cut): { fragment: Fragment; y: number } | null {
  const bottom = y + fragment.height;
  if (!isDivisible(fragment)) {
    const at = fragment.kind === 'box' && fragment.box.outer === 'block' ? y : y + fragment.height / 2;
    return at >= cut.first && at < cut.next ? { fragment, y } : null;
  }
  const starts = y >= cut.first;
  const ends = bottom <= cut.to || cut.next === Infinity;
  if (starts && ends) return y < cut.next ? { fragment, y } : null;
  const [from, to] = [starts ? y : cut.from, ends ? bottom : cut.floor];
  if (y >= cut.next || to < from || (!starts && bottom <= cut.from)) return null;
  const { border, padding } = fragment;
  const edges = <T extends Fragment['border']>(sides: T) => ({
    ...sides,
    top: starts ? sides.top : 0,
    bottom: ends ? sides.bottom : 0,
  });
  return {
    y: from,
    fragment: makeFragment({
      ...fragment,
      height: to - from,
      border: edges(border),
      padding: edges(padding),
      children: slice(fragment.children, y, cut).map((child) => ({ ...child, y: child.y + y - from })),
    }),
  };
}
