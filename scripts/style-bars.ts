/**
 * Computed values alone, without those that layout resolves: real pages, and the standard's pages of the areas that are
 * about the cascade. Reads what `npm run conformance` measured.
 */
import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync, realpathSync } from 'node:fs';
import { join } from 'node:path';

const ROOT = existsSync('../shared/conformance') ? realpathSync('../shared/conformance') : '../shared/conformance';
const OUT = '.cache/conformance';
const LAYOUT = /^(width|height|top|right|bottom|left|transform|line-height)$|^(margin|padding)-/;
const AREAS =
  /^(css-cascade|css-variables|css-values|css-color|selectors|mediaqueries|css-conditional|css-nesting|css-logical|css-pseudo|CSS2\/cascade|CSS2\/cascade-import|CSS2\/selectors)$/;

type Properties = Record<string, { hit: number; of: number }>;

function properties(
  truth: string,
  engine: string,
  only: readonly string[] | null,
): Record<'menu' | 'page', Properties> {
  const file = join(OUT, 'style.json');
  const args = [
    join(ROOT, 'oracle/score.mjs'),
    truth,
    engine,
    '--json',
    file,
    ...(only ? ['--only', only.join()] : []),
  ];
  execFileSync('node', args, { maxBuffer: 1 << 30 });
  return (JSON.parse(readFileSync(file, 'utf8')) as { perProperty: Record<'menu' | 'page', Properties> }).perProperty;
}

function report(name: string, all: Properties): void {
  const kept = Object.entries(all).filter(([property]) => !LAYOUT.test(property));
  const [hit, of] = kept.reduce(([h, o], [, p]) => [h + p.hit, o + p.of], [0, 0]);
  const low = kept.filter(([, p]) => p.hit / p.of < 0.995).sort((a, b) => a[1].hit / a[1].of - b[1].hit / b[1].of);
  console.log(`${name.padEnd(22)} ${((hit / of) * 100).toFixed(3)} %  (${hit} of ${of})`);
  for (const [property, p] of low.slice(0, 12))
    console.log(`  ${property.padEnd(24)} ${((p.hit / p.of) * 100).toFixed(2)} %`);
}

const real = properties(join(ROOT, 'real/truth'), join(OUT, 'real'), null);
report('real pages, menus', real.menu);
report('real pages, whole', real.page);
const manifest = JSON.parse(readFileSync(join(ROOT, 'wpt/manifest.json'), 'utf8')) as { slug: string; area: string }[];
const slugs = manifest.filter((p) => AREAS.test(p.area)).map((p) => p.slug);
report(`standard pages (${slugs.length})`, properties(join(ROOT, 'wpt/truth'), join(OUT, 'wpt'), slugs).page);
