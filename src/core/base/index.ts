export * from './source.js';
export * from './rect.js';
export * from './limits.js';
