import { FormatError, writeWhole, type RunEnd, type RunStart, type Writer } from '../../formats/index.js';
import type { AuditResult } from '../../core/index.js';
import type { PageMaterial } from '../../formats/index.js';
import { sentence } from '../errors.js';
import type { Output } from './request.js';

/** All outputs of a run, fed page by page. */
export class Outputs {
  private constructor(private readonly open: readonly { readonly output: Output; readonly writer: Writer }[]) {}

  static async start(outputs: readonly Output[], start: RunStart): Promise<Outputs> {
    const open = [];
    for (const output of outputs) open.push({ output, writer: await output.format.open(start) });
    return new Outputs(open);
  }

  /** Whether standard output is taken, so that no view goes there. */
  get takesStandardOutput(): boolean {
    return this.open.some(({ output }) => output.file === null);
  }

  page(result: AuditResult, material: PageMaterial | null): void {
    for (const { writer } of this.open) writer.page(result, material);
  }

  /** Writes every output; one that fails is told and keeps no other from being written. Gives how many failed. */
  async end(end: RunEnd): Promise<number> {
    let failed = 0;
    for (const { output, writer } of this.open) {
      try {
        const text = writer.end(end);
        if (output.file === null) process.stdout.write(text);
        else {
          await writeWhole(output.file, text);
          process.stderr.write(`Written: ${output.file}\n`);
        }
      } catch (error) {
        if (!(error instanceof FormatError)) throw error;
        failed++;
        process.stderr.write(`${sentence(error.message)} ${error.remedy}\n`);
      }
    }
    return failed;
  }
}
