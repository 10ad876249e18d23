export {
  PROPERTIES,
  PROPERTY_KEYS,
  ROWS,
  cssName,
  propertyIndex,
  type ComputedValues,
  type PropertyKey,
} from './table.js';
export {
  expandDeclaration,
  longhandsOf,
  WIDE_KEYWORDS,
  type Longhand,
  type Refusal,
  type WideKeyword,
} from './expand.js';
export { isLengthPercentage, type PropertyRow, type Sizing } from './define.js';
export type { AspectRatio, Display, VerticalAlign } from './box.js';
export type { BackgroundImage } from './borders.js';
export type { FontFamily, LineHeight, FontStyle } from './fonts.js';
export type { TransformStep } from './transform.js';
export { physicalSide, type Flow } from './logical.js';
export { parseFamilies } from './fonts.js';
export type { Area, Areas, Breadth, GridLine, TrackList, TrackRepeat, TrackRun, TrackSize } from './grid.js';
export { printWhiteSpace } from './shorthands.js';
export type { BackgroundRepeat, BackgroundSize, Repeating } from './backgrounds.js';
export type { BasicShape, ClipPath } from './clip-path.js';
