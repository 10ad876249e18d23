import type { Box } from '../box.js';
import { clearValue, floatSide, type Side } from './float-sides.js';

/** Widths of floats side by side where nothing makes them wrap: those a box clears end in front of it. Px. @spec css-sizing-3 §5.1 */
export class FloatWidths {
  left = 0;
  right = 0;
  /** What the widest row of floats takes. */
  widest = 0;
  #last: Side | null = null;

  get together(): number {
    return this.left + this.right;
  }

  /** Leaves out the floats that a box stands below. */
  clearedBy(box: Box): void {
    const clear = clearValue(box);
    if (clear === 'left' || clear === 'both') this.left = 0;
    if (clear === 'right' || clear === 'both') this.right = 0;
  }

  /** @param width of the float's margin box */
  add(float: Box, width: number): void {
    this.clearedBy(float);
    this.#put(float, width);
  }

  /** A float among lines begins a new row where it clears the one before it: so browsers look at it. */
  addInLine(float: Box, width: number): void {
    const clear = clearValue(float);
    if (clear !== null && (clear === 'both' || clear === this.#last)) this.end();
    this.#put(float, width);
  }

  #put(float: Box, width: number): void {
    this.#last = floatSide(float);
    this[this.#last] += width;
    this.widest = Math.max(this.widest, this.together);
  }

  end(): void {
    this.left = this.right = 0;
  }
}
