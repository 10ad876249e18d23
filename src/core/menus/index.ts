export type { Menu, MenuItem, MenuKind, Toggle } from './types.js';
export { findMenus } from './find.js';
export { formOf, seenItems, type MenuForm } from './form.js';
export { isControl, labelOf } from './items.js';
