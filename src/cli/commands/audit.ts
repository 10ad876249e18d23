import type { ArgumentsCamelCase, Argv, CommandModule } from 'yargs';
import { auditPage, LEVELS, WEIGHTS, type AuditResult, type Level, type Weight } from '../../core/index.js';
import { checkWritable, formatFor, FormatError, writeWhole } from '../../formats/index.js';
import { EXIT, failureOf, sentence, type ExitCode, type Failure } from '../errors.js';
import { finish } from '../finish.js';
import { parseChecks, parseRange, parseWidth, parseWidths } from '../options.js';
import { progressOn } from '../progress.js';
import { readPage, withSources, type SourceArguments } from '../source-options.js';
import { terminalOf } from '../terminal.js';
import { later } from '../work.js';
import { auditView } from '../views/audit.js';
import { runSummary } from '../views/summary.js';

interface AuditArguments extends SourceArguments {
  pages: string[];
  from: number;
  to: number;
  at?: (string | number)[];
  height: number;
  level: Level;
  only?: string[];
  skip?: string[];
  failOn: Weight | 'never';
  json: boolean;
  write?: string[];
  color?: boolean;
  quiet: boolean;
}

const builder = (argv: Argv): Argv<AuditArguments> =>
  withSources(argv)
    .positional('pages', {
      type: 'string',
      array: true,
      demandOption: true,
      describe: 'Built pages (HTML files), or - for standard input',
    })
    .option('from', { type: 'number', default: 320, describe: 'Narrowest width, px' })
    .option('to', { type: 'number', default: 1920, describe: 'Widest width, px' })
    .option('at', { type: 'string', array: true, describe: 'Only these widths, px: 375 or 320,768' })
    .option('height', { type: 'number', default: 800, describe: 'Height of the viewport, px' })
    .option('level', { choices: LEVELS, default: 'AA' as Level, describe: 'WCAG level to hold the menus to' })
    .option('only', { type: 'string', array: true, describe: 'Only these checks' })
    .option('skip', { type: 'string', array: true, describe: 'All checks but these' })
    .option('fail-on', {
      choices: [...WEIGHTS, 'never'] as const,
      default: 'hinders' as Weight | 'never',
      describe: 'Lightest weight of a fault that gives exit code 1',
    })
    .option('json', { type: 'boolean', default: false, describe: 'Print the whole result as JSON' })
    .option('write', { type: 'string', array: true, describe: 'Also write the result to a file (.json)' })
    .option('quiet', { type: 'boolean', default: false, describe: 'No progress on standard error' })
    .example('$0 audit dist/index.html', 'Everything, from 320 to 1920 px')
    .example('$0 audit dist/*.html --at 375,1280 --level AAA', 'Two widths, the strictest level')
    .example('$0 audit dist/index.html --only text-contrast --json | jq .', 'One check, for another program')
    .example(
      '$0 audit dist/index.html --write audit.json --fail-on blocks',
      'Keep the result; fail only where someone is locked out',
    ) as unknown as Argv<AuditArguments>;

async function handler(args: ArgumentsCamelCase<AuditArguments>): Promise<void> {
  const options = readOptions(args);
  const outputs = (args.write ?? []).map((file) => ({ file, format: formatFor(file) }));
  for (const { file } of outputs) checkWritable(file);
  const progress = await progressOn(process.stderr, args.quiet);
  const results: AuditResult[] = [];
  const failures: Failure[] = [];
  for (const name of args.pages) {
    try {
      progress.say(`Reading ${name}`);
      const page = await readPage(name, args);
      results.push(
        auditPage(page, { ...options, onCheck: (id, i, n) => progress.say(`${name}: ${id} (${i + 1} of ${n})`) }),
      );
    } catch (error) {
      failures.push(failureOf(name, error));
    }
  }
  progress.stop();
  const terminal = terminalOf(process.stdout, args.color, process.env);
  if (args.json) process.stdout.write(formatFor('.json')(results));
  else {
    process.stdout.write(results.map((result) => auditView(result, terminal)).join('\n'));
    if (args.pages.length > 1) process.stdout.write(`\n${runSummary(results, failures.length, terminal)}\n`);
  }
  for (const { name, message, remedy } of failures)
    process.stderr.write(
      `${sentence(args.pages.length > 1 && !message.includes(name) ? `${name}: ${message}` : message)} ${remedy}\n`,
    );
  const unwritten = await writeAll(outputs, results);
  finish(unwritten > 0 && failures.length === 0 ? EXIT.usage : exitCode(results, failures.length > 0, args.failOn));
}

/** Writes every output; one that fails is told and keeps no other from being written. Gives how many failed. */
async function writeAll(
  outputs: readonly { readonly file: string; readonly format: (results: readonly AuditResult[]) => string }[],
  results: readonly AuditResult[],
): Promise<number> {
  let failed = 0;
  for (const { file, format } of outputs) {
    try {
      await writeWhole(file, format(results));
      process.stderr.write(`Written: ${file}\n`);
    } catch (error) {
      if (!(error instanceof FormatError)) throw error;
      failed++;
      process.stderr.write(`${sentence(error.message)} ${error.remedy}\n`);
    }
  }
  return failed;
}

function readOptions(args: AuditArguments) {
  const { from, to } = parseRange(args);
  return {
    from,
    to,
    at: args.at ? parseWidths(args.at, '--at') : null,
    height: parseWidth(args.height, '--height'),
    level: args.level,
    only: args.only ? parseChecks(args.only, '--only') : null,
    skip: args.skip ? parseChecks(args.skip, '--skip') : [],
  };
}

function exitCode(results: readonly AuditResult[], unread: boolean, failOn: Weight | 'never'): ExitCode {
  if (unread || results.some((r) => r.crashed.length > 0)) return EXIT.unaudited;
  if (failOn === 'never') return EXIT.clean;
  const counts = WEIGHTS.slice(0, WEIGHTS.indexOf(failOn) + 1);
  return results.some((r) => r.findings.some((f) => f.verdict === 'fault' && counts.includes(f.weight)))
    ? EXIT.findings
    : EXIT.clean;
}

export const auditCommand: CommandModule<object, AuditArguments> = {
  command: 'audit <pages..>',
  describe: 'Audit the menus of built pages at every breakpoint and in every state',
  builder: builder as never,
  handler: later(handler),
};
