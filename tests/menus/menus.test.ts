import { findMenus, formOf, seenItems, type Menu } from '../../src/core/menus/index.js';
import { pageFrom, sceneAt, styled } from '../support/page.js';

const links = (...labels: string[]) =>
  labels.map((label) => `<li><a href="${label.toLowerCase()}.html">${label}</a></li>`).join('');
const menusIn = (body: string, css = ''): readonly Menu[] => findMenus(styled(css, body));
const outline = (menus: readonly Menu[]) =>
  menus.map((m) => `${m.kind}: ${m.items.map((i) => '·'.repeat(i.level - 1) + i.label).join(' ')}`);

describe('finding menus', () => {
  test.each<[string, string, string[]]>([
    ['a navigation landmark', `<nav><ul>${links('Home', 'Fares')}</ul></nav>`, ['main: Home Fares']],
    ['role navigation', `<div role=navigation><ul>${links('Home', 'Fares')}</ul></div>`, ['main: Home Fares']],
    ['in the header', `<header><nav><ul>${links('Home', 'Fares')}</ul></nav></header>`, ['main: Home Fares']],
    ['in the footer', `<footer><nav><ul>${links('Home', 'Fares')}</ul></nav></footer>`, ['footer: Home Fares']],
    [
      'a list in a header without a landmark',
      `<header><ul>${links('Home', 'Fares', 'Times')}</ul></header>`,
      ['main: Home Fares Times'],
    ],
    [
      'two links in a list named menu in the head of the page',
      `<div id=page-header><h1>Pier</h1><ul class="links" id="page-menu">${links('Home', 'Fares')}</ul></div>`,
      ['main: Home Fares'],
    ],
    ['two links in such a list elsewhere', `<div><ul id="page-menu">${links('Home', 'Fares')}</ul><p>text</div>`, []],
    [
      'a list named menu',
      `<div class="main-menu">${'<a href=a>A</a><a href=b>B</a><a href=c>C</a>'}</div>`,
      ['main: A B C'],
    ],
    [
      'a list of panels with words of their own',
      `<ul class="sf-menu">${links('Islands', 'Timetable', 'Fares')}<li><div>Rather a lot of words in a panel of its own</div></li></ul>`,
      ['main: Islands Timetable Fares'],
    ],
    ['one link is no menu', '<nav><a href=x>Only</a></nav>', []],
    [
      'a paragraph with links is none',
      '<header><div class=menu><p>We sail to <a href=a>A</a>, <a href=b>B</a> and also to the faraway rocks of <a href=c>C</a> in summer.</p></div></header>',
      [],
    ],
    ['links in an article are none', `<article><ul>${links('One', 'Two', 'Three')}</ul></article>`, []],
    [
      'a breadcrumb trail',
      `<nav aria-label="Breadcrumb"><ol>${links('Home', 'Fares')}</ol></nav>`,
      ['breadcrumb: Home Fares'],
    ],
    ['a bottom bar', `<nav class="bottom-nav"><ul>${links('Home', 'Fares')}</ul></nav>`, ['bottom-bar: Home Fares']],
    [
      'a landmark inside a landmark is a menu of its own',
      `<nav><ul>${links('A', 'B')}</ul><nav>${links('C', 'D')}</nav></nav>`,
      ['main: A B', 'main: C D'],
    ],
    [
      'two menus',
      `<nav><ul>${links('A', 'B')}</ul></nav><footer><nav><ul>${links('C', 'D')}</ul></nav></footer>`,
      ['main: A B', 'footer: C D'],
    ],
    [
      'submenus',
      `<nav><ul><li><a href=#>Islands</a><ul>${links('Sula', 'Kelp')}</ul></li>${links('Fares')}</ul></nav>`,
      ['main: Islands ·Sula ·Kelp Fares'],
    ],
    [
      'submenus behind buttons',
      `<nav><ul><li><button>Islands</button><div><ul>${links('Sula', 'Kelp')}</ul></div></li></ul></nav>`,
      ['main: Islands ·Sula ·Kelp'],
    ],
    [
      'details as submenu',
      `<nav><ul>${links('Home', 'Fares')}<li><details><summary>Islands</summary><ul>${links('Sula', 'Kelp')}</ul></details></li></ul></nav>`,
      ['main: Home Fares Islands ·Sula ·Kelp'],
    ],
    [
      'three levels',
      `<nav><ul><li><a href=#>A</a><ul><li><a href=#>B</a><ul>${links('C', 'D')}</ul></li></ul></li></ul></nav>`,
      ['main: A ·B ··C ··D'],
    ],
    [
      'search forms are no items',
      `<nav><ul>${links('A', 'B')}</ul><form><button>Go</button></form></nav>`,
      ['main: A B'],
    ],
  ])('%s', (_name, body, expected) => {
    expect(outline(menusIn(body))).toEqual(expected);
  });

  test('labels come from the landmark or say where it stands', () => {
    const [first, second, third] = menusIn(
      `<nav aria-label="Main">${links('A', 'B')}</nav><h2 id=h>Islands</h2><nav aria-labelledby=h>${links('C', 'D')}</nav><footer><nav>${links('E', 'F')}</nav></footer>`,
    );
    expect([first!.label, second!.label, third!.label]).toEqual(['Main', 'Islands', 'footer menu']);
    expect([first!.id, third!.id]).toEqual(['menu-1', 'menu-3']);
  });

  test('the current page, by attribute or by class', () => {
    const [menu] = menusIn(
      '<nav><ul><li><a href=a aria-current=page>A</a></li><li class="is-active"><a href=b>B</a></li><li><a href=c>C</a></li></ul></nav>',
    );
    expect(menu!.items.map((i) => i.current?.by ?? null)).toEqual(['aria-current', 'class', null]);
  });

  test('item labels fall back to alternative text and title', () => {
    const [menu] = menusIn(
      '<nav><a href=a><img alt="Home"></a><a href=b title="Fares"></a><a href=c aria-label="Times">x</a></nav>',
    );
    expect(menu!.items.map((i) => i.label)).toEqual(['Home', 'Fares', 'Times']);
  });
});

describe('toggles', () => {
  const list = `<ul>${links('A', 'B', 'C')}</ul>`;
  test.each<[string, string, [string, string][]]>([
    ['aria-controls', `<button aria-controls=n>Menu</button><nav id=n>${list}</nav>`, [['Menu', 'aria-controls']]],
    ['data-target', `<button data-target="#n">x</button><nav id=n>${list}</nav>`, [['x', 'data-target']]],
    [
      'popovertarget',
      `<button popovertarget=n>Open</button><nav id=n popover>${list}</nav>`,
      [['Open', 'popovertarget']],
    ],
    [
      'a label and its checkbox',
      `<input type=checkbox id=c><label for=c class="nav-toggle">Menu</label><nav>${list}</nav>`,
      [['Menu', 'label']],
    ],
    [
      'inside the landmark',
      `<nav><button aria-controls=l>Menu</button><ul id=l>${links('A', 'B', 'C')}</ul></nav>`,
      [['Menu', 'aria-controls']],
    ],
    ['by class alone', `<div class="menu-toggle" onclick="x()"></div><nav>${list}</nav>`, [['', 'wording']]],
    ['by wording alone', `<header><button>Navigation</button><nav>${list}</nav></header>`, [['Navigation', 'wording']]],
    ['details around', `<details><summary>Menu</summary><nav>${list}</nav></details>`, [['Menu', 'details']]],
    ['a close button is none', `<button class="menu-close">Close menu</button><nav>${list}</nav>`, []],
    ['a link elsewhere is none', `<a href="/menu.html" class="menu-toggle">Menu</a><nav>${list}</nav>`, []],
    [
      'a submenu button is none',
      `<nav><ul><li><button aria-controls=s>More</button><ul id=s>${links('A', 'B')}</ul></li>${links('C', 'D', 'E')}</ul></nav>`,
      [],
    ],
    [
      'drop-down links of the list are none',
      `<nav><ul><li><a href="#" class="nav-link dropdown-toggle" data-toggle=dropdown>More</a><ul>${links('A', 'B')}</ul></li>${links('C')}</ul></nav>`,
      [],
    ],
  ])('%s', (_name, body, expected) => {
    const [menu] = menusIn(body);
    expect(menu!.toggles.map((t) => [t.label, t.by])).toEqual(expected);
  });

  test('a toggle is no item of its menu', () => {
    const [menu] = menusIn(`<nav><button aria-controls=l>Menu</button><ul id=l>${links('A', 'B', 'C')}</ul></nav>`);
    expect(menu!.items.map((i) => i.label)).toEqual(['A', 'B', 'C']);
  });

  test('each toggle belongs to its nearest menu', () => {
    const menus = menusIn(
      `<header><button class="nav-toggle">x</button><nav>${list}</nav></header><footer><nav>${list}</nav></footer>`,
    );
    expect(menus.map((m) => m.toggles.length)).toEqual([1, 0]);
  });
});

describe('form', () => {
  const body = `<header><button class=nav-toggle>Menu</button><nav><ul>${links('Home', 'Fares', 'Times')}</ul></nav></header>`;
  const form = (css: string, width = 800, html = body) => {
    const page = pageFrom(`<!doctype html><style>ul{margin:0;padding:0;list-style:none}${css}</style>${html}`);
    return formOf(findMenus(page)[0]!, sceneAt(page, width));
  };

  test.each<[string, string, string]>([
    ['a column by default', '', 'column'],
    ['flex makes a row', 'ul{display:flex}', 'row'],
    ['floats make a row', 'li{float:left}', 'row'],
    ['inline items make a row', 'li{display:inline}', 'row'],
    ['hidden behind the toggle', 'nav{display:none}', 'toggle'],
    ['hidden without a toggle', 'nav,.nav-toggle{display:none}', 'none'],
    ['moved off the page', 'nav{position:fixed;left:-400px;width:300px}', 'toggle'],
    ['a bar at the bottom', 'nav{position:fixed;bottom:0;left:0;right:0}ul{display:flex}', 'bottom-bar'],
    ['a rail at the side', 'nav{position:fixed;top:0;left:0;bottom:0;width:200px}', 'rail'],
  ])('%s', (_name, css, expected) => {
    expect(form(css)).toBe(expected);
  });

  test('it changes with the width', () => {
    const css =
      '.nav-toggle{display:none}ul{display:flex}@media (max-width:600px){nav{display:none}.nav-toggle{display:block}}';
    expect([form(css, 600), form(css, 601)]).toEqual(['toggle', 'row']);
  });

  test('items that cannot be seen are left out', () => {
    const page = styled('li:nth-child(2){display:none}', body);
    const [menu] = findMenus(page);
    expect(seenItems(menu!, sceneAt(page)).map(({ item }) => item.label)).toEqual(['Home', 'Times']);
  });
});
