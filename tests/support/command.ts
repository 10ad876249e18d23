import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, realpathSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join, resolve } from 'node:path';

/** The built command, or the installed one that is asked for. */
export const BIN = process.env.ROPE_LADDER_BIN ?? resolve('dist/bin.js');

export interface Ran {
  readonly code: number | null;
  readonly out: string;
  readonly err: string;
}

/** A temporary folder with files, in which the built command is run. */
export class Site {
  readonly folder = realpathSync(mkdtempSync(join(tmpdir(), 'rope-ladder-')));

  constructor(files: Readonly<Record<string, string | Uint8Array>>) {
    for (const [name, content] of Object.entries(files)) this.put(name, content);
  }

  put(name: string, content: string | Uint8Array): void {
    mkdirSync(dirname(join(this.folder, name)), { recursive: true });
    writeFileSync(join(this.folder, name), content);
  }

  run(words: readonly string[], options: { input?: string; env?: Record<string, string> } = {}): Ran {
    const env = { PATH: process.env.PATH ?? '', ...options.env };
    const { status, stdout, stderr } = spawnSync(process.execPath, [BIN, ...words], {
      cwd: this.folder,
      input: options.input ?? '',
      encoding: 'utf8',
      env,
    });
    return { code: status, out: stdout, err: stderr };
  }

  remove(): void {
    rmSync(this.folder, { recursive: true, force: true });
  }
}
