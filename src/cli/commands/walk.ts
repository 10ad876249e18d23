import type { ArgumentsCamelCase, Argv, CommandModule } from 'yargs';
import { walkOf } from '../../core/index.js';
import { toModel } from '../../formats/index.js';
import { parseWidth } from '../options.js';
import { parseMoves, POSE } from '../pose.js';
import { readPage, withSources, type SourceArguments } from '../source-options.js';
import { terminalOf } from '../terminal.js';
import { walkView } from '../views/walk.js';
import { later } from '../work.js';

interface WalkArguments extends SourceArguments {
  page: string;
  at: number;
  height: number;
  pose?: string[];
  until?: string;
  json: boolean;
  color?: boolean;
}

const builder = (argv: Argv): Argv<WalkArguments> =>
  withSources(argv)
    .positional('page', { type: 'string', demandOption: true, describe: 'A built page, or - for standard input' })
    .option('at', { type: 'number', default: 1280, describe: 'Width of the viewport, px' })
    .option('height', { type: 'number', default: 800, describe: 'Height of the viewport, px' })
    .option('pose', POSE)
    .option('until', { type: 'string', describe: 'End at the first stop with these words in its name' })
    .option('json', { type: 'boolean', default: false, describe: 'Print as JSON' })
    .example('$0 walk dist/index.html --at 375', 'Every stop of the Tab key on a phone')
    .example('$0 walk dist/index.html --until Contact', 'How many presses it takes') as unknown as Argv<WalkArguments>;

async function handler(args: ArgumentsCamelCase<WalkArguments>): Promise<void> {
  const page = await readPage(args.page, args);
  const moves = args.pose ?? [];
  const until = args.until?.trim() || null;
  const result = walkOf(page, {
    width: parseWidth(args.at, '--at'),
    height: parseWidth(args.height, '--height'),
    moves: parseMoves(page, moves),
    poseText: moves.join(' ') || 'closed',
    until,
  });
  process.stdout.write(
    args.json ? toModel('walk', result) : walkView(result, until, terminalOf(process.stdout, args.color, process.env)),
  );
}

export const walkCommand: CommandModule<object, WalkArguments> = {
  command: 'walk <page>',
  describe: 'Follow the Tab key: every stop with its name, role and state, whether it is seen and marked',
  builder: builder as never,
  handler: later(handler),
};
