export { loadFile, loadStream, loadText, type FileOptions } from './files.js';
export { SourceError } from './errors.js';
export { shippedOutlines, type ShippedOutlines } from './fonts.js';
