import { recheck, type AuditRun, type Finding, type Recheck } from '../../core/index.js';
import { readTask, type PageTask } from '../jobs/audit-one.js';
import type { Terminal } from '../terminal.js';
import { findingLine } from '../views/compare.js';

/** Pages are looked at until so much time is gone, ms. */
const PATIENCE = 300;
const MOST_SHOWN = 10;

/** What of the findings of an earlier run still shows, as far as a short while tells; null where there is nothing to tell. */
export async function glance(tasks: readonly PageTask[], { pages }: AuditRun): Promise<Recheck | null> {
  const began = Date.now();
  const cleared: Finding[] = [];
  const still: Finding[] = [];
  for (const task of tasks) {
    if (Date.now() - began > PATIENCE) break;
    // What cannot be read is told by the audit that follows.
    const page = await readTask(task).catch(() => null);
    const earlier = pages.find((one) => one.page === page?.name)?.findings ?? [];
    if (!page || earlier.length === 0) continue;
    const { cleared: gone, still: left } = recheck(page, earlier, task.audit);
    cleared.push(...gone);
    still.push(...left);
  }
  return cleared.length + still.length === 0 ? null : { cleared, still };
}

/** @param seconds as a text */
export function glanceView({ cleared, still }: Recheck, seconds: string, terminal: Terminal): string {
  const { colours } = terminal;
  const all = cleared.length + still.length;
  const head = colours.bold(`At a glance (${seconds}):`);
  if (cleared.length === 0)
    return `${head} ${all === 1 ? 'the one finding still shows' : `all ${all} findings still show`}.\n`;
  const lines = cleared.slice(0, MOST_SHOWN).map((finding) => findingLine(finding, [], terminal));
  const more = cleared.length > MOST_SHOWN ? [`  and ${cleared.length - MOST_SHOWN} more`] : [];
  return `${head} ${cleared.length} of ${all} findings no longer ${cleared.length === 1 ? 'shows' : 'show'}.\n${[...lines, ...more].join('\n')}\n`;
}
