/** Audits the demo site, as launched and as mended, and says where the results are. */
import { spawnSync } from 'node:child_process';
import { mkdirSync } from 'node:fs';

mkdirSync('out', { recursive: true });
const audit = (edition, extra = []) =>
  spawnSync(
    process.execPath,
    [
      'dist/bin.js',
      'audit',
      `demo/${edition}/index.html`,
      '--write',
      `out/demo-${edition}.json`,
      '--write',
      `out/demo-${edition}.html`,
      ...extra,
    ],
    { stdio: ['ignore', 'inherit', 'inherit'] },
  );

console.log('Tidewrack Island Ferries, as launched:\n');
const launched = audit('launched');
console.log('\nThe same site, as mended:\n');
const mended = audit('mended');
if (launched.status !== 1 || mended.status !== 0) {
  console.error(
    `The demo did not end as expected: launched ${launched.status} (1 expected), mended ${mended.status} (0 expected).`,
  );
  process.exit(1);
}
console.log(
  '\nThe reports to read are out/demo-launched.html and out/demo-mended.html, the whole results the .json beside them.',
);
console.log('What the repair cleared: node dist/bin.js compare out/demo-launched.json out/demo-mended.json');
console.log('Try another page: node dist/bin.js audit demo/launched/fares.html --at 375');
