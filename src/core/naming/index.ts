export { canTakeFocus, isFocusable, isInert, isNativelyFocusable, isDisabled, tabIndexOf, tabOrder } from './focus.js';
export { roleOf } from './role.js';
export { nameOf } from './name.js';
export { labelOf, subjectOf } from './describe.js';
export { isIconFont, isPrivate } from './icons.js';
