import { Site } from '../support/command.js';

const PAGE = `<!doctype html><html lang=en><head><title>Fares</title><link rel=stylesheet href=site.css></head><body>
<header>
<input type=checkbox id=box><label for=box class=nav-toggle>Menu</label>
<nav aria-label="Main"><ul>
<li><a href=index.html aria-current=page>Home</a></li>
<li class=pointed><a href=#>Islands</a><ul><li><a href=sula.html>Sula</a></li><li><a href=kelp.html>Kelp</a></li></ul></li>
<li class=both><button aria-expanded=false>Plan</button><ul><li><a href=cars.html>Cars</a></li></ul></li>
<li class=never><button aria-expanded=false>Crew</button><ul><li><a href=jobs.html>Jobs</a></li></ul></li>
<li><a>Nowhere</a></li>
</ul></nav></header>
<main><p>Text</p></main>
</body></html>`;
const CSS = `#box { position: absolute; opacity: 0 }
nav > ul { display: flex; gap: 20px }
li ul { display: none }
.pointed:hover ul, .both:hover ul, .both:focus-within ul { display: block }
.nav-toggle { display: none }
@media (max-width: 700px) { .nav-toggle { display: block } #box:not(:checked) ~ nav { display: none } }
`;
const site = new Site({
  'page.html': PAGE,
  'site.css': CSS,
  'bare.html': '<!doctype html><p>Nothing here',
  'words.html':
    '<!doctype html><header><p>We sail to <a href=a>Sula</a>, then to <a href=b>Kelp Holm</a> and on to <a href=c>Tern</a> when the tide and the weather let us.</p></header>',
  'written.html': '<!doctype html><nav id=site-nav></nav><script src=menu.js></script><p>text</p>',
  'menu.js': 'document.getElementById("site-nav").innerHTML = ["a", "b"].map((x) => `<a href=${x}>${x}</a>`).join("")',
});
afterAll(() => site.remove());

interface Model {
  menus: {
    kind: string;
    path: string;
    items: { label: string; path: string; level: number }[];
    toggles: { label: string; by: string }[];
    forms: { from: number; to: number; form: string }[];
    routes: { handle: string; move: string; at: number[]; shows: number }[];
    reach: { width: number; mouse: number; touch: number; keyboard: number }[];
    shut: string[];
    crawlable: number;
  }[];
}

describe('menus', () => {
  test('the tree: forms with exact ends, items, what opens them, who gets there', () => {
    const { out, code, err } = site.run(['menus', 'page.html']);
    expect([code, err]).toEqual([0, '']);
    expect(out).toMatch(/^page\.html {2}1 menu\n\nmenu-1 Main\n/);
    expect(out).toContain('320–700 px: behind a toggle');
    expect(out).toContain('701–1920 px: in a row');
    expect(out).toContain('toggle “Menu”, opens when pressed, by key at 375 px  found by label');
    expect(out).toContain('    - Home  current page  index.html');
    expect(out).toContain('    - Islands, opens on hover, when pressed');
    expect(out).toContain('      - Sula  sula.html');
    expect(out).toContain('    - Plan, opens on hover, on focus, when pressed');
    expect(out).toContain('    - Crew, what it owns is opened by no style or markup');
    expect(out).toContain('    - Nowhere  no address');
    expect(out).toContain('a crawler finds addresses for 5 of 6 links');
  });

  test('as data', () => {
    const { menus } = JSON.parse(site.run(['menus', 'page.html', '--json']).out) as Model;
    const [menu] = menus;
    expect(menu).toMatchObject({ kind: 'main', crawlable: 5, toggles: [{ label: 'Menu', by: 'label' }] });
    expect(menu!.items.map(({ label, level }) => `${level} ${label}`)).toEqual([
      '1 Home',
      '1 Islands',
      '2 Sula',
      '2 Kelp',
      '1 Plan',
      '2 Cars',
      '1 Crew',
      '2 Jobs',
      '1 Nowhere',
    ]);
    const pathOf = (label: string) => menu!.items.find((item) => item.label === label)!.path;
    const moves = (label: string) =>
      menu!.routes.filter(({ handle }) => handle === pathOf(label)).map(({ move }) => move);
    expect(moves('Islands')).toEqual(['hover', 'press']);
    expect(moves('Plan')).toEqual(['hover', 'focus', 'press', 'key']);
    expect(menu!.shut).toEqual([pathOf('Crew')]);
    // What only a pointer opens is not there for the keyboard.
    expect(menu!.reach).toEqual([
      { width: 375, mouse: 8, touch: 8, keyboard: 6 },
      { width: 1280, mouse: 8, touch: 8, keyboard: 6 },
    ]);
  });

  test('a page without menus says so', () => {
    const { out, code } = site.run(['menus', 'bare.html']);
    expect(code).toBe(0);
    expect(out).toContain('No navigation landmark');
  });

  test('links of a shadow tree in the markup are said', () => {
    site.put(
      'shadow.html',
      '<!doctype html><site-head><template shadowrootmode="open"><nav><a href="a">A</a><a href="b">B</a><a href="c">C</a></nav></template></site-head><main>x</main>',
    );
    expect(site.run(['menus', 'shadow.html']).out).toContain('the 3 links of the shadow tree in it are not judged');
  });

  test('the links of an image map are said, and seen on its picture', () => {
    site.put(
      'map.html',
      '<!doctype html><html lang=en><body><nav><img src=none.png alt=Harbour usemap="#m" width=90 height=30><map name=m><area href=a alt=Fares><area href=b alt=Times><area href=c alt=Islands></map></nav></body></html>',
    );
    expect(site.run(['menus', 'map.html']).out).toContain('the 3 links of an image map in it are not judged');
    const { out } = site.run(['walk', 'map.html', '--at', '1280']);
    expect(out).toContain('link “Fares”');
    expect(out).not.toContain('cannot be seen');
  });

  test('links that stand like a menu and are none are said, and nothing passes for clean', () => {
    const { out } = site.run(['menus', 'words.html']);
    expect(out).toMatch(/To look at\n {2}header: 3 links stand in it that were not taken for a menu.*words\.html:1/s);
    const audited = site.run(['audit', 'words.html']).out;
    expect(audited).toContain('No menu was found, so none was judged. 1 part to look at.');
    expect(audited).not.toContain('No findings');
  });

  test('a menu a script writes: which part stays empty, and which script fills it', () => {
    const { out } = site.run(['audit', 'written.html']);
    expect(out).toMatch(/#site-nav: it is empty in the markup and filled by menu\.js/);
    expect(site.run(['audit', 'bare.html']).out).not.toContain('to look at');
  });

  test.each([
    [['menus'], /not enough/i],
    [['menus', 'gone.html'], /gone\.html does not exist/],
    [['menus', 'page.html', '--from', '900', '--to', '300'], /--from|narrow/],
  ])('%j is refused', (words, message) => {
    const { code, err } = site.run(words);
    expect(code).not.toBe(0);
    expect(err).toMatch(message);
  });
});
