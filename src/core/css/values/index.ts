export { readAnchored } from './anchor.js';
export * from './components.js';
export * from './context.js';
export * from './length.js';
export * from './colour.js';
export * from './gradient.js';
export * from './position.js';
export * from './source.js';
