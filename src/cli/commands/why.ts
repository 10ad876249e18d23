import type { ArgumentsCamelCase, Argv, CommandModule } from 'yargs';
import { longhandsNamed, why } from '../../core/index.js';
import { toModel } from '../../formats/index.js';
import { UsageError } from '../errors.js';
import { parseRange, parseWidth, parseWidths } from '../options.js';
import { oneElement, parseMoves, POSE } from '../pose.js';
import { readPage, withRange, type RangeArguments } from '../source-options.js';
import { terminalOf } from '../terminal.js';
import { whyView } from '../views/why.js';
import { later } from '../work.js';

interface WhyArguments extends RangeArguments {
  selector: string;
  property: string;
  at?: string[];
  pose?: string[];
}

const builder = (argv: Argv): Argv<WhyArguments> =>
  withRange(argv)
    .positional('selector', { type: 'string', demandOption: true, describe: 'The element, as in a style sheet' })
    .positional('property', { type: 'string', demandOption: true, describe: 'The property, such as color' })
    .option('at', { type: 'string', array: true, describe: 'Only these widths, px' })
    .option('pose', POSE)
    .example('$0 why dist/index.html ".site-menu a" color', 'Which declaration decides, at every width')
    .example(
      '$0 why dist/index.html "#fares" color --at 375 --pose "hover:#fares"',
      'One width, under the pointer',
    ) as unknown as Argv<WhyArguments>;

async function handler(args: ArgumentsCamelCase<WhyArguments>): Promise<void> {
  const property = longhand(args.property.trim().toLowerCase());
  const { from, to } = parseRange(args);
  const at = args.at ? parseWidths(args.at, '--at') : null;
  const page = await readPage(args.page, args);
  const element = oneElement(page, args.selector);
  const moves = args.pose ?? [];
  const result = why(page, element, property, {
    from,
    to,
    at,
    height: parseWidth(args.height, '--height'),
    moves: parseMoves(page, moves),
    poseText: moves.join(' ') || 'closed',
  });
  process.stdout.write(
    args.json ? toModel('why', result) : whyView(result, terminalOf(process.stdout, args.color, process.env)),
  );
}

/** A longhand; shorthands are answered with the names they stand for. */
function longhand(name: string): string {
  const names = longhandsNamed(name);
  if (names.length === 0)
    throw new UsageError(`no property is called “${name}”`, 'Check the spelling, or ask for another one.');
  if (names.length > 1 || names[0] !== name)
    throw new UsageError(
      `${name} stands for ${names.slice(0, 8).join(', ')}${names.length > 8 ? ' and more' : ''}`,
      'Ask for one of those.',
    );
  return name;
}

export const whyCommand: CommandModule<object, WhyArguments> = {
  command: 'why <page> <selector> <property>',
  describe: 'Show which declaration decides a value at each width, and why the others do not',
  builder: builder as never,
  handler: later(handler),
};
