export { measurePage, resolvedStyle, type Measured, type MeasuredElement, type MeasuredWidth } from './measure.js';
