import type { PoseState } from '../cascade/index.js';
import type { Medium } from '../css/index.js';

/** The abilities a page is tried with. */
export type Visitor = 'mouse' | 'touch' | 'keyboard' | 'crawler' | 'short-screen' | 'large-text';

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

/** What media queries see at a setting. */
export function mediumOf(s: Setting, scripting: boolean): Medium {
  return {
    width: s.width,
    height: s.visitor === 'short-screen' ? Math.min(s.height, 375) : s.height,
    hover: s.visitor !== 'touch',
    pointer: s.visitor === 'touch' ? 'coarse' : 'fine',
    scripting: scripting && s.visitor !== 'crawler',
    dark: false,
    reducedMotion: false,
    print: false,
  };
}
