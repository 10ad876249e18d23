export { bundledMetrics, type Face, type TextMetrics } from './metrics.js';
export { transformText } from './transform.js';
export { breakOffsets, OBJECT } from './breaks.js';
