export { Page, PageDraft, type PageOptions, type PageParts, type PageText } from './page.js';
export { Scene } from './scene.js';
export { CLOSED, setting, type Setting, type Visitor } from './setting.js';
export { destinationOf, leadsSomewhere, type Destination } from './fragment.js';
export { passingBeneath, type Passing } from './passing.js';
export { type PossibleChange } from './changeable.js';
export { poseAfter, type Move } from './moves.js';
