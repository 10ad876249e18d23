import { spawn } from 'node:child_process';
import { BIN, Site } from '../support/command.js';

const sheet = (colour: string) => `nav a{display:inline-block;padding:14px;color:${colour}}`;
const site = new Site({
  'site.css': sheet('#aaa'),
  'index.html':
    '<!doctype html><html lang="en"><head><title>Pier</title><meta name="viewport" content="width=device-width"><link rel="stylesheet" href="site.css"></head><body><nav aria-label="Main"><ul><li><a href="index.html">Home</a></li><li><a href="index.html#fares">Fares</a></li></ul></nav><main id="fares"></main></body></html>',
});
afterAll(() => site.remove());

test('a save is answered at a glance, then in full; a signal ends it', async () => {
  const running = spawn(process.execPath, [BIN, 'audit', 'index.html', '--watch'], { cwd: site.folder });
  const ended = new Promise<number | null>((done) => running.once('exit', done));
  let told = '';
  const heard = (text: RegExp) =>
    new Promise<void>((done) => {
      const look = () => {
        if (!text.test(told)) return;
        running.stdout.off('data', look);
        running.stderr.off('data', look);
        done();
      };
      running.stdout.on('data', look);
      running.stderr.on('data', look);
      look();
    });
  for (const stream of [running.stdout, running.stderr]) stream.on('data', (part: Buffer) => (told += part.toString()));
  await heard(/Watching .*Ctrl-C ends/);
  site.put('site.css', sheet('#111'));
  await heard(/\d cleared, \d new, \d still there\./);
  expect(told).toMatch(/At a glance \(\d+\.\d s\): (\d) of \d findings no longer shows?\.\n\s+hinders\s+text-contrast/);
  expect(told.indexOf('At a glance')).toBeLessThan(told.indexOf('before → now'));
  running.kill('SIGINT');
  expect(await ended).toBe(0);
}, 60_000);
