import { extname } from 'node:path';
import { compareRuns, weighsEnough, type AuditRun, type Weight } from '../../core/index.js';
import {
  checkWritable,
  comparisonMarkdown,
  comparisonPage,
  FormatError,
  toldComparison,
  toModel,
  type ComparedPictures,
  type PageMaterial,
} from '../../formats/index.js';
import { EXIT, type ExitCode } from '../errors.js';
import type { Terminal } from '../terminal.js';
import { VERSION } from '../version.js';
import { compareView } from '../views/compare.js';
import { writeTexts } from './outputs.js';

/** One side of a comparison. */
export interface Side {
  readonly name: string;
  readonly run: AuditRun;
  readonly materials: ReadonlyMap<string, PageMaterial>;
}

const ENDINGS = ['.json', '.md', '.html'] as const;

/** Throws FormatError where a comparison cannot be written to a file. */
export function checkComparisonFile(file: string): void {
  if (!(ENDINGS as readonly string[]).includes(extname(file).toLowerCase()))
    throw new FormatError(`a comparison is not written as “${file}”`, `Endings: ${ENDINGS.join(', ')}.`);
  checkWritable(file);
}

/** What a comparison needs of each page beside its findings, to be written to these files. */
export const materialFor = (files: readonly string[], pictures: boolean): { readonly pictures: boolean } | null =>
  files.some((file) => extname(file).toLowerCase() === '.html') ? { pictures } : null;

export interface Comparing {
  readonly before: Side;
  readonly after: Side;
  readonly files: readonly string[];
  readonly json: boolean;
  readonly day: string;
  readonly failOn: Weight | 'never';
}

/** Prints and writes a comparison. Gives 1 where a new fault weighs enough. */
export async function tellComparison(
  { before, after, files, json, day, failOn }: Comparing,
  terminal: Terminal,
): Promise<ExitCode> {
  const compared = compareRuns(before.run, after.run);
  const told = toldComparison(compared);
  const { unmatched } = compared;
  const model = () => toModel('compare', { before: before.name, after: after.name, ...compared });
  process.stdout.write(json ? model() : compareView(told, before.name, after.name, terminal));
  if (unmatched.before.length + unmatched.after.length > 0)
    process.stderr.write(
      `Not compared, as only one of the two runs made it: ${[...unmatched.before, ...unmatched.after].join(', ')}.\n`,
    );
  const pictures = (): ComparedPictures[] =>
    compared.pages.flatMap(({ before: was, after: is }) => {
      const [a, b] = [before.materials.get(was ?? ''), after.materials.get(is ?? '')];
      return a && b ? [{ page: is!, before: a, after: b }] : [];
    });
  const textOf: Readonly<Record<string, () => string>> = {
    '.json': model,
    '.md': () => comparisonMarkdown(told, before.name, after.name),
    '.html': () => comparisonPage(told, { before: before.name, after: after.name, version: VERSION, day }, pictures()),
  };
  const unwritten = await writeTexts(files.map((file) => ({ file, make: textOf[extname(file).toLowerCase()]! })));
  const fresh = told.fresh.map(({ finding }) => finding);
  return unwritten > 0 ? EXIT.usage : weighsEnough(fresh, failOn) ? EXIT.findings : EXIT.clean;
}
