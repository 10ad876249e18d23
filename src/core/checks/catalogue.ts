import type { Check } from './define.js';
import { uncrawlableLink } from './crawling/uncrawlable-link.js';
import { currentUnmarked } from './names/current-unmarked.js';
import { danglingReference } from './names/dangling-reference.js';
import { headingAsLabel } from './names/heading-as-label.js';
import { labelNotInName } from './names/label-not-in-name.js';
import { listStructure } from './names/list-structure.js';
import { mainLandmark } from './names/main-landmark.js';
import { menuRoleMisuse } from './names/menu-role-misuse.js';
import { namelessControl } from './names/nameless-control.js';
import { navUnlabelled } from './names/nav-unlabelled.js';
import { repeatedId } from './names/repeated-id.js';
import { stateUnannounced } from './names/state-unannounced.js';
import { submenuUncued } from './names/submenu-uncued.js';
import { focusCovered } from './reach/focus-covered.js';
import { focusOrder } from './reach/focus-order.js';
import { forcedTabOrder } from './reach/forced-tab-order.js';
import { hoverGap } from './reach/hover-gap.js';
import { hoverOnlyOpening } from './reach/hover-only-opening.js';
import { noClose } from './reach/no-close.js';
import { noFocusMark } from './reach/no-focus-mark.js';
import { noSkipRoute } from './reach/no-skip-route.js';
import { openAtLoad } from './reach/open-at-load.js';
import { pressOnlyControl } from './reach/press-only-control.js';
import { touchDead } from './reach/touch-dead.js';
import { unreachableLink } from './reach/unreachable-link.js';
import { unseenFocus } from './reach/unseen-focus.js';
import { weakFocusMark } from './reach/weak-focus-mark.js';
import { controlContrast } from './sight/control-contrast.js';
import { textContrast } from './sight/text-contrast.js';
import { smallTarget } from './targets/small-target.js';

/** Every check, sorted by id. */
export const CHECKS: readonly Check[] = Object.freeze([
  controlContrast,
  currentUnmarked,
  danglingReference,
  focusCovered,
  focusOrder,
  forcedTabOrder,
  headingAsLabel,
  hoverGap,
  hoverOnlyOpening,
  labelNotInName,
  listStructure,
  mainLandmark,
  menuRoleMisuse,
  namelessControl,
  navUnlabelled,
  noClose,
  noFocusMark,
  noSkipRoute,
  openAtLoad,
  pressOnlyControl,
  repeatedId,
  smallTarget,
  stateUnannounced,
  submenuUncued,
  textContrast,
  touchDead,
  uncrawlableLink,
  unreachableLink,
  unseenFocus,
  weakFocusMark,
]);
