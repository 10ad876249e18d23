import { auditPage, type AuditResult } from '../../src/core/index.js';
import { pageFrom } from '../support/page.js';

/*
 * Whole pages as people build them: each way to fold a menu and to open a panel, first made well, then with one fault.
 */

const ITEMS = 'Home Fares Timetable Islands Crew Shop Contact'.split(' ');
const LINKS = ITEMS.map((name) => `<li><a href="${name.toLowerCase()}.html">${name}</a></li>`).join('');
const BASE =
  '*{box-sizing:border-box}body{margin:0;font:16px/1.5 Arial,sans-serif;color:#222;background:#fff}ul{list-style:none;margin:0;padding:0}a{color:#0b4f6c;text-decoration:none}.in{max-width:1100px;margin:0 auto;padding:0 20px}.skip{position:absolute;left:-999px}.skip:focus{left:8px;top:8px;background:#fff}a:focus-visible,button:focus-visible,summary:focus-visible{outline:3px solid #0b4f6c}.bar{background:#fff;border-bottom:1px solid #999}.btn{display:none;font:inherit;padding:10px 14px;min-height:44px}.menu a{display:block;padding:12px 14px}.menu>ul{display:flex;gap:4px}';
const JS = "document.documentElement.className='js';";
const TOGGLE = `${JS}document.querySelector('.btn').addEventListener('click',function(){var m=document.querySelector('.menu');m.classList.toggle('open');this.setAttribute('aria-expanded',m.classList.contains('open'))});`;
const FOLDED =
  '@media(max-width:760px){.js .btn{display:block}.js .menu{display:none}.js .menu.open{display:block}.menu>ul{display:block}}';
const BUTTON = '<button class="btn" type="button" aria-expanded="false" aria-controls="menu">Menu</button>';

interface Built {
  readonly css?: string;
  readonly button?: string;
  readonly links?: string;
  readonly header?: string;
  readonly script?: string;
  readonly after?: string;
}

const built = ({ css = '', button = BUTTON, links = LINKS, header, script = TOGGLE, after = '' }: Built): string =>
  `<!doctype html><html lang="en"><head><title>Pier</title><meta name="viewport" content="width=device-width, initial-scale=1"><style>${BASE}${css}</style></head><body><a class="skip" href="#main">Skip to content</a>${header ?? `<header class="bar"><div class="in">${button}<nav class="menu" id="menu" aria-label="Main"><ul>${links}</ul></nav></div></header>`}<main id="main"><div class="in"><h1>Pier</h1><p>${'Boats leave on time, whatever the weather says. '.repeat(30)}</p></div>${after}</main>${script ? `<script>${script}</script>` : ''}</body></html>`;

const said = ({ findings }: AuditResult): string[] =>
  findings.map(
    (f) =>
      `${f.verdict === 'look' ? 'look' : f.weight} ${f.check} ${f.widths.map((w) => `${w.from}–${w.to}`).join(', ')}`,
  );

const ENTRY = '<li><a href="islands.html">Islands</a></li>';
const SUB = '<ul class="sub"><li><a href="sula.html">Sula</a></li><li><a href="kelp.html">Kelp</a></li></ul>';
const DROP =
  '.has{position:relative}.menu .sub{display:none;position:absolute;left:0;top:100%;width:200px;background:#fff;border:1px solid #777;z-index:5}@media(max-width:760px){.menu .sub{position:static}}';
const HOVER = '.menu .has:hover .sub,.menu .has:focus-within .sub{display:block}';
/** An entry whose link hovers open, and a button beside it for those who cannot hover. */
const BOTH = LINKS.replace(
  ENTRY,
  `<li class="has"><a href="islands.html">Islands</a><button type="button" class="more" aria-expanded="false" aria-label="Islands, more">▾</button>${SUB}</li>`,
);
const MORE = `${TOGGLE}document.querySelectorAll('.more').forEach(function(b){b.addEventListener('click',function(){var o=b.parentNode.classList.toggle('on');b.setAttribute('aria-expanded',o)})})`;
const OPENED = '.menu .has.on .sub{display:block}.more{min-width:32px;min-height:32px;font:inherit}';

describe('made well, nothing is found', () => {
  test.each<[string, Built]>([
    ['a button and a script', { css: FOLDED }],
    [
      'a checkbox that is there for the keyboard',
      {
        css: '.cb{position:absolute;opacity:0;width:44px;height:44px;margin:0}.lb{display:none;padding:10px 14px}@media(max-width:760px){.lb{display:inline-block}.menu{display:none}.cb:checked~.menu{display:block}.cb:focus-visible+.lb{outline:3px solid #0b4f6c}.menu>ul{display:block}}@media(min-width:760.02px){.cb{display:none}}',
        button: '<input class="cb" type="checkbox" id="t"><label class="lb" for="t">Menu</label>',
        script: '',
      },
    ],
    [
      'a popover with a menu of its own',
      {
        css: '.btn{border:1px solid #555}@media(min-width:760.02px){.pop{display:none!important}}@media(max-width:760px){.btn{display:inline-block}.menu{display:none}}.pop{inset:60px auto auto 10px;width:260px;max-height:calc(100vh - 60px);margin:0;border:1px solid #555;background:#fff}.pop a{display:block;padding:12px}',
        header: `<header class="bar"><div class="in"><button class="btn" popovertarget="pop" type="button">Menu</button><nav class="menu" aria-label="Main"><ul>${LINKS}</ul></nav><nav class="pop" id="pop" popover aria-label="Main, folded"><ul>${LINKS}</ul></nav></div></header>`,
        script: '',
      },
    ],
    [
      'a dialog with a menu of its own',
      {
        css: '.btn{border:1px solid #555}dialog{border:1px solid #555;width:280px}dialog a{display:block;padding:12px}.x{font:inherit;padding:10px 14px}@media(max-width:760px){.js .btn{display:inline-block}.js .menu{display:none}}',
        header: `<header class="bar"><div class="in"><button class="btn" type="button" aria-haspopup="dialog">Menu</button><nav class="menu" aria-label="Main"><ul>${LINKS}</ul></nav><dialog id="dlg" aria-label="Menu"><button class="x" type="button">Close</button><nav aria-label="Main, folded"><ul>${LINKS}</ul></nav></dialog></div></header>`,
        script: `${JS}var d=document.getElementById('dlg');document.querySelector('.btn').addEventListener('click',function(){d.showModal()});document.querySelector('.x').addEventListener('click',function(){d.close()})`,
      },
    ],
    [
      'a panel from the side, for those who want it still too',
      {
        css: '.x{font:inherit;padding:10px 14px;display:none}@media(max-width:760px){.js .btn{display:inline-block}.js .menu{position:fixed;inset:0 auto 0 0;width:280px;background:#fff;transform:translateX(-100%);visibility:hidden;transition:transform .3s,visibility .3s;overflow-y:auto;z-index:20}.js .menu.open{transform:none;visibility:visible}.menu>ul{display:block}.x{display:inline-block}}@media(prefers-reduced-motion:reduce){.menu{transition:none!important}}',
        header: `<header class="bar"><div class="in">${BUTTON}<nav class="menu" id="menu" aria-label="Main"><button class="x" type="button">Close</button><ul>${LINKS}</ul></nav></div></header>`,
        script: `${JS}var b=document.querySelector('.btn'),m=document.querySelector('.menu');function set(o){m.classList.toggle('open',o);b.setAttribute('aria-expanded',String(o))}b.addEventListener('click',function(){set(!m.classList.contains('open'))});document.querySelector('.x').addEventListener('click',function(){set(false);b.focus()});document.addEventListener('keydown',function(e){if(e.key==='Escape')set(false)})`,
      },
    ],
    ['a submenu for pointer, keys and touch', { css: `${FOLDED}${DROP}${HOVER}${OPENED}`, links: BOTH, script: MORE }],
    [
      'a strip that scrolls by itself',
      { css: '.menu{overflow-x:auto}.menu>ul{width:max-content}', button: '', script: '' },
    ],
    [
      'a bar that turns solid once the page is scrolled',
      {
        css: `${FOLDED}.bar{position:sticky;top:0;background:transparent;z-index:4}.bar.solid{background:#fff}html{scroll-padding-top:60px}.menu{background:#fff}`,
        script: `${TOGGLE}addEventListener('scroll',function(){document.querySelector('.bar').classList.toggle('solid',scrollY>10)})`,
        after: '<section style="background:#123;color:#fff;height:900px"><h2>Night</h2></section>',
      },
    ],
  ])('%s', (_name, page) => {
    const result = auditPage(pageFrom(built(page)));
    expect(result.crashed).toEqual([]);
    expect(said(result)).toEqual([]);
    expect(result.menus.length).toBeGreaterThan(0);
  });
});

describe('with one fault, that one is told, at its widths', () => {
  const sub = LINKS.replace(ENTRY, `<li class="has"><a href="islands.html">Islands ▾</a>${SUB}</li>`);
  const narrow = (css: string) =>
    FOLDED.replace('.js .menu.open{display:block}', `.js .menu.open{display:block;${css}}`);
  test.each<[string, Built, readonly string[]]>([
    [
      'the script looks for another class',
      {
        css: FOLDED,
        script: `${JS}var m=document.querySelector('.nav-menu');document.querySelector('.btn').onclick=function(){m&&m.classList.toggle('open')}`,
      },
      ['blocks toggle-dead 320–760'],
    ],
    [
      'the sheet waits for another class',
      { css: FOLDED.replace('.menu.open', '.menu.is-open') },
      ['blocks toggle-dead 320–760'],
    ],
    [
      'a div that is pressed',
      { css: FOLDED, button: '<div class="btn">Menu</div>' },
      ['blocks press-only-control 320–760'],
    ],
    [
      'three bars and no name',
      {
        css: FOLDED,
        button:
          '<button class="btn" type="button" aria-expanded="false"><svg width="24" height="24" viewBox="0 0 24 24"><path d="M3 6h18v2H3zm0 5h18v2H3z"/></svg></button>',
      },
      ['blocks nameless-control 320–760'],
    ],
    ['scripts off, nothing opens', { css: FOLDED.replace(/\.js /g, '') }, ['hinders needs-script 320–760']],
    [
      'hidden before its button shows',
      {
        css: '@media(max-width:900px){.js .menu{display:none}}@media(max-width:600px){.js .btn{display:block}.js .menu.open{display:block}.menu>ul{display:block}}',
      },
      ['blocks no-menu 601–900'],
    ],
    [
      'an item less on phones',
      { css: `${FOLDED}@media(max-width:760px){.menu li:nth-child(6){display:none}}` },
      ['hinders missing-in-mobile 320–760'],
    ],
    [
      'hover alone',
      { css: `${FOLDED}${DROP}.menu .has:hover .sub{display:block}`, links: sub },
      ['blocks hover-only-opening 320–1920', 'hinders touch-dead 320–1920'],
    ],
    [
      'an offset between item and panel',
      {
        css: `${FOLDED}${DROP}${HOVER}${OPENED}@media(min-width:761px){.menu .sub{top:calc(100% + 14px)}}`,
        links: BOTH,
        script: MORE,
      },
      ['hinders hover-gap 761–1920'],
    ],
    [
      'a panel under the heading',
      {
        css: `${FOLDED}${DROP}${HOVER}${OPENED}.menu .sub{z-index:1}h1{position:relative;z-index:2;background:#eee;margin:0;padding:30px}`,
        links: BOTH,
        script: MORE,
      },
      ['blocks buried-menu 761–1920'],
    ],
    [
      'a panel that the bar cuts off',
      { css: `${FOLDED}${DROP}${HOVER}${OPENED}.bar{overflow:hidden}`, links: BOTH, script: MORE },
      ['blocks clipped-menu 761–1920'],
    ],
    [
      'a panel taller than a low screen',
      { css: `${narrow('position:fixed;inset:60px 0 0 0;overflow:hidden;background:#fff')}.menu a{padding:20px}` },
      ['blocks tall-panel 320–760'],
    ],
    [
      'a panel over its own button',
      { css: narrow('position:fixed;inset:0;background:#fff;z-index:9') },
      ['hinders no-close 320–760'],
    ],
    [
      'a see-through bar over a dark part',
      {
        css: `${FOLDED}.bar{position:sticky;top:0;background:rgb(255 255 255/.4);z-index:4}html{scroll-padding-top:60px}.menu{background:none}@media(max-width:760px){.bar{background:#fff}}`,
        after: '<section style="background:#123;color:#fff;height:900px"><h2>Night</h2></section>',
      },
      ['hinders scroll-contrast 761–1920'],
    ],
    [
      'a row that hangs over the edge',
      { css: `${FOLDED}@media(min-width:760.02px){.menu{margin:0 -40px}}` },
      ['hinders sideways-scroll 761–1137'],
    ],
    [
      'entries that overlap',
      { css: `${FOLDED}@media(min-width:760.02px){.menu li{margin-right:-14px}}` },
      ['hinders overlapping-targets 761–1920'],
    ],
  ])('%s', (_name, page, expected) => {
    const result = auditPage(pageFrom(built(page)));
    expect(result.crashed).toEqual([]);
    expect(said(result)).toEqual(expected);
  });
});
