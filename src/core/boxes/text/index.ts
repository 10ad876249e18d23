export { bareMetrics, bundledMetrics, type Face, type Missing, type TextMetrics } from './metrics.js';
export { webMetrics, type OpenFont, type WebFace } from './web-fonts.js';
export { transformText } from './transform.js';
export { needsFullBreaks, OBJECT, shortBreaks, type LineBreaks } from './breaks.js';
