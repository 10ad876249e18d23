export * from './finding.js';
export { byWeight, mergePlaces } from './merge.js';
