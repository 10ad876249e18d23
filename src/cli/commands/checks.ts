import type { ArgumentsCamelCase, CommandModule } from 'yargs';
import { CHECKS, checkId, criteriaOf } from '../../core/index.js';
import { sampled } from '../../formats/index.js';
import { terminalOf } from '../terminal.js';
import { indent } from '../views/layout.js';
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
    const paragraph = (text: string) => process.stdout.write(`\n${indent(text, 2, columns)}\n`);
    paragraph(meta.explains.means);
    paragraph(meta.explains.rule.map((line) => `- ${line}`).join('\n'));
    paragraph(`${colours.red('faulty')}  ${meta.explains.faulty}\n${colours.green('mended')}  ${meta.explains.mended}`);
    for (const [name, { value, unit, means }] of Object.entries(meta.figures ?? {}))
      paragraph(`${colours.bold(name)}  ${value} ${unit}. ${means} Set it under “checks” in rope-ladder.json.`);
    for (const message of Object.values(meta.messages))
      paragraph(`${sampled(message.says)}\n${colours.green('mend')}  ${sampled(message.mends)}`);
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
