import type { Box } from '../../boxes/index.js';
import { selectorOf, type ElementNode } from '../../html/index.js';
import { stackingReasons, usedZIndex } from '../../paint/index.js';
import type { Scene } from '../../scene/index.js';

/** A box whose z-index is compared with that of others in the same stacking context. @spec css2 §9.9.1 */
export interface Level {
  readonly element: ElementNode;
  readonly z: number;
  /** What makes it a stacking context; empty if it is positioned alone. */
  readonly reasons: readonly string[];
}

/** Who wins between two elements, and where that is decided. */
export interface Contest {
  /** The stacking context both stand in; null for the page's own. */
  readonly within: ElementNode | null;
  readonly above: Level;
  /** Null where the lower one is painted with the flow. */
  readonly below: Level | null;
  /** The lower element's own level, where one around it decides instead. */
  readonly inner: Level | null;
}

const isPositioned = ({ style }: Box): boolean => style.position !== 'static';

/** The stacking levels around an element, itself included, outermost first. */
function levelsOf(element: ElementNode, scene: Scene): readonly (Level & { readonly box: Box })[] {
  const out: (Level & { readonly box: Box })[] = [];
  let box = scene.box(element);
  for (; box?.parent; box = box.parent) {
    if (!box.element || box.pseudo || box.anonymous || box.inner === 'text') continue;
    const reasons = stackingReasons(box);
    if (reasons.length > 0 || isPositioned(box))
      out.unshift({ element: box.element, z: usedZIndex(box), reasons, box });
  }
  // What is positioned alone lets what stands in it be compared with what is outside.
  return out.filter(({ reasons }, i) => reasons.length > 0 || i === out.length - 1);
}

/** Why one element is painted above another. */
export function contestOf(upper: ElementNode, lower: ElementNode, scene: Scene): Contest | null {
  const [over, under] = [levelsOf(upper, scene), levelsOf(lower, scene)];
  let i = 0;
  while (i < over.length && i < under.length && over[i]!.box === under[i]!.box) i++;
  const above = over[i];
  if (!above) return null;
  const below = under[i] ?? null;
  const last = under[under.length - 1] ?? null;
  const context = over.slice(0, i).findLast(({ reasons }) => reasons.length > 0);
  return {
    within: context?.element ?? null,
    above,
    below,
    inner: last && last !== below && last.z > 0 ? last : null,
  };
}

const zOf = ({ z, reasons }: Level): string =>
  z !== 0
    ? `z-index ${z}`
    : reasons.length > 0 && !reasons.some((r) => /z-index/.test(r))
      ? `no z-index (${reasons[0]!})`
      : 'z-index 0';

/** A contest in words: who wins in which order, and why the other one's number does not help. */
export function contestInWords({ within, above, below, inner }: Contest, lower: ElementNode): string {
  const order = within ? `the order of ${selectorOf(within)}` : 'the order of the page';
  const won = `in ${order} ${selectorOf(above.element)} has ${zOf(above)}`;
  if (!below) return `${won}; ${selectorOf(lower)} takes no part in it and is painted with the flow`;
  if (inner)
    return `${won}; the ${inner.z} of ${selectorOf(inner.element)} counts only inside ${selectorOf(below.element)}, which has ${zOf(below)}`;
  return above.z === below.z
    ? `${won}, ${selectorOf(below.element)} has the same and comes earlier in the markup`
    : `${won}, ${selectorOf(below.element)} has ${zOf(below)}`;
}

/** The smallest change that lets the lower one win. */
export function contestRemedy({ above, below }: Contest, lower: ElementNode, scene: Scene): string {
  const z = above.z + 1;
  const element = below?.element ?? lower;
  const give = takesZIndex(element, scene) ? `z-index: ${z} or more` : `position: relative and z-index: ${z}`;
  const instead = below ? `, or ${selectorOf(above.element)} less than ${below.z || 1}` : '';
  return `Give ${selectorOf(element)} ${give}${instead}.`;
}

/** Whether a z-index on an element counts as it stands. @spec css2 §9.9.1, css-flexbox-1 §5.4, css-grid-2 §5.4 */
function takesZIndex(element: ElementNode, scene: Scene): boolean {
  const box = scene.box(element);
  return box !== null && (isPositioned(box) || ['flex', 'grid'].includes(box.parent?.inner ?? ''));
}
