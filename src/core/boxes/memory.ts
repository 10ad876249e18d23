import type { Box } from './box.js';
import type { Twins } from './generate/twins.js';
import { makeFragment, type Fragment, type OutOfFlow, type Placed } from './fragment.js';
import type { Intrinsic } from './layout.js';

/** What was worked out for boxes: it holds as long as the box tree does, whatever the viewport. */
export interface LayoutMemory {
  readonly fragments: Map<Box, Map<string, Fragment>>;
  readonly recalled: Map<Box, Map<string, unknown>>;
  readonly intrinsic: Map<Box, Intrinsic>;
  readonly contribution: Map<Box, Intrinsic>;
  /** The memory of a tree that is like this one, and what the two have in common. */
  like: { readonly memory: LayoutMemory; readonly twins: Twins } | null;
}

/** @param like lets go of what it was itself made from: otherwise every tree would hold all those before it */
export function newMemory(like: LayoutMemory['like'] = null): LayoutMemory {
  if (like) like.memory.like = null;
  return { fragments: new Map(), recalled: new Map(), intrinsic: new Map(), contribution: new Map(), like };
}

/** Turns what was worked out for the boxes of one tree into the same for those of another; null where a box has no twin. */
export class Moving {
  constructor(readonly later: ReadonlyMap<Box, Box>) {}

  fragment(one: Fragment): Fragment | null {
    const box = this.later.get(one.box);
    if (!box) return null;
    const children = this.placed(one.children);
    const outOfFlow = this.outOfFlow(one.outOfFlow);
    return children && outOfFlow && makeFragment({ ...one, box, children, outOfFlow });
  }

  placed(list: readonly Placed[]): readonly Placed[] | null {
    const out: Placed[] = [];
    for (const { fragment, x, y } of list) {
      const moved = this.fragment(fragment);
      if (!moved) return null;
      out.push({ fragment: moved, x, y });
    }
    return out;
  }

  outOfFlow(list: readonly OutOfFlow[]): readonly OutOfFlow[] | null {
    const out: OutOfFlow[] = [];
    for (const entry of list) {
      const box = this.later.get(entry.box);
      const inlineContainer = entry.inlineContainer === null ? null : this.later.get(entry.inlineContainer);
      if (!box || inlineContainer === undefined) return null;
      out.push({ ...entry, box, inlineContainer });
    }
    return out;
  }
}

const moves = new WeakMap<Twins, Moving>();

/** What the tree that is like this one knows of a box, moved here; null if it knows nothing. */
export function fromTwin<T>(
  memory: LayoutMemory,
  box: Box,
  find: (memory: LayoutMemory, twin: Box) => T | undefined,
  move: (found: T, moving: Moving) => T | null,
): T | null {
  const { like } = memory;
  const twin = like?.twins.earlier.get(box);
  if (!like || !twin) return null;
  const found = find(like.memory, twin);
  if (found === undefined) return null;
  let moving = moves.get(like.twins);
  if (!moving) moves.set(like.twins, (moving = new Moving(like.twins.later)));
  return move(found, moving);
}
