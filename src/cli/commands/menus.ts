import type { ArgumentsCamelCase, Argv, CommandModule } from 'yargs';
import { menusOf } from '../../core/index.js';
import { parseRange, parseWidth } from '../options.js';
import { readPage, withSources, type SourceArguments } from '../source-options.js';
import { terminalOf } from '../terminal.js';
import { menusView } from '../views/menus.js';
import { later } from '../work.js';

interface MenusArguments extends SourceArguments {
  page: string;
  from: number;
  to: number;
  height: number;
  json: boolean;
  color?: boolean;
}

const builder = (argv: Argv): Argv<MenusArguments> =>
  withSources(argv)
    .positional('page', { type: 'string', demandOption: true, describe: 'A built page, or - for standard input' })
    .option('from', { type: 'number', default: 320, describe: 'Narrowest width, px' })
    .option('to', { type: 'number', default: 1920, describe: 'Widest width, px' })
    .option('height', { type: 'number', default: 800, describe: 'Height of the viewport, px' })
    .option('json', { type: 'boolean', default: false, describe: 'Print as JSON' })
    .example('$0 menus dist/index.html', 'Every menu as a tree, what opens its parts, and who gets there')
    .example(
      '$0 menus dist/index.html --json | jq .menus[].kind',
      'The same as data',
    ) as unknown as Argv<MenusArguments>;

async function handler(args: ArgumentsCamelCase<MenusArguments>): Promise<void> {
  const { from, to } = parseRange(args);
  const height = parseWidth(args.height, '--height');
  const result = menusOf(await readPage(args.page, args), { from, to, height });
  process.stdout.write(
    args.json
      ? `${JSON.stringify(result, null, 2)}\n`
      : menusView(result, terminalOf(process.stdout, args.color, process.env)),
  );
}

export const menusCommand: CommandModule<object, MenusArguments> = {
  command: 'menus <page>',
  describe: 'Show every menu of a page as a tree: items, panels and what opens them, and who gets there',
  builder: builder as never,
  handler: later(handler),
};
