/** Bundles one TypeScript script and runs it: `node scripts/run.mjs scripts/name.ts [arguments]`. */
import { spawnSync } from 'node:child_process';
import { basename } from 'node:path';
import { build } from 'esbuild';

const [, , script, ...rest] = process.argv;
const outfile = `.cache/${basename(script, '.ts')}.mjs`;
await build({
  entryPoints: [script],
  bundle: true,
  platform: 'node',
  format: 'esm',
  packages: 'external',
  outfile,
  sourcemap: 'inline',
  logLevel: 'error',
});
const { status } = spawnSync(process.execPath, ['--enable-source-maps', outfile, ...rest], { stdio: 'inherit' });
process.exitCode = status ?? 1;
