import type { ComputedStyle } from '../../cascade/index.js';

type Spaced = Pick<ComputedStyle, 'whiteSpaceCollapse' | 'textWrapMode'>;

/** Lines may break at soft opportunities. @spec css-text-4 §5.1 */
export const wraps = ({ textWrapMode }: Spaced): boolean => textWrapMode === 'wrap';

/** Spaces and tabs stand as written. @spec css-text-4 §3.1 */
export const keepsSpaces = ({ whiteSpaceCollapse: how }: Spaced): boolean =>
  how === 'preserve' || how === 'break-spaces';

/** Line feeds end lines. */
export const keepsBreaks = ({ whiteSpaceCollapse: how }: Spaced): boolean => how !== 'collapse';

/** Preserved spaces at the end of a line take room, and lines may break after each. */
export const breaksSpaces = ({ whiteSpaceCollapse: how }: Spaced): boolean => how === 'break-spaces';

/** Preserved spaces hang at the end of a line where they do not fit. @spec css-text-4 §4.3.2 */
export const hangsSpaces = (style: Spaced): boolean => style.whiteSpaceCollapse === 'preserve' && wraps(style);
