import type { ElementNode } from '../html/index.js';
import type { Cause, Criterion, Figure, Level, State, Verdict, Weight } from '../findings/index.js';
import type { Menu } from '../menus/index.js';
import type { Page, Scene, Setting } from '../scene/index.js';

/** A page at one width, as checks see it. */
export interface Look {
  readonly page: Page;
  readonly menus: readonly Menu[];
  readonly level: Level;
  readonly width: number;
  /** The closed pose. */
  readonly scene: Scene;
  /** The closed pose in the colours of another one. */
  readonly recoloured: (pose: Setting['pose']) => Scene;
  /** The same width in another pose. */
  readonly posed: (pose: Setting['pose']) => Scene;
}

/** What a check saw at one width. Equal keys at other widths are the same fault. */
export interface Observation {
  readonly element: ElementNode;
  readonly menu: Menu | null;
  readonly state: State;
  /** Which of the check's messages. */
  readonly message: string;
  readonly data: Readonly<Record<string, string | number>>;
  readonly verdict?: Verdict;
  readonly measured?: Figure;
  readonly needed?: Figure;
  readonly cause?: Cause | null;
}

export interface Message {
  /** One sentence or two: what is wrong, for whom. */
  readonly says: string;
  readonly mends: string;
}

export interface CheckMeta {
  readonly id: string;
  readonly title: string;
  readonly weight: Weight;
  readonly criteria: readonly Criterion[];
  readonly messages: Readonly<Record<string, Message>>;
}

export interface Check {
  readonly meta: CheckMeta;
  readonly inspect: (look: Look) => readonly Observation[];
}

export function defineCheck(meta: CheckMeta, inspect: Check['inspect']): Check {
  return Object.freeze({ meta: Object.freeze(meta), inspect });
}
