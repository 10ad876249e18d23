import { laidOutAlike } from '../../cascade/index.js';
import { containsFixed, type Box, type NaturalSize } from '../box.js';
import type { Edges } from '../fragment.js';

/** Boxes of one tree and those of another that are laid out alike, with all they hold. */
export interface Twins {
  /** The box of the earlier tree, by that of the later one. */
  readonly earlier: ReadonlyMap<Box, Box>;
  readonly later: ReadonlyMap<Box, Box>;
}

const sameNatural = (a: NaturalSize | null, b: NaturalSize | null): boolean =>
  a === b || (a !== null && b !== null && a.width === b.width && a.height === b.height && a.ratio === b.ratio);

const sameEdges = (a: Edges | null, b: Edges | null): boolean =>
  a === b ||
  (a !== null && b !== null && a.top === b.top && a.right === b.right && a.bottom === b.bottom && a.left === b.left);

/** Paint alone may differ, as long as the same boxes hold what is absolute or fixed inside. */
const sameStyle = (a: Box, b: Box): boolean =>
  a.style === b.style || (laidOutAlike(a.computed, b.computed) && containsFixed(a) === containsFixed(b));

/** Whether two boxes are laid out alike, as far as their own is concerned. */
function alike(a: Box, b: Box): boolean {
  return (
    a.element === b.element &&
    a.pseudo === b.pseudo &&
    sameStyle(a, b) &&
    a.outer === b.outer &&
    a.inner === b.inner &&
    a.text === b.text &&
    a.anonymous === b.anonymous &&
    a.frame === b.frame &&
    a.mode === b.mode &&
    a.marker?.style === b.marker?.style &&
    a.marker?.text === b.marker?.text &&
    a.marker?.pictureHeight === b.marker?.pictureHeight &&
    a.centred === b.centred &&
    a.rows === b.rows &&
    a.locked === b.locked &&
    a.viewport === b.viewport &&
    (a.firstLine === b.firstLine ||
      (a.firstLine !== null && b.firstLine !== null && laidOutAlike(a.firstLine, b.firstLine))) &&
    sameNatural(a.natural, b.natural) &&
    sameEdges(a.collapsed, b.collapsed)
  );
}

/**
 * Finds what two trees of one document have in common: whole subtrees whose styles ask for the same layout. What
 * such a subtree inherits is among its own values, so it is laid out alike wherever it is given the same room.
 */
export function pairTwins(before: Box, after: Box): Twins {
  const earlier = new Map<Box, Box>();
  const later = new Map<Box, Box>();
  const pair = (a: Box, b: Box): boolean => {
    let same = a.children.length === b.children.length;
    if (same) for (let i = 0; i < a.children.length; i++) same = pair(a.children[i]!, b.children[i]!) && same;
    if (!same || !alike(a, b)) return false;
    earlier.set(b, a);
    later.set(a, b);
    return true;
  };
  pair(before, after);
  return { earlier, later };
}
