export { canTakeFocus, isFocusable, isInert, isNativelyFocusable, tabIndexOf, tabOrder } from './focus.js';
export { roleOf } from './role.js';
export { nameOf } from './name.js';
