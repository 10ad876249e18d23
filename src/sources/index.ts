export { loadFile, loadText, type FileOptions } from './files.js';
export { SourceError } from './errors.js';
