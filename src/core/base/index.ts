export * from './source.js';
export * from './rect.js';
export * from './limits.js';
export { nearest } from './nearest.js';
export { joinRanges, withoutRanges, type Range } from './ranges.js';
export { ArgumentError } from './errors.js';
export { deepFreeze } from './freeze.js';
export { grouped } from './grouped.js';
export { Kept } from './kept.js';
