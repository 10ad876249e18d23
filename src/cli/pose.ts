import type { ElementNode, Page, Setting } from '../core/index.js';
import { SelectorError } from '../core/index.js';
import { UsageError } from './errors.js';

const MOVES = { hover: 'hovered', focus: 'focused', press: 'active' } as const;

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

/** A pose from text such as `hover:#fares` or `focus:nav a`; several moves are given one by one. */
export function parsePose(page: Page, moves: readonly string[]): Setting['pose'] {
  const pose: Record<string, ElementNode> = {};
  for (const move of moves) {
    if (move === 'closed') continue;
    const match = /^(hover|focus|press):(.+)$/s.exec(move);
    if (!match)
      throw new UsageError(`“${move}” is no pose`, 'Write closed, hover:SELECTOR, focus:SELECTOR or press:SELECTOR.');
    pose[MOVES[match[1] as keyof typeof MOVES]] = oneElement(page, match[2]!);
  }
  return pose;
}
