import type { PoseState } from '../cascade/index.js';
import type { Medium } from '../css/index.js';

/**
 * The abilities a page is tried with. `crawler` and `no-script` read it without running scripts; `short-screen` is
 * 375 px high; `large-text` sets all text at 200 %; `text-spacing` spaces it as WCAG 1.4.12 asks;
 * `reduced-motion` has asked for stillness.
 */
export const VISITORS = [
  'mouse',
  'touch',
  'keyboard',
  'crawler',
  'no-script',
  'short-screen',
  'large-text',
  'text-spacing',
  'reduced-motion',
] as const;
export type Visitor = (typeof VISITORS)[number];

/** One way of looking at a page. Lengths in CSS px. */
export interface Setting {
  readonly width: number;
  readonly height: number;
  readonly visitor: Visitor;
  readonly pose: PoseState;
  readonly scroll: { readonly x: number; readonly y: number };
}

export const CLOSED: PoseState = Object.freeze({});

export function setting(width: number, rest: Partial<Omit<Setting, 'width'>> = {}): Setting {
  return { width, height: 800, visitor: 'mouse', pose: CLOSED, scroll: { x: 0, y: 0 }, ...rest };
}

export const withoutScript = (visitor: Visitor): boolean => visitor === 'crawler' || visitor === 'no-script';

const LOW_SCREEN = 375;

/** What media queries see at a setting. */
export function mediumOf(s: Setting, scripting: boolean): Medium {
  return {
    width: s.width,
    height: s.visitor === 'short-screen' ? Math.min(s.height, LOW_SCREEN) : s.height,
    hover: s.visitor !== 'touch',
    pointer: s.visitor === 'touch' ? 'coarse' : 'fine',
    scripting: scripting && !withoutScript(s.visitor),
    dark: false,
    reducedMotion: s.visitor === 'reduced-motion',
    print: false,
  };
}
