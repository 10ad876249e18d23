import {
  BLACK,
  expandDeclaration,
  propertyIndex,
  PROPERTY_KEYS,
  ROWS,
  type ComputeContext,
  type Computation,
  type ComputedValues,
  type Flow,
  type FontFamily,
  type Medium,
  type Rgba,
} from '../css/index.js';
import type { Block, Winner } from './block.js';
import { adjust, clampLines } from './adjust.js';
import type { Placement } from './placement.js';
import { indexOf, INHERITED, StyleObject, type ComputedStyle } from './style.js';
import { legible, settleFontSize } from './font-size.js';
import { resolveCustom, substitute, usesVariables, type CustomProperties, type Registry } from './variables.js';

/** x-height, height of capitals and advance of the digit zero of a font, px. */
export type FontUnits = (
  families: readonly FontFamily[],
  size: number,
  weight: number,
  italic: boolean,
) => {
  readonly xHeight: number;
  readonly capHeight: number;
  readonly zeroAdvance: number;
  readonly lineHeight: number;
};

export interface ComputeOptions {
  readonly medium: Medium;
  readonly fontUnits: FontUnits;
  readonly quirks: boolean;
  readonly registry: Registry;
  /** Factor on all text sizes: 2 where text is set at 200 %. @spec WCAG 2.2 SC 1.4.4 */
  readonly textZoom: number;
  readonly linkColor: Rgba | null;
  readonly bodyColor: () => Rgba;
  /** Content box of the nearest size container as last laid out, px; null without one. */
  readonly container: { readonly width: number; readonly height: number } | null;
}

const FONT_SIZE = indexOf('fontSize');
const FONT_FAMILY = indexOf('fontFamily');
const LINE_HEIGHT = indexOf('lineHeight');
const COLOR = indexOf('color');
const DISPLAY = indexOf('display');
const FIRST = [
  indexOf('direction'),
  indexOf('writingMode'),
  indexOf('colorScheme'),
  FONT_FAMILY,
  indexOf('fontWeight'),
  indexOf('fontStyle'),
  FONT_SIZE,
  LINE_HEIGHT,
  COLOR,
];
const EMPTY: CustomProperties = new Map();

/** Notices which parts of the surroundings a computation read, so that its result can be shared where they are equal. */
class Context implements ComputeContext {
  fontSize = 16;
  rootFontSize = 16;
  rootLineHeight = 18;
  currentColor: Rgba = BLACK;
  parentFontWeight = 400;
  dark = false;
  readViewport = false;
  style: { families: readonly FontFamily[]; weight: number; italic: boolean; lineHeight: number } = {
    families: [],
    weight: 400,
    italic: false,
    lineHeight: 18,
  };

  constructor(readonly options: ComputeOptions) {}

  get linkColor(): Rgba | null {
    return this.options.linkColor;
  }
  get bodyColor(): Rgba {
    // No parent tells it: what hangs on it is shared on one screen alone.
    this.readViewport = true;
    return this.options.bodyColor();
  }

  get lineHeight(): number {
    return this.style.lineHeight;
  }
  get viewportWidth(): number {
    this.readViewport = true;
    return this.options.medium.width;
  }
  get viewportHeight(): number {
    this.readViewport = true;
    return this.options.medium.height;
  }
  get containerWidth(): number {
    const { viewportWidth } = this;
    return this.options.container?.width ?? viewportWidth;
  }
  get containerHeight(): number {
    const { viewportHeight } = this;
    return this.options.container?.height ?? viewportHeight;
  }
  get xHeight(): number {
    return this.units().xHeight;
  }
  get capHeight(): number {
    return this.units().capHeight;
  }
  get zeroAdvance(): number {
    return this.units().zeroAdvance;
  }
  private units() {
    return this.options.fontUnits(this.style.families, this.fontSize, this.style.weight, this.style.italic);
  }
}

export interface Computed {
  readonly style: ComputedStyle;
  /** Whether a viewport length took part. */
  readonly readViewport: boolean;
}

export const HORIZONTAL: Flow = Object.freeze({ vertical: false, reversed: false, rightToLeftBlocks: false });

export function flowOf(style: Pick<ComputedValues, 'direction' | 'writingMode'>): Flow {
  const vertical = style.writingMode !== 'horizontal-tb';
  const reversed = (style.direction === 'rtl') !== (style.writingMode === 'sideways-lr');
  return {
    vertical,
    reversed,
    rightToLeftBlocks: style.writingMode === 'vertical-rl' || style.writingMode === 'sideways-rl',
  };
}

/**
 * Computes all properties of a block below a parent style.
 * @spec css-cascade-5 §4.3, §4.4; css-variables-1 §3.1 (invalid at computed-value time)
 */
export function computeStyle(
  block: Block,
  parent: ComputedStyle | null,
  root: ComputedStyle | null,
  placement: Placement,
  options: ComputeOptions,
): Computed {
  const context = new Context(options);
  const values: unknown[] = parent ? inheritedFrom(parent) : ROWS.map((row) => row.initial(context));
  const declared = new Map([...block.custom].map(([name, entry]) => [name, entry.declaration.text]));
  const inheritedCustom = parent?.custom ?? EMPTY;
  const custom =
    declared.size === 0 && options.registry.size === 0
      ? inheritedCustom
      : resolveCustom(declared, inheritedCustom, options.registry);
  const flow = ownFlow(block, parent, custom, context);
  const winners = block.winners(flow);
  prepare(context, parent, root, options);

  const settle = (index: number) => {
    const winner = winners.get(index);
    if (winner) values[index] = valueOf(winner, index, parent, custom, context, options.quirks, values[index]);
    else if (!ROWS[index]!.inherited) values[index] = ROWS[index]!.initial(context);
  };
  for (const index of FIRST.slice(0, 6)) settle(index);
  context.style = fontOf(values, context.style.lineHeight);
  context.dark = prefersDark(values[indexOf('colorScheme')] as readonly string[], options);
  settle(FONT_SIZE);
  const { size, sizing } = settleFontSize({
    families: values[FONT_FAMILY] as readonly FontFamily[],
    parent,
    winner: winners.get(FONT_SIZE),
    quirks: options.quirks,
    size: askedSize(values[FONT_SIZE] as number, winners.get(FONT_SIZE), parent),
    withLargerEm: () => withLargerEm(winners.get(FONT_SIZE), context),
  });
  values[FONT_SIZE] = legible(size, sizing);
  if (options.textZoom !== 1) zoomText(values, winners.get(FONT_SIZE), parent === null, context);
  context.fontSize = options.textZoom === 1 ? size : (values[FONT_SIZE] as number);
  settle(LINE_HEIGHT);
  if (options.textZoom !== 1 && winners.has(LINE_HEIGHT)) zoomLines(values, options.textZoom);
  context.style = fontOf(values, usedLineHeight(values, context));
  context.currentColor = parent ? parent.color : BLACK;
  settle(COLOR);
  context.currentColor = values[COLOR] as Rgba;
  const early = new Set(FIRST);
  // Inherited values are already in place; the rest starts from the row's initial value.
  for (let index = 0; index < ROWS.length; index++) if (!early.has(index)) settle(index);
  const specified = values[DISPLAY] as ComputedValues['display'];
  clampLines(values, winners.get(DISPLAY)?.declaration.text ?? '');
  adjust(values, parent, placement, winners);
  const style = new StyleObject(
    Object.freeze(values),
    custom,
    parent,
    block,
    winners,
    sizing,
    context.fontSize,
    specified,
  ) as ComputedStyle;
  return { style, readViewport: context.readViewport };
}

/** A size that is inherited is the one asked for above. */
const askedSize = (size: number, winner: Winner | undefined, parent: ComputedStyle | null): number =>
  parent && (!winner || winner.value === 'inherit' || winner.value === 'unset') ? parent.askedFontSize : size;

function inheritedFrom(parent: ComputedStyle): unknown[] {
  const values: unknown[] = new Array(ROWS.length);
  for (const index of INHERITED) values[index] = parent.values[index];
  return values;
}

function prepare(
  context: Context,
  parent: ComputedStyle | null,
  root: ComputedStyle | null,
  options: ComputeOptions,
): void {
  context.fontSize = parent?.askedFontSize ?? 16;
  context.rootFontSize = root?.askedFontSize ?? 16;
  context.parentFontWeight = parent?.fontWeight ?? 400;
  context.dark = options.medium.dark && false;
  if (parent) context.style = { ...fontOf(parent.values, 0), lineHeight: lineHeightOf(parent, context) };
  if (root) context.rootLineHeight = lineHeightOf(root, context);
}

function lineHeightOf(style: ComputedStyle, context: Context): number {
  const { lineHeight } = style;
  if (lineHeight !== 'normal') return 'px' in lineHeight ? lineHeight.px : lineHeight.factor * style.fontSize;
  return context.options.fontUnits(style.fontFamily, style.fontSize, style.fontWeight, style.fontStyle !== 'normal')
    .lineHeight;
}

function fontOf(values: readonly unknown[], lineHeight: number) {
  return {
    families: values[FONT_FAMILY] as readonly FontFamily[],
    weight: values[indexOf('fontWeight')] as number,
    italic: values[indexOf('fontStyle')] !== 'normal',
    lineHeight,
  };
}

function usedLineHeight(values: readonly unknown[], context: Context): number {
  const value = values[indexOf('lineHeight')] as ComputedValues['lineHeight'];
  if (value !== 'normal') return 'px' in value ? value.px : value.factor * context.fontSize;
  const { families, weight, italic } = context.style;
  return context.options.fontUnits(families, context.fontSize, weight, italic).lineHeight;
}

function prefersDark(names: readonly string[], options: ComputeOptions): boolean {
  return names.includes('dark') && (options.medium.dark || !names.includes('light'));
}

function ownFlow(block: Block, parent: ComputedStyle | null, custom: CustomProperties, context: Context): Flow {
  const winners = block.winners(HORIZONTAL);
  const pick = <K extends 'direction' | 'writingMode'>(key: K): ComputedValues[K] => {
    const index = indexOf(key);
    const winner = winners.get(index);
    const inherited = (parent?.[key] ?? ROWS[index]!.initial(context)) as ComputedValues[K];
    return winner
      ? (valueOf(winner, index, parent, custom, context, false, inherited) as ComputedValues[K])
      : inherited;
  };
  return flowOf({ direction: pick('direction'), writingMode: pick('writingMode') });
}

function valueOf(
  winner: Winner,
  index: number,
  parent: ComputedStyle | null,
  custom: CustomProperties,
  context: Context,
  quirks: boolean,
  inherited: unknown,
): unknown {
  const row = ROWS[index]!;
  const unset = () => (row.inherited && parent ? inherited : row.initial(context));
  const fromKeyword = (keyword: string) => {
    if (keyword === 'inherit') return parent ? parent.values[index] : row.initial(context);
    return keyword === 'initial' ? row.initial(context) : unset();
  };
  const { value } = winner;
  if (typeof value === 'function') return value(context);
  if (typeof value === 'string') return fromKeyword(value);
  const text = substitute(value.pending.text, (name) => custom.get(name) ?? null);
  const expanded =
    text === null || text.trim() === '' ? 'invalid' : expandDeclaration(value.pending.name, text.trim(), quirks);
  if (typeof expanded === 'string') return unset();
  const found =
    expanded.find((longhand) => longhand.index === index) ??
    expanded.find((longhand) => longhand.index === propertyIndexOf(value.longhand));
  if (!found) return unset();
  return typeof found.value === 'string' ? fromKeyword(found.value) : (found.value as Computation<unknown>)(context);
}

const propertyIndexOf = (name: string): number => {
  const probe = expandDeclaration(name, 'initial');
  return typeof probe === 'string' ? (propertyIndex(name) ?? -1) : (probe[0]?.index ?? -1);
};

/** What a size comes to when the parent's is a px larger. */
function withLargerEm(winner: Winner | undefined, context: Context): number {
  if (typeof winner?.value !== 'function') return NaN;
  context.fontSize += 1;
  const size = winner.value(context) as number;
  context.fontSize -= 1;
  return size;
}

/** Makes larger what a size owes to lengths that are not themselves relative to text made larger before. */
function zoomText(values: unknown[], winner: Winner | undefined, root: boolean, context: Context): void {
  const size = values[FONT_SIZE] as number;
  const more = context.options.textZoom - 1;
  if (root && typeof winner?.value !== 'function') values[FONT_SIZE] = size * context.options.textZoom;
  if (typeof winner?.value !== 'function') return;
  const { fontSize, rootFontSize } = context;
  context.fontSize = 0;
  context.rootFontSize = 0;
  const own = winner.value(context) as number;
  context.fontSize = fontSize;
  context.rootFontSize = rootFontSize;
  values[FONT_SIZE] = size + own * more + (root ? (size - own) * more : 0);
}

function zoomLines(values: unknown[], zoom: number): void {
  const value = values[LINE_HEIGHT] as ComputedValues['lineHeight'];
  if (value !== 'normal' && 'px' in value) values[LINE_HEIGHT] = { px: value.px * zoom };
}

export { usesVariables, PROPERTY_KEYS };
