import { recheck, type AuditRun, type Finding, type Recheck } from '../../core/index.js';
import { readTask, type PageTask } from '../jobs/audit-one.js';
import type { Terminal } from '../terminal.js';
import { findingLine } from '../views/compare.js';

/** Findings are looked for until so much time is gone, ms. */
const PATIENCE = 380;
const MOST_SHOWN = 10;

/** What became of earlier findings, and how many of them there was no time or no way to look for. */
export interface Glance extends Recheck {
  readonly left: number;
}

/** What of the findings of an earlier run still shows, as far as a short while tells; null where there is nothing to tell. */
export async function glance(tasks: readonly PageTask[], { pages }: AuditRun): Promise<Glance | null> {
  const began = Date.now();
  const cleared: Finding[] = [];
  const still: Finding[] = [];
  const goesOn = () => Date.now() - began < PATIENCE;
  for (const task of tasks) {
    if (!goesOn()) break;
    // What cannot be read is told by the audit that follows.
    const page = await readTask(task).catch(() => null);
    const earlier = pages.find((one) => one.page === page?.name)?.findings ?? [];
    if (!page || earlier.length === 0) continue;
    const { cleared: gone, still: kept } = recheck(page, earlier, task.audit, goesOn);
    cleared.push(...gone);
    still.push(...kept);
  }
  const seen = cleared.length + still.length;
  const all = pages.reduce((sum, { findings }) => sum + findings.length, 0);
  return seen === 0 ? null : { cleared, still, left: all - seen };
}

/** @param seconds as a text */
export function glanceView({ cleared, still, left }: Glance, seconds: string, terminal: Terminal): string {
  const { colours } = terminal;
  const all = cleared.length + still.length;
  const head = colours.bold(`At a glance (${seconds}):`);
  const [looked, rest] =
    left === 0 ? ['', ''] : [' looked at', ` ${left} more ${left === 1 ? 'is' : 'are'} not looked at yet.`];
  if (cleared.length === 0) {
    const kept = all === 1 ? `the one finding${looked} still shows` : `all ${all} findings${looked} still show`;
    return `${head} ${kept}.${rest}\n`;
  }
  const lines = cleared.slice(0, MOST_SHOWN).map((finding) => findingLine(finding, [], terminal));
  const more = cleared.length > MOST_SHOWN ? [`  and ${cleared.length - MOST_SHOWN} more`] : [];
  return `${head} ${cleared.length} of ${all} findings${looked} no longer ${cleared.length === 1 ? 'shows' : 'show'}.${rest}\n${[...lines, ...more].join('\n')}\n`;
}
