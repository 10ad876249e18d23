/** What reading the page's HTML and style sheets alone costs: the yardstick for the audit. */
import { readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { parse } from 'parse5';
import safeParse from 'postcss-safe-parser';

const file = process.argv[2];
const html = readFileSync(file, 'utf8');
parse(html, { sourceCodeLocationInfo: true });
for (const [, href] of html.matchAll(/<link rel="stylesheet" href="([^"]+)"/g))
  safeParse(readFileSync(join(dirname(file), href), 'utf8'));
