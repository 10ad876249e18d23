import type { Argv } from 'yargs';
import { LEVELS, WEIGHTS, type Level, type Weight } from '../../core/index.js';
import { FORMAT_NAMES } from '../../formats/index.js';
import { withSources, type SourceArguments } from '../source-options.js';

export interface AuditArguments extends SourceArguments {
  pages?: string[];
  config?: string | false;
  skipPages?: string[];
  from?: number;
  to?: number;
  at?: (string | number)[];
  height?: (string | number)[];
  level?: Level;
  only?: string[];
  skip?: string[];
  failOn?: Weight | 'never';
  json: boolean;
  as?: string;
  write?: string[];
  pictures: boolean;
  patch?: string[];
  accepted?: string;
  acceptAll?: string;
  jobs?: number;
  shard?: string;
  watch: boolean;
  log?: string;
  color?: boolean;
  quiet: boolean;
}

/** What `audit` takes. Options without a default can stand in rope-ladder.json as well. */
export const auditArguments = (argv: Argv): Argv<AuditArguments> =>
  withSources(argv)
    .positional('pages', {
      type: 'string',
      array: true,
      describe: 'Built pages (HTML files), folders of them, globs, or - for standard input',
    })
    .option('skip-pages', { type: 'string', array: true, describe: 'Globs of pages to leave out' })
    .option('from', { type: 'number', defaultDescription: '320', describe: 'Narrowest width, px' })
    .option('to', { type: 'number', defaultDescription: '1920', describe: 'Widest width, px' })
    .option('at', { type: 'string', array: true, describe: 'Only these widths, px: 375 or 320,768' })
    .option('height', {
      type: 'string',
      array: true,
      defaultDescription: '800',
      describe: 'Height of the viewport, px; or several, the one that counts most first: 800,600',
    })
    .option('level', { choices: LEVELS, defaultDescription: 'AA', describe: 'WCAG level to hold the menus to' })
    .option('only', { type: 'string', array: true, describe: 'Only these checks' })
    .option('skip', { type: 'string', array: true, describe: 'All checks but these' })
    .option('fail-on', {
      choices: [...WEIGHTS, 'never'] as const,
      defaultDescription: 'hinders',
      describe: 'Lightest weight of a fault that gives exit code 1',
    })
    .option('json', { type: 'boolean', default: false, describe: 'Print the whole result as JSON' })
    .option('as', { choices: FORMAT_NAMES, describe: 'Format of --write -' })
    .option('write', {
      type: 'string',
      array: true,
      describe: `Also write the result to a file (${FORMAT_NAMES.map((name) => `.${name}`).join(' ')}), or - for standard output`,
    })
    .option('pictures', {
      type: 'boolean',
      default: true,
      describe: 'The page’s own pictures in .html (--no-pictures: tints)',
    })
    .option('patch', { type: 'string', array: true, describe: 'Try a sheet as if it were the last one, and compare' })
    .option('accepted', { type: 'string', describe: 'File of accepted findings' })
    .option('accept-all', { type: 'string', describe: 'Accept all that is found, for the reason given' })
    .option('jobs', { type: 'number', defaultDescription: 'all cores', describe: 'Pages audited at once' })
    .option('shard', { type: 'string', describe: 'Only one part of the pages: 2/5 is the second of five' })
    .option('watch', {
      type: 'boolean',
      default: false,
      describe: 'Audit again when a file changes, and say what changed',
    })
    .option('log', { type: 'string', describe: 'File that takes what was done when, for troubleshooting' })
    .option('quiet', { type: 'boolean', default: false, describe: 'No progress on standard error' })
    .example('$0 audit demo/launched/index.html', 'Everything, from 320 to 1920 px')
    .example('$0 audit demo/mended --write report.html', 'Every page below a folder, and a page to hand on')
    .example('$0 audit dist/*.html --at 375,1280 --level AAA', 'Two widths, the strictest level')
    .example('$0 audit dist --write - --as csv', 'A table for another program')
    .example(
      '$0 audit dist --write audit.sarif --fail-on blocks',
      'For code review; fail only where someone is locked out',
    )
    .example(
      '$0 audit dist/index.html --patch try.css',
      'What a change would mend, before it is made',
    ) as unknown as Argv<AuditArguments>;
