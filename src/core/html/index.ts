export * from './document.js';
export { displaySize } from './display-size.js';
export { parseHtml, splitTokens, DEPTH_CAP } from './parse.js';
export {
  attributesOf,
  ChangedMarkup,
  MARKUP,
  markupWith,
  namedNow,
  sameAttributes,
  sameChanges,
  withClasses,
  type AttributeChanges,
  type MarkupChanges,
  type MarkupView,
} from './markup.js';
export { isSuperseded, radioGroup } from './radio.js';
export { selectorOf } from './selector.js';
export { decoded, indicated } from './fragment.js';
