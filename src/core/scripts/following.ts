import { makeMove, readingActor, type Move } from './moves.js';
import type { Look, Reading, Unread } from './reading.js';
import type { Standing } from './standing.js';

/** How a page stands after moves, and what was met on the way that could not be followed. */
export interface After {
  readonly standing: Standing;
  readonly unread: readonly Unread[];
  /** The longest wait before something changed, ms. */
  readonly waited: number;
}

/** A move that was made, and how the reading stood then. */
interface Made {
  readonly move: Move;
  readonly trail: number;
  readonly clock: number;
  readonly after: After;
  readonly unread: ReadonlyMap<string, Unread>;
}

/** Does something within so many steps, whatever becomes of it. */
export type Guard = (reading: Reading, work: () => void) => void;

/**
 * Moves on a page whose scripts have started, one after the other. What two ways have in common is made once: the
 * reading stays where the last way led until another one, or a question about the page at rest, takes it back.
 */
export class Following {
  readonly #made: Made[] = [];
  #look = '';
  #running = false;
  #atRest: { readonly clock: number; readonly unread: ReadonlyMap<string, Unread> } | null = null;

  constructor(
    readonly reading: Reading,
    readonly rest: After,
    readonly guard: Guard,
  ) {}

  /**
   * @param moves at least one
   * @param key equal for looks at which scripts find the same page
   */
  after(moves: readonly Move[], look: Look, key: string): After {
    const { reading } = this;
    if (key !== this.#look) this.release();
    this.#look = key;
    if (!this.#atRest) {
      this.#atRest = { clock: reading.clock, unread: new Map(reading.unread) };
      reading.trail.start();
    }
    reading.look = look;
    let shared = 0;
    while (shared < moves.length && this.#made[shared] && isSame(this.#made[shared]!.move, moves[shared]!)) shared++;
    this.#backTo(shared);
    for (const move of moves.slice(shared)) this.#make(move);
    return this.#made[moves.length - 1]!.after;
  }

  /** Takes everything back that moves have done. */
  release(): void {
    const { reading } = this;
    if (!this.#atRest || this.#running) return;
    this.#backTo(0);
    reading.trail.stop();
    reading.standing = this.rest.standing;
    fill(reading, this.#atRest.unread);
    this.#atRest = null;
  }

  #make(move: Move): void {
    const { reading } = this;
    const before = reading.standing;
    reading.standing = before.clone();
    reading.standing.left = before.left;
    this.#running = true;
    reading.moving = true;
    try {
      this.guard(reading, () => makeMove(readingActor(reading), move, reading));
    } finally {
      this.#running = false;
      reading.moving = false;
      reading.jobs = [];
    }
    const { standing, waited, clock, unread } = reading;
    const after = { standing, unread: [...unread.values()], waited };
    this.#made.push({ move, trail: reading.trail.length, clock, after, unread: new Map(unread) });
  }

  #backTo(count: number): void {
    const { reading } = this;
    const last = this.#made[count - 1];
    this.#made.length = count;
    reading.trail.back(last?.trail ?? 0);
    reading.clock = last?.clock ?? this.#atRest!.clock;
    reading.standing = last?.after.standing ?? this.rest.standing;
    reading.waited = last?.after.waited ?? 0;
    fill(reading, last?.unread ?? new Map());
  }
}

const isSame = (a: Move, b: Move): boolean => a.by === b.by && a.element === b.element && a.key === b.key;

function fill({ unread }: Reading, from: ReadonlyMap<string, Unread>): void {
  unread.clear();
  for (const [key, one] of from) unread.set(key, one);
}
