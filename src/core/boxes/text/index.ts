export { bareMetrics, bundledMetrics, type Face, type FontRun, type Missing, type TextMetrics } from './metrics.js';
export { webMetrics, type FontAxes, type Glyph, type OpenFont, type WebFace } from './web-fonts.js';
export { transformText } from './transform.js';
export { needsFullBreaks, OBJECT, shortBreaks, type LineBreaks } from './breaks.js';
export { breaksInsideWords } from './break-pairs.js';
export { embeddingLevels, mayRunBackwards } from './bidi.js';
export { breaksSpaces, hangsSpaces, keepsBreaks, keepsSpaces, wraps } from './white-space.js';
export { usedFontSize } from './size.js';
export { scriptAtEnd, scriptOf } from './scripts.js';
