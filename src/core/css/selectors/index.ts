export * from './guard.js';
export * from './types.js';
export { compileSelectors, SelectorError, type CompileOptions } from './compile.js';
export { parseAnPlusB, satisfies } from './nth.js';
export { directionOf, languageOf } from './pseudo.js';
