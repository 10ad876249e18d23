export type { Menu, MenuItem, MenuKind, Toggle } from './types.js';
export { findMenus } from './find.js';
export { MENU_KINDS } from './kinds.js';
export { effectOf, effectsAt, type Effect } from './effects.js';
export { formOf, seenItems, type MenuForm } from './form.js';
export { isControl } from './items.js';
export { firstRoutes, lastMove, mayOpen, openingsAt, type Opening } from './openings.js';
export { filledByScripts, unseenMenus } from './unseen.js';
export { shapeOf } from './shape.js';
