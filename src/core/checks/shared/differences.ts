import { contrastRatio, type Rgba } from '../../css/index.js';
import type { ComputedStyle, StyleTree } from '../../cascade/index.js';
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

const EDGES = ['Top', 'Right', 'Bottom', 'Left'] as const;

/** A style without the colours of its text and ground, and without those lines that are not there or follow the text. */
function calm(style: ComputedStyle): ComputedStyle {
  const ink = JSON.stringify(style.color);
  const follows = (colour: unknown) => JSON.stringify(colour) === ink || String(colour) === 'currentcolor';
  const left = ['color', 'backgroundColor', 'fill', 'stroke'];
  const lined = !['', 'none'].includes(style.textDecorationLine.join(' '));
  if (!lined || follows(style.textDecorationColor)) left.push('textDecorationColor');
  const own: PropertyDescriptorMap = Object.fromEntries(left.map((key) => [key, { value: null }]));
  // A line that goes with the text is there all the same, where the other one may have none.
  for (const side of EDGES)
    if (style[`border${side}Width`] === 0) own[`border${side}Color`] = { value: null };
    else if (follows(style[`border${side}Color`])) own[`border${side}Color`] = { value: 'of the text' };
  return Object.create(style, own) as ComputedStyle;
}

/** Whether two styles look different by anything but the colour of text and ground. */
export const differsBesides = (a: ComputedStyle | null, b: ComputedStyle | null): boolean =>
  a !== b && (a === null || b === null || looksDifferent(calm(a), calm(b)));

const GENERATED = ['before', 'after'] as const;
const generates = (style: ComputedStyle | null): ComputedStyle | null =>
  style && typeof style.content !== 'string' && style.display !== 'none' ? style : null;

/** Whether what is generated in two elements, or in one in two states, looks different by anything but colour. */
export const generatedDiffers = (
  one: Pick<StyleTree, 'pseudo'>,
  a: ElementNode,
  other: Pick<StyleTree, 'pseudo'>,
  b: ElementNode,
): boolean =>
  GENERATED.some((name) => {
    const [p, q] = [generates(one.pseudo(a, name)), generates(other.pseudo(b, name))];
    if (!p || !q) return p !== q;
    return (
      differsBesides(p, q) ||
      JSON.stringify(p.content) !== JSON.stringify(q.content) ||
      JSON.stringify(p.backgroundColor) !== JSON.stringify(q.backgroundColor)
    );
  });

/** Everything of a control that can look different: itself, what it stands in up to its entry, and what it holds. */
export const partsOf = (element: ElementNode): readonly ElementNode[] => [
  ...(element.parent?.tag === 'li' ? [element.parent] : []),
  element,
  ...descendants(element),
];
