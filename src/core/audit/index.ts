export { auditPage, describeMenus, type AuditedMenu, type AuditedRung, type AuditResult } from './audit.js';
export {
  auditOptions,
  checkFigure,
  checkId,
  checkView,
  checkWidth,
  DEFAULTS,
  WIDEST,
  type AuditOptions,
} from './options.js';
export { measurePage, resolvedStyle, type Measured, type MeasuredElement, type MeasuredWidth } from './measure.js';
export { ladderOf, type LadderResult, type LadderRung } from './rungs.js';
export { longhandsNamed, why, type WhyBand, type WhyEntry, type WhyOptions, type WhyResult } from './why.js';
export { isFaintlyMarked, walkOf, type Stop, type WalkOptions, type WalkResult } from './walk.js';
export { menusOf, type MenuModel, type MenuReach, type MenuRoute, type MenusResult } from './menus.js';
export { framesOf, type Frame, type FrameOptions } from './frames.js';
export { linksOf, type LinkBand, type LinkForm, type LinkLess, type LinkRow, type LinksResult } from './links.js';
export {
  compareAcross,
  likenessOf,
  SharedFindings,
  type AcrossPages,
  type AuditRun,
  type SharedFinding,
} from './site.js';
export { compareRuns, type ComparedPage, type ComparedRuns } from './compare.js';
export { recheck, type Recheck } from './recheck.js';
