export { checkPage, sampled } from './check-page.js';
export { MODEL, toJson } from './json.js';
export { checkWritable, formatFor, FormatError, writeWhole, type Format } from './write.js';
export { drawSheet, MARKS, toPng, type Drawing, type MarkName, type Outlines, type Pin } from './drawing/index.js';
