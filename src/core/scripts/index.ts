export { namesChainLibrary } from './chains/library.js';
export { specifiersOf, type ModuleText } from './modules.js';
export { Program, STOPS, type PageScript } from './program.js';
export type { After } from './following.js';
export type { Layouts, Look, Marks, Unread } from './reading.js';
export { makeMove, silentActor, type Move } from './moves.js';
export { activeAt, controlOf } from './native.js';
export { Standing } from './standing.js';
export { widthQuestions, type WidthQuestion } from './width-questions.js';
