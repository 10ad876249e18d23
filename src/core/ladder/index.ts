export { endsOf, firstBeyond, rungsAt, rungsOf, type Range, type Rung } from './rungs.js';
export { join, spread } from './spread.js';
export { seamsOf, type Seam } from './seams.js';
