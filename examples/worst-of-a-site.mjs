/**
 * The heaviest finding of each page of a folder: `node examples/worst-of-a-site.mjs demo/launched`.
 * What the library finds is plain data: lengths in CSS px, lines and columns from 1.
 */
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { audit, openFile, SourceError } from 'rope-ladder';

const [folder = '.'] = process.argv.slice(2);
for (const file of readdirSync(folder).filter((name) => name.endsWith('.html')).map((name) => join(folder, name))) {
  try {
    const page = await openFile(file, { root: folder });
    const [worst] = audit(page, { at: [375, 1280] }).findings;
    console.log(worst ? `${file}: ${worst.check}. ${worst.says}` : `${file}: nothing found`);
  } catch (error) {
    if (!(error instanceof SourceError)) throw error;
    console.error(`${error.message}. ${error.remedy}`);
  }
}
