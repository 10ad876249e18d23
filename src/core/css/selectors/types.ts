import type { ElementNode } from '../../html/index.js';
import type { Changeable, FactName, Guard } from './guard.js';

/** What controls are made of, as browsers name it: parts whose style has to do with the size of the whole. */
export const CONTROL_PARTS = [
  '-webkit-slider-runnable-track',
  '-webkit-slider-thumb',
  'file-selector-button',
  '-webkit-inner-spin-button',
  '-webkit-datetime-edit',
  '-webkit-datetime-edit-fields-wrapper',
  '-webkit-calendar-picker-indicator',
] as const;
export type ControlPart = (typeof CONTROL_PARTS)[number];

export type PseudoElement =
  | 'before'
  | 'after'
  | 'marker'
  | 'placeholder'
  | 'backdrop'
  | 'first-line'
  | 'first-letter'
  | 'details-content'
  | ControlPart
  | 'other';

/** What matching needs besides the element. */
export interface MatchContext {
  readonly quirks: boolean;
  readonly scripting: boolean;
  /** Root of the document. */
  readonly root: ElementNode;
  /** What `:scope` means; the root outside `@scope` and `:has()`. */
  readonly scope: ElementNode | null;
  /** What openings may change; null where nothing can. */
  readonly changeable: Changeable | null;
  /** What was found out about elements during this matching, by who asked. */
  readonly memo: WeakMap<object, WeakMap<ElementNode, Guard>>;
  /** Work left before matching gives up (counted down by `:has()` and `:nth-child(of)`). */
  readonly budget: { left: number };
}

export type Matcher = (element: ElementNode, context: MatchContext) => Guard;

/** What a rule needs to be found fast: the rarest feature of its rightmost compound. */
export type BucketKey = { readonly by: 'id' | 'class' | 'tag'; readonly name: string } | { readonly by: 'any' };

export interface Selector {
  readonly text: string;
  /** ids, classes and types, ten bits each: compares like the triple. */
  readonly specificity: number;
  readonly bucket: BucketKey;
  readonly pseudoElement: PseudoElement | null;
  /** Dynamic pseudo-classes the selector mentions: the states worth looking at. */
  readonly asks: ReadonlySet<FactName>;
  readonly match: Matcher;
}

export const pack = (ids: number, classes: number, types: number): number =>
  (Math.min(ids, 1023) << 20) | (Math.min(classes, 1023) << 10) | Math.min(types, 1023);

export const unpack = (specificity: number): readonly [number, number, number] => [
  specificity >> 20,
  (specificity >> 10) & 1023,
  specificity & 1023,
];

/** A context in which nothing changes: to match once, at rest. */
export const restContext = (root: ElementNode, options: { quirks: boolean; scripting: boolean }): MatchContext => ({
  ...options,
  root,
  scope: null,
  changeable: null,
  memo: new WeakMap(),
  budget: { left: 1e7 },
});
