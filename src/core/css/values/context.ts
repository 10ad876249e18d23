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
  /** Parent's computed font weight, for bolder and lighter. */
  readonly parentFontWeight: number;
}

/** Gives the computed value once the context is known. */
export type Computation<T> = (context: ComputeContext) => T;
