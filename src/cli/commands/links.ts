import type { ArgumentsCamelCase, Argv, CommandModule } from 'yargs';
import { linksOf } from '../../core/index.js';
import { toModel } from '../../formats/index.js';
import { EXIT, failureOf, tellFailure } from '../errors.js';
import { finish } from '../finish.js';
import { parseRange, parseWidth } from '../options.js';
import { progressOn } from '../progress.js';
import { readPage, withSources, type SourceArguments } from '../source-options.js';
import { terminalOf } from '../terminal.js';
import { linksView } from '../views/links.js';
import { later } from '../work.js';

interface LinksArguments extends SourceArguments {
  pages: string[];
  from: number;
  to: number;
  height: number;
  json: boolean;
  quiet: boolean;
  color?: boolean;
}

const builder = (argv: Argv): Argv<LinksArguments> =>
  withSources(argv)
    .positional('pages', { type: 'string', array: true, demandOption: true, describe: 'Built pages' })
    .option('from', { type: 'number', default: 320, describe: 'Narrowest width, px' })
    .option('to', { type: 'number', default: 1920, describe: 'Widest width, px' })
    .option('height', { type: 'number', default: 800, describe: 'Height of the viewport, px' })
    .option('json', { type: 'boolean', default: false, describe: 'Print as JSON' })
    .option('quiet', { type: 'boolean', default: false, describe: 'No progress on standard error' })
    .example('$0 links demo/launched/index.html', 'Where the menus lead, and who gets there at which widths')
    .example(
      '$0 links dist/*.html --root dist',
      'Addresses such as /fares/ are looked for in dist',
    ) as unknown as Argv<LinksArguments>;

async function handler(args: ArgumentsCamelCase<LinksArguments>): Promise<void> {
  const { from, to } = parseRange(args);
  const height = parseWidth(args.height, '--height');
  const progress = await progressOn(process.stderr, args.quiet);
  const terminal = terminalOf(process.stdout, args.color, process.env);
  const results = [];
  let failed = false;
  for (const name of args.pages) {
    try {
      progress.say(`Following the links of ${name}`);
      results.push(linksOf(await readPage(name, args), { from, to, height }));
    } catch (error) {
      failed = true;
      tellFailure(failureOf(name, error), args.pages.length > 1);
    }
  }
  progress.stop();
  process.stdout.write(
    args.json ? toModel('links', { pages: results }) : results.map((result) => linksView(result, terminal)).join('\n'),
  );
  if (failed) finish(EXIT.unaudited);
}

export const linksCommand: CommandModule<object, LinksArguments> = {
  command: 'links <pages..>',
  describe: 'List where the menus lead, and who gets there at which widths: mouse, touch, keyboard, crawler',
  builder: builder as never,
  handler: later(handler),
};
