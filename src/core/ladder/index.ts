export { endsOf, firstBeyond, isConditionOf, rungsAt, rungsOf, type Change, type Rung } from './rungs.js';
export { spread } from './spread.js';
export { stationsOf } from './stations.js';
export { seamsOf, type Seam } from './seams.js';
