import { accessSync, constants, existsSync, statSync } from 'node:fs';
import { dirname, extname, join } from 'node:path';
import writeFileAtomic from 'write-file-atomic';
import { csv } from './csv.js';
import { earl } from './earl.js';
import type { Format } from './format.js';
import { json } from './json.js';
import { junit } from './junit.js';
import { markdown } from './markdown.js';
import { report } from './report/report.js';
import { sarif } from './sarif.js';

/** Formats by the ending that asks for them. */
const FORMATS: Readonly<Record<string, Format>> = {
  '.json': json,
  '.html': report,
  '.sarif': sarif,
  '.xml': junit,
  '.jsonld': earl,
  '.csv': csv,
  '.md': markdown,
};

/** Names of formats where no file has an ending: `csv`. */
export const FORMAT_NAMES: readonly string[] = Object.keys(FORMATS).map((ending) => ending.slice(1));

/** An output that cannot be written: its ending names no format, or its place takes no file. */
export class FormatError extends Error {
  constructor(
    message: string,
    readonly remedy = `Endings: ${Object.keys(FORMATS).join(', ')}.`,
  ) {
    super(message);
  }
}

/** The format a file's ending asks for. */
export function formatFor(file: string): Format {
  const ending = extname(file).toLowerCase() || file.toLowerCase();
  const format = FORMATS[ending];
  if (!format) throw new FormatError(`no format is known for “${file}”`);
  return format;
}

/** Throws FormatError where a file could not be written, before any work is done for it. */
export function checkWritable(file: string): void {
  const folder = dirname(file);
  if (!existsSync(folder))
    throw new FormatError(`the folder ${folder} does not exist`, `Make it first, then ${file} can be written.`);
  if (existsSync(file) && statSync(file).isDirectory())
    throw new FormatError(`${file} is a folder`, `Name a file in it, such as ${join(file, 'audit.json')}.`);
  try {
    accessSync(existsSync(file) ? file : folder, constants.W_OK);
  } catch {
    throw new FormatError(`${file} cannot be written`, 'Check the permissions of the file and its folder.');
  }
}

const REASONS: Readonly<Record<string, string>> = {
  ENOSPC: 'the disk is full',
  EDQUOT: 'there is no room left for you on the disk',
  EROFS: 'the disk is read-only',
  EACCES: 'its place may not be written to',
  EPERM: 'its place may not be written to',
  EISDIR: 'it is a folder',
};

/** Writes a file whole or not at all. Throws FormatError where that fails. */
export async function writeWhole(file: string, content: string | Uint8Array): Promise<void> {
  checkWritable(file);
  try {
    await writeFileAtomic(file, typeof content === 'string' ? content : Buffer.from(content));
  } catch (error) {
    const { code = '', message } = error as NodeJS.ErrnoException;
    throw new FormatError(
      `${file} was not written: ${REASONS[code] ?? message}`,
      'Nothing of it is left behind; make room or choose another place.',
    );
  }
}
