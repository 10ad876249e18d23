/**
 * Packs the project, installs the package for all users of an empty prefix, runs the demo from there, and holds the
 * installed command to its tests. Needs the registry for the packages it depends on.
 */
import { spawnSync } from 'node:child_process';
import { cpSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const place = mkdtempSync(join(tmpdir(), 'rope-ladder-packed-'));
const run = (command, words, options = {}) => {
  const { status } = spawnSync(command, words, { stdio: 'inherit', ...options });
  return status;
};
const must = (what, status, wanted = 0) => {
  if (status === wanted) return;
  console.error(`${what} ended with ${status}, not ${wanted}.`);
  process.exitCode = 1;
  throw new Error(what);
};

try {
  must('npm pack', run('npm', ['pack', '--silent', '--pack-destination', place]));
  const [tarball] = readdirSync(place).filter((name) => name.endsWith('.tgz'));
  const prefix = join(place, 'prefix');
  must(
    'npm install',
    run('npm', [
      'install',
      '--global',
      '--silent',
      '--no-audit',
      '--no-fund',
      '--prefix',
      prefix,
      join(place, tarball),
    ]),
  );
  const bin = join(prefix, 'lib', 'node_modules', 'rope-ladder', 'dist', 'bin.js');
  cpSync('demo', join(place, 'demo'), { recursive: true });
  const audit = (page) =>
    run(process.execPath, [bin, 'audit', page, '--write', 'report.html', '--quiet'], { cwd: place, stdio: 'ignore' });
  must('the audit of the demo as launched', audit('demo/launched/index.html'), 1);
  must('the audit of the demo as mended', audit('demo/mended/index.html'), 0);
  const jest = ['--experimental-vm-modules', '--no-warnings', 'node_modules/jest/bin/jest.js', 'tests/cli', '--silent'];
  must('the tests of the command', run(process.execPath, jest, { env: { ...process.env, ROPE_LADDER_BIN: bin } }));
  console.log('The packed command installs, runs the demo and passes its tests.');
} catch {
  console.error('The packed command does not hold.');
  process.exitCode = 1;
} finally {
  rmSync(place, { recursive: true, force: true });
}
