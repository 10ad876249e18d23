import type { SourceText, Span } from '../base/index.js';
import type { MediaCondition, Selector } from '../css/index.js';
import type { ElementNode } from '../html/index.js';

/** One declaration as written; `text` has neither comments nor `!important`. */
export interface Declaration {
  readonly name: string;
  readonly text: string;
  readonly important: boolean;
  readonly span: Span;
}

/** What stands at the two ends of an animation, and which properties it holds while it is in effect. */
export interface Keyframes {
  readonly first: readonly Declaration[];
  readonly last: readonly Declaration[];
  /** Names of all properties of all frames, as the value of `animates`. */
  readonly animates: Declaration;
}

/** A cascade layer: its place counts from 0 (weakest), a parent's own rules after its children's. */
export interface Layer {
  readonly name: string;
  readonly parent: Layer | null;
  readonly children: Layer[];
  order: number;
}

export type Origin = 'user-agent' | 'author';

/** A size query of a container. */
export interface ContainerQuery {
  readonly name: string | null;
  readonly text: string;
}

/** Where an @scope rule holds: below a root, not below a limit. @spec css-cascade-6 §2.5 */
export interface Scope {
  readonly roots: readonly Selector[] | null;
  readonly limits: readonly Selector[];
}

/** A style rule, flattened: conditions of all enclosing at-rules and the selectors nesting made absolute. */
export interface StyleRule {
  readonly origin: Origin;
  /** The browser's own rules concern elements of one namespace; null for those of pages. */
  readonly namespace: ElementNode['namespace'] | null;
  readonly selectors: readonly Selector[];
  readonly declarations: readonly Declaration[];
  /** All must hold; those of the sheet's link and of imports come first. */
  readonly conditions: readonly MediaCondition[];
  readonly containers: readonly ContainerQuery[];
  readonly layer: Layer | null;
  /** Enclosing @scope rules, outermost first. */
  readonly scopes: readonly Scope[];
  /** Order of appearance over all sheets. */
  readonly order: number;
  readonly span: Span;
}

/** A width at which a condition of some sheet may change, and every place that says so. */
export interface SheetThreshold {
  readonly px: number;
  readonly side: 'from' | 'above';
  readonly places: readonly { readonly text: string; readonly span: Span }[];
}

export type CodePoints = readonly [first: number, last: number];

/** An @font-face rule; `sources` are references as written, absolute addresses once its sheet is part of a page. */
export interface FontFace {
  readonly family: string;
  readonly sources: readonly string[];
  readonly weight: string;
  readonly style: string;
  /** First and last code points it serves; null for all. */
  readonly characters: readonly CodePoints[] | null;
  /** Descriptors that change metrics, as written: size-adjust, ascent-override, descent-override, line-gap-override. */
  readonly overrides: Readonly<Record<string, string>>;
  readonly span: Span;
}

export interface RegisteredProperty {
  readonly name: string;
  readonly syntax: string;
  readonly inherits: boolean;
  readonly initial: string | null;
}

/** Everything the sheets of a page say. */
export interface RuleSet {
  readonly rules: readonly StyleRule[];
  readonly thresholds: readonly SheetThreshold[];
  readonly fontFaces: readonly FontFace[];
  readonly properties: ReadonlyMap<string, RegisteredProperty>;
  /** By the names of animations. */
  readonly keyframes: ReadonlyMap<string, Keyframes>;
  /** URL that references in a sheet start from, by its text. */
  readonly addresses: ReadonlyMap<SourceText, string>;
  /** Bytes of author style sheets read. */
  readonly bytes: number;
}
