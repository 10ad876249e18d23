export { drawFrame, drawSheet, type Drawing, type SheetOptions } from './sheet.js';
export { MARKS, type MarkName, type Pin } from './marks.js';
export { toPng } from './png.js';
export type { Outlines } from './text.js';
export type { Pictures } from './definitions.js';
