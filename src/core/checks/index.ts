export { CHECKS } from './catalogue.js';
export type { Check, CheckMeta, Look, Message, Observation } from './define.js';
export { placeOf, selectorOf } from './shared/selector.js';
