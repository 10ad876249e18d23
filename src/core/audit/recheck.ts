import { CHECKS, isPageCheck, type PageCheck } from '../checks/index.js';
import { holdsAt, type Finding } from '../findings/index.js';
import type { Page } from '../scene/index.js';
import { auditOptions, type AuditOptions } from './options.js';
import { Plan } from './plan.js';
import { seenAt } from './run.js';

/** What became of earlier findings. */
export interface Recheck {
  readonly cleared: readonly Finding[];
  readonly still: readonly Finding[];
}

/**
 * Looks whether findings of an earlier audit still show, each at one of its widths and in its poses alone: far sooner
 * told than a whole audit, which also knows what is new. Findings of several pages and of other heights are left out.
 * Throws ArgumentError for options that cannot be meant so.
 * @param goesOn asked before each finding: once it says no, the others are left out as well
 */
export function recheck(
  page: Page,
  earlier: readonly Finding[],
  given: Partial<AuditOptions> = {},
  goesOn: () => boolean = () => true,
): Recheck {
  const plan = new Plan(page, auditOptions(given));
  const seen = new Map<string, ReturnType<typeof seenAt>>();
  const look = (check: PageCheck, width: number, pose: string) => {
    const key = `${check.meta.id} ${width} ${pose}`;
    let known = seen.get(key);
    if (!known) seen.set(key, (known = seenAt(check, width, new Set([pose]), plan)));
    return known;
  };
  const cleared: Finding[] = [];
  const still: Finding[] = [];
  const widths: number[] = [];
  for (const finding of earlier) {
    if (!goesOn()) break;
    const check = CHECKS.filter(isPageCheck).find(({ meta }) => meta.id === finding.check);
    if (!check || finding.visitors.some((visitor) => OTHER_HEIGHT.test(visitor))) continue;
    let width = widths.find((one) => holdsAt(finding.widths, one));
    if (width === undefined) widths.push((width = finding.widths[0]!.from));
    const shows = finding.poses.some((pose) => isSeen(finding, look(check, width, openedIn(pose, finding))));
    (shows ? still : cleared).push(finding);
  }
  return { cleared, still };
}

const OTHER_HEIGHT = /^screen-\d+-px-high$/;

const isSeen = ({ places, states, message }: Finding, seen: ReturnType<typeof seenAt>): boolean =>
  places.some(({ path, selector }) =>
    seen.some(
      (one) =>
        one.message === message &&
        states.includes(one.state) &&
        (one.place.path === path || one.place.selector === selector),
    ),
  );

/** The pose a finding was seen in, without the hover or focus of the check's own. */
function openedIn(pose: string, { states }: Finding): string {
  const own = states.find((state) => state === 'hover' || state === 'focus');
  const at = own ? pose.lastIndexOf(`${own}:`) : -1;
  return at < 0 ? pose : pose.slice(0, at).trim() || 'closed';
}
