import type { ComputedStyle, StyleTree } from '../../cascade/index.js';
import type { PropertyKey } from '../../css/index.js';
import { isAncestorOrSelf, type ElementNode } from '../../html/index.js';
import type { Preview } from '../../scene/index.js';
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
  style.outlineStyle === 'none' || style.outlineWidth === 0 || isClear(style.outlineColor)
    ? ''
    : JSON.stringify([style.outlineStyle, style.outlineWidth, style.outlineColor, style.outlineOffset]);

const isClear = (colour: unknown): boolean =>
  typeof colour === 'object' && colour !== null && 'a' in colour && colour.a === 0;

/** Shadows that can be seen: those with a colour that reach beyond the box. */
export const shownShadows = ({ boxShadow }: ComputedStyle): ComputedStyle['boxShadow'] =>
  boxShadow.filter(({ colour, x, y, blur, spread }) => colour.a > 0 && (x !== 0 || y !== 0 || blur > 0 || spread > 0));

/** A property of a style as far as it shows: the colour of a border that is not there is none. */
function shown(style: ComputedStyle, key: (typeof SEEN)[number]): unknown {
  const side = /^border(Top|Right|Bottom|Left)(Color|Style)$/.exec(key)?.[1];
  if (side) {
    const width = style[`border${side}Width` as 'borderTopWidth'];
    return width === 0 || isClear(style[`border${side}Color` as 'borderTopColor']) ? null : style[key];
  }
  if (key === 'boxShadow') return shownShadows(style);
  if (key === 'backgroundColor') return isClear(style.backgroundColor) ? null : style.backgroundColor;
  if (key === 'backgroundPosition' || key === 'backgroundSize')
    return style.backgroundImage.length === 0 ? null : style[key];
  if (key === 'textDecorationColor')
    return ['', 'none'].includes(style.textDecorationLine.join(' ')) ? null : style[key];
  return style[key];
}

/** Properties in which two styles of one element look different; `outline` for the ring. */
export function differences(before: ComputedStyle, after: ComputedStyle): readonly string[] {
  const out: string[] = ring(before) === ring(after) ? [] : ['outline'];
  for (const key of SEEN)
    if (before[key] !== after[key] && JSON.stringify(shown(before, key)) !== JSON.stringify(shown(after, key)))
      out.push(key);
  return out;
}

/** Whether two styles of one element look different. */
export function looksDifferent(before: ComputedStyle | null, after: ComputedStyle | null): boolean {
  if (before === after) return false;
  return !before || !after || differences(before, after).length > 0;
}

const PSEUDOS = ['before', 'after'] as const;

/** Elements that look different, themselves or what is generated in them. */
export const changedLooks = (before: Pick<StyleTree, 'of' | 'pseudo'>, after: StyleTree): readonly ElementNode[] =>
  after.changed.filter(
    (e) =>
      looksDifferent(before.of(e), after.of(e)) ||
      (after.pseudosOf(e).length > 0 &&
        PSEUDOS.some((name) => looksDifferent(before.pseudo(e, name), after.pseudo(e, name)))),
  );

/** What focus changes of how a page looks. */
export const focusMarks = (element: ElementNode, subject: Subject): readonly ElementNode[] => {
  const { pose } = subject.setting;
  // A script may have put focus there as it opened something: what goes when focus leaves is the mark.
  const preview =
    pose.focused === element
      ? subject.page.preview({ ...subject.setting, pose: { ...pose, focused: null } }, subject.scene)
      : subject.preview({ by: 'focus', element });
  return looksTaken(preview, element, pose.focused);
};

/** What a move onto an element changes of how a page looks: what its last holder loses by it does not count. */
export const looksTaken = (
  { base, styles }: Preview,
  element: ElementNode,
  holder: ElementNode | null | undefined,
): readonly ElementNode[] => changedLooks(base.styles, styles).filter((e) => !isLeft(e, element, holder));

/** Whether something that changes with a move onto an element belongs to what was pointed at or focused before alone. */
export const isLeft = (e: ElementNode, element: ElementNode, holder: ElementNode | null | undefined): boolean =>
  holder != null && holder !== element && isRelated(e, holder) && !isRelated(e, element);

/** Whether one of two elements stands in the other, or they are the same. */
export const isRelated = (a: ElementNode, b: ElementNode): boolean => isAncestorOrSelf(a, b) || isAncestorOrSelf(b, a);
