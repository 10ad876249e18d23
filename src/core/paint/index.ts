export { contentOf, locate, type Clip, type Frame, type FramesOf, type PaintNode, type Scroll } from './nodes.js';
export { paintOrder, type Group, type PaintItem } from './order.js';
export { stackingReasons, usedZIndex } from './stacking.js';
export { elementOf, covers, clipped } from './hit.js';
export { PointIndex } from './point-index.js';
export { readFilter, type Filter } from './filters.js';
export { backdropAt, type Backdrop, type Painting, type Point } from './backdrop.js';
export {
  apply,
  boundsOf,
  boxMatrix,
  IDENTITY,
  invert,
  isTransformed,
  listMatrix,
  multiply,
  type Matrix,
} from './matrix.js';
export { gradientColour, gradientEllipse, gradientLine, mix, placedStops, type PlacedStop } from './gradients.js';
export { tilingOf, type Tiling } from './tiles.js';
export { cornerRadii, type CornerRadius, type Outline } from './outlines.js';
export { canvasGround, canvasTiling, type CanvasGround } from './canvas.js';
export { spaceMatrix } from './perspective.js';
