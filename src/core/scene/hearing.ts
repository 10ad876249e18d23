import type { ElementNode } from '../html/index.js';
import type { Look, Marks, Program } from '../scripts/index.js';
import type { Scripted } from './scripted.js';
import { setting } from './setting.js';

/** A common screen and a common phone: scripts that start on both alike are followed once. */
const COMMON_WIDTHS = [1280, 375] as const;

/** What the scripts of a page listen to and write, on a common screen or on a common phone. */
export class Hearing {
  #own: readonly ReadonlyMap<ElementNode, readonly string[]>[] | null = null;
  #marks: Marks | null = null;
  #common: readonly Look[] | null = null;

  constructor(readonly scripted: Scripted | null) {}

  /** Whether something listens on an element itself, or on its behalf, to an event of a kind. */
  on(element: ElementNode, kind: RegExp): boolean {
    this.#own ??= this.#ask((program, look) => program.listening(look));
    return this.#own.some((own) => own.get(element)?.some((type) => kind.test(type)) ?? false);
  }

  /** What scripts do to the tree of the page while they start. */
  get marks(): Marks {
    if (this.#marks) return this.#marks;
    const all = this.#ask((program, look) => program.marks(look));
    const union = (kind: keyof Marks) => [...new Set(all.flatMap((marks) => marks[kind]))];
    return (this.#marks = {
      written: union('written'),
      copied: union('copied'),
      furnished: union('furnished'),
      moved: union('moved'),
    });
  }

  /** Elements that scripts change in ways that could not be followed, as far as anyone asked for moves. */
  get doubted(): ReadonlySet<ElementNode> {
    return this.scripted?.doubted ?? new Set();
  }

  /** Whether events of some types on an element are heard anywhere: by itself, around it or on its behalf. */
  of(element: ElementNode, types: readonly string[]): boolean {
    return this.#looks.some((look) => this.scripted!.program.listens(types, element, look));
  }

  #ask<T>(question: (program: Program, look: Look) => T): readonly T[] {
    return this.#looks.map((look) => question(this.scripted!.program, look));
  }

  get #looks(): readonly Look[] {
    const { scripted } = this;
    return (this.#common ??= scripted ? COMMON_WIDTHS.map((width) => scripted.look(setting(width))) : []);
  }
}
