export { checkPage, sampled } from './check-page.js';
export { MODEL, toModel } from './json.js';
export { inert, mendedAt, sentences, type Format, type RunEnd, type RunStart, type Writer } from './format.js';
export { checkWritable, FORMAT_NAMES, formatFor, FormatError, writeWhole } from './write.js';
export {
  drawFrame,
  drawSheet,
  MARKS,
  toPng,
  type Drawing,
  type MarkName,
  type Outlines,
  type Pictures,
  type Pin,
} from './drawing/index.js';
export { materialOf, type PageMaterial } from './report/material.js';
export * from './compare/index.js';
