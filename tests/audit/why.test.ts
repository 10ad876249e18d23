import { ladderOf, why, type WhyOptions, type WhyResult } from '../../src/core/index.js';
import { find, pageFrom, styled } from '../support/page.js';
import { links, menuPage } from '../support/audit.js';

const OPTIONS: WhyOptions = { from: 320, to: 1920, at: [800], height: 800, moves: [], poseText: 'closed' };
const ask = (
  css: string,
  body: string,
  property: string,
  options: Partial<WhyOptions> = {},
  selector = '#x',
): WhyResult => {
  const page = styled(css, body);
  return why(page, find(page, selector), property, { ...OPTIONS, ...options });
};
const story = (result: WhyResult) =>
  result.bands[0]!.entries.filter((e) => e.place !== null).map(
    (e) => `${e.fate} ${e.text}${e.because ? ` | ${e.because}` : ''}`,
  );

describe('why a value is what it is', () => {
  test.each<[string, string, string, string[]]>([
    ['order', '#x{top:1px}#x{top:2px}', '<p id=x>', ['wins top: 2px', 'loses top: 1px | the winner comes later']],
    [
      'specificity',
      '#x{top:1px}p{top:2px}',
      '<p id=x>',
      ['wins top: 1px', 'loses top: 2px | the winning selector is more specific'],
    ],
    [
      'importance',
      '#x{top:1px}p{top:2px!important}',
      '<p id=x>',
      ['wins top: 2px', 'loses top: 1px | the winner is !important'],
    ],
    [
      'the style attribute',
      '#x{top:1px}',
      '<p id=x style="top:2px">',
      ['wins top: 2px', 'loses top: 1px | a style attribute is stronger'],
    ],
    [
      'layers',
      '@layer a{#x{top:1px}}p{top:2px}',
      '<p id=x>',
      ['wins top: 2px', 'loses top: 1px | its cascade layer is weaker'],
    ],
    [
      'scopes',
      '@scope (div){p{top:1px}}@scope (body){p{top:2px}}',
      '<div><p id=x></div>',
      ['wins top: 1px', 'loses top: 2px | the winner’s @scope is nearer'],
    ],
    [
      'layers handed on',
      '@layer a,b;@layer a{#x{top:1px}}@layer b{#x{top:2px}#x{top:revert-layer}}',
      '<p id=x>',
      [
        'yields top: revert-layer | it hands the decision on: revert-layer leaves it to the next weaker layer',
        'passed top: 2px | a stronger declaration handed the decision past it',
        'wins top: 1px',
      ],
    ],
    [
      'an invalid value',
      'p{top:1px}#x{top:2}',
      '<p id=x>',
      ['wins top: 1px', 'invalid top: 2 | it is not a value of this property, so browsers drop it'],
    ],
    [
      'a condition that does not hold',
      'p{top:1px}@media (max-width:700px){#x{top:2px}}',
      '<p id=x>',
      ['wins top: 1px', 'idle top: 2px | @media (max-width:700px) does not hold here'],
    ],
    [
      'a state that is not on',
      'p{top:1px}#x:hover{top:2px}',
      '<p id=x>',
      ['wins top: 1px', 'idle top: 2px | it waits for :hover'],
    ],
    [
      'a container that is too small',
      'div{container-type:inline-size;width:100px}p{top:1px}@container (min-width:200px){#x{top:2px}}',
      '<div><p id=x></div>',
      ['wins top: 1px', 'idle top: 2px | @container (min-width:200px) does not hold here'],
    ],
    [
      'shorthands',
      '#x{position:absolute;inset:1px}p{top:2px}',
      '<p id=x>',
      ['wins inset: 1px', 'loses top: 2px | the winning selector is more specific'],
    ],
    [
      'logical names',
      '#x{position:absolute;inset-block-start:1px}p{top:2px}',
      '<p id=x>',
      ['wins inset-block-start: 1px', 'loses top: 2px | the winning selector is more specific'],
    ],
    ['nobody', 'p{left:1px}', '<p id=x>', []],
  ])('%s', (_name, css, body, expected) => {
    expect(story(ask(css, body, 'top'))).toEqual(expected);
  });

  test('revert hands the page’s own declarations back to the browser’s sheet', () => {
    expect(story(ask('p{display:flex}#x{display:revert}', '<p id=x>', 'display'))).toEqual([
      'yields display: revert | it hands the decision back: revert leaves it to the browser’s own sheet',
      'passed display: flex | a stronger declaration handed the decision past it',
    ]);
    expect(ask('p{display:flex}#x{display:revert}', '<p id=x>', 'display').bands[0]!.value).toBe('block');
  });

  test('the value is what a browser gives', () => {
    expect(ask('#x{width:50%}', '<p id=x>', 'width').bands[0]!.value).toBe('392px');
    expect(ask('#x{color:red}', '<p id=x>', 'color').bands[0]!.value).toBe('rgb(255, 0, 0)');
  });

  test('inherited values name their source', () => {
    const [band] = ask('#d{color:red}', '<div id=d><p id=x></div>', 'color').bands;
    expect(band).toMatchObject({ source: 'inherited', value: 'rgb(255, 0, 0)', inheritedFrom: { selector: '#d' } });
    expect(band!.entries[0]).toMatchObject({ fate: 'wins', text: 'color: red' });
  });

  test('initial values say that nothing counts', () => {
    expect(ask('', '<p id=x>', 'top').bands[0]).toMatchObject({ source: 'initial', value: 'auto', entries: [] });
  });

  test('browser defaults have no place', () => {
    expect(ask('', '<p id=x>', 'display').bands[0]!.entries[0]).toMatchObject({ fate: 'wins', place: null });
  });

  test('custom properties are followed to where they were set', () => {
    const page = pageFrom('<!doctype html><link rel=stylesheet href=a.css><div id=d><p id=x></div>', {
      'a.css': ':root { --a: var(--b); }\n#d { --b: 5px }\n#x { top: var(--a, 1px) }',
    });
    const [band] = why(page, find(page, '#x'), 'top', OPTIONS).bands;
    expect(band!.value).toBe('1px');
    expect(band!.variables).toEqual([
      { name: '--a', value: null, place: 'a.css:1:9', on: 'html' },
      { name: '--b', value: null, place: null, on: null },
    ]);
  });

  test('bands with one story are one', () => {
    const css = 'p{color:red}@media (min-width:600px){#x{color:blue}}@media (min-width:900px){em{color:red}}';
    expect(ask(css, '<p id=x>', 'color', { at: null }).bands.map((b) => [b.from, b.to, b.value])).toEqual([
      [320, 599, 'rgb(255, 0, 0)'],
      [600, 1920, 'rgb(0, 0, 255)'],
    ]);
  });

  test('in a pose', () => {
    const page = styled('a{color:red}a:hover{color:blue}', '<a id=x href=y>x</a>');
    const x = find(page, '#x');
    const result = why(page, x, 'color', { ...OPTIONS, moves: [{ by: 'hover', element: x }], poseText: 'hover:#x' });
    expect(result.bands[0]!.value).toBe('rgb(0, 0, 255)');
    expect(result.pose).toBe('hover:#x');
  });
});

describe('the ladder', () => {
  const css =
    'nav{display:none}@media (min-width:600px){nav{display:block}}@media (min-width:900px){footer{color:red}}@media (max-width:599px){ul{margin:0}}';
  const page = pageFrom(menuPage(css, links('Home', 'Fares'), '<footer>x</footer>'));
  const ladder = ladderOf(page, { from: 320, to: 1920, height: 800 });

  test('rungs, forms, and what a threshold changes for the menu', () => {
    expect(ladder.rungs.map((r) => [r.from, r.forms['menu-1']![0], r.touches])).toEqual([
      [320, 'none', []],
      [600, 'column', ['menu-1']],
      [900, 'column', []],
    ]);
  });

  test('seams with the menus they concern', () => {
    expect(ladder.seams).toMatchObject([{ kind: 'fraction', from: 599, to: 600, touches: ['menu-1'] }]);
  });
});
