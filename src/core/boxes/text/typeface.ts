import type { ComputedStyle } from '../../cascade/index.js';
import { featuresOf } from './features.js';
import type { Face, TextMetrics } from './metrics.js';

/** The face text of a style is set in. */
export const faceIn = (style: ComputedStyle, metrics: TextMetrics): Face =>
  metrics.face(style.fontFamily, style.fontWeight, style.fontStyle !== 'normal', featuresOf(style));
