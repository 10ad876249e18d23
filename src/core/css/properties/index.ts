export {
  PROPERTIES,
  PROPERTY_KEYS,
  ROWS,
  cssName,
  propertyIndex,
  type ComputedValues,
  makersOf,
  type Maker,
  type PropertyKey,
} from './table.js';
export { affectsOf, expandDeclaration, longhandsOf, type Longhand, type Refusal, type WideKeyword } from './expand.js';
export { isLengthPercentage, AFFECTS, type Affects, type Making, type PropertyRow, type Sizing } from './define.js';
export type { AspectRatio, Display, VerticalAlign } from './box.js';
export type { BackgroundImage } from './borders.js';
export type { FontFamily, LineHeight, FontStyle } from './fonts.js';
export type { TransformStep } from './transform.js';
export { physicalSide, turnedKeys, type Flow } from './logical.js';
export type { Shadow } from './shadows.js';
export type { Content, ContentItem } from './content.js';
export type { CounterChange } from './lists.js';
export type { ListStyleType } from './text.js';
export type { ClipRect } from './visual.js';
export type { IntrinsicSize } from './box.js';
export { KEYWORD_SIZES, parseFamilies } from './fonts.js';
export type { Area, Areas, Breadth, GridLine, TrackList, TrackRepeat, TrackRun, TrackSize } from './grid.js';
export { printWhiteSpace } from './shorthands.js';
export type { BackgroundRepeat, BackgroundSize, Repeating } from './backgrounds.js';
export type { BasicShape, ClipPath } from './clip-path.js';
export { isElsewhere } from './elsewhere.js';
