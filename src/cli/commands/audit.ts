import type { ArgumentsCamelCase, CommandModule } from 'yargs';
import { acceptAll, acceptanceNotes } from '../audit/acceptances.js';
import { auditArguments, type AuditArguments } from '../audit/arguments.js';
import { dayOf } from '../audit/day.js';
import { logTo } from '../audit/log.js';
import { tryPatches } from '../audit/patch.js';
import { checkTogether, requestOf, type Request } from '../audit/request.js';
import { exitCodeOf, runAudit, type Run } from '../audit/run.js';
import { watchPages } from '../audit/watch.js';
import { EXIT, tellFailure } from '../errors.js';
import { finish } from '../finish.js';
import { progressOn } from '../progress.js';
import { terminalOf, type Terminal } from '../terminal.js';
import { VERSION } from '../version.js';
import { later } from '../work.js';
import { auditView } from '../views/audit.js';
import { plural } from '../views/layout.js';
import { pageLine, runView } from '../views/run.js';

async function handler(args: ArgumentsCamelCase<AuditArguments>): Promise<void> {
  checkTogether(args);
  const terminal = terminalOf(process.stdout, args.color, process.env);
  const log = await logTo(args.log);
  const today = dayOf(process.env);
  if (args.watch)
    return watchPages(() => requestOf(args, today), await progressOn(process.stderr, args.quiet), terminal);
  if (args.patch && args.patch.length > 0) return patched(args, today, terminal);
  const request = await requestOf(args, today);
  log.info({ version: VERSION, pages: request.tasks.length, audit: request.audit }, 'asked for');
  const run = await auditOnce(args, request, terminal, log);
  for (const failure of run.failures) tellFailure(failure, request.tasks.length > 1);
  const pages = run.pages.map(({ page }) => page);
  const checks = [...new Set([...run.pages.flatMap((page) => page.checks), ...run.across.checks])];
  for (const note of acceptanceNotes(request, run.used, pages, checks)) process.stderr.write(`${note}\n`);
  if (args.acceptAll !== undefined) {
    const across = run.across.findings.map((finding) => ({
      finding,
      pages: [],
      selectors: new Set(finding.places.map(({ selector }) => selector)),
    }));
    const found = await acceptAll(request, [...run.shared, ...across], args.acceptAll);
    process.stderr.write(
      `Accepted ${plural(found, 'finding')} in ${request.acceptedFile}; from now on only new ones count.\n`,
    );
    return finish(run.failures.length > 0 ? EXIT.unaudited : EXIT.clean);
  }
  finish(run.unwritten > 0 && run.failures.length === 0 ? EXIT.usage : exitCodeOf(run, request.failOn));
}

/** With sheets to try, the outputs are those of the comparison. */
async function patched(args: AuditArguments, today: string, terminal: Terminal): Promise<void> {
  const { write = [], ...rest } = args;
  const request = await requestOf({ ...rest, json: false }, today);
  const progress = await progressOn(process.stderr, args.quiet);
  const { json, pictures } = args;
  const { code, failed } = await tryPatches(request, { files: write, json, pictures }, progress, terminal);
  finish(failed > 0 ? EXIT.unaudited : code);
}

async function auditOnce(
  args: AuditArguments,
  request: Request,
  terminal: Terminal,
  log: Awaited<ReturnType<typeof logTo>>,
): Promise<Run> {
  const progress = await progressOn(process.stderr, args.quiet);
  const silent = request.outputs.some(({ file }) => file === null);
  const onPage = silent
    ? undefined
    : (page: Run['pages'][number]) => {
        progress.stop();
        process.stdout.write(`${pageLine(page, terminal)}\n`);
      };
  const run = await runAudit(request, { progress, log, version: VERSION, ...(onPage ? { onPage } : {}) });
  if (silent) return run;
  if (request.tasks.length > 1) process.stdout.write(`${run.pages.length > 0 ? '\n' : ''}${runView(run, terminal)}`);
  else if (run.single) process.stdout.write(auditView(run.single, terminal));
  return run;
}

export const auditCommand: CommandModule<object, AuditArguments> = {
  command: 'audit [pages..]',
  describe: 'Audit the menus of built pages at every breakpoint and in every state',
  builder: auditArguments as never,
  handler: later(handler),
};
