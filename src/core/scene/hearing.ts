import type { ElementNode } from '../html/index.js';
import type { Marks } from '../scripts/index.js';
import type { Scripted } from './scripted.js';
import { setting } from './setting.js';

const COMMON_WIDTH = 1280;
const NOTHING: Marks = { written: [], copied: [], moved: [] };

/** What the scripts of a page listen to and write, on a common screen. */
export class Hearing {
  #own: ReadonlyMap<ElementNode, readonly string[]> | null = null;

  constructor(readonly scripted: Scripted | null) {}

  /** Whether something listens on an element itself, or on its behalf, to an event of a kind. */
  on(element: ElementNode, kind: RegExp): boolean {
    const { scripted } = this;
    if (!scripted) return false;
    this.#own ??= scripted.program.listening(scripted.look(setting(COMMON_WIDTH)));
    return this.#own.get(element)?.some((type) => kind.test(type)) ?? false;
  }

  /** What scripts do to the tree of the page while they start. */
  get marks(): Marks {
    return this.scripted?.program.marks(this.scripted.look(setting(COMMON_WIDTH))) ?? NOTHING;
  }

  /** Whether events of some types on an element are heard anywhere: by itself, around it or on its behalf. */
  of(element: ElementNode, types: readonly string[]): boolean {
    const { scripted } = this;
    return scripted !== null && scripted.program.listens(types, element, scripted.look(setting(COMMON_WIDTH)));
  }
}
