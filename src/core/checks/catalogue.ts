import type { Check } from './define.js';
import { nameDiffers } from './across/name-differs.js';
import { orderDiffers } from './across/order-differs.js';
import { ambiguousText } from './crawling/ambiguous-text.js';
import { brokenFragment } from './crawling/broken-fragment.js';
import { brokenPage } from './crawling/broken-page.js';
import { missingInMobile } from './crawling/missing-in-mobile.js';
import { nofollowLink } from './crawling/nofollow-link.js';
import { scriptOnlyLinks } from './crawling/script-only-links.js';
import { uncrawlableLink } from './crawling/uncrawlable-link.js';
import { buriedMenu } from './layers/buried-menu.js';
import { clippedMenu } from './layers/clipped-menu.js';
import { coveredItem } from './layers/covered-item.js';
import { deadLayer } from './layers/dead-layer.js';
import { seeThroughPanel } from './layers/see-through-panel.js';
import { hoverJump } from './motion/hover-jump.js';
import { motionUnguarded } from './motion/motion-unguarded.js';
import { textSpacingClip } from './motion/text-spacing-clip.js';
import { zoomedTextClip } from './motion/zoomed-text-clip.js';
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
import { colourOnlyCurrent } from './sight/colour-only-current.js';
import { controlContrast } from './sight/control-contrast.js';
import { faintState } from './sight/faint-state.js';
import { scrollContrast } from './sight/scroll-contrast.js';
import { smallText } from './sight/small-text.js';
import { textContrast } from './sight/text-contrast.js';
import { textOverImage } from './sight/text-over-image.js';
import { anchorCovered } from './sticky/anchor-covered.js';
import { contentCovered } from './sticky/content-covered.js';
import { fixedTrapped } from './sticky/fixed-trapped.js';
import { stickyGreedy } from './sticky/sticky-greedy.js';
import { stickyInert } from './sticky/sticky-inert.js';
import { stickyStack } from './sticky/sticky-stack.js';
import { overlappingTargets } from './targets/overlapping-targets.js';
import { smallTarget } from './targets/small-target.js';
import { breakpointSeam } from './widths/breakpoint-seam.js';
import { crookedRow } from './widths/crooked-row.js';
import { doubleMenu } from './widths/double-menu.js';
import { needsScript } from './widths/needs-script.js';
import { noMenu } from './widths/no-menu.js';
import { sidewaysScroll } from './widths/sideways-scroll.js';
import { tallPanel } from './widths/tall-panel.js';
import { toggleDead } from './widths/toggle-dead.js';
import { wrappedRow } from './widths/wrapped-row.js';
import { zoomLocked } from './widths/zoom-locked.js';

/** Every check, sorted by id. */
export const CHECKS: readonly Check[] = Object.freeze([
  ambiguousText,
  anchorCovered,
  breakpointSeam,
  brokenFragment,
  brokenPage,
  buriedMenu,
  clippedMenu,
  colourOnlyCurrent,
  contentCovered,
  controlContrast,
  coveredItem,
  crookedRow,
  currentUnmarked,
  danglingReference,
  deadLayer,
  doubleMenu,
  faintState,
  fixedTrapped,
  focusCovered,
  focusOrder,
  forcedTabOrder,
  headingAsLabel,
  hoverGap,
  hoverJump,
  hoverOnlyOpening,
  labelNotInName,
  listStructure,
  mainLandmark,
  menuRoleMisuse,
  missingInMobile,
  motionUnguarded,
  nameDiffers,
  namelessControl,
  navUnlabelled,
  needsScript,
  noClose,
  noFocusMark,
  noMenu,
  noSkipRoute,
  nofollowLink,
  openAtLoad,
  orderDiffers,
  overlappingTargets,
  pressOnlyControl,
  repeatedId,
  scriptOnlyLinks,
  scrollContrast,
  seeThroughPanel,
  sidewaysScroll,
  smallTarget,
  smallText,
  stateUnannounced,
  stickyGreedy,
  stickyInert,
  stickyStack,
  submenuUncued,
  tallPanel,
  textContrast,
  textOverImage,
  textSpacingClip,
  toggleDead,
  touchDead,
  uncrawlableLink,
  unreachableLink,
  unseenFocus,
  weakFocusMark,
  wrappedRow,
  zoomLocked,
  zoomedTextClip,
]);
