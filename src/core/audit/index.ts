export {
  auditPage,
  DEFAULTS,
  type AuditedMenu,
  type AuditedRung,
  type AuditOptions,
  type AuditResult,
} from './audit.js';
export { measurePage, resolvedStyle, type Measured, type MeasuredElement, type MeasuredWidth } from './measure.js';
