import type { ArgumentsCamelCase, CommandModule } from 'yargs';
import wrapAnsi from 'wrap-ansi';
import { CHECKS, checkId, criteriaOf } from '../../core/index.js';
import { terminalOf } from '../terminal.js';
import { later } from '../work.js';

interface ChecksArguments {
  id?: string;
  json: boolean;
  color?: boolean;
}

function handler(args: ArgumentsCamelCase<ChecksArguments>): void {
  if (args.id !== undefined) checkId(args.id);
  const chosen = CHECKS.filter((check) => args.id === undefined || check.meta.id === args.id);
  if (args.json) {
    process.stdout.write(
      `${JSON.stringify(
        chosen.map((check) => check.meta),
        null,
        2,
      )}\n`,
    );
    return;
  }
  const { colours, columns } = terminalOf(process.stdout, args.color, process.env);
  for (const { meta } of chosen) {
    const criteria =
      criteriaOf(meta)
        .map((c) => `WCAG ${c.number} (${c.level})`)
        .join(', ') || 'no success criterion';
    process.stdout.write(`${colours.bold(meta.id)}  ${meta.title}\n  ${meta.weight}, ${criteria}\n`);
    if (args.id === undefined) continue;
    for (const message of Object.values(meta.messages))
      process.stdout.write(`\n${wrapAnsi(`  ${message.says}\n  Mend: ${message.mends}`, columns, { trim: false })}\n`);
  }
}

export const checksCommand: CommandModule<object, ChecksArguments> = {
  command: 'checks [id]',
  describe: 'List the checks, or explain one',
  builder: (argv) =>
    argv
      .positional('id', { type: 'string', describe: 'A check' })
      .option('json', { type: 'boolean', default: false, describe: 'Print as JSON' })
      .example('$0 checks text-contrast', 'What one check says') as never,
  handler: later(handler),
};
