import type { Medium } from '../css/index.js';
import type { Rect, SourceText, Span } from '../base/index.js';
import type { ElementNode, HtmlDocument } from '../html/index.js';
import type * as acorn from 'acorn';
import { evaluate } from './evaluate/expressions.js';
import { runBody } from './evaluate/statements.js';
import { callFunction, constructWith } from './evaluate/functions.js';
import { readProperty, writeProperty } from './evaluate/properties.js';
import { furnish, Realm } from './realm.js';
import type { Watcher } from './dom/watchers.js';
import { Standing } from './standing.js';
import { Exhausted, Thrown, Trail } from './trail.js';
import { El, type Loose, Obj, Unknown, UNKNOWN, type Arr, type Scope, type Slot, type Value } from './values.js';

/** What layout tells of an element; undefined where it cannot be told. */
export interface Layouts {
  /** Whether places and all styles are told; otherwise only what style sheets tell scripts on purpose. */
  readonly whole: boolean;
  rect(element: ElementNode, standing: Standing): Rect | null | undefined;
  /** How high what an element holds is, px, shown or not. */
  content(element: ElementNode, standing: Standing): number | undefined;
  /** A computed value as text, of an element or of one of its pseudo-elements. */
  computed(element: ElementNode, property: string, standing: Standing, pseudo: string | null): string | undefined;
  /** The same of an element that a script made and put into the page. */
  made(
    element: { readonly tag: string; readonly attributes: ReadonlyMap<string, string | null> },
    property: string,
  ): string | undefined;
}

/** How the page is looked at while its scripts are followed. */
export interface Look {
  readonly medium: Medium;
  /** Counts the thresholds of the page's sheets below its width. */
  readonly rung: number;
  readonly touch: boolean;
  /** Names how text is set: what scripts measure hangs on it. */
  readonly text: string;
  readonly scroll: { readonly x: number; readonly y: number };
  readonly layouts: Layouts;
}

/** Something in a script that could not be followed. */
export interface Unread {
  readonly what: string;
  readonly span: Span | null;
  /** The element it may change, where that is known. */
  readonly element: ElementNode | null;
}

/** What scripts do to the tree of the page while they start. */
export interface Marks {
  /** Elements into which they write content: what they add is not in the markup. */
  readonly written: readonly ElementNode[];
  /** Elements of which they put copies somewhere. */
  readonly copied: readonly ElementNode[];
  /** Elements into which they put navigation landmarks of their own making. */
  readonly furnished: readonly ElementNode[];
  /** Elements that they put elsewhere: where they are then is not followed. */
  readonly moved: readonly ElementNode[];
}

export interface Listener {
  readonly handler: Value;
  readonly capture: boolean;
  readonly once: boolean;
  /** Only for elements below that match; null for the element itself. */
  readonly below: string | null;
  /** Names that tell listeners of one kind apart. */
  readonly spaces: readonly string[];
  /** Whether a chained call added it: what it returns counts. */
  readonly chained: boolean;
  readonly data: Value;
}

export interface Timer {
  readonly id: number;
  readonly due: number;
  readonly run: () => void;
}

const CALL_DEPTH = 220;
/** What hangs on so many things that cannot be told is not followed any further. */
const DOUBT = 4;

/** One following of a page's scripts: their values, what they listen to and how they leave the page. */
export class Reading {
  readonly trail = new Trail();
  readonly realm: Realm;
  standing = new Standing();
  /** Attributes and classes that were or may be changed, for those who match sheets. */
  readonly possible = new Map<ElementNode, Map<string, Set<string>>>();
  readonly unread = new Map<string, Unread>();
  readonly wrapped = new Map<ElementNode, El>();
  listeners = new Map<Obj, ReadonlyMap<string, readonly Listener[]>>();
  /** Who is told of elements that come into view. */
  watchers: readonly Watcher[] = [];
  timers: readonly Timer[] = [];
  jobs: (() => void)[] = [];
  /** Elements that scripts made and put somewhere. */
  readonly made = new Set<Loose>();
  /** Loads the file of a script that another one puts into the page, if it is at hand. */
  bring: ((script: Loose) => void) | null = null;
  /** Elements whose content scripts write. */
  readonly written = new Set<ElementNode>();
  /** Elements that scripts move elsewhere while they start. */
  readonly moved = new Set<ElementNode>();
  /** Elements of which scripts put copies somewhere while they start. */
  readonly copied = new Set<ElementNode>();
  readonly furnished = new Set<ElementNode>();
  /** Parts of the page that were taken from where they were shipped, by what names them. */
  readonly gone = new Map<string, Slot>();
  /** How each script finds the modules it imports as it runs. */
  readonly importers = new Map<SourceText, (specifier: string) => Value>();
  /** What is to be called once the whole page is there. */
  whenReady: (() => void)[] = [];
  /** Elements up to this index are there while the page is still being read. */
  horizon = Infinity;
  /** How deep in what may or may not happen. */
  unsure = 0;
  /** What scripts asked of the way the page is looked at while they started, and the answers. */
  readonly asked = new Map<string, { readonly given: unknown; readonly again: (look: Look) => unknown }>();
  /** Whether they are still starting: what moves ask later is asked again for each way of looking. */
  starting = true;
  /** Media queries scripts watch or ask, and where. */
  readonly queries = new Map<string, Span>();
  /** Milliseconds that passed in timers. */
  clock = 0;
  /** Whether a move is being followed, not the start of the page. */
  moving = false;
  /** The longest wait after which something was changed, ms. */
  waited = 0;
  source: SourceText | null = null;
  node: { readonly start: number; readonly end: number } | null = null;
  /** What the function that is running may have returned already. */
  returns: Value[] = [];
  /** The classic script that is running; null in modules and in what is called later. */
  running: ElementNode | null = null;
  /** The element a class is being given to. */
  upgrading: El | null = null;
  depth = 0;
  steps = 0;
  limit = 0;

  constructor(
    readonly document: HtmlDocument,
    readonly url: string,
    public look: Look,
    /** Presses made by scripts: what browsers do of themselves then. */
    readonly press: (reading: Reading, element: ElementNode) => void,
  ) {
    this.realm = new Realm();
    furnish(this.realm, this);
  }

  /** A script goes to another page; what it does as the page starts is left to it. */
  goTo(address: string | null): undefined {
    if (this.moving && !address?.startsWith('#')) this.standing.left = true;
  }

  get here(): Span | null {
    return this.source && this.node ? { source: this.source, start: this.node.start, end: this.node.end } : null;
  }

  step(): void {
    if (++this.steps > this.limit) throw new Exhausted();
  }

  put(map: Map<string, Slot>, key: string, value: Slot): void {
    if (this.trail.recording) {
      const had = map.has(key);
      const before = map.get(key);
      this.trail.note(() => (had ? map.set(key, before) : map.delete(key)), map, key, before);
    }
    map.set(key, value);
  }

  remove(map: Map<string, Slot>, key: string): void {
    if (!map.has(key)) return;
    const before = map.get(key);
    this.trail.note(() => map.set(key, before));
    map.delete(key);
  }

  relist(list: Arr, items: Value[]): void {
    const before = list.items;
    this.trail.note(() => (list.items = before));
    list.items = items;
  }

  /** The value of an expression. @param name what a function or class standing there is called */
  evaluate(node: acorn.Expression | acorn.Super, scope: Scope, name = ''): Value {
    return evaluate(this, node, scope, name);
  }
  /** What the statements of a function return. */
  body(statements: readonly acorn.Statement[], scope: Scope): Value {
    return runBody(this, statements, scope);
  }

  get(value: Value, key: string): Value {
    return readProperty(this, value, key);
  }
  set(value: Value, key: string, to: Value): void {
    writeProperty(this, value, key, to);
  }

  call(callee: Value, self: Value, args: readonly Value[]): Value {
    this.step();
    if (this.depth >= CALL_DEPTH) throw new Exhausted();
    this.depth++;
    const { source, node } = this;
    try {
      return callFunction(this, callee, self, args);
    } finally {
      this.depth--;
      this.source = source;
      this.node = node;
    }
  }

  construct(callee: Value, args: readonly Value[]): Value {
    this.step();
    const { source, node } = this;
    try {
      return constructWith(this, callee, args);
    } finally {
      this.source = source;
      this.node = node;
    }
  }

  raise(kind: string, message: string): never {
    const error = new Obj(this.realm.protos.error);
    error.props.set('name', kind);
    error.props.set('message', message);
    throw new Thrown(error);
  }

  note(what: string, element: ElementNode | null = null): void {
    const { here } = this;
    const key = `${what} ${here ? `${here.source.name}:${here.start}` : ''} ${element?.index ?? ''}`;
    if (!this.unread.has(key)) this.unread.set(key, { what, span: here, element });
  }

  get marks(): Marks {
    return {
      written: [...this.written],
      copied: [...this.copied],
      furnished: [...this.furnished],
      moved: [...this.moved],
    };
  }

  /** An element is put elsewhere in the page, where it is not followed to. */
  moves(element: ElementNode): void {
    this.moved.add(element);
    this.note('it moves an element elsewhere in the page', element);
  }

  /** Follows what may or may not happen: the page is not changed by it, names it sets become unknown. */
  perhaps(run: () => void): void {
    if (this.unsure >= DOUBT) return;
    const outer = this.trail.recording;
    this.trail.start();
    const mark = this.trail.length;
    this.unsure++;
    try {
      run();
    } catch (error) {
      if (!(error instanceof Thrown)) throw error;
    } finally {
      this.unsure--;
      for (const { map, key, before } of this.trail.since(mark)) {
        const now = map?.get(key);
        if (map && before !== undefined && before !== null && now !== before && !(before instanceof Unknown))
          this.put(map, key, UNKNOWN);
      }
      if (!outer) this.trail.stop();
    }
  }

  /** Sets an attribute of the page; what may or may not happen is only remembered as possible. */
  setAttribute(node: ElementNode, name: string, value: string | null, names: readonly string[] = []): void {
    let own = this.possible.get(node);
    if (!own) this.possible.set(node, (own = new Map()));
    let classes = own.get(name);
    if (!classes) own.set(name, (classes = new Set()));
    for (const one of names) classes.add(one);
    if (this.unsure > 0) {
      this.note('what it changes hangs on something that cannot be told without running it', node);
      return;
    }
    this.standing.set(node, name, value);
    this.waited = Math.max(this.waited, this.clock);
  }

  toggle(node: ElementNode, on: boolean): void {
    if (this.unsure > 0) {
      this.note('what it opens hangs on something that cannot be told without running it', node);
      return;
    }
    this.standing.version++;
    this.standing.toggled.set(node, on);
  }

  wrap(node: ElementNode | null): El | null {
    if (!node) return null;
    let known = this.wrapped.get(node);
    if (!known) {
      known = new El(this.realm.protos.element, node);
      this.wrapped.set(node, known);
    }
    return known;
  }

  /** What is asked of the way the page is looked at, with its answer: readings are shared where answers are equal. */
  ask<T>(question: string, answer: (look: Look) => T): T {
    const given = answer(this.look);
    if (this.starting) this.asked.set(question, { given, again: answer });
    return given;
  }
}
