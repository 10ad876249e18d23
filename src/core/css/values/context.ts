import type { Rgba } from './colour.js';

/**
 * What a computed value may depend on. All lengths in CSS px.
 * Reading a viewport size is noticed, so that styles that do not read it can be shared between widths.
 */
export interface ComputeContext {
  /** Basis of `em`: the element's own font size, or the parent's while font-size itself is computed. */
  readonly fontSize: number;
  readonly rootFontSize: number;
  /** Basis of `lh` and `rlh`. */
  readonly lineHeight: number;
  readonly rootLineHeight: number;
  /** x-height, height of capitals and advance of `0`, px. */
  readonly xHeight: number;
  readonly capHeight: number;
  readonly zeroAdvance: number;
  readonly viewportWidth: number;
  readonly viewportHeight: number;
  /** Size of the nearest size container, or the viewport's. */
  readonly containerWidth: number;
  readonly containerHeight: number;
  readonly currentColor: Rgba;
  readonly dark: boolean;
  /** What `link` on the body makes of links; null without it. @spec html §15.3.2 */
  readonly linkColor: Rgba | null;
  /** The text colour of the body. */
  readonly bodyColor: Rgba;
  /** Parent's computed font weight, for bolder and lighter. */
  readonly parentFontWeight: number;
}

/** Gives the computed value once the context is known. */
export type Computation<T> = (context: ComputeContext) => T;

/** What lengths refer to. */
export type LengthContext = Omit<
  ComputeContext,
  'currentColor' | 'dark' | 'linkColor' | 'bodyColor' | 'parentFontWeight'
>;

/** A context whose values are read now, for curves that are asked later. */
export function freeze(c: LengthContext): LengthContext {
  return {
    fontSize: c.fontSize,
    rootFontSize: c.rootFontSize,
    lineHeight: c.lineHeight,
    rootLineHeight: c.rootLineHeight,
    xHeight: c.xHeight,
    capHeight: c.capHeight,
    zeroAdvance: c.zeroAdvance,
    viewportWidth: c.viewportWidth,
    viewportHeight: c.viewportHeight,
    containerWidth: c.containerWidth,
    containerHeight: c.containerHeight,
  };
}

/** What `anchor()` or `anchor-size()` asks. */
export interface AnchorQuery {
  readonly asks: 'edge' | 'size';
  /** Name of the anchor; null for the default one. */
  readonly name: string | null;
  /** The side, percentage or dimension asked for; empty where none is named. */
  readonly word: string;
}

/** Answers what is asked of an anchor, px; null where there is none. */
export type AnchorFinder = (query: AnchorQuery) => number | null;
