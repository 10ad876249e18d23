/** What an audit costs as the links of a menu grow: all of them in one list, styled, with hover and focus. */
import { auditPage, openPageNow } from '../src/core/index.js';

const COUNTS = [500, 1000, 2000, 4000];
const ROUNDS = 3;

const STYLE =
  'body{margin:0;font:16px/24px Arial}ul{margin:0;padding:0}a{display:block;padding:4px 8px;color:#345;background:#fff}' +
  'a:hover,a:focus{color:#fff;background:#345}li:nth-child(7n) a{color:#999}@media (max-width:600px){a{padding:8px}}';

const pageOf = (count: number): string =>
  `<!doctype html><style>${STYLE}</style><nav aria-label=Main><ul>${Array.from(
    { length: count },
    (_, i) => `<li><a href="p${i}.html">Link ${i}</a></li>`,
  ).join('')}</ul></nav>`;

function seconds(count: number): number {
  const page = openPageNow({ name: 'links', url: 'file:///links.html', html: pageOf(count) }, {});
  const start = process.hrtime.bigint();
  auditPage(page, { at: [375, 1280] });
  return Number(process.hrtime.bigint() - start) / 1e9;
}

/** The least of some rounds, all sizes in each: what else the machine does only adds, and comes in stretches. */
export function linkCosts(): void {
  seconds(COUNTS[0]!);
  const rounds = Array.from({ length: ROUNDS }, () => COUNTS.map(seconds));
  const least = COUNTS.map((_, i) => Math.min(...rounds.map((round) => round[i]!)));
  console.log('Audit of one menu at two widths, all checks, by its links:');
  COUNTS.forEach((count, i) => {
    const growth = i === 0 ? '' : `  ${(least[i]! / least[i - 1]!).toFixed(2)} times for twice the links`;
    console.log(`  ${String(count).padStart(5)}  ${(least[i]! * 1000).toFixed(0).padStart(6)} ms${growth}`);
  });
}
