import type { SourceText, Span } from '../base/index.js';
import type { ElementNode, HtmlDocument } from '../html/index.js';
import { callsChainLibrary, chainVersion, installChains, isChainLibrary, namesChainLibrary } from './chains/library.js';
import { fire } from './dom/events.js';
import { findAll, matcher } from './dom/find.js';
import { makeMove, readingActor, settle, silentActor, TOUCHES, type Move } from './moves.js';
import { click } from './native.js';
import { NO_IMPORTS, runModule, runText, type Imports } from './modules.js';
import { Reading, type Layouts, type Look, type Marks } from './reading.js';
import { Following, type After } from './following.js';
import { Loads, type Loaded } from './loads.js';
import type { Standing } from './standing.js';
import { Exhausted, Thrown } from './trail.js';
import { takeLoadersAway } from './loaders.js';
import { mentionedBy } from './mentioned.js';
import { tried } from './tried.js';
import { Obj, type Loose } from './values.js';

/** A script of a page: where it stands, and its text unless that could not be read. */
export interface PageScript {
  readonly element: ElementNode;
  /** How reports call it. */
  readonly name: string;
  readonly source: SourceText | null;
  /** Whether it runs where it stands, or once the page is there. */
  readonly when: 'there' | 'after';
  readonly module: boolean;
  /** The file it is read from; null for one that stands in the page. */
  readonly address: string | null;
  /** Of modules: what they import. */
  readonly from?: Imports;
  /** Of those that another script puts into the page: their addresses as it writes them. */
  readonly brought?: readonly string[];
}

/** An element for a file of a script, among those that scripts made. */
const loadsFile = (one: Loose): boolean => one.tag === 'script' && one.attributes.has('src');

const hasText = (script: PageScript): script is PageScript & { readonly source: SourceText } => script.source !== null;

/** Steps a page's scripts may take to start, and to answer one move. */
const LOAD_STEPS = 500_000;
const MOVE_STEPS = 150_000;
/** Steps all moves together may take when it is tried what scripts may change. */
const SURVEY_STEPS = 2_000_000;
/** Times a page is laid out to answer scripts while they start. */
const LAYOUTS = 6;

/** What a page's scripts make of it: read, never run. */
export class Program {
  readonly #loads = new Loads();
  readonly #after = new Map<string, After>();

  constructor(
    readonly document: HtmlDocument,
    readonly url: string,
    readonly scripts: readonly PageScript[],
  ) {}

  /** The page once its scripts have started, before anyone touches it. */
  rest(look: Look): After {
    return this.#load(look).rest;
  }

  /** The page after moves, one after the other. */
  after(moves: readonly Move[], look: Look): After {
    const loaded = this.#loaded(look);
    if (moves.length === 0) return loaded.rest;
    const { medium, text, scroll, layouts } = look;
    const at = `${text} ${layouts.whole} ${medium.width}x${medium.height}${medium.reducedMotion} ${scroll.x},${scroll.y}`;
    const key = `${this.#loads.indexOf(loaded)} ${at} ${moves.map((m) => `${m.by}${m.key ?? ''}:${m.element.index}`).join()}`;
    let known = this.#after.get(key);
    if (known) return known;
    const last = moves[moves.length - 1];
    if (last && (last.by === 'hover' || last.by === 'focus')) {
      const before = moves.length > 1 ? this.after(moves.slice(0, -1), look) : loaded.rest;
      if (!this.#hears(loaded, before.standing, last)) {
        const standing = before.standing.share();
        makeMove(silentActor(this.document, standing), last, null);
        known = { standing, unread: before.unread, waited: before.waited };
        this.#after.set(key, known);
        return known;
      }
    }
    known = loaded.following.after(moves, look, at);
    if (this.#after.size > 5000) this.#after.clear();
    this.#after.set(key, known);
    return known;
  }

  /** Whether something listens to what a hover or a focus sets going, where it comes and where it goes from. */
  #hears({ reading, following, heard }: Loaded, standing: Standing, { by, element }: Move): boolean {
    const types = by === 'hover' ? HOVER_EVENTS : FOCUS_EVENTS;
    const left = by === 'hover' ? standing.hovered : standing.focused;
    return [element, left].some((e) => {
      if (!e) return false;
      const key = `${by} ${e.index}`;
      let known = heard.get(key);
      if (known === undefined) {
        following.release();
        reading.limit = reading.steps + MOVE_STEPS;
        heard.set(key, (known = isHeard(reading, e, types)));
      }
      return known;
    });
  }

  /** Whether anything hears of events of some types on an element or around it. */
  listens(types: readonly string[], element: ElementNode, look: Look): boolean {
    const { reading } = this.#load(look);
    reading.limit = reading.steps + MOVE_STEPS;
    return isHeard(reading, element, types);
  }

  /** Media queries that scripts ask while they start and when something happens, and where. */
  mediaAsked(look: Look): readonly { readonly query: string; readonly span: Span }[] {
    return [...this.#load(look).reading.queries].map(([query, span]) => ({ query, span }));
  }

  /** Whether anything hangs on how far the page is scrolled. */
  heedsScroll(look: Look): boolean {
    return heedsScroll(this.#load(look).reading);
  }

  /** Elements something of their own listens on, by the events it listens to. */
  listening(look: Look): ReadonlyMap<ElementNode, readonly string[]> {
    const { reading } = this.#load(look);
    reading.limit = reading.steps + MOVE_STEPS;
    const out = new Map<ElementNode, readonly string[]>();
    for (const node of this.document.elements) {
      const written = [...node.attributes].filter(([name, value]) => /^on[a-z]+$/.test(name) && value.trim() !== '');
      if (written.length > 0)
        out.set(
          node,
          written.map(([name]) => name.slice(2)),
        );
    }
    for (const [node, wrapped] of reading.wrapped) {
      const types = [...(reading.listeners.get(wrapped) ?? [])]
        .filter(([, list]) => list.some(({ below }) => below === null))
        .map(([type]) => type);
      const own = [...wrapped.props.keys()].filter((key) => /^on[a-z]+$/.test(key)).map((key) => key.slice(2));
      if (types.length + own.length > 0) out.set(node, [...(out.get(node) ?? []), ...types, ...own]);
    }
    for (const byType of reading.listeners.values())
      for (const [type, list] of byType)
        for (const { below } of list)
          for (const node of below === null ? [] : (findAll(reading, below, null) ?? []))
            out.set(node, [...(out.get(node) ?? []), type]);
    return out;
  }

  /** Attributes and classes the scripts may change, told without layout. */
  possible(looks: readonly Look[]): ReadonlyMap<ElementNode, ReadonlyMap<string, ReadonlySet<string>>> {
    const out = new Map<ElementNode, Map<string, Set<string>>>();
    const mentioned = mentionedBy(
      this.document,
      this.scripts.flatMap(({ source }) => (source ? [source.text] : [])),
    );
    for (const look of looks.flatMap((one) => (this.#hearsFingers(one) ? [one, { ...one, touch: true }] : [one]))) {
      const { reading } = this.#load(look);
      const most = reading.steps + SURVEY_STEPS;
      if (heedsScroll(reading))
        for (const y of SCROLLED_TO)
          this.after([{ by: 'scroll', element: this.document.root }], { ...look, scroll: { x: 0, y } });
      for (const moves of tried(this.document, this.listening(look), mentioned)) {
        if (reading.steps > most) break;
        if (!isHeard(reading, moves[0]!.element, look.touch ? TOUCHES : HEARD)) continue;
        this.after(moves, look);
      }
      for (const [element, own] of reading.possible) {
        let known = out.get(element);
        if (!known) out.set(element, (known = new Map()));
        for (const [name, classes] of own) known.set(name, new Set([...(known.get(name) ?? []), ...classes]));
      }
    }
    return out;
  }

  #hearsFingers(look: Look): boolean {
    const { reading } = this.#load(look);
    return [...reading.listeners.values()].some((byType) => TOUCHES.some((type) => byType.has(type)));
  }

  /** Addresses of the scripts that its scripts put into the page while they start; null for one that cannot be told. */
  brought(look: Look): readonly (string | null)[] {
    const { made } = this.#load(look).reading;
    return [...made].filter(loadsFile).map((one) => one.attributes.get('src')!);
  }

  /** What scripts do to the tree of the page while they start. */
  marks(look: Look): Marks {
    return this.#load(look).marks;
  }

  /** A page's scripts once they have started, taken back to where nobody has touched it. */
  #load(look: Look): Loaded {
    const loaded = this.#loaded(look);
    loaded.following.release();
    return loaded;
  }

  /** @param given however far it says the page is scrolled, pages start at their top */
  #loaded(given: Look): Loaded {
    const look = atTop(given);
    return this.#loads.for(look, () => this.#start(look));
  }

  #start(given: Look): Loaded {
    let left = LAYOUTS;
    let latest = -1;
    /** The page is laid out anew only where it changed since the last question. */
    const answered = ({ version }: Standing): boolean => {
      if (version !== latest) left--;
      latest = version;
      return left >= 0;
    };
    const layouts: Layouts = {
      whole: given.layouts.whole,
      rect: (element, standing) => (answered(standing) ? given.layouts.rect(element, standing) : undefined),
      content: (element, standing) => (answered(standing) ? given.layouts.content(element, standing) : undefined),
      computed: (element, property, standing, pseudo) =>
        answered(standing) ? given.layouts.computed(element, property, standing, pseudo) : undefined,
      made: (element, property) => given.layouts.made(element, property),
    };
    const reading = new Reading(this.document, this.url, { ...given, layouts }, (r, element) =>
      click(readingActor(r), element),
    );
    const libraries = this.scripts.filter(({ source, address }) =>
      source ? isChainLibrary(source.text) : namesChainLibrary(address),
    );
    const missing = this.scripts.filter((one) => one.source === null && !libraries.includes(one));
    // A file that could not be read may have brought the library that others call.
    const brought = missing.length > 0 && this.scripts.some(({ source }) => source && callsChainLibrary(source.text));
    const library = libraries[0] ?? (brought ? missing[0] : undefined);
    if (library) installChains(reading, chainVersion(library.source?.text ?? null, library.address));
    reading.realm.lenient = missing.length > 0;
    reading.bring = (made) => bring(reading, made, this.scripts);
    const first = this.scripts.filter((script) => script.when === 'there');
    for (const script of [...first, ...this.scripts.filter((one) => one.when === 'after')]) {
      reading.horizon = script.when === 'there' ? script.element.index : Infinity;
      if (script.when === 'after') reading.realm.documentObject.props.set('readyState', 'interactive');
      if (script.brought || !hasText(script)) continue;
      runScript(reading, script, libraries.includes(script));
      guard(reading, MOVE_STEPS, () => settle(reading));
    }
    reading.horizon = Infinity;
    ready(reading);
    takeLoadersAway(
      reading,
      this.scripts.flatMap(({ source }) => (source ? [source.text] : [])),
    );
    const layoutAsked = [...reading.asked.keys()].filter((question) => /^(rect|style) /.test(question));
    for (const question of layoutAsked) reading.asked.delete(question);
    reading.starting = false;
    const { standing } = reading;
    const rest = { standing, unread: [...reading.unread.values()], waited: 0 };
    const bound = layoutAsked.length > 0;
    const following = new Following(reading, rest, (r, work) => guard(r, MOVE_STEPS, work));
    return { reading, look: given, rest, marks: reading.marks, bound, following, heard: new Map() };
  }
}

/** Whatever a press, a hover, a focus or a key sets going. */
const HEARD =
  'click pointerdown pointerup mousedown mouseup touchstart touchend change input toggle beforetoggle command keydown keyup keypress pointerover mouseover pointerenter mouseenter pointermove mousemove pointerout mouseout pointerleave mouseleave focus focusin blur focusout'.split(
    ' ',
  );
/** How far a page is scrolled to see what its scripts make of it, px. */
const SCROLLED_TO = [60, 400, 4000];
const atTop = (look: Look): Look =>
  look.scroll.x === 0 && look.scroll.y === 0 ? look : { ...look, scroll: { x: 0, y: 0 } };
const heedsScroll = (reading: Reading): boolean =>
  reading.watchers.length > 0 || isHeard(reading, reading.document.root, ['scroll']);
const HOVER_EVENTS =
  'pointerout mouseout pointerleave mouseleave pointerover mouseover pointerenter mouseenter pointermove mousemove'.split(
    ' ',
  );
const FOCUS_EVENTS = 'blur focusout focus focusin'.split(' ');
/** What is said of a script that goes no further. */
export const STOPS = 'it stops with an error';

function guard(reading: Reading, steps: number, work: () => void): void {
  reading.limit = reading.steps + steps;
  reading.depth = 0;
  try {
    work();
  } catch (error) {
    if (error instanceof Exhausted || error instanceof RangeError)
      reading.note('it takes more steps than are followed');
    else if (!(error instanceof Thrown)) throw error;
    else if (!reading.realm.lenient) reading.note(STOPS);
  } finally {
    reading.unsure = 0;
    reading.depth = 0;
    reading.upgrading = null;
  }
}

function runScript(
  reading: Reading,
  script: PageScript & { readonly source: SourceText },
  holdsLibrary: boolean,
): void {
  const { source, module, address, from = NO_IMPORTS } = script;
  guard(reading, LOAD_STEPS, () => {
    reading.running = module ? null : script.element;
    if (module) runModule(reading, source, address, from);
    else runText(reading, source, holdsLibrary, from);
  });
  reading.running = null;
}

/** Runs a file of a script that another has put into the page, before any time passes: whoever put it there hears of it. */
function bring(reading: Reading, made: Loose, scripts: readonly PageScript[]): void {
  const src = made.attributes.get('src') ?? '';
  const script = scripts.find(({ brought }) => brought?.includes(src));
  if (!script || !hasText(script)) return;
  runScript(reading, script, isChainLibrary(script.source.text));
  guard(reading, LOAD_STEPS, () => void fire(reading, made, 'load'));
}

/** The page is there: those who wait for it are called. @spec html §8.2.7 */
function ready(reading: Reading): void {
  const { documentObject, window } = reading.realm;
  const { props } = documentObject;
  props.set('readyState', 'interactive');
  guard(reading, LOAD_STEPS, () => void fire(reading, documentObject, 'DOMContentLoaded'));
  for (const call of reading.whenReady) guard(reading, LOAD_STEPS, call);
  props.set('readyState', 'complete');
  guard(reading, LOAD_STEPS, () => {
    fire(reading, documentObject, 'readystatechange');
    fire(reading, window, 'load');
    fire(reading, window, 'pageshow');
  });
  guard(reading, LOAD_STEPS, () => settle(reading));
  const { body } = reading.document;
  const onload = body?.attributes.get('onload');
  if (body && onload !== undefined) guard(reading, MOVE_STEPS, () => void fire(reading, reading.wrap(body)!, 'load'));
}

/** Whether events of some types on an element are heard: by itself, by what lies around it, or on their behalf. */
function isHeard(reading: Reading, element: ElementNode, types: readonly string[]): boolean {
  const path: ElementNode[] = [];
  for (let e: ElementNode | null = element; e; e = e.parent) path.push(e);
  const { documentObject, window } = reading.realm;
  const places = [...path.map((e) => reading.wrapped.get(e)), documentObject, window];
  return places.some((place, i) => {
    if (i < path.length && types.some((type) => path[i]!.attributes.has(`on${type}`))) return true;
    if (!place) return false;
    const byType = reading.listeners.get(place);
    return types.some(
      (type) =>
        (byType?.get(type) ?? []).some(
          ({ below }) =>
            below === null || (matcher(reading, below) !== null && path.slice(0, i).some(matcher(reading, below)!)),
        ) || place.props.get(`on${type}`) instanceof Obj,
    );
  });
}
