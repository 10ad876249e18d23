import type { Slot, Value } from './values.js';

/** Raised where reading a script takes more steps than it may. */
export class Exhausted extends Error {}

/** An exception of the script itself. */
export class Thrown extends Error {
  constructor(readonly value: Value) {
    super('thrown');
  }
}

interface Entry {
  readonly undo: () => void;
  /** What was there before and where it is now; for joining two ways a script may go. */
  readonly before: Slot | undefined;
  readonly map: Map<string, Slot> | null;
  readonly key: string;
}

/** Everything a reading changes is written down, to be taken back or joined. */
export class Trail {
  #entries: Entry[] | null = null;

  get recording(): boolean {
    return this.#entries !== null;
  }
  get length(): number {
    return this.#entries?.length ?? 0;
  }
  start(): void {
    this.#entries ??= [];
  }
  stop(): void {
    this.#entries = null;
  }
  note(undo: () => void, map: Map<string, Slot> | null = null, key = '', before?: Slot): void {
    this.#entries?.push({ undo, map, key, before });
  }
  since(mark: number): readonly Entry[] {
    return this.#entries?.slice(mark) ?? [];
  }
  back(mark: number): void {
    const entries = this.#entries;
    while (entries && entries.length > mark) entries.pop()!.undo();
  }
}
