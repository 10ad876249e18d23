/**
 * Whole-process time and peak memory of an audit of the demo page, beside parsing alone and beside a headless browser
 * that takes the same looks. All figures come from one run and are best read as ratios.
 */
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { parse } from 'parse5';
import safeParse from 'postcss-safe-parser';
import { auditPage, openPageNow, setting } from '../src/core/index.js';
import type { SheetCache } from '../src/core/sheets/index.js';
import { loadFile } from '../src/sources/index.js';
import { linkCosts } from './links.js';
import { looksOf } from './looks.js';
import { inTurn, median, runProcess, type Run } from './run.js';

const PAGE = 'demo/launched/index.html';
const ROUNDS = 5;
const BROWSERS = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];

const ms = (seconds: number): string => `${Math.round(seconds * 1000)} ms`;
const times = (a: number, b: number): string => `${(a / b).toFixed(1)} times`;

async function wholeProcess(): Promise<void> {
  const runs = await inTurn(
    {
      'node alone': ['node', ['-e', '0']],
      'parse only': ['node', ['bench/parse-only.mjs', PAGE]],
      audit: ['node', ['dist/bin.js', 'audit', PAGE, '--json', '--jobs', '1']],
    },
    ROUNDS,
  );
  const { audit } = runs;
  console.log(`Whole process, ${PAGE}, median of ${ROUNDS}:`);
  for (const [name, run] of Object.entries(runs)) tell(name, run);
  console.log(`  audit / node alone: ${times(audit!.seconds, runs['node alone']!.seconds)}`);
  console.log(`  audit / parse only: ${times(audit!.seconds, runs['parse only']!.seconds)}`);
  await besideBrowser(audit!);
}

const tell = (name: string, { seconds, megabytes }: Run): void =>
  console.log(`  ${name.padEnd(12)} ${ms(seconds).padStart(9)}  ${Math.round(megabytes)} MB at most`);

/** The same widths, visitors, poses and states in a browser, once: it takes minutes. */
async function besideBrowser(audit: Run): Promise<void> {
  const browser = BROWSERS.find((path) => existsSync(path));
  if (!browser) return console.log('  No Chromium here: the comparison with a browser is left out.');
  const looks = looksOf(await loadFile(PAGE, { scripting: true }));
  const folder = mkdtempSync(join(tmpdir(), 'looks-'));
  const list = join(folder, 'looks.json');
  writeFileSync(list, JSON.stringify(looks));
  const run = await runProcess('node', ['bench/browser.mjs', PAGE, list, browser]);
  rmSync(folder, { recursive: true });
  const whole = looks.filter((look) => look.whole).length;
  console.log(`The ${looks.length} looks of that audit, ${whole} of them at the whole page, in a browser, once:`);
  tell('browser', run);
  console.log(`  browser / audit:    ${times(run.seconds, audit.seconds)}`);
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

/** The largest page at hand: of the conformance folder if it is there, or else the demo. */
const LARGE = '../shared/conformance/real/admin-rtl-fa';

interface Large {
  readonly name: string;
  readonly file: string;
  readonly html: string;
  readonly sheets: readonly string[];
  readonly texts: readonly string[];
}

function readLarge(): Large {
  const there = existsSync(LARGE);
  const [file, root] = there ? [join(LARGE, 'public/plain_page.html'), LARGE] : [PAGE, 'demo/launched'];
  const html = readFileSync(file, 'utf8');
  const sheets = [...html.matchAll(/<link[^>]+href="([^"]+\.css)"/g)]
    .map((m) => join(dirname(file), m[1]!))
    .filter((path) => existsSync(path));
  return {
    name: there ? LARGE.split('/').pop()! : root,
    file,
    html,
    sheets,
    texts: sheets.map((path) => readFileSync(path, 'utf8')),
  };
}

function parseAll({ html, texts }: Large): void {
  parse(html, { sourceCodeLocationInfo: true });
  for (const text of texts) safeParse(text);
}

/** Reading, matching and computing all styles of a large page at ten widths, beside parsing its text alone. */
async function cascade(): Promise<void> {
  const large = readLarge();
  const { file, html, sheets, texts } = large;
  const widths = Array.from({ length: 10 }, (_, i) => 320 + i * 150);
  const parsing: number[] = [];
  const styling: number[] = [];
  for (let i = 0; i < 9; i++) {
    parsing.push(timed(() => parseAll(large)));
    const byUrl = new Map(
      sheets.map((path, n) => [pathToFileURL(resolve(path)).href, { name: path, text: texts[n]! }]),
    );
    const text = { name: 'bench', url: pathToFileURL(resolve(file)).href, html };
    const cache: SheetCache = new Map();
    const open = () => openPageNow(text, { sheet: (url) => byUrl.get(url) ?? null }, { sheets: cache });
    // Reading the sheets belongs to parsing; what is timed is everything after that.
    open();
    const again = timed(() => void open()) - timed(() => void parse(html, { sourceCodeLocationInfo: true }));
    const page = open();
    styling.push(
      again +
        timed(() => {
          for (const width of widths) page.styles(width);
        }),
    );
  }
  const [p, s] = [median(parsing), median(styling)];
  const kilobytes = Math.round((texts.join('').length + html.length) / 1024);
  console.log(`Matching and cascade at ${widths.length} widths, ${large.name}, ${kilobytes} KB of text: ${ms(s)}`);
  console.log(`  parsing alone ${ms(p)}; matching and cascade are ${times(s, p)} that`);
}

/** Boxes and layout of the large page, styles known, at one width and at a second one, beside parsing its text alone. */
async function layout(): Promise<void> {
  const large = readLarge();
  const times3: [number[], number[], number[]] = [[], [], []];
  for (let i = 0; i < 25; i++) {
    const page = await loadFile(large.file, { scripting: true });
    times3[0].push(timed(() => parseAll(large)));
    for (const width of [1024, 1000]) page.styles(width);
    times3[1].push(timed(() => void page.scene(setting(1024))));
    times3[2].push(timed(() => void page.scene(setting(1000))));
  }
  const [p, first, second] = times3.map((list) => median(list.slice(8))) as [number, number, number];
  console.log(`Boxes and layout at one width, ${large.name}: ${ms(first)}; parsing alone ${ms(p)}: ${times(first, p)}`);
  console.log(`  at a second width of the same rung ${ms(second)}: ${times(second, first)} the first`);
}

await wholeProcess();
await warm();
await cascade();
await layout();
linkCosts();
