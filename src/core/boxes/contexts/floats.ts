/** A float's margin box in the coordinates of its formatting context. */
interface Exclusion {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

export interface Gap {
  readonly left: number;
  readonly right: number;
}

/** The floats of one block formatting context. @spec css2 §9.5 */
export class Floats {
  readonly #left: Exclusion[] = [];
  readonly #right: Exclusion[] = [];
  #lastTop = -Infinity;

  /** Top of the float placed last: none goes higher. */
  get lastTop(): number {
    return this.#lastTop;
  }

  get empty(): boolean {
    return this.#left.length === 0 && this.#right.length === 0;
  }

  /** Room between floats over a height, inside the given edges. */
  gap(top: number, bottom: number, left: number, right: number): Gap {
    const meets = (e: Exclusion) => e.top < Math.max(bottom, top + 1 / 64) && e.bottom > top;
    let [l, r] = [left, right];
    for (const e of this.#left) if (meets(e)) l = Math.max(l, e.right);
    for (const e of this.#right) if (meets(e)) r = Math.min(r, e.left);
    return { left: l, right: r };
  }

  /** The next height below `y` at which a float ends; null if none does. */
  nextBottom(y: number): number | null {
    let next: number | null = null;
    for (const e of [...this.#left, ...this.#right])
      if (e.bottom > y && (next === null || e.bottom < next)) next = e.bottom;
    return next;
  }

  /**
   * Places a margin box as high and as far to its side as the rules allow.
   * @param free whether it may stand higher than floats before it, as initial letters do
   * @spec css2 §9.5.1 (rules 1 to 9)
   */
  place(
    side: 'left' | 'right',
    width: number,
    height: number,
    top: number,
    left: number,
    right: number,
    free = false,
  ): { x: number; y: number } {
    let y = free ? top : Math.max(top, this.#lastTop);
    for (;;) {
      const room = this.gap(y, y + height, left, right);
      const next = this.nextBottom(y);
      if (room.right - room.left >= width - 1 / 64 || next === null || !this.#touches(y, y + height, left, right)) {
        const x = side === 'left' ? room.left : room.right - width;
        const box = { left: x, top: y, right: x + width, bottom: y + height };
        (side === 'left' ? this.#left : this.#right).push(box);
        this.#lastTop = Math.max(y, this.#lastTop);
        return { x, y };
      }
      y = next;
    }
  }

  #touches(top: number, bottom: number, left: number, right: number): boolean {
    const room = this.gap(top, bottom, left, right);
    return room.left > left || room.right < right;
  }

  /** Lowest edge of the floats a `clear` value refers to; null if there are none. */
  clearance(clear: 'left' | 'right' | 'both'): number | null {
    const list = clear === 'left' ? this.#left : clear === 'right' ? this.#right : [...this.#left, ...this.#right];
    return list.length === 0 ? null : list.reduce((low, e) => Math.max(low, e.bottom), -Infinity);
  }

  /** Whether a float without height that `clear` refers to stands at a height. */
  standsFlat(clear: 'left' | 'right' | 'both', y: number): boolean {
    const flat = (e: Exclusion) => e.top === y && e.bottom === y;
    return (clear !== 'right' && this.#left.some(flat)) || (clear !== 'left' && this.#right.some(flat));
  }

  /** Lowest edge of all floats. */
  get bottom(): number {
    return this.clearance('both') ?? 0;
  }
}
