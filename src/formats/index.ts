export { MODEL, toJson } from './json.js';
export { formatFor, FormatError, writeWhole, type Format } from './write.js';
