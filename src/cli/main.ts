import yargs, { type Argv } from 'yargs';
import { ArgumentError, CHECKS, nearest } from '../core/index.js';
import { FormatError } from '../formats/index.js';
import { SourceError } from '../sources/index.js';
import { auditCommand } from './commands/audit.js';
import { checksCommand } from './commands/checks.js';
import { compareCommand } from './commands/compare.js';
import { drawCommand } from './commands/draw.js';
import { initCommand } from './commands/init.js';
import { linksCommand } from './commands/links.js';
import { measureCommand } from './commands/measure.js';
import { menusCommand } from './commands/menus.js';
import { rungsCommand } from './commands/rungs.js';
import { schemaCommand } from './commands/schema.js';
import { walkCommand } from './commands/walk.js';
import { whyCommand } from './commands/why.js';
import { EXIT, sentence, UsageError } from './errors.js';
import { finish } from './finish.js';
import { STANDARD_INPUT } from './options.js';
import { VERSION } from './version.js';
import { runPending } from './work.js';

/** Parses the command line and runs one command; every failure ends in a sentence and an exit code. */
async function main(words: readonly string[]): Promise<void> {
  const parser = yargs(words.map((word) => (word === '-' ? STANDARD_INPUT : word)))
    .scriptName('rope-ladder')
    // One value for each option: what follows may be a page.
    .parserConfiguration({ 'greedy-arrays': false })
    .usage('$0 <command>\n\nAudits built navigation menus from their markup and style sheets.')
    .command(auditCommand)
    .command(measureCommand)
    .command(menusCommand)
    .command(walkCommand)
    .command(linksCommand)
    .command(rungsCommand)
    .command(whyCommand)
    .command(drawCommand)
    .command(compareCommand)
    .command(initCommand)
    .command(schemaCommand)
    .command(checksCommand)
    .demandCommand(1, 'Name a command; --help lists them.')
    .strict()
    .option('color', { type: 'boolean', describe: 'Colour in the terminal (--no-color: none)' })
    .check((values, options) => refuseNegated(values, options))
    .version(VERSION)
    .help()
    .alias('help', 'h')
    .completion('completion', 'Print a completion script for your shell', complete)
    .wrap(Math.min(100, process.stdout.columns ?? 100))
    .exitProcess(false)
    .fail((message, error, asked) => {
      throw error ?? misused(message, asked, words);
    });
  try {
    await parser.parseAsync();
    await runPending();
  } catch (error) {
    report(error);
  }
}

/** Words that may come next: ids of checks where one is asked for; files are the shell's to complete. */
function complete(
  current: string,
  _argv: unknown,
  usual: (done: (error: Error | null, words: string[] | undefined) => void) => void,
  done: (words: string[]) => void,
): void {
  const typed = process.argv.slice(process.argv.indexOf('--get-yargs-completions') + 1);
  const before = typed[typed.length - 2] ?? '';
  const asksCheck = before === '--only' || before === '--skip' || before === 'checks';
  if (asksCheck) return done(CHECKS.map(({ meta }) => meta.id).filter((id) => id.startsWith(current)));
  if (/[./]/.test(current)) return done([]);
  usual((_error, words) => done((words ?? []).filter((word) => word.startsWith(current))));
}

/** Options that can be taken back with --no-: those that are on or off, and the settings of the folder. */
function refuseNegated(values: Record<string, unknown>, options: unknown): true {
  const { boolean } = options as { readonly boolean: readonly string[] };
  for (const [name, value] of Object.entries(values))
    if (value === false && !boolean.includes(name) && name !== 'config')
      throw new UsageError(`--no-${name} means nothing`, `Leave --${name} out, or give it a value.`);
  return true;
}

const COMMANDS = [
  auditCommand,
  measureCommand,
  menusCommand,
  walkCommand,
  linksCommand,
  rungsCommand,
  whyCommand,
  drawCommand,
  compareCommand,
  initCommand,
  schemaCommand,
  checksCommand,
].map(({ command }) => String(command).split(' ')[0]!);

/** What to say of words the parser does not take, with the nearest command or option it knows. */
function misused(message: string | undefined, asked: Argv, words: readonly string[]): UsageError {
  const [word] = /^Unknown arguments?: (.+)$/.exec(message ?? '')?.[1]?.split(', ') ?? [];
  if (word === undefined) return new UsageError(message ?? 'wrong use', 'See rope-ladder --help.');
  const name = word.replace(/^-+/, '');
  const isOption = words.some((one) => one.startsWith('-') && one.replace(/^-+/, '').split('=')[0] === name);
  const [command] = isOption ? [] : nearest(word, COMMANDS);
  if (command !== undefined) return new UsageError(`there is no command “${word}”`, `Did you mean ${command}?`);
  let help = '';
  asked.showHelp((text) => (help += text));
  const known = [...help.matchAll(/--([a-z][a-z-]+)/g)].map((found) => found[1]!);
  const [near] = nearest(name, known);
  if (near !== undefined) return new UsageError(`there is no option --${name}`, `Did you mean --${near}?`);
  if (isOption) return new UsageError(`there is no option --${name}`, 'See --help for those there are.');
  return new UsageError(message!, 'See rope-ladder --help.');
}

function report(error: unknown): void {
  if (
    error instanceof UsageError ||
    error instanceof ArgumentError ||
    error instanceof SourceError ||
    error instanceof FormatError
  ) {
    process.stderr.write(`${sentence(error.message)} ${error.remedy}\n`);
    finish(error instanceof SourceError ? EXIT.unaudited : EXIT.usage);
    return;
  }
  const { message, code } = error as Error & { code?: string };
  if (code === 'EPIPE') return;
  process.stderr.write(`Something went wrong inside Rope Ladder: ${message}\n`);
  if (process.env.ROPE_LADDER_DEBUG) process.stderr.write(`${(error as Error).stack}\n`);
  else process.stderr.write('Set ROPE_LADDER_DEBUG=1 to see where.\n');
  finish(EXIT.unaudited);
}

process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code === 'EPIPE') process.exit(process.exitCode ?? 0);
  throw error;
});
await main(process.argv.slice(2));
