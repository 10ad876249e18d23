export * from './finding.js';
export { byWeight, mergeCauses, type Single } from './merge.js';
