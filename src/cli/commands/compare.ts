import { readFileSync } from 'node:fs';
import { extname } from 'node:path';
import type { ArgumentsCamelCase, Argv, CommandModule } from 'yargs';
import { WEIGHTS, type AuditRun, type Weight } from '../../core/index.js';
import { MODEL } from '../../formats/index.js';
import { auditModel } from '../../formats/schema.js';
import { expandPages, isFolder, SourceError } from '../../sources/index.js';
import { checkComparisonFile, materialFor, tellComparison, type Side } from '../audit/comparison.js';
import { dayOf } from '../audit/day.js';
import { auditWhole } from '../audit/whole.js';
import { EXIT, UsageError } from '../errors.js';
import { finish } from '../finish.js';
import { parseRange, parseWidths } from '../options.js';
import { progressOn, type Progress } from '../progress.js';
import { sourceOptions, withSources, type SourceArguments } from '../source-options.js';
import { terminalOf } from '../terminal.js';
import { later } from '../work.js';

interface CompareArguments extends SourceArguments {
  before: string;
  after: string;
  from: number;
  to: number;
  at?: (string | number)[];
  jobs?: number;
  write?: string[];
  pictures: boolean;
  json: boolean;
  failOn: Weight | 'never';
  quiet: boolean;
  color?: boolean;
}

const builder = (argv: Argv): Argv<CompareArguments> =>
  withSources(argv)
    .positional('before', { type: 'string', demandOption: true, describe: 'A result (.json), a page or a folder' })
    .positional('after', { type: 'string', demandOption: true, describe: 'The same, later' })
    .option('from', { type: 'number', default: 320, describe: 'Narrowest width, px, of pages audited now' })
    .option('to', { type: 'number', default: 1920, describe: 'Widest width, px, of pages audited now' })
    .option('at', { type: 'string', array: true, describe: 'Only these widths, px' })
    .option('jobs', { type: 'number', defaultDescription: 'all cores', describe: 'Pages audited at once' })
    .option('write', { type: 'string', array: true, describe: 'Also write it to a file (.json, .md, .html)' })
    .option('pictures', { type: 'boolean', default: true, describe: 'The pages’ own pictures in .html' })
    .option('json', { type: 'boolean', default: false, describe: 'Print as JSON' })
    .option('fail-on', {
      choices: [...WEIGHTS, 'never'] as const,
      default: 'polish' as Weight | 'never',
      describe: 'Lightest weight of a new fault that gives exit code 1',
    })
    .option('quiet', { type: 'boolean', default: false, describe: 'No progress on standard error' })
    .example('$0 compare demo/launched/index.html demo/mended/index.html', 'What the repair cleared')
    .example(
      '$0 compare yesterday.json dist --write change.md',
      'A result kept from yesterday, and the site now',
    ) as unknown as Argv<CompareArguments>;

async function handler(args: ArgumentsCamelCase<CompareArguments>): Promise<void> {
  const { from, to } = parseRange(args);
  const at = args.at ? parseWidths(args.at, '--at') : null;
  const files = args.write ?? [];
  for (const file of files) checkComparisonFile(file);
  const progress = await progressOn(process.stderr, args.quiet);
  const material = materialFor(files, args.pictures);
  const sideOf = (name: string) => side(name, { args, audit: { from, to, at }, material, progress });
  const before = await sideOf(args.before);
  const after = await sideOf(args.after);
  progress.stop();
  const terminal = terminalOf(process.stdout, args.color, process.env);
  const { json, failOn } = args;
  const code = await tellComparison({ before, after, files, json, day: dayOf(process.env), failOn }, terminal);
  finish(before.failed + after.failed > 0 ? EXIT.unaudited : code);
}

interface Way {
  readonly args: CompareArguments;
  readonly audit: { readonly from: number; readonly to: number; readonly at: readonly number[] | null };
  readonly material: { readonly pictures: boolean } | null;
  readonly progress: Progress;
}

async function side(
  name: string,
  { args, audit, material, progress }: Way,
): Promise<Side & { readonly failed: number }> {
  if (extname(name).toLowerCase() === '.json' && !isFolder(name))
    return { name, run: readResult(name), materials: new Map(), failed: 0 };
  const { files, root } = await expandPages([name]);
  // Each side is a site of its own: the settings' root is for neither.
  const { root: _, ...reading } = sourceOptions(args);
  const own = args.root ?? root ?? undefined;
  const tasks = files.map((file) => ({
    ...reading,
    name: file,
    audit,
    material,
    ...(own === undefined ? {} : { root: own }),
  }));
  return { name, ...(await auditWhole(tasks, args.jobs, progress, name)) };
}

/** A result that was written earlier. Throws SourceError where it cannot be read, UsageError where it is none. */
function readResult(file: string): AuditRun {
  let text: string;
  try {
    text = readFileSync(file, 'utf8');
  } catch (error) {
    throw new SourceError(
      `${file} cannot be read (${(error as NodeJS.ErrnoException).code ?? 'unknown reason'})`,
      'Name a result written with --write audit.json.',
    );
  }
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (error) {
    throw new UsageError(
      `${file} is not JSON: ${(error as Error).message}`,
      'Name a result written with --write audit.json.',
    );
  }
  const { model, version } = (data ?? {}) as { model?: unknown; version?: unknown };
  if (model !== MODEL.name)
    throw new UsageError(`${file} is no result of an audit`, 'Write one with rope-ladder audit … --write audit.json.');
  if (version !== MODEL.version)
    throw new UsageError(
      `${file} was written by another version (model ${String(version)}, here ${MODEL.version})`,
      'Audit the page again with this version.',
    );
  const parsed = auditModel.safeParse(data);
  if (parsed.success) return parsed.data as unknown as AuditRun;
  const [issue] = parsed.error.issues;
  throw new UsageError(`${file} is damaged at ${issue!.path.join('.')}: ${issue!.message}`, 'Audit the page again.');
}

export const compareCommand: CommandModule<object, CompareArguments> = {
  command: 'compare <before> <after>',
  describe: 'Compare two audits, or two pages or folders: cleared, new, still there',
  builder: builder as never,
  handler: later(handler),
};
