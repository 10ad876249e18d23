export * from './values/index.js';
export * from './selectors/index.js';
export * from './conditions/index.js';
export * from './properties/index.js';
export { USER_AGENT_SHEET, SVG_SHEET, QUIRKS_SHEET } from './user-agent.js';
export { linkColour, presentationalHints } from './hints/index.js';
export { candidatesOf, choiceFor, dimensionsOf, hasChoices, referencesOf } from './pictures.js';
