import { accept, type Acceptance, type Finding, type Sorted } from '../../core/index.js';
import { globsHold } from '../../sources/index.js';

/** Whether an acceptance speaks of some of these pages. */
export const speaksOf = ({ pages }: Acceptance, names: readonly string[]): boolean =>
  pages === undefined || names.some((name) => globsHold(pages, name));

/** Sorts out what is accepted of findings that stand on these pages. */
export const acceptedOn = (
  names: readonly string[],
  findings: readonly Finding[],
  acceptances: readonly Acceptance[],
  today: string,
): Sorted => accept(findings, acceptances, (one) => speaksOf(one, names), today);
