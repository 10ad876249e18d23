import type { ArgumentsCamelCase, Argv, CommandModule } from 'yargs';
import { menusOf } from '../../core/index.js';
import { toModel } from '../../formats/index.js';
import { parseRange, parseWidth } from '../options.js';
import { readPage, withRange, type RangeArguments } from '../source-options.js';
import { terminalOf } from '../terminal.js';
import { menusView } from '../views/menus.js';
import { later } from '../work.js';

const builder = (argv: Argv): Argv<RangeArguments> =>
  withRange(argv)
    .example('$0 menus dist/index.html', 'Every menu as a tree, what opens its parts, and who gets there')
    .example('$0 menus dist/index.html --json | jq .menus[].kind', 'The same as data');

async function handler(args: ArgumentsCamelCase<RangeArguments>): Promise<void> {
  const { from, to } = parseRange(args);
  const height = parseWidth(args.height, '--height');
  const result = menusOf(await readPage(args.page, args), { from, to, height });
  process.stdout.write(
    args.json ? toModel('menus', result) : menusView(result, terminalOf(process.stdout, args.color, process.env)),
  );
}

export const menusCommand: CommandModule<object, RangeArguments> = {
  command: 'menus <page>',
  describe: 'Show every menu of a page as a tree: items, panels and what opens them, and who gets there',
  builder: builder as never,
  handler: later(handler),
};
