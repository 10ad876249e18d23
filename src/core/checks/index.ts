export { CHECKS } from './catalogue.js';
export {
  criteriaOf,
  type Asks,
  type Check,
  type CheckMeta,
  type Difference,
  isPageCheck,
  type Message,
  type Observation,
  type PageCheck,
  type SiteCheck,
  type SitePage,
  type Spot,
} from './define.js';
export { AT_REST, Subject, type NamedPose, type SubjectParts } from './subject.js';
export { changedLooks } from './shared/marks.js';
export { markContrast, PLAIN_MARK } from './shared/rings.js';
export { remedyForAll } from './shared/standing.js';
export { placeAt, placeOf } from './shared/places.js';
