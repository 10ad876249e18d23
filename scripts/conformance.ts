/**
 * Scores the engine against the conformance folder beside the project, if it is there.
 *   npm run conformance -- [--only slug,…] [--list N] [--set real|more|reduced|wpt|aria|menus|openings] [--floor]
 */
import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync, readdirSync, realpathSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { listMenus, measureEntries, measureManifest, measureOpenings } from './conformance-measure.js';

const ROOT = existsSync('../shared/conformance') ? realpathSync('../shared/conformance') : '../shared/conformance';
const OUT = '.cache/conformance';
const FLOOR = 'conformance-floor.json';
const REAL_WIDTHS = [320, 375, 600, 768, 991, 992, 1024, 1280, 1440];

type Scores = Record<string, number>;

/** Sets of whole pages; those that share a site root lie in one folder. */
const PAGE_SETS = [
  { name: 'real', folder: 'real', title: 'real pages', roots: 'each', widths: REAL_WIDTHS },
  { name: 'more', folder: 'real-more', title: 'more real pages', roots: 'each', widths: REAL_WIDTHS },
  { name: 'reduced', folder: 'reduced', title: 'reduced pages', roots: 'one', widths: [1280] },
] as const;

function option(name: string): string | null {
  const at = process.argv.indexOf(name);
  return at < 0 ? null : (process.argv[at + 1] ?? '');
}

function report(name: string, run: { pages: number; failed: readonly string[]; seconds: number }): void {
  console.log(`${name}: ${run.pages} pages measured in ${run.seconds.toFixed(1)} s, ${run.failed.length} failed`);
  for (const line of run.failed.slice(0, 10)) console.log(`  ${line}`);
}

function score(truth: string, engine: string, extra: readonly string[]): string {
  return execFileSync('node', [join(ROOT, 'oracle/score.mjs'), truth, engine, ...extra], {
    encoding: 'utf8',
    maxBuffer: 1 << 30,
  });
}

interface Scored {
  readonly pooled: Record<'menu' | 'page', Record<string, { share: number | null }>>;
  readonly pages: Record<
    string,
    Record<'menu' | 'page', Record<string, { share: number | null; hit: number; of: number }>>
  >;
}

function scoreJson(truth: string, engine: string, extra: readonly string[]): Scored {
  const file = join(OUT, 'score.json');
  score(truth, engine, ['--json', file, ...extra]);
  return JSON.parse(readFileSync(file, 'utf8')) as Scored;
}

const KEYS = ['box', '1px', 'style', 'visible', 'topmost', 'tab=', 'scroll'];
const percent = (v: number): string => (v * 100).toFixed(2);

function take(scored: Scored, prefix: string, scopes: readonly ('menu' | 'page')[], into: Scores): void {
  for (const scope of scopes)
    for (const key of KEYS) {
      const share = scored.pooled[scope][key]?.share;
      if (typeof share === 'number') into[`${prefix}.${scope}.${key}`] = Number(percent(share));
    }
}

/** Pooled boxes and values by area of the standard's own pages. */
function byArea(scored: Scored): void {
  const manifest = JSON.parse(readFileSync(join(ROOT, 'wpt/manifest.json'), 'utf8')) as {
    slug: string;
    area: string;
  }[];
  const areas = new Map<string, { near: [number, number]; style: [number, number]; whole: [number, number] }>();
  for (const { slug, area } of manifest) {
    const page = scored.pages[slug]?.page;
    if (!page) continue;
    const sums = areas.get(area) ?? { near: [0, 0], style: [0, 0], whole: [0, 0] };
    sums.near[0] += page['1px']!.hit;
    sums.near[1] += page['1px']!.of;
    sums.style[0] += page.style!.hit;
    sums.style[1] += page.style!.of;
    sums.whole[0] += Number(page['1px']!.hit === page['1px']!.of && page.box!.hit === page.box!.of);
    sums.whole[1] += 1;
    areas.set(area, sums);
  }
  const cell = ([hit, of]: [number, number]) => (of === 0 ? '-' : percent(hit / of)).padStart(7);
  console.log(`${'area'.padEnd(26)}   1px%  style%  whole pages%`);
  for (const [area, sums] of [...areas].sort())
    console.log(`${area.padEnd(26)} ${cell(sums.near)} ${cell(sums.style)} ${cell(sums.whole)}`);
}

function names(into: Scores): void {
  const out = execFileSync(
    'node',
    [
      join(ROOT, 'oracle/score-names.mjs'),
      join(ROOT, 'aria/cases.json'),
      join(OUT, 'aria'),
      ...(option('--list') ? ['--list', option('--list')!] : []),
    ],
    { encoding: 'utf8', maxBuffer: 1 << 28 },
  );
  console.log(out.trimEnd());
  const total = /^total\s+names.*?\((\d+)\/(\d+)\)\s+roles.*?\((\d+)\/(\d+)\)/m.exec(out)!.slice(1).map(Number);
  into['aria.names'] = Number(percent(total[0]! / total[1]!));
  into['aria.roles'] = Number(percent(total[2]! / total[3]!));
}

interface Tally {
  readonly total: number;
  readonly right: number;
}

/** Menus, kinds, toggles, forms and current items against what a person named; false ones count as wrong. */
async function menus(only: readonly string[] | null, into: Scores): Promise<void> {
  const folder = join(OUT, 'menus');
  for (const set of ['real', 'real-more'])
    await listMenus(join(ROOT, set, 'manifest.json'), (e) => join(ROOT, set, e.slug), folder, [375, 1280], only);
  const run = (...more: string[]) =>
    execFileSync('node', [join(ROOT, 'menus/score.mjs'), folder, ...(only ? ['--only', only.join()] : []), ...more], {
      encoding: 'utf8',
      maxBuffer: 1 << 28,
    });
  console.log(run('--list').trimEnd());
  const tally = JSON.parse(run('--json')) as Record<'kinds' | 'forms375' | 'forms1280' | 'top' | 'current', Tally> & {
    readonly menus: { readonly total: number; readonly found: number; readonly false: number };
    readonly toggles: Tally & { readonly false: number };
  };
  const share = (key: string, right: number, total: number) => (into[`menus.${key}`] = Number(percent(right / total)));
  share('found', tally.menus.found, tally.menus.total + tally.menus.false);
  share('toggles', tally.toggles.right, tally.toggles.total + tally.toggles.false);
  share('forms', tally.forms375.right + tally.forms1280.right, tally.forms375.total + tally.forms1280.total);
  for (const key of ['kinds', 'top', 'current'] as const) share(key, tally[key].right, tally[key].total);
}

/** What opens on real pages, scripts on, against what a browser showed; `heard` says where a user would be told nothing. */
async function openings(only: readonly string[] | null, into: Scores): Promise<void> {
  const sum = { moves: 0, right: 0, silent: 0, false: 0, common: 0, near: 0 };
  for (const set of ['real', 'real-more']) {
    const folder = join(OUT, 'openings', set);
    await measureOpenings(join(ROOT, set, 'manifest.json'), (e) => join(ROOT, set, e.slug), folder, only);
    const run = (...more: string[]) =>
      execFileSync(
        'node',
        [
          join(ROOT, 'oracle/score-openings.mjs'),
          join(ROOT, set, 'truth'),
          folder,
          ...(only ? ['--only', only.join()] : []),
          ...more,
        ],
        {
          encoding: 'utf8',
          maxBuffer: 1 << 28,
        },
      );
    console.log(run('--list').trimEnd());
    const { counts } = JSON.parse(run('--json')) as { counts: typeof sum };
    for (const key of Object.keys(sum) as (keyof typeof sum)[]) sum[key] += counts[key];
  }
  into['openings.right'] = Number(percent(sum.right / sum.moves));
  into['openings.told'] = Number(percent(1 - (sum.silent + sum.false) / sum.moves));
  into['openings.boxes'] = Number(percent(sum.near / sum.common));
}

async function main(): Promise<void> {
  if (!existsSync(ROOT)) {
    console.log('conformance: no pages here, nothing scored');
    return;
  }
  const only = option('--only')?.split(',') ?? null;
  const set = option('--set');
  const extra = [
    ...(only ? ['--only', only.join()] : []),
    ...(option('--list') ? ['--list', option('--list')!] : []),
    ...(option('--widths') ? ['--widths', option('--widths')!] : []),
  ];
  const scores: Scores = {};
  for (const { name, folder, title, roots, widths } of PAGE_SETS)
    if ((!set || set === name) && existsSync(join(ROOT, folder))) {
      const truth = join(ROOT, folder, 'truth');
      const rootOf = (slug: string) => (roots === 'each' ? join(ROOT, folder, slug) : join(ROOT, folder));
      const manifest = join(ROOT, folder, 'manifest.json');
      report(title, await measureManifest(manifest, (e) => rootOf(e.slug), join(OUT, folder), widths, 800, only));
      console.log(score(truth, join(OUT, folder), extra).trimEnd());
      const scored = scoreJson(truth, join(OUT, folder), only ? ['--only', only.join()] : []);
      take(scored, name, ['menu', 'page'], scores);
    }
  if (!set || set === 'wpt') {
    report(
      'standard pages',
      await measureManifest(
        join(ROOT, 'wpt/manifest.json'),
        () => join(ROOT, 'wpt'),
        join(OUT, 'wpt'),
        [800],
        600,
        only,
      ),
    );
    if (option('--list'))
      console.log(
        score(join(ROOT, 'wpt/truth'), join(OUT, 'wpt'), extra)
          .split('\n')
          .filter((l) => !/^css__.* (page|menu) /.test(l))
          .join('\n'),
      );
    const scored = scoreJson(join(ROOT, 'wpt/truth'), join(OUT, 'wpt'), only ? ['--only', only.join()] : []);
    byArea(scored);
    take(scored, 'wpt', ['page'], scores);
  }
  if (!set || set === 'aria') {
    const entries = readdirSync(join(ROOT, 'aria/pages'))
      .filter((name) => name.endsWith('.html'))
      .map((name) => ({ slug: name.replace(/\.html$/, ''), entry: name }));
    report(
      'name and role pages',
      await measureEntries(entries, () => join(ROOT, 'aria/pages'), join(OUT, 'aria'), [800], 600, only),
    );
    names(scores);
  }
  if ((!set || set === 'menus') && existsSync(join(ROOT, 'menus'))) await menus(only, scores);
  if (!set || set === 'openings') await openings(only, scores);
  console.log(
    Object.entries(scores)
      .map(([key, value]) => `${key} ${value.toFixed(2)}`)
      .join('\n'),
  );
  if (process.argv.includes('--floor')) settleFloor(scores);
}

/** Scores may only rise: below the floor is a failure, above it becomes the new floor when asked to. */
function settleFloor(scores: Scores): void {
  const floor = existsSync(FLOOR) ? (JSON.parse(readFileSync(FLOOR, 'utf8')) as Scores) : {};
  const fallen = Object.entries(floor).filter(([key, least]) => (scores[key] ?? 0) < least - 0.02);
  for (const [key, least] of fallen)
    console.log(`below the floor: ${key} is ${scores[key] ?? 'missing'}, was ${least}`);
  if (process.argv.includes('--raise')) {
    const raised = Object.fromEntries(
      Object.entries(scores).map(([key, value]) => [key, Math.max(value, floor[key] ?? 0)]),
    );
    writeFileSync(FLOOR, `${JSON.stringify(raised, null, 2)}\n`);
    console.log(`floor written to ${FLOOR}`);
  }
  if (fallen.length > 0) process.exitCode = 1;
}

await main();
