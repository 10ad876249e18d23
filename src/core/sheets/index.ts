export * from './rules.js';
export { absence } from './absence.js';
export { parseSheet, parseStyleAttribute, type ParsedSheet } from './parse.js';
export {
  collectSheets,
  baseUrl,
  resolveUrl,
  type Collected,
  type Resource,
  type Resources,
  type SheetCache,
} from './collect.js';
