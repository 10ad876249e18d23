export { generateBoxes, type BoxTree } from './generate/tree.js';
export { svgSize, type ImageSizes } from './generate/natural.js';
export {
  layoutDocument,
  makeLayout,
  newMemory,
  type DocumentLayout,
  type LayoutMemory,
} from './contexts/independent.js';
export { makeFragment, paddingBox, type Edges, type Fragment, type Placed } from './fragment.js';
export {
  containsAbsolute,
  containsFixed,
  isFormControl,
  isInTopLayer,
  isPositioned,
  type Box,
  type NaturalSize,
} from './box.js';
export {
  bareMetrics,
  bundledMetrics,
  adjustedSize,
  type Face,
  type FontRun,
  type Glyph,
  needsFullBreaks,
  shortBreaks,
  type LineBreaks,
  type Missing,
  type OpenFont,
  type TextMetrics,
  type WebFace,
  webMetrics,
} from './text/index.js';
export type { Layout } from './layout.js';
