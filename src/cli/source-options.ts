import type { Argv } from 'yargs';
import type { Page } from '../core/index.js';
import { loadFile, loadStream, type FileOptions } from '../sources/index.js';
import { declaredIn } from './config/openings.js';
import { readSettings } from './config/read.js';
import { STANDARD_INPUT } from './options.js';

/** What reading commands may be told of where a page stands. */
export interface SourceArguments {
  root?: string;
  font?: string[];
  config?: string | false;
}

/** The options all reading commands share. */
export const withSources = <T>(argv: Argv<T>): Argv<T & SourceArguments> =>
  argv
    .option('root', {
      type: 'string',
      describe: 'Folder the site’s absolute addresses start from; nothing beyond it is read',
    })
    .option('font', {
      type: 'string',
      array: true,
      describe: 'Font files (.woff2, .woff, .ttf, .otf) visitors have though the page does not bring them',
    })
    .option('config', {
      type: 'string',
      describe: 'Settings to use instead of rope-ladder.json of this folder (--no-config: none)',
    }) as unknown as Argv<T & SourceArguments>;

/** What commands that follow one page over a range of widths may be told. */
export interface RangeArguments extends SourceArguments {
  page: string;
  from: number;
  to: number;
  height: number;
  json: boolean;
  color?: boolean;
}

/** A page, the widths it is looked at, and JSON instead of text. */
export const withRange = <T>(argv: Argv<T>): Argv<T & RangeArguments> =>
  withSources(argv)
    .positional('page', { type: 'string', demandOption: true, describe: 'A built page, or - for standard input' })
    .option('from', { type: 'number', default: 320, describe: 'Narrowest width, px' })
    .option('to', { type: 'number', default: 1920, describe: 'Widest width, px' })
    .option('height', { type: 'number', default: 800, describe: 'Height of the viewport, px' })
    .option('json', { type: 'boolean', default: false, describe: 'Print as JSON' }) as unknown as Argv<
    T & RangeArguments
  >;

/** What the options and the settings of the folder mean for reading a page: root, fonts, declared menus and openings. */
export function sourceOptions({ root, font, config: named }: SourceArguments): FileOptions {
  const settings = readSettings(named);
  const { config } = settings;
  const from = root ?? config.root;
  const fonts = font ?? config.fonts;
  return { ...(from === undefined ? {} : { root: from }), ...(fonts ? { fonts } : {}), ...declaredIn(settings) };
}

/** Reads the page a reading command names. */
export async function readPage(name: string, args: SourceArguments): Promise<Page> {
  const options = sourceOptions(args);
  if (name === STANDARD_INPUT && process.stdin.isTTY)
    process.stderr.write('Reading the page from the terminal; end it with Ctrl-D.\n');
  return name === STANDARD_INPUT ? loadStream(process.stdin, options) : loadFile(name, options);
}
