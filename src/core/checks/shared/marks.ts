import type { ComputedStyle, StyleTree } from '../../cascade/index.js';
import type { PropertyKey } from '../../css/index.js';
import type { ElementNode } from '../../html/index.js';
import type { Subject } from '../subject.js';

/** Properties whose change a visitor can see. */
const SEEN = [
  'color',
  'backgroundColor',
  'backgroundImage',
  'backgroundPosition',
  'backgroundSize',
  'borderTopColor',
  'borderBottomColor',
  'borderLeftColor',
  'borderRightColor',
  'borderTopWidth',
  'borderBottomWidth',
  'borderLeftWidth',
  'borderRightWidth',
  'borderTopStyle',
  'borderBottomStyle',
  'boxShadow',
  'textShadow',
  'textDecorationLine',
  'textDecorationColor',
  'opacity',
  'visibility',
  'display',
  'transform',
  'fontWeight',
  'fontStyle',
  'fontSize',
  'width',
  'height',
  'left',
  'top',
  'filter',
  'clipPath',
  'fill',
  'stroke',
] as const satisfies readonly PropertyKey[];

/** The ring of a style, as far as it shows. */
const ring = (style: ComputedStyle): string =>
  style.outlineStyle === 'none' || style.outlineWidth === 0
    ? ''
    : JSON.stringify([style.outlineStyle, style.outlineWidth, style.outlineColor, style.outlineOffset]);

/** Whether two styles of one element look different. */
export function looksDifferent(before: ComputedStyle | null, after: ComputedStyle | null): boolean {
  if (before === after) return false;
  if (!before || !after) return true;
  if (ring(before) !== ring(after)) return true;
  return SEEN.some((key) => before[key] !== after[key] && JSON.stringify(before[key]) !== JSON.stringify(after[key]));
}

const PSEUDOS = ['before', 'after'] as const;

/** Elements that look different, themselves or what is generated in them. */
export const changedLooks = (before: Pick<StyleTree, 'of' | 'pseudo'>, after: StyleTree): readonly ElementNode[] =>
  after.changed.filter(
    (e) =>
      looksDifferent(before.of(e), after.of(e)) ||
      (after.hasPseudo(e) && PSEUDOS.some((name) => looksDifferent(before.pseudo(e, name), after.pseudo(e, name)))),
  );

/** What focus changes of how a page looks. */
export const focusMarks = (element: ElementNode, subject: Subject): readonly ElementNode[] => {
  const { base, styles } = subject.preview({ by: 'focus', element });
  return changedLooks(base.styles, styles);
};
