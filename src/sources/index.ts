export { loadFile, loadStream, loadText, siteOfFile, type FileOptions } from './files.js';
export { SourceError } from './errors.js';
export { shippedOutlines, type ShippedOutlines } from './fonts.js';
export { expandPages, globsHold, isFolder, pagesBelow, type Expanded } from './expand.js';
export { picturesOf } from './pictures.js';
