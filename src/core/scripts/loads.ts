import type { After, Following } from './following.js';
import type { Look, Marks, Reading } from './reading.js';

/** A page's scripts once they started. */
export interface Loaded {
  readonly reading: Reading;
  readonly look: Look;
  /** The page before anyone touches it. */
  readonly rest: After;
  readonly marks: Marks;
  /** Whether layout had a say: then it holds for this look alone. */
  readonly bound: boolean;
  /** Moves made on it. */
  readonly following: Following;
  /** What is known of whether something hears of the pointer or the focus that comes to an element. */
  readonly heard: Map<string, boolean>;
}

/** What layout told scripts at one width holds for widths near it. */
const NEAR = 64;
/** Sizes at which scripts leave a page alike before layout counts as having no say in it. */
const TELLING = 3;

/** Starts of a page's scripts, by the looks they were started for: each serves as many others as it can. */
export class Loads {
  readonly #all: Loaded[] = [];
  readonly #byLook = new Map<string, Loaded>();

  /** The start that holds for a look at the top of the page; made where none does. */
  for(look: Look, start: () => Loaded): Loaded {
    const { medium, touch, text, scroll, layouts } = look;
    const key = `${JSON.stringify(medium)} ${touch} ${text} ${scroll.x},${scroll.y} ${layouts.whole}`;
    let loaded = this.#byLook.get(key) ?? this.#all.find((one) => this.#fits(one, look)) ?? this.#between(look);
    if (!loaded) this.#all.push((loaded = start()));
    this.#byLook.set(key, loaded);
    return loaded;
  }

  /** Which start it is. */
  indexOf(loaded: Loaded): number {
    return this.#all.indexOf(loaded);
  }

  #fits(one: Loaded, look: Look): boolean {
    if (one.look.touch !== look.touch) return false;
    if (isAtWidthOf(one.look, look) && this.#tellNoneApart(one.look, look)) return true;
    if (one.bound && !isNear(one.look, look) && !this.#leavesAlike(one, look)) return false;
    return [...one.reading.asked.values()].every(
      ({ given, again }) => JSON.stringify(again(look)) === JSON.stringify(given),
    );
  }

  /** Where scripts leave a narrower and a wider page alike, they leave those in between so. */
  #between(look: Look): Loaded | undefined {
    const { width } = look.medium;
    const like = this.#all.filter((one) => isLike(one.look, look) && (!one.bound || one.look.rung === look.rung));
    const narrower = like
      .filter((one) => one.look.medium.width <= width)
      .sort(byWidth)
      .at(-1);
    const wider = like.filter((one) => one.look.medium.width >= width).sort(byWidth)[0];
    return narrower && wider && narrower.rest.standing.equals(wider.rest.standing) ? narrower : undefined;
  }

  /**
   * Where layout had no say at any size scripts were started at, it has none with other text or another height either;
   * nor for fingers at a width at which it has none for a mouse.
   */
  #leavesAlike(one: Loaded, look: Look): boolean {
    const alike = (touch: boolean) => {
      const all = this.#all.filter(
        ({ look: { touch: t, layouts } }) => t === touch && layouts.whole === look.layouts.whole,
      );
      const widths = new Set(all.map((each) => each.look.medium.width));
      return widths.size >= TELLING && all.every(({ rest }) => rest.standing.equals(all[0]!.rest.standing)) ? all : [];
    };
    const own = alike(look.touch);
    if (!own.includes(one)) return false;
    return isBeside(one.look, look) || (look.touch && alike(false).some((mouse) => isBeside(mouse.look, look)));
  }

  /**
   * Whether another height or other text made no difference to scripts at any width at which both were tried, and at
   * enough of them: then it makes none at others.
   */
  #tellNoneApart(one: Look, other: Look): boolean {
    const pairs = this.#all
      .filter(({ look }) => isLike(look, other))
      .flatMap((a) => this.#all.filter((b) => isLike(b.look, one) && isAtWidthOf(a.look, b.look)).map((b) => [a, b]));
    return pairs.length >= TELLING && pairs.every(([a, b]) => a!.rest.standing.equals(b!.rest.standing));
  }
}

const byWidth = (a: Loaded, b: Loaded): number => a.look.medium.width - b.look.medium.width;

/** Whether two looks differ in width alone. */
const isLike = (one: Look, other: Look): boolean =>
  one.touch === other.touch &&
  one.text === other.text &&
  one.layouts.whole === other.layouts.whole &&
  JSON.stringify({ ...one.medium, width: 0 }) === JSON.stringify({ ...other.medium, width: 0 });

const isAtWidthOf = (one: Look, other: Look): boolean =>
  one.medium.width === other.medium.width && one.layouts.whole === other.layouts.whole;

/** Whether two looks are of much the same width. */
const isBeside = (one: Look, other: Look): boolean =>
  one.layouts.whole === other.layouts.whole &&
  one.rung === other.rung &&
  Math.abs(one.medium.width - other.medium.width) < NEAR;

const isNear = (one: Look, other: Look): boolean =>
  one.text === other.text && one.medium.height === other.medium.height && isBeside(one, other);
