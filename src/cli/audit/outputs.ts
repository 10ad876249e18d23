import {
  FormatError,
  writeWhole,
  type PageMaterial,
  type RunEnd,
  type RunStart,
  type Writer,
} from '../../formats/index.js';
import type { AuditResult } from '../../core/index.js';
import { sentence } from '../errors.js';
import type { Output } from './request.js';

/** A text to be written; to standard output where no file is named. */
export interface Text {
  readonly file: string | null;
  readonly make: () => string | Uint8Array;
}

/** Writes every text; one that fails is told and keeps no other from being written. Gives how many failed. */
export async function writeTexts(texts: readonly Text[]): Promise<number> {
  let failed = 0;
  for (const { file, make } of texts) {
    try {
      if (file === null) process.stdout.write(make());
      else {
        await writeWhole(file, make());
        process.stderr.write(`Written: ${file}\n`);
      }
    } catch (error) {
      if (!(error instanceof FormatError)) throw error;
      failed++;
      process.stderr.write(`${sentence(error.message)} ${error.remedy}\n`);
    }
  }
  return failed;
}

/** All outputs of a run, fed page by page. */
export class Outputs {
  readonly #open: readonly { readonly file: string | null; readonly writer: Writer }[];

  constructor(outputs: readonly Output[], start: RunStart) {
    this.#open = outputs.map(({ file, format }) => ({ file, writer: format.open(start) }));
  }

  page(result: AuditResult, material: PageMaterial | null): void {
    for (const { writer } of this.#open) writer.page(result, material);
  }

  /** Writes every output. Gives how many failed. */
  end(end: RunEnd): Promise<number> {
    return writeTexts(this.#open.map(({ file, writer }) => ({ file, make: () => writer.end(end) })));
  }
}
