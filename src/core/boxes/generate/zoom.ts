import { withValues, type ComputedStyle, type StyleTree } from '../../cascade/index.js';
import { PROPERTY_KEYS, type LengthPercentage } from '../../css/index.js';
import type { ElementNode, HtmlDocument } from '../../html/index.js';
import type { NaturalSize } from '../box.js';

/** Computed values that are px without saying so. */
const LENGTHS = ['fontSize', 'outlineWidth'] as const;
const BORDERS = ['borderTopWidth', 'borderRightWidth', 'borderBottomWidth', 'borderLeftWidth'] as const;
const OFFSETS = ['x', 'y', 'blur', 'spread'] as const;

/** Factor of a value of `zoom`; 1 where it is none. @spec css-viewport-1 §4 */
function factorOf(value: string): number {
  if (value === '1' || value === 'normal') return 1;
  const match = /^(\d*\.?\d+(?:e[+-]?\d+)?)(%?)$/i.exec(value);
  const factor = match ? Number(match[1]) / (match[2] ? 100 : 1) : 1;
  return factor > 0 ? factor : 1;
}

/** Styles and factors of a page parts of which are zoomed. */
export interface Zoomed {
  readonly styles: StyleTree;
  /** How much an element and what is around it is zoomed. */
  readonly of: (element: ElementNode) => number;
}

/** The styles boxes are made from: lengths of zoomed elements are multiplied. Without any they are those given. */
export function zoomed(document: HtmlDocument, styles: StyleTree): Zoomed {
  const own = document.elements.map((e) => factorOf(styles.of(e).zoom));
  if (own.every((factor) => factor === 1)) return { styles, of: () => 1 };
  const whole: number[] = [];
  for (const { index, parent } of document.elements) whole[index] = own[index]! * (parent ? whole[parent.index]! : 1);
  const of = (element: ElementNode) => whole[element.index] ?? 1;
  return {
    of,
    styles: {
      medium: styles.medium,
      view: styles.view,
      sizes: styles.sizes,
      base: styles.base,
      changed: styles.changed,
      of: (element) => magnified(styles.of(element), of(element)),
      pseudo: (element, name) => {
        const style = styles.pseudo(element, name);
        return style && inPseudo(style, of(element));
      },
      pseudosOf: (element) => styles.pseudosOf(element),
    },
  };
}

/** The style of a pseudo-element, which may be zoomed by itself. */
export const inPseudo = (style: ComputedStyle, around: number): ComputedStyle =>
  magnified(style, around * factorOf(style.zoom));

const known = new WeakMap<ComputedStyle, Map<number, ComputedStyle>>();

/** One style for each style and factor: what is made from the same style stays the same. */
export function magnified(style: ComputedStyle, factor: number): ComputedStyle {
  if (factor === 1) return style;
  let made = known.get(style);
  if (!made) known.set(style, (made = new Map()));
  let found = made.get(factor);
  if (!found) made.set(factor, (found = magnify(style, factor)));
  return found;
}

function magnify(style: ComputedStyle, factor: number): ComputedStyle {
  const values: Record<string, unknown> = {};
  for (const key of PROPERTY_KEYS) {
    const value = style[key] as unknown;
    const larger = deeply(value, factor);
    if (larger !== value) values[key] = larger;
  }
  for (const key of LENGTHS) values[key] = style[key] * factor;
  // Borders are drawn in whole px.
  for (const key of BORDERS) if (style[key] > 0) values[key] = Math.max(1, Math.floor(style[key] * factor));
  // So is the space between those of cells.
  const [x, y] = style.borderSpacing;
  const spacing = (length: LengthPercentage) => ({ ...length, px: Math.trunc(length.px * factor + 0.01) });
  values['borderSpacing'] = [spacing(x), spacing(y)];
  return withValues(style, values as Parameters<typeof withValues>[1]);
}

/** A value with every length in it multiplied; the value itself where it holds none. */
function deeply(value: unknown, factor: number): unknown {
  if (typeof value !== 'object' || value === null || value instanceof Map || value instanceof Set) return value;
  if (Array.isArray(value)) {
    const all = value.map((one: unknown) => deeply(one, factor));
    return all.some((one, i) => one !== value[i]) ? all : value;
  }
  const from = value as Record<string, unknown>;
  if (typeof from.px === 'number') return length(from, factor);
  const out: Record<string, unknown> = {};
  let changed = false;
  for (const [key, one] of Object.entries(from)) {
    const offset = 'blur' in from && typeof one === 'number' && OFFSETS.some((name) => name === key);
    out[key] = offset ? one * factor : deeply(one, factor);
    changed ||= out[key] !== one;
  }
  return changed ? out : value;
}

function length(value: Record<string, unknown>, factor: number): unknown {
  const curve = value.curve as ((basis: number) => number) | null | undefined;
  if (value.px === 0 && !curve) return value;
  return {
    ...value,
    px: (value.px as number) * factor,
    ...(curve ? { curve: (basis: number) => factor * curve(basis / factor) } : {}),
    ...(value.anchored ? { anchored: zoomedAnchors(value.anchored as Anchored, factor) } : {}),
    ...(value.sum ? { sum: length(value.sum as Record<string, unknown>, factor) } : {}),
  };
}

type Anchored = NonNullable<LengthPercentage['anchored']>;

/** Anchors are found as large as they are shown, the lengths around them as they are written. */
const zoomedAnchors =
  (anchored: Anchored, factor: number): Anchored =>
  (find) => {
    const found = anchored((query) => {
      const at = find(query);
      return at === null ? null : at / factor;
    });
    return found && (length({ ...found }, factor) as LengthPercentage);
  };

/** Fields of text and lists follow their font. */
const followsFont = ({ tag, attributes }: ElementNode): boolean =>
  tag === 'textarea' ||
  tag === 'select' ||
  (tag === 'input' && !/^(checkbox|radio|range|color|image)$/i.test(attributes.get('type') ?? ''));

/** The natural size of what is shown in a zoomed element. */
export const magnifiedSize = (element: ElementNode, size: NaturalSize, factor: number): NaturalSize =>
  factor === 1 || followsFont(element)
    ? size
    : {
        ...size,
        width: size.width === null ? null : size.width * factor,
        height: size.height === null ? null : size.height * factor,
      };
