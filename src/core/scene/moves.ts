import type { PoseState } from '../cascade/index.js';
import type { ElementNode } from '../html/index.js';
import { makeMove, silentActor, Standing, type Move } from '../scripts/index.js';
import type { Page } from './page.js';
import type { Setting } from './setting.js';

export { activeAt, controlOf, type Move } from '../scripts/index.js';

/** Moves a pose came about by: what scripts remember of them counts for the moves that follow. */
const madeBy = new WeakMap<PoseState, readonly Move[]>();

export const movesOf = (pose: PoseState): readonly Move[] => madeBy.get(pose) ?? [];

/**
 * How a page stands after moves, one after the other: what browsers do by themselves, and what scripts do where they
 * can be followed.
 * @param at how it is looked at, and how it stood
 * @spec html §6.4 (activation behaviour), §4.11.1 (details), §6.12 (popover), §4.10.6.1 (commands)
 */
export function poseAfter(page: Page, moves: readonly Move[], at: Setting): PoseState {
  if (moves.length === 0) return at.pose;
  const all = [...movesOf(at.pose), ...moves];
  // Of a pose nobody knows how it came about, scripts cannot go on.
  const known = isEmpty(at.pose) || madeBy.has(at.pose);
  const scripted = known ? page.scriptsFor(at.visitor) : null;
  const pose = scripted?.after(all, at) ?? silently(page, moves, at.pose);
  madeBy.set(pose, all);
  return pose;
}

const isEmpty = (pose: PoseState): boolean => Object.keys(pose).length === 0;

function silently(page: Page, moves: readonly Move[], before: PoseState): PoseState {
  const standing = standingOf(before);
  const actor = silentActor(page.document, standing);
  for (const move of moves) makeMove(actor, move, null);
  return poseOf(standing, before.changed);
}

function standingOf(pose: PoseState): Standing {
  const standing = new Standing();
  for (const [element, on] of pose.toggled ?? []) standing.toggled.set(element, on);
  standing.hovered = pose.hovered;
  standing.focused = pose.focused;
  standing.target = pose.target;
  standing.scrolled = pose.scrolled ?? false;
  return standing;
}

/** How a page stands, as the cascade takes it. */
export function poseOf(
  { hovered, focused, target, toggled, scrolled, left }: Standing,
  changed: PoseState['changed'],
): PoseState {
  const of = (name: string, element: ElementNode | null | undefined) =>
    element === undefined ? {} : { [name]: element };
  return {
    ...of('hovered', hovered),
    ...of('focused', focused),
    ...of('target', target),
    ...(toggled.size > 0 ? { toggled: new Map(toggled) } : {}),
    ...(changed !== undefined ? { changed } : {}),
    ...(scrolled ? { scrolled } : {}),
    ...(left ? { left } : {}),
  };
}
