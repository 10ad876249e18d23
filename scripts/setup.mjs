/** Installs the packages if they are missing or older than the lock file. Needs Node and npm only. */
import { spawnSync } from 'node:child_process';
import { existsSync, statSync } from 'node:fs';

const mark = 'node_modules/.package-lock.json';
const fresh = existsSync(mark) && statSync(mark).mtimeMs >= statSync('package-lock.json').mtimeMs - 1000;
if (!fresh) {
  console.error('Installing packages …');
  const { status } = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    stdio: 'inherit',
    shell: process.platform === 'win32',
  });
  if (status !== 0) {
    console.error('The packages could not be installed. Check the network and run the command again.');
    process.exit(1);
  }
}
