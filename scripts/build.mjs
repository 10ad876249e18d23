/** Bundles the command and the core library into dist/, if their sources are newer than what is there. */
import { existsSync, mkdirSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { build } from 'esbuild';

const STAMP = 'dist/.stamp';

function newest(path) {
  const stats = statSync(path);
  if (!stats.isDirectory()) return stats.mtimeMs;
  return Math.max(0, ...readdirSync(path).map((name) => newest(join(path, name))));
}

const inputs = ['src', 'package.json', 'package-lock.json', 'scripts/build.mjs'].filter((p) => existsSync(p));
const fresh = existsSync(STAMP) && Math.max(...inputs.map(newest)) < statSync(STAMP).mtimeMs;
if (fresh && !process.argv.includes('--force')) process.exit(0);

rmSync('dist', { recursive: true, force: true });
mkdirSync('dist');
const common = {
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  splitting: true,
  outdir: 'dist',
  logLevel: 'warning',
  legalComments: 'none',
  // Its usual entry looks for its parts at run time.
  alias: { 'jsonc-parser': 'jsonc-parser/lib/esm/main.js' },
  // They load native code or modules beside them.
  external: ['@resvg/resvg-js', 'harfbuzzjs', 'piscina'],
};
// Some packages still use require() and __filename; in a module they have to be made first.
const banner = {
  js: [
    "import { createRequire as ropeLadderRequire } from 'node:module';",
    "import { fileURLToPath as ropeLadderPath } from 'node:url';",
    'const require = ropeLadderRequire(import.meta.url);',
    'const __filename = ropeLadderPath(import.meta.url);',
  ].join(' '),
};
await build({
  ...common,
  minify: !process.argv.includes('--plain'),
  entryPoints: {
    'rope-ladder': 'src/cli/main.ts',
    worker: 'src/cli/jobs/worker.ts',
    index: 'src/index.ts',
    core: 'src/core/index.ts',
    schema: 'src/formats/schema.ts',
  },
  banner,
});
writeFileSync('dist/bin.js', "#!/usr/bin/env node\nimport './rope-ladder.js';\n", { mode: 0o755 });
writeFileSync(STAMP, '');
