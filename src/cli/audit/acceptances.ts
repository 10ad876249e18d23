import { writeWhole } from '../../formats/index.js';
import { hasEnded, type Acceptance, type SharedFinding } from '../../core/index.js';
import { speaksOf } from './accepting.js';
import type { Request } from './request.js';

/** What is to be said of acceptances after a run: those that have ended, and those nothing matches any more. */
export function acceptanceNotes(
  { acceptances, acceptedFiles, today }: Request,
  used: ReadonlySet<number>,
  pages: readonly string[],
  checks: readonly string[],
): readonly string[] {
  const where = acceptedFiles.join(' and ');
  return acceptances.flatMap((one, i) => {
    if (!checks.includes(one.check) || !speaksOf(one, pages)) return [];
    if (hasEnded(one, today)) return [`The acceptance of ${nameOf(one)} ended on ${one.until} (${where}).`];
    return used.has(i) ? [] : [`Nothing matches the acceptance of ${nameOf(one)} any more; take it out of ${where}.`];
  });
}

const nameOf = ({ check, selectors, pages }: Acceptance): string =>
  `${check}${selectors ? ` at ${selectors[0]}${selectors.length > 1 ? ` and ${selectors.length - 1} more` : ''}` : ''}${pages ? ` on ${pages[0]}${pages.length > 1 ? ` and ${pages.length - 1} more` : ''}` : ''}`;

/** Writes all that was found into the file of accepted findings, beside what stood there. Gives how many. */
export async function acceptAll(
  { acceptedBefore, acceptedFile }: Request,
  found: readonly SharedFinding[],
  reason: string,
): Promise<number> {
  const made = found.map(({ finding, pages, selectors }) => ({
    check: finding.check,
    message: finding.message,
    ...(pages.length > 0 ? { pages: [...pages] } : {}),
    selectors: [...selectors],
    reason: reason.trim(),
  }));
  await writeWhole(acceptedFile, `${JSON.stringify({ accepted: [...acceptedBefore, ...made] }, null, 2)}\n`);
  return made.length;
}
