import { setting } from '../src/core/index.js';
import { loadFile } from '../src/sources/index.js';
const root='../shared/conformance/real/spectre-docs';
const page = loadFile(root+'/components/nav.html', { scripting: false, root });
const s = page.scene(setting(1024));
const e=page.document.elements.find(e=>e.path==='html>body>div:nth-child(1)>div:nth-child(2)>div:nth-child(1)>a:nth-child(1)')!;
console.log(s.rect(e));
for (const i of s.items) if (i.node.box.element?.path.startsWith('html>body>div:nth-child(1)>div:nth-child(2)')) {console.log(i.index, i.node.box.element?.path.slice(40), i.node.fragment.kind, JSON.stringify(i.node.rect), JSON.stringify(i.node.clips.map(c=>c.rect)), i.node.box.style.pointerEvents, i.node.box.style.visibility); if (i.index>20+s.items.findIndex(i=>i.node.box.element===e)) break;}
