import { statSync } from 'node:fs';
import { dirname, extname, resolve } from 'node:path';
import { compareRuns } from '../../core/index.js';
import { toldComparison } from '../../formats/index.js';
import type { Progress } from '../progress.js';
import type { Terminal } from '../terminal.js';
import { compareView } from '../views/compare.js';
import { glance, glanceView } from './glance.js';
import type { Request } from './request.js';
import { auditWhole, type WholeRun } from './whole.js';

/** Files that can change what a menu is. */
const CONCERNED = new Set([
  '.html',
  '.htm',
  '.xhtml',
  '.css',
  '.js',
  '.mjs',
  '.svg',
  '.woff',
  '.woff2',
  '.ttf',
  '.otf',
]);
/** Editors write a file in several steps, ms. */
const SETTLED = 40;

/**
 * Audits again whenever a file of the site changes, and tells what changed: first what became of what was told before,
 * which is soon seen, then everything. Ends with the signal that ends the command.
 * @param make reads anew what is asked for, as pages come and go
 */
export async function watchPages(make: () => Promise<Request>, progress: Progress, terminal: Terminal): Promise<void> {
  const { watch } = await import('chokidar');
  let request = await make();
  const folders = [...new Set(request.tasks.map(({ name, root }) => resolve(root ?? dirname(name))))];
  let last: WholeRun = await auditWhole(request.tasks, request.jobs, progress, 'auditing');
  progress.stop();
  const watcher = watch(folders, {
    ignoreInitial: true,
    ignored: (path) => /[\\/](node_modules|\.[^\\/.][^\\/]*)([\\/]|$)/.test(path) || isOther(path),
    awaitWriteFinish: { stabilityThreshold: SETTLED, pollInterval: 10 },
  });
  // The first look takes longer than those after it, and nobody waits for it here.
  await glance(request.tasks, last.run);
  const saved = new Set<string>();
  let running = false;
  let again = false;
  const audit = async (): Promise<void> => {
    if (running) {
      again = true;
      return;
    }
    running = true;
    const began = Date.now();
    try {
      request = await make();
      const tasks = savedFirst(request.tasks, saved);
      saved.clear();
      const soon = await glance(tasks, last.run);
      if (soon) process.stdout.write(`\n${glanceView(soon, since(began), terminal)}`);
      const next = await auditWhole(request.tasks, request.jobs, progress, 'auditing again');
      progress.stop();
      const told = toldComparison(compareRuns(last.run, next.run));
      const changed = told.cleared.length + told.fresh.length + told.moved.length > 0;
      process.stdout.write(
        changed
          ? `\n${compareView(told, 'before', `now (${since(began)})`, terminal, true)}`
          : `No change in the findings (${since(began)}).\n`,
      );
      last = next;
    } catch (error) {
      progress.stop();
      process.stderr.write(`${(error as Error).message}\n`);
    }
    running = false;
    if (again) {
      again = false;
      await audit();
    }
  };
  watcher.on('all', (_event, path) => {
    saved.add(resolve(path));
    void audit();
  });
  await new Promise<void>((done) => watcher.once('ready', done));
  process.stderr.write(`Watching ${folders.join(', ')}; Ctrl-C ends.\n`);
  await new Promise<void>((done) => {
    process.once('SIGINT', done);
    process.once('SIGTERM', done);
  });
  await watcher.close();
}

/** What is looked at first: pages that were saved themselves. */
const savedFirst = (tasks: Request['tasks'], saved: ReadonlySet<string>): Request['tasks'] => [
  ...tasks.filter(({ name }) => saved.has(resolve(name))),
  ...tasks.filter(({ name }) => !saved.has(resolve(name))),
];

const since = (began: number): string => `${((Date.now() - began) / 1000).toFixed(1)} s`;

/** Whether a path is a file of a kind that no page is made of. */
const isOther = (path: string): boolean =>
  (statSync(path, { throwIfNoEntry: false })?.isFile() ?? false) && !CONCERNED.has(extname(path).toLowerCase());
