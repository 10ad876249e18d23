import type { ElementNode } from '../html/index.js';
import type { Level, State } from '../findings/index.js';
import type { Menu, Opening } from '../menus/index.js';
import type { PaintItem } from '../paint/index.js';
import {
  poseAfter,
  setting,
  type Move,
  type Page,
  type Preview,
  type Scene,
  type Setting,
  type Visitor,
} from '../scene/index.js';
import { controlsOf, type Control } from './shared/controls.js';
import { TargetIndex } from './shared/targets.js';
import { textsIn } from './shared/texts.js';

/** A pose with its name: `closed`, or the moves that lead there. */
export interface NamedPose {
  readonly text: string;
  readonly state: Setting['pose'];
}

export const AT_REST: NamedPose = Object.freeze({ text: 'closed', state: {} });

export interface SubjectParts {
  readonly page: Page;
  readonly menus: readonly Menu[];
  readonly level: Level;
  /** Figures that were set, by check and name. */
  readonly figures: Readonly<Record<string, Readonly<Record<string, number>>>>;
  readonly width: number;
  readonly height: number;
  readonly visitor: Visitor;
  readonly pose: NamedPose;
  /** Of what the pose opened only; null at rest: everything. */
  readonly opened: ReadonlySet<ElementNode> | null;
  /** Every way in which panels of the menus come into view from the page at rest. */
  readonly routes: () => readonly Opening[];
  /** The page before the last move of the pose; at rest the page itself. */
  readonly before: () => Scene;
  /** The same width and pose as most people see it: scripts on, with a mouse. */
  readonly usual: () => Subject;
}

const targetsOf = new WeakMap<Scene, TargetIndex>();

/** A page at one width, for one visitor, in one pose: what checks look at. Everything is worked out once a scene. */
export class Subject {
  #scene: Scene | null = null;
  #controls: readonly Control[] | null = null;

  constructor(
    readonly parts: SubjectParts,
    /** Whether hover and focus are of interest. */
    readonly moves = true,
  ) {}

  /** The same without hover and focus. */
  get still(): Subject {
    return new Subject(this.parts, false);
  }

  get page(): Page {
    return this.parts.page;
  }
  get menus(): readonly Menu[] {
    return this.parts.menus;
  }
  get level(): Level {
    return this.parts.level;
  }
  /** A figure of a check as it was set, or its own. */
  figureOf(check: string, name: string, own: { readonly value: number }): number {
    return this.parts.figures[check]?.[name] ?? own.value;
  }
  /** Every way in which panels of the menus come into view from the page at rest. */
  get routes(): readonly Opening[] {
    return this.parts.routes();
  }
  get visitor(): Visitor {
    return this.parts.visitor;
  }
  get pose(): NamedPose {
    return this.parts.pose;
  }
  get setting(): Setting {
    const { width, height, visitor, pose } = this.parts;
    return setting(width, { height, visitor, pose: pose.state });
  }

  get scene(): Scene {
    return (this.#scene ??= this.page.scene(this.setting));
  }

  /** Items and toggles of all menus that a visitor can bring into view; in an opened pose those it brought there. */
  get controls(): readonly Control[] {
    return (this.#controls ??= controlsOf(this.menus, this.scene).filter(
      ({ element, reach }) => reach !== null && (this.parts.opened === null || this.parts.opened.has(element)),
    ));
  }

  /** Everything that can be pressed on the page, menus or not. */
  get targets(): TargetIndex {
    let known = targetsOf.get(this.scene);
    if (!known) targetsOf.set(this.scene, (known = new TargetIndex(this.scene)));
    return known;
  }

  /** All text painted inside an element. */
  texts(element: ElementNode): readonly PaintItem[] {
    return textsIn(element, this.scene);
  }

  /** What one more move would change, before anything is laid out. */
  preview(move: Move): Preview {
    return this.page.preview(this.#moved(move), this.scene);
  }

  /** The same width and visitor after one more move. */
  after(move: Move): Scene {
    return this.page.scene(this.#moved(move), this.scene);
  }

  #moved(move: Move): Setting {
    return { ...this.setting, pose: poseAfter(this.page, [move], this.setting) };
  }

  /** The same page once something was opened. */
  opened(opening: Opening): Subject {
    const { page, setting: at, parts } = this;
    const before = () => {
      const moves = opening.moves.slice(0, -1);
      return page.scene(moves.length > 0 ? { ...at, pose: poseAfter(page, moves, at) } : at);
    };
    const pose = { text: opening.text, state: poseAfter(page, opening.moves, at) };
    return new Subject({ ...parts, pose, opened: opening.shows, before }, this.moves);
  }

  /** In which state a control stands at rest. */
  stateOf(control: Control): State {
    return control.item?.current ? 'current' : 'normal';
  }
}
