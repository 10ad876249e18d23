import type { ComputedStyle } from '../../../cascade/index.js';
import type { Box } from '../../box.js';
import type { Fragment } from '../../fragment.js';
import type { Extent } from '../../text/index.js';

/** An inline box on the line, or the root inline box that stands for the line itself. */
export interface Level {
  readonly style: ComputedStyle;
  readonly parent: Level | null;
  readonly align: 'baseline' | 'top' | 'bottom';
  /** How far it and what it holds reach from its own baseline; what is aligned to the line's edges left out. */
  above: number;
  below: number;
  /** Its baseline below its parent's, known when it is closed. */
  shift: number;
  /** Its own line height counts: in loose lines that of a box without text or edges does not. */
  held: boolean;
}

export const NOTHING: Extent = Object.freeze({ above: -1e9, below: -1e9 });

/** Whether an inline box has padding or a border on one side: in loose lines these hold the line, margins do not. @spec quirks §3.3 */
export const hasEdge = (style: ComputedStyle, side: 'Left' | 'Right'): boolean => {
  const padding = style[`padding${side}`];
  return style[`border${side}Width`] > 0 || padding.px !== 0 || padding.percent !== 0;
};

export interface Open extends Level {
  readonly box: Box;
  readonly startX: number;
  readonly children: Part[];
  /** Its left edge is here. */
  readonly left: boolean;
}

/** Baseline of a level below the line's top, once the line is assembled. */
export type Baselines = (level: Level) => number;

export interface Part {
  readonly fragment: (baselines: Baselines) => Fragment;
  readonly x: number;
  /** Top of the part relative to the line. */
  readonly top: (baselines: Baselines) => number;
}

/** An absolute box met on the line; px from the line's start. */
export interface Static {
  readonly box: Box;
  readonly x: number;
  /** It stands among text that runs from right to left. */
  readonly backwards: boolean;
  /** Nothing stood in front of it in its line. */
  readonly first: boolean;
  /** How far relative positioning moves the inline boxes around it. */
  readonly offset: { readonly x: number; readonly y: number };
  readonly inlineContainer: Box | null;
}

export function levelOf(style: ComputedStyle, parent: Level | null, strut: Extent): Level {
  const value = parent ? style.verticalAlign : 'baseline';
  return {
    style,
    parent,
    align: value === 'top' || value === 'bottom' ? value : 'baseline',
    shift: 0,
    held: strut !== NOTHING,
    above: strut.above,
    below: strut.below,
  };
}
