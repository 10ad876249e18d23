import { findMenus, type Menu } from '../../src/core/menus/index.js';
import { pageFrom } from '../support/page.js';

const links = (...labels: string[]) =>
  labels.map((label) => `<li><a href="${label.toLowerCase()}.html">${label}</a></li>`).join('');
const row = (...labels: string[]) =>
  labels.map((label) => `<a href="${label.toLowerCase()}.html">${label}</a>`).join(' | ');
const parts = (...ids: string[]) => ids.map((id) => `<li><a href="#${id}">${id}</a></li>`).join('');
const sections = (...ids: string[]) => ids.map((id) => `<h2 id=${id}>${id}</h2><p>text</p>`).join('');
const menusIn = (body: string, css = ''): readonly Menu[] =>
  findMenus(pageFrom(`<!doctype html><style>body{margin:0}${css}</style><body>${body}`));
const told = (menus: readonly Menu[]) => menus.map((m) => `${m.kind}: ${m.items.map((i) => i.label).join(' ')}`);

describe('menus no landmark marks', () => {
  test.each<[string, string, string[]]>([
    [
      'a trail by its class',
      `<p class="breadcrumbs">${row('Home', 'Fares')} › Islands</p>`,
      ['breadcrumb: Home Fares'],
    ],
    [
      'a trail of one link',
      '<ol class="breadcrumb"><li><a href=/>Home</a></li><li>Fares</li></ol>',
      ['breadcrumb: Home'],
    ],
    [
      'a pager by what its links say',
      `<main><p>text</p><div><a href=a.html>Previous</a> <a href=b.html>Next</a></div></main>`,
      ['pager: Previous Next'],
    ],
    [
      'a pager by the relation of its links',
      '<div class="step"><a rel=prev href=a.html>Kelp Sound</a><a rel=next href=b.html>Sula</a></div>',
      ['pager: Kelp Sound Sula'],
    ],
    [
      'a bar with a way back',
      `<header><nav><ul>${links('Back to the front page', 'Fares')}</ul></nav></header><main><p>Ferries</p></main>`,
      ['main: Back to the front page Fares'],
    ],
    ['numbered pages', `<main><ul class="pagination">${links('1', '2', '3')}</ul></main>`, ['pager: 1 2 3']],
    [
      'languages by the language of their pages',
      '<div class="bar header"><a hreflang=en href=en>en</a> <a hreflang=fr href=fr>fr</a> <a hreflang=de href=de>de</a></div>',
      ['languages: en fr de'],
    ],
    [
      'languages by a compound word, in a paragraph',
      `<div class="toplang"><p>Languages: ${row('en', 'fr', 'de', 'nl')}</p></div>`,
      ['languages: en fr de nl'],
    ],
    [
      'contents by where their links lead',
      `<main><ul>${parts('piers', 'decks', 'crews')}</ul>${sections('piers', 'decks', 'crews')}</main>`,
      ['contents: piers decks crews'],
    ],
    [
      'a compound class word',
      `<div class="docnav">${row('Fares', 'Times', 'Crews')}</div>`,
      ['main: Fares Times Crews'],
    ],
    [
      'a row of links in the footer',
      `<p style="height:900px">x</p><footer><p>${row('Imprint', 'Privacy', 'Contact')}</p></footer>`,
      ['footer: Imprint Privacy Contact'],
    ],
    [
      'a footer of links in details',
      `<p style="height:900px">x</p><footer><details open><summary>On</summary><a href=a>Imprint</a><a href=b>Privacy</a></details><details><summary>In</summary><a href=c>Contact</a><a href=d>Crew</a></details></footer>`,
      ['footer: On Imprint Privacy In Contact Crew'],
    ],
    [
      'a drop-down is part of the control that drops it',
      `<main><div class="card"><div class="card-header"><div class="dropdown-menu">${row('Sort', 'Hide', 'Share')}</div></div></div></main>`,
      [],
    ],
    [
      'a menu with drop-downs is one',
      `<ul class="dropdown menu">${links('A', 'B')}<li><a href=c>C</a><ul class=menu>${links('D')}</ul></li></ul>`,
      ['main: A B C D'],
    ],
    [
      'the head of a card is not that of the page',
      `<div class="card"><div class="card-header"><ul>${links('All', 'Open', 'Done')}</ul></div></div>`,
      [],
    ],
    [
      'steps of a carousel lead to no page',
      '<div class="slides"><a href="#deck">Previous</a><a href="#deck">Next</a></div><div id=deck></div>',
      [],
    ],
    [
      'a list in what slides in from the side',
      `<div class="side-drawer"><h3>Tidewrack</h3><p>Ferries between the islands all year round</p><ul>${links('Fares', 'Times', 'Crews')}</ul></div>`,
      ['main: Fares Times Crews'],
    ],
    [
      'links beside fields to fill in',
      `<div class="page-header"><form><input><input type=password><div>${row('Begin', 'Register', 'Help')}</div></form></div>`,
      [],
    ],
    [
      'a row across the top of the page, above its heading',
      `<style>li{display:inline}</style><div id="kopf"><ul>${links('Fares', 'Times', 'Crews')}</ul></div><h1>Islands</h1>`,
      ['main: Fares Times Crews'],
    ],
    ['a row below the heading is part of the content', `<h1>Islands</h1><p>${row('Fares', 'Times', 'Crews')}</p>`, []],
    [
      'a row of links to other sites is none',
      `<p>${['a', 'b', 'c'].map((x) => `<a href="https://${x}.example/">${x}</a>`).join(' ')}</p><h1>Islands</h1>`,
      [],
    ],
    [
      'a column beside the text, named by nothing',
      `<style>.c{float:left;width:180px}.c a{display:block;line-height:30px}</style><div class=c>${row('Fares', 'Times', 'Crews', 'Piers')}</div><div><h1>Islands</h1><p>Two a day.</p></div>`,
      ['sidebar: Fares Times Crews Piers'],
    ],
    [
      'a box of links in the text of a section is none',
      `<style>.c{float:right;width:180px}.c a{display:block;line-height:30px}</style><div><h2>Islands</h2><div class=c>${row('Fares', 'Times', 'Crews', 'Piers')}</div><p>Two a day.</p></div>`,
      [],
    ],
    [
      'a column of buttons that open links',
      `<style>.c{float:left;width:180px}.c button{display:block;width:100%;height:40px}.p{display:none}</style><div class=c>${['Sula', 'Kelp', 'Mull'].map((x) => `<button onclick="this.nextElementSibling.classList.toggle('p')">${x}</button><div class=p>${row(`${x} East`, `${x} West`)}</div>`).join('')}</div><div><h1>Islands</h1><p>Two a day.</p></div>`,
      ['sidebar: Sula Sula East Sula West Kelp Kelp East Kelp West Mull Mull East Mull West'],
    ],
    [
      'numbers of lines beside them are none',
      `<style>.c{float:left;width:60px}.c a{display:block}</style><div class=c>${Array.from({ length: 9 }, (_, i) => `<a href="#l${i}">${i}</a>`).join('')}</div><div><h1>Source</h1><pre>code</pre></div>`,
      [],
    ],
    [
      'a row fixed at the lower edge',
      `<h1>Islands</h1><p>Two a day.</p><div style="position:fixed;bottom:0;width:100%">${row('Fares', 'Times', 'Crews')}</div>`,
      ['bottom-bar: Fares Times Crews'],
    ],
    [
      'a notice fixed there is none',
      `<h1>Islands</h1><div style="position:fixed;bottom:0;width:100%">We keep a few things on your device, as told in our ${row('terms', 'rules', 'notes')} and elsewhere.</div>`,
      [],
    ],
    ['lines of links one below the other', `<div>${links('Fares', 'Times', 'Crews')}</div><h1>Islands</h1>`, []],
    [
      'what a button that calls itself a menu opens',
      `<button popovertarget=p>Menu</button><div id=p popover>${row('Fares', 'Times', 'Crews')}</div>`,
      ['other: Fares Times Crews'],
    ],
    [
      'the same by a script',
      `<button id=b>Menu</button><div id=p hidden>${row('Fares', 'Times', 'Crews')}</div><script>b.onclick=()=>{p.hidden=!p.hidden}</script>`,
      ['other: Fares Times Crews'],
    ],
    [
      'what a button of another name opens is none',
      `<button popovertarget=p>Sort</button><div id=p popover>${row('Fares', 'Times', 'Crews')}</div>`,
      [],
    ],
    [
      'footnotes are no contents',
      `<main><ol>${'<li>Said by the harbour master in the spring of the year <a href="#a">back</a></li>'.repeat(3)}</ol><p id=a>x</p></main>`,
      [],
    ],
  ])('%s', (_name, body, expected) => {
    expect(told(menusIn(body))).toEqual(expected);
  });
});

describe('what a menu is for', () => {
  const side = 'aside{float:left;width:200px}aside a{display:block;padding:8px}';
  const body = '<main style="margin-left:220px">text</main>';
  test.each<[string, string, string, string]>([
    ['its name comes first', '<nav aria-label="Breadcrumb">', '', 'breadcrumb'],
    ['names in other languages', '<nav aria-label="Inhaltsverzeichnis">', '', 'contents'],
    ['a bar at the top', '<header><nav>', 'nav{display:flex}', 'main'],
    ['words of looks do not decide', '<header><nav class="secondary primary">', 'nav{display:flex}', 'main'],
    ['a column at a side', '<aside><nav>', side, 'sidebar'],
    ['a bar at the lower edge', '<nav>', 'nav{position:fixed;bottom:0;width:100%;display:flex}', 'bottom-bar'],
    [
      'a bar at the lower edge of narrow windows alone',
      '<nav>',
      'nav{display:none}@media(max-width:600px){nav{position:fixed;bottom:0;width:100%;display:flex}}',
      'bottom-bar',
    ],
    ['a border below says nothing', '<nav class="navbar border-bottom">', 'nav{display:flex}', 'main'],
    ['links beside the main menu', '<header><nav class="topbar">', 'nav{display:flex}', 'utility'],
    ['tabs', '<nav class="tabs">', 'nav{margin-top:900px}', 'tabs'],
  ])('%s', (_name, open, css, kind) => {
    const items = ['Fares', 'Times', 'Crews', 'Piers'].map((x) => `<a href=${x}>${x}</a>`).join('');
    expect(menusIn(`${open}${items}</nav></aside></header>${body}`, css).map((m) => m.kind)).toEqual([kind]);
  });

  test('of two in the header the larger is the main one', () => {
    const menus = menusIn(
      `<header><nav>${row('Log', 'Help')}</nav><nav>${row('A', 'B', 'C', 'D', 'E')}</nav></header>`,
    );
    expect(menus.map((m) => m.kind)).toEqual(['utility', 'main']);
  });
});

describe('items and what they own', () => {
  const outline = ([menu]: readonly Menu[]) => menu!.items.map((i) => '·'.repeat(i.level - 1) + i.label).join(' ');
  test.each<[string, string, string]>([
    [
      'a brand owns no list and is no entry beside one',
      `<nav><a class=brand href=/>Tidewrack</a><ul>${links('A', 'B')}</ul></nav>`,
      'A B',
    ],
    [
      'links without a wrapper in details',
      `<nav><details><summary>Islands</summary>${row('Sula', 'Kelp')}</details><a href=f>Fares</a> <a href=t>Times</a></nav>`,
      'Islands ·Sula ·Kelp Fares Times',
    ],
    [
      'a panel that opens as its block is pointed at',
      `<style>.p{display:none}.m:hover .p{display:block}</style><nav><div class=m><span>Islands</span><div class=p>${row('Sula', 'Kelp')}</div></div><a href=f>Fares</a></nav>`,
      'Islands ·Sula ·Kelp Fares',
    ],
    [
      'the same behind a link that stands before its block',
      `<style>.p{visibility:hidden;position:absolute}.m:hover .p{visibility:visible}</style><nav><a href=f>Fares</a><div class=m><button>Islands</button><div class=p>${row('Sula', 'Kelp')}</div></div></nav>`,
      'Fares Islands ·Sula ·Kelp',
    ],
    [
      'a panel that stands open until its label is pressed',
      `<style>.p{display:none}:checked ~ .p{display:block}</style><nav><div><input type=checkbox id=k checked><label for=k>Islands</label><div class=p>${row('Sula', 'Kelp')}</div></div><a href=f>Fares</a></nav>`,
      'Islands ·Sula ·Kelp Fares',
    ],
    [
      'the same where something cuts the panel off',
      `<style>nav{height:30px;overflow:hidden}.p{display:none}.m:hover .p{display:block;position:absolute;top:40px}.m{position:relative}</style><nav><div class=m><a href=i>Islands</a><div class=p>${row('Sula', 'Kelp')}</div></div><a href=f>Fares</a></nav>`,
      'Islands ·Sula ·Kelp Fares',
    ],
    [
      'a panel that opens behind a link of its own',
      `<style>.p{display:none}.i:hover + .p,.p:hover{display:block}</style><nav><a class=i href=i>Islands</a><div class=p>${row('Sula', 'Kelp')}</div><a href=f>Fares</a></nav>`,
      'Islands ·Sula ·Kelp Fares',
    ],
    [
      'links beside it that show wherever the menu is pointed at',
      `<style>.p{display:none}nav:hover .p{display:block}</style><nav><a href=i>Islands</a><div class=p>${row('Sula', 'Kelp')}</div><a href=f>Fares</a></nav>`,
      'Islands Sula Kelp Fares',
    ],
    ['lists that follow one another', `<nav><ul>${links('A')}</ul><ul>${links('B', 'C')}</ul></nav>`, 'A B C'],
    [
      'a plain word with a panel',
      `<nav><ul><li><span>Islands</span><ul>${links('Sula', 'Kelp')}</ul></li>${links('Fares')}</ul></nav>`,
      'Islands ·Sula ·Kelp Fares',
    ],
    [
      'a button that says it expands',
      `<nav><div><button aria-expanded=false>Islands</button><div>${row('Sula', 'Kelp')}</div></div><a href=f>Fares</a></nav>`,
      'Islands ·Sula ·Kelp Fares',
    ],
    [
      'a panel named by its control',
      `<nav><a href=# data-target="#p">Islands</a><a href=f>Fares</a><a href=t>Times</a><div id=p>${row('Sula', 'Kelp')}</div></nav>`,
      'Islands Fares Times ·Sula ·Kelp',
    ],
    [
      'a button that shuts what it stands in',
      `<nav><div id=p><button data-target="#p">Close up</button><ul>${links('A', 'B')}</ul></div></nav>`,
      'A B',
    ],
    [
      'the button of a search field is none',
      `<nav><ul>${links('A', 'B')}</ul><ul><li><input type=search></li><li><button>Search</button></li></ul></nav>`,
      'A B',
    ],
  ])('%s', (_name, body, expected) => {
    expect(outline(menusIn(body))).toBe(expected);
  });

  test('words on what holds several items mark none of them as current', () => {
    const [menu] = menusIn(
      `<nav><div class=active>${row('A', 'B')}</div><a id=current href=c>C</a><a class=here href=d>D</a></nav>`,
    );
    expect(menu!.items.map((i) => i.current?.by ?? null)).toEqual([null, null, null, 'class']);
  });

  test('classes for when something is pressed do not mark what is current', () => {
    const [menu] = menusIn(`<nav>${row('A', 'B')}<a href=c class="active:red hover:active">C</a></nav>`);
    expect(menu!.items.map((i) => i.current)).toEqual([null, null, null]);
  });
});

describe('what opens a menu', () => {
  const nav = `<nav id=n>${row('A', 'B', 'C')}</nav>`;
  const hidden = 'nav{display:none}';
  const bars = '<span></span><span></span><span></span>';
  test.each<[string, string, string, string | null]>([
    ['any attribute that names it', `<button data-opens="n">x</button>${nav}`, hidden, 'data-target'],
    ['a handler that names it', `<a href="javascript:void(0)" onclick="show('n')">x</a>${nav}`, hidden, 'handler'],
    ['three bars', `<button>${bars}</button>${nav}`, hidden, 'wording'],
    ['an icon of that sense', `<button><i class="fa fa-bars"></i></button>${nav}`, hidden, 'wording'],
    [
      'the box a label switches, wherever it stands',
      `<input type=checkbox id=c><div><label for=c>x</label></div><div><div>${nav}</div></div>`,
      '#c:not(:checked)~div nav{display:none}',
      'label',
    ],
    [
      'whatever it is called, by what a press on it does',
      `<div class=b1>x</div>${nav}<script>document.querySelector('.b1').onclick=()=>n.classList.toggle('on')</script>`,
      `${hidden}nav.on{display:block}`,
      'effect',
    ],
    [
      'a listener around it that knows it by its class',
      `<i class=b1>x</i>${nav}<script>document.addEventListener('click',(e)=>{if(e.target.closest('.b1'))n.className='on'})</script>`,
      `.b1{display:block;width:40px;height:40px;cursor:pointer}${hidden}nav.on{display:block}`,
      'effect',
    ],
    [
      'what is pressed for something else is none',
      `<div class=b1>x</div>${nav}<p id=p hidden>Text</p><script>document.querySelector('.b1').onclick=()=>{p.hidden=false}</script>`,
      hidden,
      null,
    ],
    [
      'the button in what is listened to',
      `<div class=b1><button class=x>x</button></div>${nav}<script>document.querySelector('.b1').onclick=()=>n.classList.toggle('on')</script>`,
      `${hidden}nav.on{display:block}`,
      'effect',
    ],
    ['the menu of an account is another', `<button>Account menu</button>${nav}`, hidden, null],
    ['a backdrop closes', `<label class="nav-overlay" for=c>x</label><input type=checkbox id=c>${nav}`, hidden, null],
    ['what hides it closes', `<button aria-controls=n>Hide menu</button>${nav}`, hidden, null],
    ['a link to a part of the page', `<a href="#n">Skip</a>${nav}`, '', null],
    ['a link of bare boxes to the menu after it', `<a href="#n"><b></b></a>${nav}`, hidden, 'fragment'],
    ['one behind it leads back up', `${nav}<a href="#n"><b></b></a>`, '', null],
    [
      'a label around its own box',
      `${nav}<label><input type=checkbox checked>Main menu and titles</label>`,
      hidden,
      null,
    ],
    [
      'a button for all there is beside the brand',
      `<nav><a class=brand href=/>Tidewrack</a><button class="nav-toggler" aria-expanded=false>x</button><div class=c>${row('A', 'B')}</div></nav>`,
      '.c{display:none}',
      'wording',
    ],
  ])('%s', (_name, body, css, by) => {
    const menus = menusIn(body, css);
    expect(menus.flatMap((m) => m.toggles.map((t) => t.by))).toEqual(by ? [by] : []);
  });

  test('of two menus the one named with the same word', () => {
    const menus = menusIn(
      `<header><nav class="topbar">${row('A', 'B')}</nav><a href=# class="sidebar-toggle">${bars}</a></header><div class="sidebar"><ul>${links('C', 'D', 'E')}</ul></div>`,
      '.sidebar{margin-left:-900px}',
    );
    expect(menus.map((m) => [m.kind, m.toggles.length])).toEqual([
      ['utility', 0],
      ['sidebar', 1],
    ]);
  });
});
