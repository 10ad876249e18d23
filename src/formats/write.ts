import { existsSync } from 'node:fs';
import { dirname, extname } from 'node:path';
import writeFileAtomic from 'write-file-atomic';
import type { AuditResult } from '../core/index.js';
import { toJson } from './json.js';

export type Format = (results: readonly AuditResult[]) => string;

const FORMATS: Readonly<Record<string, Format>> = { '.json': toJson };

/** A file name whose ending names no format. */
export class FormatError extends Error {
  readonly remedy = `Endings known so far: ${Object.keys(FORMATS).join(', ')}.`;
}

/** The format a file's ending asks for. */
export function formatFor(file: string): Format {
  const ending = extname(file).toLowerCase() || file.toLowerCase();
  const format = FORMATS[ending];
  if (!format) throw new FormatError(`no format is known for “${file}”`);
  return format;
}

/** Writes a file whole or not at all. */
export async function writeWhole(file: string, content: string | Uint8Array): Promise<void> {
  const folder = dirname(file);
  if (!existsSync(folder)) throw new FormatError(`the folder ${folder} does not exist, so ${file} was not written`);
  await writeFileAtomic(file, typeof content === 'string' ? content : Buffer.from(content));
}
