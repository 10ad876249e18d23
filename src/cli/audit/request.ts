import { readFileSync } from 'node:fs';
import { extname } from 'node:path';
import type { Acceptance, AuditOptions, Resource, Weight } from '../../core/index.js';
import { checkWritable, formatFor, type Format } from '../../formats/index.js';
import { expandPages } from '../../sources/index.js';
import { declaredIn } from '../config/openings.js';
import { ACCEPTED_FILE, CONFIG_FILE, readAccepted, readSettings, type Settings } from '../config/read.js';
import { UsageError } from '../errors.js';
import type { PageTask } from '../jobs/audit-one.js';
import { parseChecks, parseRange, parseWidths, STANDARD_INPUT } from '../options.js';
import type { AuditArguments } from './arguments.js';

export interface Output {
  /** Null for standard output. */
  readonly file: string | null;
  readonly format: Format;
}

/** An audit asked for: the command line and the configuration made one. */
export interface Request {
  readonly tasks: readonly PageTask[];
  readonly audit: Partial<AuditOptions>;
  readonly jobs: number | undefined;
  readonly outputs: readonly Output[];
  readonly failOn: Weight | 'never';
  readonly today: string;
  readonly acceptances: readonly Acceptance[];
  /** What stands in the file that --accept-all writes. */
  readonly acceptedBefore: readonly Acceptance[];
  /** Where accepted findings stand, for messages; and where --accept-all writes them. */
  readonly acceptedFiles: readonly string[];
  readonly acceptedFile: string;
  readonly patches: readonly Resource[];
}

/** Options that would do nothing beside another one. */
const APART = {
  watch: ['patch', 'acceptAll', 'write', 'json', 'as'],
  patch: ['acceptAll', 'as'],
} as const;

const asWritten = (name: string): string => `--${name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)}`;

/** Throws UsageError where options do not go together. */
export function checkTogether(args: AuditArguments): void {
  const given = (name: keyof AuditArguments) => args[name] !== undefined && args[name] !== false;
  for (const [one, others] of Object.entries(APART) as [keyof typeof APART, readonly (keyof AuditArguments)[]][]) {
    const other = given(one) ? others.find(given) : undefined;
    if (other)
      throw new UsageError(`${asWritten(one)} and ${asWritten(other)} do not go together`, 'Leave one of them out.');
  }
}

/** Reads what was asked for. Throws UsageError, SourceError or FormatError before any page is read. */
export async function requestOf(args: AuditArguments, today: string): Promise<Request> {
  const settings = readSettings(args.config);
  const { config } = settings;
  const writing = args.acceptAll !== undefined;
  if (writing && args.acceptAll!.trim() === '')
    throw new UsageError('--accept-all names no reason', 'For example --accept-all "old theme, replaced in spring".');
  const { list, apart, files } = readAccepted(settings, args.accepted, writing);
  const audit = auditOptionsOf(args, settings);
  const outputs = outputsOf(args, settings);
  const acceptedFile = args.accepted ?? ACCEPTED_FILE;
  if (writing) checkWritable(acceptedFile);
  const patches = (args.patch ?? []).map(readPatch);
  const { names, root } = await pagesOf(args, settings);
  const fonts = args.font ?? config.fonts;
  const shared: Omit<PageTask, 'name'> = {
    audit,
    acceptances: list,
    today,
    material: outputs.some(({ format }) => format.material) ? { pictures: args.pictures } : null,
    ...(root === undefined ? {} : { root }),
    ...(fonts ? { fonts } : {}),
    ...declaredIn(settings),
  };
  return {
    tasks: names.map((name) => ({ ...shared, name })),
    audit,
    jobs: jobsOf(args.jobs ?? config.jobs),
    outputs,
    failOn: args.failOn ?? config.failOn ?? 'hinders',
    today,
    acceptances: list,
    acceptedBefore: apart,
    acceptedFiles: files,
    acceptedFile,
    patches,
  };
}

async function pagesOf(
  args: AuditArguments,
  { config }: Settings,
): Promise<{ names: readonly string[]; root?: string }> {
  const named = args.pages && args.pages.length > 0 ? args.pages : config.pages;
  if (!named || named.length === 0)
    throw new UsageError(
      'no page is named',
      `Name one, such as dist/index.html, or a folder; or list them under “pages” in ${CONFIG_FILE}.`,
    );
  if (named.includes(STANDARD_INPUT)) return { names: named, ...rootOf(args.root ?? config.root) };
  const { files, root } = await expandPages(named, args.skipPages ?? config.skipPages ?? []);
  return { names: shardOf(files, args.shard), ...rootOf(args.root ?? config.root ?? root ?? undefined) };
}

const rootOf = (root: string | undefined): { root?: string } => (root === undefined ? {} : { root });

/** Every n-th page, so that parts take about as long. */
function shardOf(names: readonly string[], shard: string | undefined): readonly string[] {
  if (shard === undefined) return names;
  const [, part, parts] = /^(\d+)\/(\d+)$/.exec(shard.trim()) ?? [];
  if (!part || Number(part) < 1 || Number(part) > Number(parts))
    throw new UsageError(`--shard takes a part and how many there are, not “${shard}”`, 'For example --shard 2/5.');
  return names.filter((_, i) => i % Number(parts) === Number(part) - 1);
}

function jobsOf(jobs: number | undefined): number | undefined {
  if (jobs !== undefined && !(Number.isInteger(jobs) && jobs >= 1 && jobs <= 64))
    throw new UsageError(`--jobs takes a number from 1 to 64, not “${jobs}”`, 'For example --jobs 4.');
  return jobs;
}

const heightsOf = (given: number | readonly (string | number)[]): readonly [number, ...number[]] =>
  parseWidths(typeof given === 'number' ? [given] : given, '--height') as [number, ...number[]];

function auditOptionsOf(args: AuditArguments, { config }: Settings): Partial<AuditOptions> {
  const { from, to } = parseRange({ from: args.from ?? config.from ?? 320, to: args.to ?? config.to ?? 1920 });
  const settings = Object.entries(config.checks ?? {});
  const off = settings.flatMap(([id, set]) => (set === 'off' ? [id] : []));
  const weights = settings.flatMap(([id, set]) => {
    const weight = typeof set === 'object' ? set.weight : set === 'off' ? undefined : set;
    return weight ? [[id, weight] as const] : [];
  });
  const figures = settings.flatMap(([id, set]) =>
    typeof set === 'object' && set.figures ? [[id, set.figures] as const] : [],
  );
  const [height, ...otherHeights] = heightsOf(args.height ?? config.height ?? 800);
  const only = args.only ? parseChecks(args.only, '--only') : null;
  return {
    from,
    to,
    at: args.at ? parseWidths(args.at, '--at') : (config.at ?? null),
    height,
    otherHeights,
    level: args.level ?? config.level ?? 'AA',
    only,
    skip: [...(args.skip ? parseChecks(args.skip, '--skip') : []), ...off.filter((id) => !only?.includes(id))],
    weights: Object.fromEntries(weights),
    figures: Object.fromEntries(figures),
  };
}

function outputsOf(args: AuditArguments, { config }: Settings): readonly Output[] {
  const written = args.write ?? config.write ?? [];
  const toOutput = (file: string): Output => {
    if (file !== STANDARD_INPUT) return { file, format: formatFor(file) };
    if (args.as === undefined)
      throw new UsageError('--write - does not say which format', 'Add it: --as csv, for example.');
    return { file: null, format: formatFor(`.${args.as}`) };
  };
  const outputs = written.map(toOutput);
  if (args.as !== undefined && !written.includes(STANDARD_INPUT))
    throw new UsageError('--as is for standard output', `Write to it: --write - --as ${args.as}.`);
  if (outputs.filter(({ file }) => file === null).length + (args.json ? 1 : 0) > 1)
    throw new UsageError('standard output takes one format', 'Write the other one to a file.');
  const files = outputs.flatMap(({ file }) => (file === null ? [] : [file]));
  const twice = files.find((file, i) => files.indexOf(file) !== i);
  if (twice !== undefined) throw new UsageError(`${twice} is to be written twice`, 'Name it once.');
  for (const file of files) checkWritable(file);
  return args.json ? [...outputs, { file: null, format: formatFor('.json') }] : outputs;
}

function readPatch(file: string): Resource {
  if (extname(file).toLowerCase() !== '.css')
    throw new UsageError(`--patch takes style sheets, not “${file}”`, 'For example --patch try.css.');
  try {
    return { name: file, text: readFileSync(file, 'utf8') };
  } catch (error) {
    throw new UsageError(
      `${file} cannot be read (${(error as NodeJS.ErrnoException).code ?? 'unknown reason'})`,
      'Name the sheet with the change to try.',
    );
  }
}
