import { contrastRatio, type Rgba } from '../../css/index.js';
import type { ComputedStyle } from '../../cascade/index.js';
import type { ElementNode } from '../../html/index.js';
import { descendants } from '../../html/index.js';
import type { Scene } from '../../scene/index.js';
import { readInk } from './ink.js';
import { looksDifferent } from './marks.js';
import { textsIn } from './texts.js';

/** How far two looks of a control are apart in colour. */
export interface ColourDifference {
  /** Contrast between the two text colours, and between the two grounds; 1 where they are the same. */
  readonly text: number;
  readonly ground: number;
  readonly texts: readonly [Rgba, Rgba];
  readonly grounds: readonly [Rgba, Rgba];
}

/** The colours of a control's first text and of what lies beneath it; null where they cannot be told. */
function coloursOf(element: ElementNode, scene: Scene): { readonly ink: Rgba; readonly ground: Rgba } | null {
  for (const item of textsIn(element, scene)) {
    const reading = readInk(item, scene, 1);
    if (reading) return 'what' in reading ? null : reading;
  }
  return null;
}

/** Compares a control with the same or another one, each in its scene. */
export function compareColours(
  one: ElementNode,
  inOne: Scene,
  other: ElementNode,
  inOther: Scene,
): ColourDifference | null {
  const [a, b] = [coloursOf(one, inOne), coloursOf(other, inOther)];
  return (
    a &&
    b && {
      text: contrastRatio(a.ink, b.ink),
      ground: contrastRatio(a.ground, b.ground),
      texts: [a.ink, b.ink],
      grounds: [a.ground, b.ground],
    }
  );
}

const hasBorder = (style: ComputedStyle): boolean =>
  style.borderTopWidth + style.borderBottomWidth + style.borderLeftWidth + style.borderRightWidth > 0;
const isTransparent = (style: ComputedStyle): boolean =>
  [style.borderTopColor, style.borderBottomColor, style.borderLeftColor, style.borderRightColor].every(
    ({ a }) => a === 0,
  );

/** Whether two styles look different by anything but the colour of text and ground. */
export function differsBesides(a: ComputedStyle | null, b: ComputedStyle | null): boolean {
  if (a === b) return false;
  if (!a || !b) return true;
  const calm = (style: ComputedStyle): ComputedStyle =>
    Object.create(style, {
      color: { value: null },
      backgroundColor: { value: null },
      ...(['', 'none'].includes(style.textDecorationLine.join(' ')) ? { textDecorationColor: { value: null } } : {}),
      ...(hasBorder(style) && !isTransparent(style)
        ? {}
        : {
            borderTopColor: { value: null },
            borderBottomColor: { value: null },
            borderLeftColor: { value: null },
            borderRightColor: { value: null },
          }),
      fill: { value: null },
      stroke: { value: null },
    }) as ComputedStyle;
  return looksDifferent(calm(a), calm(b));
}

/** Everything of a control that can look different: itself, what it stands in up to its entry, and what it holds. */
export const partsOf = (element: ElementNode): readonly ElementNode[] => [
  ...(element.parent?.tag === 'li' ? [element.parent] : []),
  element,
  ...descendants(element),
];
