import type { ArgumentsCamelCase, Argv, CommandModule } from 'yargs';
import { ladderOf } from '../../core/index.js';
import { toModel } from '../../formats/index.js';
import { parseRange, parseWidth } from '../options.js';
import { readPage, withRange, type RangeArguments } from '../source-options.js';
import { terminalOf } from '../terminal.js';
import { rungsView } from '../views/rungs.js';
import { later } from '../work.js';

const builder = (argv: Argv): Argv<RangeArguments> =>
  withRange(argv).example(
    '$0 rungs dist/index.html',
    'Every breakpoint, where it is written, and what the menus do there',
  );

async function handler(args: ArgumentsCamelCase<RangeArguments>): Promise<void> {
  const { from, to } = parseRange(args);
  const result = ladderOf(await readPage(args.page, args), {
    from,
    to,
    height: parseWidth(args.height, '--height'),
  });
  process.stdout.write(
    args.json ? toModel('rungs', result) : rungsView(result, terminalOf(process.stdout, args.color, process.env)),
  );
}

export const rungsCommand: CommandModule<object, RangeArguments> = {
  command: 'rungs <page>',
  describe: 'List the width bands of a page, what begins each, and the form of every menu in it',
  builder: builder as never,
  handler: later(handler),
};
