import type { ElementNode } from '../html/index.js';
import type { Scripted } from './scripted.js';
import { setting } from './setting.js';

const COMMON_WIDTH = 1280;

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

  /** Elements into which scripts write content while they start: what they add is not in the markup. */
  get written(): readonly ElementNode[] {
    return this.scripted?.program.written(this.scripted.look(setting(COMMON_WIDTH))) ?? [];
  }

  /** Elements of which scripts put copies somewhere while they start. */
  get copied(): readonly ElementNode[] {
    return this.scripted?.program.copied(this.scripted.look(setting(COMMON_WIDTH))) ?? [];
  }

  /** Whether events of some types on an element are heard anywhere: by itself, around it or on its behalf. */
  of(element: ElementNode, types: readonly string[]): boolean {
    const { scripted } = this;
    return scripted !== null && scripted.program.listens(types, element, scripted.look(setting(COMMON_WIDTH)));
  }
}
