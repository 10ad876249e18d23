/** Writes a page of documentation for every check from its own declaration. `npm run docs:checks` */
import { mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { CHECKS } from '../src/core/index.js';
import { checkPage } from '../src/formats/index.js';

const FOLDER = 'docs/checks';
mkdirSync(FOLDER, { recursive: true });
for (const name of readdirSync(FOLDER)) rmSync(`${FOLDER}/${name}`);
for (const check of CHECKS) writeFileSync(`${FOLDER}/${check.meta.id}.md`, checkPage(check));
console.log(`${CHECKS.length} pages in ${FOLDER}`);
