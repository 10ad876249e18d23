import { auditOnly, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const ITEMS = Array.from({ length: 20 }, (_, i) => `<li><a href=p${i}.html>Part ${i}</a></li>`).join('');
const page = (css: string) =>
  menuPage(
    `a{color:#222;display:block;height:48px}nav ul{display:none}nav.open ul{display:block;position:fixed;top:0;left:0;width:240px;background:#fff}main{height:3000px}${css}`,
    ITEMS,
    "<button id=b style='position:absolute;right:0;top:0'>Menu</button><main>Text</main><script>b.onclick=()=>document.querySelector('nav').classList.toggle('open')</script>",
  );
const STICKY = 'nav{position:sticky;top:0;height:40px}nav.open ul.l,nav.open ul{position:absolute}';

const BELOW = 'nav.open ul{top:64px;height:100vh;overflow:auto}';
const SIDE =
  'nav ul,nav.open ul{display:block;position:static}#b{display:none}nav{position:fixed;left:0;top:0;width:200px}';

const FAULTY: readonly Faulty[] = [
  {
    name: 'a fixed panel taller than the screen',
    page: page(''),
    finds: ['tall normal '],
    mended: page('nav.open ul{max-height:100vh;overflow-y:auto}'),
  },
  {
    name: 'a panel that ends with the screen and cuts what lies lower',
    page: page('nav.open ul{height:100vh;overflow:hidden}'),
    finds: ['tall normal '],
    mended: page('nav.open ul{height:100vh;overflow-y:auto}'),
  },
  {
    name: 'on a low screen alone',
    page: page('a{height:30px}'),
    finds: ['tall normal '],
    mended: page('a{height:30px}nav.open ul{bottom:0;overflow:auto}'),
  },
  {
    name: 'hanging from a sticky bar',
    page: page(STICKY),
    finds: ['tall normal '],
    mended: page(`${STICKY}nav.open ul{max-height:90vh;overflow:auto}`),
  },
  {
    name: 'a panel as high as the screen that begins below a bar',
    page: page(BELOW),
    finds: ['past normal '],
    mended: page(`${BELOW}nav.open ul{height:auto;bottom:0}`),
  },
  {
    name: 'a column beside the page that keeps to the screen',
    page: page(SIDE),
    finds: ['standing normal Main'],
    mended: page(`${SIDE}nav{bottom:0;overflow:auto}`),
  },
  {
    name: 'the same of a sticky one that cuts its end off, on low screens alone',
    page: page(`${SIDE}nav{position:sticky;height:100vh;overflow:hidden;float:left}a{height:38px}`),
    finds: ['standing normal Main'],
    widths: '320–960',
    options: { from: 320, to: 1280 },
    mended: page(`${SIDE}nav{position:sticky;height:100vh;overflow:auto;float:left}a{height:38px}`),
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'a panel that scrolls with the page', page: page('nav.open ul{position:absolute}') },
  {
    name: 'a sticky column that the page carries along to its end',
    page: page(`${SIDE}nav{position:sticky;float:left}main{margin-left:200px}`),
  },
  {
    name: 'a sheet that waits below the screen',
    page: page(
      `${SIDE}nav{top:auto;bottom:0}nav li:nth-child(n+4){position:relative;top:100vh}nav li:nth-child(n+9){display:none}`,
    ),
    also: ['unseen-focus'],
  },
  { name: 'in the flow', page: page('nav.open ul{position:static}') },
  { name: 'short enough for a low screen', page: page('a{height:15px}') },
];

describeCheck('tall-panel', FAULTY, NEAR);

test('what a script may scroll is looked at', () => {
  const html = page('').replace(
    '</script>',
    ";document.querySelector('nav').addEventListener('wheel',()=>scroll())</script>",
  );
  expect(auditOnly('tall-panel')(html).findings.map(({ verdict }) => verdict)).toEqual(['look']);
});
