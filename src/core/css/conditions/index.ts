export { compileMedia, type MediaCondition, type Medium, type WidthThreshold } from './media.js';
export { supports } from './supports.js';
