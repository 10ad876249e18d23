import { compareAcross, type AuditResult, type AuditRun } from '../../core/index.js';
import type { PageMaterial } from '../../formats/index.js';
import { tellFailure } from '../errors.js';
import type { PageTask } from '../jobs/audit-one.js';
import { auditEach } from '../jobs/each.js';
import type { Progress } from '../progress.js';

/** A run that is held whole, to be compared. */
export interface WholeRun {
  readonly run: AuditRun;
  readonly materials: ReadonlyMap<string, PageMaterial>;
  readonly failed: number;
}

/** Audits pages and keeps all of their results; what cannot be audited is told. */
export async function auditWhole(
  tasks: readonly PageTask[],
  jobs: number | undefined,
  progress: Progress,
  what: string,
): Promise<WholeRun> {
  const pages: AuditResult[] = [];
  const materials = new Map<string, PageMaterial>();
  let failed = 0;
  const say = () => progress.say(`${what}: ${pages.length + failed} of ${tasks.length} pages`);
  say();
  for await (const outcome of auditEach(tasks, jobs)) {
    if ('failure' in outcome) {
      failed++;
      progress.stop();
      tellFailure(outcome.failure, tasks.length > 1);
    } else {
      pages.push(outcome.result);
      if (outcome.material) materials.set(outcome.result.page, outcome.material);
    }
    say();
  }
  return { run: { pages, across: compareAcross(pages, tasks[0]?.audit ?? {}) }, materials, failed };
}
