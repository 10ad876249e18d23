import { Site } from '../support/command.js';

const PAGE = `<!doctype html><html lang=en><head><title>Fares</title><link rel=stylesheet href=site.css></head><body>
<a class=skip href=#m>Skip</a>
<nav aria-label="Main"><ul>
<li><a href=index.html aria-current=page>Home</a></li>
<li class=pointed><a href=#>Islands</a><ul><li><a href=sula.html>Sula</a></li></ul></li>
<li><button aria-expanded=false aria-haspopup=true>Plan</button></li>
<li><a class=bare href=fares.html><b></b></a></li>
<li><a class=gone href=crew.html>Crew</a></li>
</ul></nav>
<details><summary>More</summary><a href=more.html>Within</a></details>
<main id=m><a tabindex=2 href=first.html>First</a></main>
</body></html>`;
const CSS = `.skip { position: absolute; left: -900px } .skip:focus { left: 0 }
.pointed ul { display: none } .pointed:hover ul { display: block }
.bare b { display: inline-block; width: 20px; height: 20px } .bare:focus { outline: none } .gone { position: absolute; left: -900px }
button:focus { outline: none; background-color: #123456; color: #fff }
`;
const site = new Site({ 'page.html': PAGE, 'site.css': CSS });
afterAll(() => site.remove());

interface Model {
  stops: { name: string; role: string; states: string[]; seen: boolean; mark: string[]; box: object | null }[];
  presses: number | null;
  pose: string;
}
const walk = (...words: string[]) => JSON.parse(site.run(['walk', 'page.html', '--json', ...words]).out) as Model;

describe('walk', () => {
  test('stops in order, with what is told of each', () => {
    const { stops, presses } = walk();
    expect(presses).toBeNull();
    expect(stops.map(({ role, name, states }) => [role, name, ...states].join(' '))).toEqual([
      'link First',
      'link Skip',
      'link Home current page',
      'link Islands',
      'button Plan collapsed opens a menu',
      'link ',
      'link Crew',
      expect.stringMatching(/More collapsed$/),
    ]);
  });

  test('what is seen while it has focus, and what focus changes', () => {
    const { stops } = walk();
    const of = (name: string) => stops.find((stop) => stop.name === name)!;
    expect(of('Skip').seen).toBe(true);
    expect(of('Crew').seen).toBe(false);
    expect(of('Home').mark).toEqual(['outline']);
    expect(of('Plan').mark).toEqual(['ground', 'text colour']);
    expect(of('').mark).toEqual([]);
  });

  test('in a pose more can be reached', () => {
    const names = walk('--pose', 'hover:.pointed').stops.map(({ name }) => name);
    expect(names).toContain('Sula');
    expect(walk().stops.map(({ name }) => name)).not.toContain('Sula');
    expect(walk('--pose', 'press:summary').stops.map(({ name }) => name)).toContain('Within');
  });

  test('presses to a stop, as text', () => {
    const { out, code, err } = site.run(['walk', 'page.html', '--until', 'plan']);
    expect([code, err]).toEqual([0, '']);
    expect(out).toMatch(/^page\.html {2}at 1280 px, closed: 5 stops of the Tab key\n/);
    expect(out).toContain(
      '5. button “Plan”, collapsed, opens a menu  marked by ground, text colour (21:1)  page.html:6',
    );
    expect(out).toContain('5 presses of Tab to “plan”');
    expect(site.run(['walk', 'page.html', '--until', 'nowhere']).out).toContain('no stop is called “nowhere”');
  });

  test('how far a mark stands out', () => {
    const css = `body{background:#fff;color:#222}a{color:#045}.ring:focus{outline:2px solid #cfe3ea}
      .strong:focus{outline:3px solid #0b3d59}.filled{background:#eee}.filled:focus{background:#024;color:#fff;outline:none}`;
    const names = ['ring', 'strong', 'filled', 'own'];
    const links = names.map((name) => `<a class="${name}" href="${name}.html">${name}</a>`).join(' ');
    site.put('marks.html', `<!DOCTYPE html><html lang="en"><title>x</title><style>${css}</style><nav>${links}</nav>`);
    const { out } = site.run(['walk', 'marks.html', '--json']);
    const { stops } = JSON.parse(out) as { stops: { name: string; mark: string[]; contrast: number | null }[] };
    expect(stops.map(({ mark, contrast }) => [mark, contrast])).toEqual([
      [['outline'], 1.32],
      [['outline'], 11.5],
      [['ground', 'text colour'], 13.79],
      [['outline'], null],
    ]);
    const text = site.run(['walk', 'marks.html']).out;
    expect(text).toContain('link “ring”  marked by outline (1.32:1), which hardly stands out');
    expect(text).toContain('link “strong”  marked by outline (11.5:1)  marks.html');
  });

  test('what stands out', () => {
    const { out } = site.run(['walk', 'page.html']);
    expect(out).toContain('link without a name  no mark of focus');
    expect(out).toMatch(/link “Crew” {2}cannot be seen/);
  });

  test.each([
    [['walk', 'page.html', '--at', '-4'], /--at/],
    [['walk', 'page.html', '--pose', 'wave:a'], /is no pose/],
  ])('%j is refused', (words, message) => {
    const { code, err } = site.run(words);
    expect(code).toBe(2);
    expect(err).toMatch(message);
  });
});
