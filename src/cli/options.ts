import { checkId, WIDEST } from '../core/index.js';
import { UsageError } from './errors.js';

/** Stands for `-` among the words: the argument parser drops a lone hyphen from a list of positionals. */
export const STANDARD_INPUT = 'standard-input:';

/** Whole px from text such as `375` or `320,768`. */
export function parseWidths(given: readonly (string | number)[], option: string): readonly number[] {
  if (given.length === 0) throw new UsageError(`${option} names no width`, `For example ${option} 375.`);
  return given
    .flatMap((part) => String(part).split(','))
    .map((text) => {
      const width = Number(text.trim());
      if (!Number.isInteger(width) || width < 1 || width > WIDEST)
        throw new UsageError(
          `${option} takes whole px from 1 to ${WIDEST}, not “${text}”`,
          `For example ${option} 375 or ${option} 320,768,1280.`,
        );
      return width;
    });
}

export const parseWidth = (given: string | number, option: string): number => parseWidths([given], option)[0]!;

/** The narrowest and the widest width to look at. */
export function parseRange(args: { readonly from: string | number; readonly to: string | number }): {
  readonly from: number;
  readonly to: number;
} {
  const from = parseWidth(args.from, '--from');
  const to = parseWidth(args.to, '--to');
  if (from > to) throw new UsageError(`--from ${from} is wider than --to ${to}`, 'Swap the two.');
  return { from, to };
}

/** Ids of checks, several in one word allowed. */
export function parseChecks(given: readonly string[], option: string): readonly string[] {
  const ids = given
    .flatMap((part) => part.split(','))
    .map((part) => part.trim())
    .filter((part) => part !== '');
  if (ids.length === 0) throw new UsageError(`${option} names no check`, 'rope-ladder checks lists them.');
  for (const id of ids) checkId(id);
  return ids;
}
