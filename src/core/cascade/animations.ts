import type { Declaration, Keyframes } from '../sheets/index.js';
import type { ComputedStyle } from './style.js';

/** What an animation that is in effect at rest sets. */
export interface Held {
  /** Equal for equal declarations of one sheet. */
  readonly id: string;
  readonly declarations: readonly Declaration[];
}

/**
 * Animations of an element whose effect lasts: kept at their end, endless, or paused. Endless ones are seen where
 * they do not move, but count as being in effect.
 * @param scrolled whether the page was scrolled down, which carries animations of scrolling to their end
 * @spec css-animations-1 §3, web-animations-1 §4.5 (fill modes)
 */
export function heldByAnimations(
  style: ComputedStyle,
  keyframes: ReadonlyMap<string, Keyframes>,
  scrolled: boolean,
): readonly Held[] {
  return style.animationName.flatMap((name, i): Held[] => {
    const frames = keyframes.get(name);
    if (!frames) return [];
    const shown = frameOf(style, i, scrolled);
    if (shown === null) return [];
    return [{ id: `${shown}:${name}`, declarations: [...(shown === 'base' ? [] : frames[shown]), frames.animates] }];
  });
}

/** Which frame is seen; null where the animation has no effect. */
function frameOf(style: ComputedStyle, i: number, scrolled: boolean): 'first' | 'last' | 'base' | null {
  const at = <T>(values: readonly T[]): T => values[i % values.length]!;
  const timeline = at(style.animationTimeline);
  const count = at(style.animationIterationCount);
  const direction = at(style.animationDirection);
  const reversed = direction === 'reverse' || direction === 'alternate-reverse';
  const fill = at(style.animationFillMode);
  const kept = fill === 'forwards' || fill === 'both';
  if (timeline !== 'auto') {
    if (timeline === 'none' || !scrolled) return null;
  } else if (at(style.animationPlayState) === 'paused') {
    const waits = at(style.animationDelay) > 0 && fill !== 'backwards' && fill !== 'both';
    return waits ? 'base' : reversed ? 'last' : 'first';
  } else if (count === 'infinite') return at(style.animationDuration) > 0 ? 'base' : null;
  if (!kept) return null;
  const turned = direction.startsWith('alternate') && Math.ceil(Number(count)) % 2 === 0;
  return reversed === turned ? 'last' : 'first';
}
