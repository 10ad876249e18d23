import type { ArgumentsCamelCase, Argv, CommandModule } from 'yargs';
import { ladderOf } from '../../core/index.js';
import { parseRange, parseWidth } from '../options.js';
import { readPage, withSources, type SourceArguments } from '../source-options.js';
import { terminalOf } from '../terminal.js';
import { rungsView } from '../views/rungs.js';
import { later } from '../work.js';

interface RungsArguments extends SourceArguments {
  page: string;
  from: number;
  to: number;
  height: number;
  json: boolean;
  color?: boolean;
}

const builder = (argv: Argv): Argv<RungsArguments> =>
  withSources(argv)
    .positional('page', { type: 'string', demandOption: true, describe: 'A built page, or - for standard input' })
    .option('from', { type: 'number', default: 320, describe: 'Narrowest width, px' })
    .option('to', { type: 'number', default: 1920, describe: 'Widest width, px' })
    .option('height', { type: 'number', default: 800, describe: 'Height of the viewport, px' })
    .option('json', { type: 'boolean', default: false, describe: 'Print as JSON' })
    .example(
      '$0 rungs dist/index.html',
      'Every breakpoint, where it is written, and what the menus do there',
    ) as unknown as Argv<RungsArguments>;

async function handler(args: ArgumentsCamelCase<RungsArguments>): Promise<void> {
  const { from, to } = parseRange(args);
  const result = ladderOf(await readPage(args.page, args), {
    from,
    to,
    height: parseWidth(args.height, '--height'),
  });
  process.stdout.write(
    args.json
      ? `${JSON.stringify(result, null, 2)}\n`
      : rungsView(result, terminalOf(process.stdout, args.color, process.env)),
  );
}

export const rungsCommand: CommandModule<object, RungsArguments> = {
  command: 'rungs <page>',
  describe: 'List the width bands of a page, what begins each, and the form of every menu in it',
  builder: builder as never,
  handler: later(handler),
};
