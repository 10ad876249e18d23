import { resolveLength } from '../../../css/index.js';
import type { Box } from '../../box.js';
import { isBesideLegend } from '../../generate/fieldset.js';

/** Indentation of the first line; what goes on after a block inside an inline box has none. @spec css-text-3 §7.1 */
export const indentOf = (container: Box, width: number): number =>
  container.anonymous &&
  container.parent?.inner === 'flow' &&
  container.parent.children[0] !== container &&
  !isBesideLegend(container)
    ? 0
    : resolveLength(container.style.textIndent, width);
