import { SelectorError, type ElementNode, type Move, type Page } from '../core/index.js';
import { UsageError } from './errors.js';

/** The one element a selector means. */
export function oneElement(page: Page, selector: string): ElementNode {
  try {
    const [found, ...more] = page.find(selector);
    if (!found)
      throw new UsageError(
        `nothing on ${page.name} matches “${selector}”`,
        'Check the selector; rope-ladder audit shows those of menus and items.',
      );
    if (more.length > 0)
      process.stderr.write(`“${selector}” matches ${more.length + 1} elements; the first is taken.\n`);
    return found;
  } catch (error) {
    if (error instanceof SelectorError)
      throw new UsageError(
        `“${selector}” is not a selector: ${error.message}`,
        'Write it as in a style sheet, in quotes.',
      );
    throw error;
  }
}

/** The option that poses a page. */
export const POSE = {
  type: 'string',
  array: true,
  describe: 'closed, hover:SELECTOR, focus:SELECTOR, press:SELECTOR, key:SELECTOR or key(ArrowDown):SELECTOR',
} as const;

/** Moves from text such as `hover:#fares`, `press:.menu-button` or `key(ArrowDown):#fares`; moves follow one another. */
export function parseMoves(page: Page, moves: readonly string[]): readonly Move[] {
  return moves
    .filter((move) => move !== 'closed')
    .map((move): Move => {
      const match = /^(hover|focus|press|key)(?:\((\w+)\))?:(.+)$/s.exec(move);
      if (!match)
        throw new UsageError(
          `“${move}” is no pose`,
          'Write closed, hover:SELECTOR, focus:SELECTOR, press:SELECTOR, key:SELECTOR or key(ArrowDown):SELECTOR.',
        );
      const key = match[2] === undefined ? {} : { key: match[2] };
      return { by: match[1] as Move['by'], element: oneElement(page, match[3]!), ...key };
    });
}
