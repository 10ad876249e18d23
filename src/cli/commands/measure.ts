import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import type { ArgumentsCamelCase, Argv, CommandModule } from 'yargs';
import { measurePage, type Measured } from '../../core/index.js';
import { writeWhole } from '../../formats/index.js';
import { loadFile, SourceError } from '../../sources/index.js';
import { sourceOptions, withSources, type SourceArguments } from '../source-options.js';
import { EXIT } from '../errors.js';
import { finish } from '../finish.js';
import { parseWidth, parseWidths } from '../options.js';
import { later } from '../work.js';

interface MeasureArguments extends SourceArguments {
  pages: string[];
  at: (string | number)[];
  height: number;
  out?: string;
  openings: boolean;
}

const builder = (argv: Argv): Argv<MeasureArguments> =>
  withSources(argv)
    .positional('pages', { type: 'string', array: true, demandOption: true, describe: 'Built pages (HTML files)' })
    .option('at', { type: 'string', array: true, default: ['1280'], describe: 'Widths of the viewport, px' })
    .option('height', { type: 'number', default: 800, describe: 'Height of the viewport, px' })
    .option('openings', { type: 'boolean', default: false, describe: 'What hover, focus and presses open, scripts on' })
    .option('out', { type: 'string', describe: 'Write one file a page into this folder instead of printing' })
    .example('$0 measure dist/index.html --at 375', 'Boxes, computed styles, roles and names of every element')
    .example(
      '$0 measure dist/*.html --at 320,1280 --out measured',
      'One JSON file a page',
    ) as unknown as Argv<MeasureArguments>;

async function handler(args: ArgumentsCamelCase<MeasureArguments>): Promise<void> {
  const widths = parseWidths(args.at, '--at');
  const height = parseWidth(args.height, '--height');
  const sheets = new Map();
  const done: Measured[] = [];
  let failed = false;
  if (args.out !== undefined) mkdirSync(args.out, { recursive: true });
  const taken = new Map<string, number>();
  for (const name of args.pages) {
    try {
      const page = await loadFile(name, {
        scripting: args.openings,
        sheets,
        // What is measured is set beside a browser, which has no glyphs but those of its fonts.
        glyphs: 'boxes',
        ...sourceOptions(args),
      });
      const measured = measurePage(page, widths, height, args.openings);
      if (args.out === undefined) done.push(measured);
      else await writeWhole(join(args.out, fileFor(measured.page, taken)), JSON.stringify(measured));
    } catch (error) {
      if (!(error instanceof SourceError)) throw error;
      process.stderr.write(`${error.message}. ${error.remedy}\n`);
      failed = true;
    }
  }
  if (args.out === undefined) process.stdout.write(`${JSON.stringify(done.length === 1 ? done[0] : done)}\n`);
  finish(failed ? EXIT.unaudited : EXIT.clean);
}

/** A flat file name for a page; pages that would share one are numbered. */
function fileFor(page: string, taken: Map<string, number>): string {
  const base = page.replace(/\.x?html?$/i, '').replace(/[^\w.-]+/g, '__');
  const count = (taken.get(base) ?? 0) + 1;
  taken.set(base, count);
  return `${base}${count > 1 ? `-${count}` : ''}.json`;
}

export const measureCommand: CommandModule<object, MeasureArguments> = {
  command: 'measure <pages..>',
  describe: 'Print what the engine makes of every element of a page',
  builder: builder as never,
  handler: later(handler),
};
