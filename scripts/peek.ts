/** Prints the boxes of a page at one width, for a look while working on the engine. */
import { setting } from '../src/core/index.js';
import { loadFile } from '../src/sources/index.js';

const [, , file, width = '1024', filter = ''] = process.argv;
const page = await loadFile(file!, { scripting: false });
const scene = page.scene(setting(Number(width)));
for (const element of page.document.elements) {
  const r = scene.rect(element);
  if (!element.path.includes(filter)) continue;
  const text = r ? [r.x, r.y, r.width, r.height].map((v) => Math.round(v * 100) / 100).join(' ') : '-';
  console.log(
    `${element.path.replace(/:nth-child/g, '')} .${element.classes.join('.')} ${scene.style(element).display} ${text}`,
  );
}
for (const limit of page.limits)
  console.log(`limit ${limit.kind} ${limit.subject}: ${limit.consequence} (${limit.count})`);
