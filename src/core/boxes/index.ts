export { generateBoxes, type BoxTree } from './generate/tree.js';
export { svgSize, type ImageSizes, type PictureSizes } from './generate/natural.js';
export { layoutDocument, makeLayout, type DocumentLayout } from './contexts/independent.js';
export { legendOf } from './generate/fieldset.js';
export { containsLayout } from './used/containment.js';
export { newMemory, type LayoutMemory } from './memory.js';
export { pairTwins } from './generate/twins.js';
export { makeFragment, paddingBox, type Edges, type Fragment, type Placed } from './fragment.js';
export {
  establishesFormattingContext,
  containsAbsolute,
  containsFixed,
  isFormControl,
  isInFlow,
  isInTopLayer,
  isOutOfFlow,
  isPage,
  keepsToScreen,
  isSkipped,
  isPositioned,
  type Box,
  type NaturalSize,
} from './box.js';
export {
  bareMetrics,
  bundledMetrics,
  faceIn,
  cutFontSize,
  usedFontSize,
  type Face,
  type FontRun,
  type Glyph,
  needsFullBreaks,
  shortBreaks,
  type LineBreaks,
  type Missing,
  type FontAxes,
  type FeatureSettings,
  type OpenFont,
  type TextMetrics,
  type WebFace,
  transformText,
  stretchedMetrics,
  webMetrics,
} from './text/index.js';
export type { Layout } from './layout.js';
export { inPseudo, magnified } from './generate/zoom.js';
export { UNDRAWN } from './generate/undrawn.js';
