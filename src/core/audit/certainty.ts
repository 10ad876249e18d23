import type { Observation, PageCheck, Subject } from '../checks/index.js';
import { descendants, type ElementNode } from '../html/index.js';
import type { Range } from '../base/index.js';
import type { Page } from '../scene/index.js';

/** How much wider or narrower the text of an unknown font may be than that of the font that stands in. */
const FONT_FACTORS = [0.94, 1.06] as const;

/** What a finding adds when it hangs on the font. */
export const WITH_YOUR_FONTS =
  'The font that is asked for is not at hand, and with text 6 % narrower or wider it would not be so: look at it with your fonts.';

const asked = (element: ElementNode, subject: Subject): boolean => {
  const [first] = subject.scene.style(element).fontFamily;
  return first !== undefined && !subject.page.metrics.knows(first.name);
};

/** Whether the text that an observation is about is set in a font that is not at hand. */
export function unknownFont({ at, menus }: Observation, subject: Subject): boolean {
  const roots = at.kind === 'element' ? [at.element] : menus.map(({ root }) => root);
  return roots.some((root) => [root, ...descendants(root)].some((e) => hasText(e) && asked(e, subject)));
}

const hasText = (element: ElementNode): boolean =>
  element.children.some((child) => child.kind === 'text' && child.data.trim() !== '');

/** The widths at which it is asked whether a finding is still there: the ends of its ranges, and between them. */
export const sampledWidths = (ranges: readonly Range[]): readonly number[] => [
  ...new Set(ranges.flatMap(({ from, to }) => [from, Math.round((from + to) / 2), to])),
];

/** The page at every factor. */
export const stretchedPages = (page: Page): readonly Page[] =>
  FONT_FACTORS.flatMap((factor) => page.stretched(factor) ?? []);

/** Whether the verdict of a check hangs on fonts at all. */
export const leansOnText = ({ meta }: PageCheck): boolean => meta.textWidth === true;
