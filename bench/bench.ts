/**
 * Whole-process time and peak memory of an audit of the demo page, beside parsing alone and beside a headless browser.
 * All figures come from one run and are best read as ratios.
 */
import { existsSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { parse } from 'parse5';
import safeParse from 'postcss-safe-parser';
import { auditPage } from '../src/core/index.js';
import { loadFile } from '../src/sources/index.js';
import { inTurn, median } from './run.js';

const PAGE = 'demo/launched/index.html';
const ROUNDS = 7;
const BROWSERS = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];

const ms = (seconds: number): string => `${Math.round(seconds * 1000)} ms`;
const times = (a: number, b: number): string => `${(a / b).toFixed(1)} times`;

async function wholeProcess(): Promise<void> {
  const page = await loadFile(PAGE, { scripting: true });
  const widths = [...new Set(auditPage(page).rungs.flatMap((rung) => [rung.from, rung.to]))];
  const browser = BROWSERS.find((path) => existsSync(path));
  const runs = await inTurn(
    {
      'node alone': ['node', ['-e', '0']],
      'parse only': ['node', ['bench/parse-only.mjs', PAGE]],
      audit: ['node', ['dist/bin.js', 'audit', PAGE, '--json']],
      ...(browser ? { browser: ['node', ['bench/browser.mjs', PAGE, widths.join(), browser]] as const } : {}),
    },
    ROUNDS,
  );
  const { audit } = runs;
  console.log(`Whole process, ${PAGE}, ${widths.length} widths, median of ${ROUNDS}:`);
  for (const [name, run] of Object.entries(runs))
    console.log(`  ${name.padEnd(12)} ${ms(run.seconds).padStart(8)}  ${Math.round(run.megabytes)} MB at most`);
  console.log(`  audit / node alone: ${times(audit!.seconds, runs['node alone']!.seconds)}`);
  console.log(`  audit / parse only: ${times(audit!.seconds, runs['parse only']!.seconds)}`);
  if (runs.browser) console.log(`  browser / audit:    ${times(runs.browser.seconds, audit!.seconds)}`);
  else console.log('  No Chromium here: the comparison with a browser is left out.');
}

function timed(work: () => void): number {
  const start = process.hrtime.bigint();
  work();
  return Number(process.hrtime.bigint() - start) / 1e9;
}

async function warm(): Promise<void> {
  const html = readFileSync(PAGE, 'utf8');
  const sheets = [...html.matchAll(/<link rel="stylesheet" href="([^"]+)"/g)].map((m) =>
    readFileSync(join(dirname(PAGE), m[1]!), 'utf8'),
  );
  const parsing: number[] = [];
  const auditing: number[] = [];
  for (let i = 0; i < 15; i++) {
    parsing.push(
      timed(() => {
        parse(html, { sourceCodeLocationInfo: true });
        for (const sheet of sheets) safeParse(sheet);
      }),
    );
    const page = await loadFile(PAGE, { scripting: true });
    auditing.push(timed(() => auditPage(page)));
  }
  const [p, a] = [median(parsing.slice(5)), median(auditing.slice(5))];
  console.log(`Warm, in one process: audit ${ms(a)}, parsing alone ${ms(p)}: ${times(a, p)}`);
}

await wholeProcess();
await warm();
