import type { ExitCode } from '../errors.js';
import type { Progress } from '../progress.js';
import type { Terminal } from '../terminal.js';
import { checkComparisonFile, materialFor, tellComparison } from './comparison.js';
import type { Request } from './request.js';
import { auditWhole } from './whole.js';

/** Audits with and without the sheets that are tried, and tells what they would change. */
export async function tryPatches(
  { tasks, jobs, patches, today, failOn }: Request,
  { files, json, pictures }: { readonly files: readonly string[]; readonly json: boolean; readonly pictures: boolean },
  progress: Progress,
  terminal: Terminal,
): Promise<{ readonly code: ExitCode; readonly failed: number }> {
  for (const file of files) checkComparisonFile(file);
  const material = materialFor(files, pictures);
  const asked = tasks.map((task) => ({ ...task, material }));
  const names = patches.map(({ name }) => name).join(', ');
  const before = await auditWhole(asked, jobs, progress, 'as it is');
  const after = await auditWhole(
    asked.map((task) => ({ ...task, patches })),
    jobs,
    progress,
    `with ${names}`,
  );
  progress.stop();
  const what = tasks.length === 1 ? tasks[0]!.name : `${tasks.length} pages`;
  const code = await tellComparison(
    { before: { name: what, ...before }, after: { name: `with ${names}`, ...after }, files, json, day: today, failOn },
    terminal,
  );
  return { code, failed: before.failed };
}
