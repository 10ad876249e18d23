/** The engine: text goes in, frozen plain data comes out. Knows no file system, terminal, network or clock. */
export * from './base/index.js';
export { parseHtml, type ElementNode, type HtmlDocument } from './html/index.js';
export {
  Page,
  openPage,
  openPageNow,
  type OpenOptions,
  type Reader,
  Scene,
  setting,
  type PageParts,
  type Resource,
  type PageText,
  type DeclaredMenu,
  type Setting,
  type Visitor,
  destinationOf,
  leadsSomewhere,
  poseAfter,
  type Move,
  type PossibleChange,
  passingBeneath,
  type Destination,
  type Passing,
  repeatedBy,
} from './scene/index.js';
export * from './audit/index.js';
export { CHECKS, criteriaOf, type Check, type CheckMeta } from './checks/index.js';
export * from './findings/index.js';
export { isSelector, SelectorError } from './css/index.js';
export { MENU_KINDS, moveName } from './menus/index.js';
