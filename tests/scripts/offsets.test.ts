import { setting } from '../../src/core/scene/index.js';
import { find, pageFrom } from '../support/page.js';

const MARKUP = `<!doctype html><style>body{margin:8px}#r{position:relative;border:3px solid;margin:20px;padding:5px}
#f{position:fixed;top:9px;left:7px}td{padding:4px}table{margin-left:30px}</style>
<body><div id=a>x</div><div id=r><div><i id=d style="position:absolute;top:4px;left:6px">a</i></div></div>
<div id=f><b id=g>f</b></div><table><tr><td><u id=e>q</u></td></tr></table>
<div style="transform:translateX(5px)"><em id=k>t</em></div><b id=n style="display:none"></b>`;

/** As a browser tells them. */
test.each([
  ['a', '8 8 BODY'],
  ['d', '6 4 r'],
  ['e', '4 4 TD'],
  ['f', '7 9 -'],
  ['g', '0 0 f'],
  ['k', '0 0 DIV'],
  ['n', '0 0 -'],
])('the place of #%s is told from its offset parent', (id, told) => {
  const script = `const e = document.getElementById('${id}'), p = e.offsetParent;
    e.title = e.offsetLeft + ' ' + e.offsetTop + ' ' + (p ? p.id || p.tagName : '-')`;
  const page = pageFrom(`${MARKUP}<script>${script}</script>`);
  const changes = page.restingPose(setting(1000)).changed!.get(find(page, `#${id}`))!;
  expect(changes.get('title')).toBe(told);
});

test('walks up the offset parents end', () => {
  const script = `let e = document.getElementById('g'), n = 0; do n++; while ((e = e.offsetParent)); document.body.title = n`;
  const page = pageFrom(`${MARKUP}<script>${script}</script>`);
  expect(page.restingPose(setting(1000)).changed!.get(page.document.body!)!.get('title')).toBe('2');
});
