export { matchDocument, type Match, type MatchedDocument, type ElementMatches } from './match.js';
export { isContainer, type ContainerSizes } from './containers.js';
export { Cascade, type StyleTree } from './styles.js';
export {
  differsInColourOnly,
  dumpStyle,
  indexOf,
  laidOutAlike,
  originOf,
  printValue,
  winnerOf,
  withValues,
  type ComputedStyle,
} from './style.js';
export { flowOf, type FontUnits } from './compute.js';
export type { Block, Winner } from './block.js';
export { stateView, type PoseState } from './state.js';
export type { Explained, Explanation, Idle, Rule } from './explain.js';
export { spacedOut } from './spacing.js';
