import { XMLParser, XMLValidator } from 'fast-xml-parser';
import { framesOf, type Page } from '../../src/core/index.js';
import { drawSheet, toPng, type MarkName } from '../../src/formats/index.js';
import { shippedOutlines, type ShippedOutlines } from '../../src/sources/index.js';
import { styled } from '../support/page.js';

let outlines: ShippedOutlines;
beforeAll(async () => {
  outlines = await shippedOutlines();
});

function draw(page: Page, width = 400, marks: readonly MarkName[] = []): string {
  const frames = framesOf(page, { from: width, to: width, height: 300, widths: [width], region: 'screen' });
  return drawSheet(page, frames.slice(0, 1), { marks, pins: () => [], legend: [] }, outlines).svg;
}

const NAV = '<nav><ul><li><a href=a>Home</a></li><li><a href=b>Fares</a></li></ul></nav>';

describe('what is drawn', () => {
  test('small capitals stand as close as they are wide', () => {
    const css = 'body{margin:0}p{color:#0a0b0c;font:small-caps 20px Arial}';
    const [, drawn] = /<g fill="#0a0b0c">(.*?)<\/g>/s.exec(draw(styled(css, '<p>Tide Tide</p>')))!;
    const at = [...drawn!.matchAll(/translate\(([\d.]+)/g)].map(([, x]) => Number(x));
    const apart = at.filter((_, i) => i % 4 === 0);
    expect(at.length).toBe(8);
    // Three letters at 14 px, one and a space at 20; all at 20 px they were 51.
    expect(apart[1]! - apart[0]!).toBeLessThan(42);
    expect(apart[1]! - apart[0]!).toBeGreaterThan(40);
  });

  test.each<[string, string, string, RegExp]>([
    ['a ground', '#a{background:#123456}', '<div id=a>x</div>', /<path d="M[^"]*" fill="#123456"/],
    ['a see-through ground', '#a{background:#12345680}', '<div id=a>x</div>', /fill="#123456" fill-opacity="0\.5"/],
    ['round corners', '#a{background:#123456;border-radius:6px}', '<div id=a>x</div>', /a6 6 0 0 1 6 6/],
    ['one border all around', '#a{border:3px solid #abcdef}', '<div id=a>x</div>', /stroke-width="3" stroke="#abcdef"/],
    ['dashes', '#a{border:2px dashed #abcdef}', '<div id=a>x</div>', /stroke-dasharray="4 4"/],
    ['one side alone', '#a{border-bottom:4px solid #abcdef}', '<div id=a>x</div>', /Z" fill="#abcdef"/],
    ['text in its colour', '#a{color:#0a0b0c}', '<div id=a>x</div>', /<g fill="#0a0b0c"><use href="#g\d+"/],
    [
      'letters of adjusted size',
      '#a{font:20px Arial;font-size-adjust:1.0566}',
      '<div id=a>x</div>',
      /scale\(0\.0195\d/,
    ],
    ['a line under text', '#a{color:#0a0b0c}', '<a href=x id=a>x</a>', /<rect [^>]*height="1" fill="#0a0b0c"/],
    [
      'a gradient',
      '#a{background:linear-gradient(90deg,#111111,#eeeeee)}',
      '<div id=a>x</div>',
      /<stop offset="1" stop-color="#eeeeee"/,
    ],
    ['a shadow', '#a{box-shadow:0 2px 0 #998877}', '<div id=a>x</div>', /fill="#998877"/],
    [
      'a shadow that keeps out of a clear box',
      '#a{box-shadow:0 2px 0 #998877;background:none}',
      '<div id=a>x</div>',
      /<clipPath id="(c\d+)"><path d="[^"]+" clip-rule="evenodd"\/>.*<g clip-path="url\(#\1\)"><path d="[^"]+" fill="#998877"/s,
    ],
    [
      'a shadow that falls inwards',
      '#a{box-shadow:inset 0 -3px #998877;height:20px}',
      '<div id=a>x</div>',
      /fill-rule="evenodd" fill="#998877"/,
    ],
    [
      'a shadow in the colour of the text',
      '#a{color:#0a0b0c;box-shadow:0 2px 0}',
      '<div id=a>x</div>',
      /<path d="M[^"]*" fill="#0a0b0c"/,
    ],
    ['a group made see-through', '#a{opacity:.5;background:#123456}', '<div id=a>x</div>', /<g opacity="0\.5">/],
    ['a turned box', '#a{transform:rotate(90deg);background:#123456}', '<div id=a>x</div>', /matrix\(0 1 -1 0 /],
    [
      'a clip',
      '#a{overflow:hidden;height:9px}#b{background:#123456;height:50px}',
      '<div id=a><div id=b></div></div>',
      /clip-path="url\(#c\d+\)"/,
    ],
    ['the ground of the page', 'body{background:#fedcba}', 'x', /<rect [^>]*fill="#fedcba"/],
    [
      'an inline drawing',
      '',
      '<svg width=20 height=20 viewBox="0 0 2 2"><path d="M0 0h2v2z" fill="#224466"/></svg>',
      /<svg [^>]*viewBox="0 0 2 2"[^>]*><path d="M0 0h2v2z" fill="#224466"/,
    ],
    [
      'a repeated shape in the paint of what repeats it',
      '#a{fill:#0a0b0c}',
      '<svg width=20 height=20><symbol id=s><path d="M0 0h2v2z"/></symbol><use id=a href="#s"/></svg>',
      /<path d="M0 0h2v2z" fill="#0a0b0c"/,
    ],
    [
      'a repeated shape in a paint of its own',
      '#a{fill:#0a0b0c}',
      '<svg width=20 height=20><symbol id=s><path d="M0 0h2v2z" fill="#224466"/></symbol><use id=a href="#s"/></svg>',
      /<path d="M0 0h2v2z" fill="#224466"/,
    ],
    [
      'a repeated shape in the text colour of what repeats it',
      '#a{color:#0a0b0c}',
      '<svg width=20 height=20><defs><path id=s d="M0 0h2v2z" fill="currentColor"/></defs><use id=a href="#s"/></svg>',
      /<path d="M0 0h2v2z" fill="#0a0b0c"/,
    ],
    [
      'a picture as a tint',
      '',
      '<img src=boat.png width=80 height=40 alt="">',
      /<rect [^>]*width="80" height="40" fill="#c3ccd6"/,
    ],
    ['a bullet beside its item', 'li{color:#0a0b0c;margin-left:50px}', '<ul><li>x</ul>', /<circle [^>]*fill="#0a0b0c"/],
    [
      'a ring of a nested list',
      'ul ul{color:#0a0b0c}',
      '<ul><li>x<ul><li>y</ul></ul>',
      /<circle [^>]*stroke="#0a0b0c"/,
    ],
    ['a square', 'li{list-style:square;color:#0a0b0c}', '<ul><li>x</ul>', /<rect [^>]*fill="#0a0b0c"/],
    ['a marker in its own colour', 'li::marker{color:#0a0b0c}', '<ul><li>x</ul>', /<circle [^>]*fill="#0a0b0c"/],
    [
      'words in the place of a bullet',
      'li::marker{content:"x) ";color:#0a0b0c}',
      '<ul><li>x</ul>',
      /<g fill="#0a0b0c"><use/,
    ],
    [
      'a picture in the place of a bullet',
      'li{list-style-image:linear-gradient(red,blue)}',
      '<ul><li>x</ul>',
      /<rect [^>]*width="7"[^>]*fill="#c3ccd6"/,
    ],
    ['the number of an item', 'li::marker{color:#0a0b0c}', '<ol start=7><li>x</ol>', /<g fill="#0a0b0c"><use/],
    ['a button of the browser’s', '', '<button>x</button>', /<rect [^>]*rx="3"[^>]*stroke="#767676" fill="#efefef"/],
    ['a field of the browser’s', '', '<input>', /<rect [^>]*rx="2"[^>]*stroke="#767676" fill="#ffffff"/],
    [
      'a button of the page’s',
      'button{border:3px solid #abcdef}',
      '<button>x</button>',
      /stroke-width="3" stroke="#abcdef"/,
    ],
    [
      'elliptic corners',
      '#a{background:#123456;height:20px;width:60px;border-radius:50%}',
      '<div id=a></div>',
      /a30 10 0 0 1 30 10/,
    ],
    [
      'a round clip',
      '#a{overflow:hidden;border-radius:8px;height:40px}',
      '<div id=a><p>x</div>',
      /<clipPath [^>]*><path d="M8 /,
    ],
    [
      'a clip by a polygon',
      '#a{clip-path:polygon(0 0,20px 0,0 20px);background:#123456}',
      '<div id=a>x</div>',
      /<polygon points="0,0 20,0 0,20"/,
    ],
    [
      'a clip by a circle',
      '#a{clip-path:circle(9px at 10px 10px);background:#123456}',
      '<div id=a>x</div>',
      /<ellipse cx="10" cy="10" rx="9"/,
    ],
    [
      'a small picture once',
      `#a{background:url("data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' width='8' height='6'%3E%3Cpath d='M0 0h8' fill='%23224466'/%3E%3C/svg%3E") 10px 4px no-repeat;height:40px}`,
      '<div id=a>x</div>',
      /<svg width="8" height="6" x="10" y="4"/,
    ],
    ['what a field holds', 'input{color:#0a0b0c}', '<input value=x>', /<g fill="#0a0b0c"><use/],
  ])('%s', (_, css, body, expected) => {
    const svg = draw(styled(`body{margin:0}${css}`, body));
    expect(svg).toMatch(expected);
    expect(XMLValidator.validate(svg)).toBe(true);
  });

  test.each<[string, string, string, RegExp]>([
    ['hidden boxes', '#a{visibility:hidden;background:#123456}', '<div id=a>x</div>', /#123456/],
    ['boxes beyond the region', '#a{margin-top:900px;background:#123456}', '<div id=a>x</div>', /#123456/],
    ['bullets inside none', 'ul{list-style:none;color:#123456}', '<ul><li></ul>', /circle/],
    ['borders without a style', '#a{border:0 none #abcdef}', '<div id=a>x</div>', /#abcdef/],
  ])('left out: %s', (_, css, body, unwanted) => {
    expect(draw(styled(css, body))).not.toMatch(unwanted);
  });

  test('what lies above comes later', () => {
    const svg = draw(
      styled(
        'div{position:absolute;width:9px;height:9px}#a{z-index:2;background:#aa0000}#b{background:#00bb00}',
        '<div id=a></div><div id=b></div>',
      ),
    );
    expect(svg.indexOf('#00bb00')).toBeLessThan(svg.indexOf('#aa0000'));
  });
});

test('nothing of a page becomes markup that runs or loads', () => {
  const page = styled(
    '#b{background:url("javascript:alert(1)") #eee;width:90px;height:60px}',
    `<nav><a href=x><svg width=9 height=9 onload="alert(1)"><script>alert(1)</script><foreignObject><b>x</b></foreignObject>
     <path d="M0 0" onclick="alert(1)" fill="url(http://example.invalid/x)"/><image href="http://example.invalid/y"/></svg></a>
     <img alt="<script>alert(2)</script>" src="a.png" width=300 height=40></nav><div id=b></div>`,
  );
  const svg = draw(page);
  expect(XMLValidator.validate(svg)).toBe(true);
  const names = new Set([...svg.matchAll(/<([a-zA-Z]+)/g)].map((m) => m[1]));
  expect([...names].filter((name) => /script|foreign|image/i.test(name!))).toEqual([]);
  expect(svg).not.toMatch(/ on\w+=|javascript:|example\.invalid/);
});

describe('sheets', () => {
  const page = styled(
    'nav li{display:inline-block;position:relative}ul ul{display:none;position:absolute}li:hover ul{display:block}@media(max-width:600px){nav li{display:block}}',
    '<nav><ul><li><a href=a>Home</a></li><li><a id=i href=b>Islands</a><ul><li><a href=c>Sula Rock</a></li></ul></li></ul></nav>',
  );
  const options = { from: 320, to: 1200, height: 400, region: 'menu' } as const;

  test('a frame for every look, closed and opened', () => {
    const frames = framesOf(page, options);
    expect(frames.map(({ band, pose }) => [band.from, band.to, pose])).toEqual([
      [320, 600, 'closed'],
      [320, 600, 'hover on “Islands”'],
      [601, 1200, 'closed'],
      [601, 1200, 'hover on “Islands”'],
    ]);
    expect(frames[0]!.setting.width).toBe(375);
    expect(frames[1]!.region.height).toBeGreaterThan(frames[0]!.region.height);
    expect(frames[2]!.forms).toEqual([{ menu: expect.any(String) as string, form: 'row' }]);
  });

  test('thresholds that touch no menu divide nothing', () => {
    const one = styled('@media(max-width:600px){main{color:red}}', `${NAV}<main>x</main>`);
    expect(framesOf(one, options).map(({ band }) => band)).toEqual([{ from: 320, to: 1200 }]);
  });

  test('captions, legend and a description for those who cannot see it', () => {
    const frames = framesOf(page, options);
    const { svg, width } = drawSheet(page, frames, { marks: [], pins: () => [], legend: ['one', 'two'] }, outlines);
    const parsed = new XMLParser({ ignoreAttributes: false }).parse(svg) as { svg: Record<string, string> };
    expect(parsed.svg.title).toBe('Menus of page.html');
    expect(parsed.svg.desc).toContain('601–1200 px, hover on “Islands” — drawn at 768 px: row');
    expect(width).toBe(1280);
  });

  test('frames do not overlap', () => {
    const frames = framesOf(page, { ...options, widths: [320, 480, 700, 900, 1100] });
    const { svg } = drawSheet(page, frames, { marks: [], pins: () => [], legend: [] }, outlines);
    const cells = [
      ...svg.matchAll(/<rect x="([\d.]+)" y="([\d.]+)" width="([\d.]+)" height="([\d.]+)" fill="#b0bac5"/g),
    ].map((m) => m.slice(1).map(Number) as [number, number, number, number]);
    expect(cells).toHaveLength(frames.length);
    for (const [i, a] of cells.entries())
      for (const b of cells.slice(i + 1))
        expect(a[0] < b[0] + b[2] && b[0] < a[0] + a[2] && a[1] < b[1] + b[3] && b[1] < a[1] + a[3]).toBe(false);
  });

  test.each<[MarkName, RegExp]>([
    ['targets', /stroke="#007282"/],
    ['order', /<polyline points="[^"]+"/],
    ['layers', /stroke="#b25400"/],
    ['stuck', /fill="url\(#p\d+\)"/],
  ])('marks: %s', (mark, expected) => {
    const stuck = styled('nav{position:sticky;top:0;z-index:3}', NAV);
    expect(draw(stuck, 400, [mark])).toMatch(expected);
    expect(draw(stuck, 400)).not.toMatch(expected);
  });
});

test('marks lie where a turned box shows', () => {
  const page = styled(
    'body{margin:0}div{opacity:.9;width:50px;height:20px;transform:translate(100px,40px)}',
    '<div>x</div>',
  );
  expect(draw(page, 400, ['layers'])).toMatch(/<rect x="100" y="40" width="50" height="20" fill="none"/);
});

test('PNG of the size asked for', async () => {
  const svg = draw(styled('', NAV));
  const [, width] = / width="(\d+)/.exec(svg)!;
  const png = Buffer.from(await toPng(svg, 0.5));
  expect(png.subarray(1, 4).toString()).toBe('PNG');
  expect(png.readUInt32BE(16)).toBe(Math.round(Number(width) / 2));
});
