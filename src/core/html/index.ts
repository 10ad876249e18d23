export * from './document.js';
export { parseHtml, splitTokens, DEPTH_CAP } from './parse.js';
