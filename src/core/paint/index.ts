export { locate, type Clip, type PaintNode, type Scroll } from './nodes.js';
export { paintOrder, type Group, type PaintItem } from './order.js';
export { stackingReasons, usedZIndex } from './stacking.js';
export { hitTest, elementOf, covers, clipped } from './hit.js';
export { backdropAt, type Backdrop } from './backdrop.js';
export { apply, boundsOf, boxMatrix, isTransformed, listMatrix, multiply, type Matrix } from './matrix.js';
export { gradientColour, gradientEllipse, gradientLine, placedStops, type PlacedStop } from './gradients.js';
export { tilingOf, type Tiling } from './tiles.js';
export { cornerRadii, type CornerRadius, type Outline } from './outlines.js';
