import { z } from 'zod';
import { ArgumentError, nearest, WEIGHTS } from './core/index.js';
import { MARKS } from './formats/index.js';

/*
 * The form of what callers hand in, for those who write without types. Which values make sense is the core's to say.
 */

const width = z.number();
const view = { from: width.optional(), to: width.optional(), at: z.array(width).optional(), height: width.optional() };
const move = z.strictObject({
  by: z.enum(['hover', 'focus', 'press', 'key']),
  on: z.string(),
  key: z.string().optional(),
});
const moves = z.array(move).optional();

export const VIEW = z.strictObject(view);
export const WHY = z.strictObject({ ...view, moves });
export const DRAW = z.strictObject({ ...view, moves, marks: z.array(z.enum(MARKS)).optional() });
export const AUDIT = z.strictObject({
  ...view,
  at: z.array(width).nullable().optional(),
  level: z.string().optional(),
  only: z.array(z.string()).nullable().optional(),
  skip: z.array(z.string()).optional(),
  weights: z.record(z.string(), z.enum(WEIGHTS)).optional(),
  onCheck: z.function().optional(),
});

/** Throws ArgumentError where options have not the form asked for. @param name what they are options of */
export function checkForm(form: z.ZodObject, given: unknown, name: string): void {
  const issue = form.safeParse(given).error?.issues[0];
  if (!issue) return;
  const known = Object.keys(form.shape);
  if (issue.code === 'unrecognized_keys') {
    const key = issue.keys[0]!;
    const [near] = nearest(key, known);
    if (issue.path.length === 0)
      throw new ArgumentError(
        `${name} has no option “${key}”`,
        near ? `Did you mean ${near}?` : `Its options: ${known.join(', ')}.`,
      );
  }
  const at = issue.path.map((part) => (typeof part === 'number' ? `[${part}]` : `.${String(part)}`)).join('');
  throw new ArgumentError(
    `${name} cannot take its ${at === '' ? 'options' : `option ${at.replace(/^\./, '')}`}: ${issue.message}`,
    `Its options: ${known.join(', ')}.`,
  );
}
