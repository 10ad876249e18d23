export * from './finding.js';
export { byWeight, clusterKey, mergeCauses, type Single } from './merge.js';
export * from './identity.js';
export * from './accept.js';
export * from './compare.js';
