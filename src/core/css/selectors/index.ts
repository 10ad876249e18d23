export * from './guard.js';
export * from './types.js';
export { compileSelectors, isSelector, SelectorError, type CompileOptions } from './compile.js';
export { parseAnPlusB, satisfies } from './nth.js';
export { directionOf, languageOf } from './pseudo.js';
