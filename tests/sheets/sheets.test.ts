import fc from 'fast-check';
import { SourceText } from '../../src/core/base/index.js';
import { parseSheet, parseStyleAttribute } from '../../src/core/sheets/index.js';
import { pageFrom } from '../support/page.js';
import { valueOf } from '../support/computed.js';

const sheet = (text: string) => parseSheet(new SourceText('a.css', text));
const flat = (text: string) =>
  sheet(text).rules.map(
    (r) =>
      `${r.selectors.map((s) => s.text).join(', ')} { ${r.declarations.map((d) => `${d.name}: ${d.text}${d.important ? ' !important' : ''}`).join('; ')} }`,
  );

describe('structure of a sheet', () => {
  test.each<[string, string, string[]]>([
    [
      'rules in order',
      'a { color: red } b { color: blue; top: 1px }',
      ['a { color: red }', 'b { color: blue; top: 1px }'],
    ],
    [
      'important',
      'a { color: red!important; top: 1px ! important }',
      ['a { color: red !important; top: 1px !important }'],
    ],
    ['comments', 'a /* x */ b { /* y */ color: /* z */ red }', ['a  b { color: red }']],
    ['the star hack is malformed', 'a { *zoom: 1; color: red }', ['a { color: red }']],
    ['a bad declaration loses only itself', 'a { color; top: 1px }', ['a { top: 1px }']],
    ['a bad selector loses the rule', 'a, :nonsense { color: red } b { top: 0 }', ['b { top: 0 }']],
    ['unknown at-rules are dropped', '@nonsense x { a { top: 0 } } b { top: 0 }', ['b { top: 0 }']],
    [
      'nested rules follow their parent',
      'a { color: red; & b { top: 0 } left: 1px }',
      ['a { color: red }', '& b { top: 0 }', 'a { left: 1px }'],
    ],
    ['nested without an ampersand', 'a { .x { top: 0 } > li { left: 0 } }', ['.x { top: 0 }', '> li { left: 0 }']],
    ['nested media', 'a { @media print { top: 0 } }', ['a { top: 0 }']],
    ['supports that holds', '@supports (display: grid) { a { top: 0 } }', ['a { top: 0 }']],
    ['supports that does not', '@supports (display: nope) { a { top: 0 } }', []],
    ['an unclosed block ends with the sheet', 'a { color: red', ['a { color: red }']],
    ['custom properties keep their text', 'a { --x:  { a b }; --Y: 1 }', ['a { --x: { a b }; --Y: 1 }']],
    [
      'a brace too many spoils the next rule',
      'a { top: 0 } } b { top: 0 } c { top: 0 }',
      ['a { top: 0 }', 'c { top: 0 }'],
    ],
    ['a brace too many spoils the next block', '} @media screen { a { top: 0 } } b { top: 0 }', ['b { top: 0 }']],
    [
      'a semicolon behind a block spoils the next rule',
      'a { top: 0 }; b { top: 0 } c { top: 0 }',
      ['a { top: 0 }', 'c { top: 0 }'],
    ],
    ['a stray brace reaches over a statement', '} @import "x.css"; a { top: 0 } b { top: 0 }', ['b { top: 0 }']],
    ['a comment between stray and rule', '} /* } */ a { top: 0 } b { top: 0 }', ['b { top: 0 }']],
    ['stray before a rule that the sheet ends', 'a { top: 0 } } b { top: 0', ['a { top: 0 }']],
    ['comments of markup around rules', '<!-- a { top: 0 } --> b { top: 0 } -->', ['a { top: 0 }', 'b { top: 0 }']],
    [
      'comments of markup in texts stay',
      'a::before { content: "<!-- x -->" }',
      ['a::before { content: "<!-- x -->" }'],
    ],
    ['empty rules make none', 'a {} b { }', []],
  ])('%s', (_name, text, expected) => {
    expect(flat(text)).toEqual(expected);
  });

  test('conditions and layers of the surroundings come along', () => {
    const [rule] = sheet('@media screen { @layer a.b { @media (min-width: 5px) { p { top: 0 } } } }').rules;
    expect(rule!.conditions.map((c) => c.text)).toEqual(['screen', '(min-width: 5px)']);
    expect(rule!.layers).toEqual(['a', 'b']);
  });

  test('imports count only at the top', () => {
    const { imports } = sheet(
      '@charset "utf-8"; @import "a.css"; @import url(b.css) layer(x) screen; p { top: 0 } @import "late.css";',
    );
    expect(imports.map((i) => [i.url, i.layer, i.condition?.text ?? null])).toEqual([
      ['a.css', null, null],
      ['b.css', 'x', 'screen'],
    ]);
  });

  test('imports with supports()', () => {
    const { imports } = sheet(
      '@import "a.css" supports(display: grid) print; @import "b.css" supports(display: nope);',
    );
    expect(imports.map((i) => [i.supported, i.condition?.text ?? null])).toEqual([
      [true, 'print'],
      [false, null],
    ]);
  });

  test('fonts, registered properties and last frames are kept', () => {
    const parsed = sheet(`@font-face { font-family: "Pier"; src: url(pier.woff2) format("woff2"), url("pier.ttf") }
      @property --gap { syntax: "<length>"; inherits: false; initial-value: 4px }
      @property --bad { syntax: "<length>"; inherits: maybe }
      @keyframes out { from { left: 0 } to { left: 10px; top: 1px !important } }`);
    expect(parsed.fontFaces).toMatchObject([{ family: 'Pier', sources: ['pier.woff2', 'pier.ttf'] }]);
    expect(parsed.properties).toEqual([{ name: '--gap', syntax: '<length>', inherits: false, initial: '4px' }]);
    const { first, last, animates } = parsed.keyframes.get('out')!;
    expect([first.map((d) => d.text), last.map((d) => d.text), animates.text]).toEqual([['0'], ['10px'], 'left']);
  });

  test.each<[string, (readonly [number, number])[] | null]>([
    ['U+26', [[0x26, 0x26]]],
    [
      'u+0025-00FF, U+4??',
      [
        [0x25, 0xff],
        [0x400, 0x4ff],
      ],
    ],
    ['U+??', [[0, 0xff]]],
    ['U+10-5', null],
    ['U+1234567', null],
    ['latin', null],
  ])('characters a face serves: %s', (range, expected) => {
    const [face] = sheet(`@font-face { font-family: Pier; src: url(a.woff); unicode-range: ${range} }`).fontFaces;
    expect(face!.characters).toEqual(expected);
  });

  test('what was dropped or not supported is said', () => {
    const kinds = sheet(
      '@container style(color: red) { a { top: 0 } } @container style(--a: b) { a { top: 0 } } :nonsense { top: 0 } @made-up { }',
    ).limits.map((l) => [l.kind, l.subject]);
    expect(kinds).toEqual([
      ['repaired', 'selector :nonsense'],
      ['unknown', '@made-up'],
      ['unsupported', '@container scroll-state(), and style() of other than custom properties'],
    ]);
  });

  test('declarations know their place', () => {
    const [rule] = sheet('a {\n  color: red;\n}').rules;
    const { span } = rule!.declarations[0]!;
    expect(span.source.position(span.start)).toEqual({ file: 'a.css', line: 2, column: 3 });
  });

  test('style attributes', () => {
    expect(
      parseStyleAttribute(new SourceText('p', 'color: red; top: 1px !important; ;')).map((d) => [d.name, d.important]),
    ).toEqual([
      ['color', false],
      ['top', true],
    ]);
  });

  test('any text is a sheet', () => {
    fc.assert(fc.property(fc.string(), (text) => Array.isArray(sheet(text).rules)));
  });

  test('deep nesting ends in a limit', () => {
    const { limits } = sheet(`${'a { '.repeat(600)}top: 0${' }'.repeat(600)}`);
    expect(limits.some((l) => l.kind === 'budget')).toBe(true);
  });
});

describe('sheets of a page', () => {
  const files = {
    'css/main.css': '@import "parts/base.css"; @media (max-width: 600px) { p { top: 2px } } p { left: 2px }',
    'css/parts/base.css': 'p { top: 1px; left: 1px; right: 1px }',
    'print.css': 'p { top: 99px }',
    'alt.css': 'p { top: 98px }',
  };
  const page = pageFrom(
    `<!doctype html><html><head>
<link rel="stylesheet" href="css/main.css"><link rel="stylesheet" media="print" href="print.css">
<link rel="alternate stylesheet" href="alt.css"><link rel="stylesheet" href="gone.css">
<style media="(min-width: 900px)">p { right: 3px }</style></head><body><p>x</p></body></html>`,
    files,
  );

  test.each([
    ['top', 800, '1px'],
    ['top', 500, '2px'],
    ['left', 800, '2px'],
    ['right', 800, '1px'],
    ['right', 1000, '3px'],
  ])('%s at %d px is %s', (property, width, expected) => {
    expect(valueOf(page, 'p', property, width)).toBe(expected);
  });

  test('thresholds of all sheets, with their places', () => {
    expect(page.ruleSet.thresholds.map((t) => [t.px, t.side, t.places.map((p) => p.span.source.name)])).toEqual([
      [600, 'above', ['css/main.css']],
      [900, 'from', ['page.html']],
    ]);
  });

  test('a missing sheet is said and the rest counts', () => {
    expect(page.limits).toMatchObject([{ kind: 'missing', subject: 'sheet gone.css' }]);
  });

  test('imports that go round in circles end', () => {
    const circle = pageFrom('<!doctype html><link rel=stylesheet href=a.css><p>x', {
      'a.css': '@import "b.css"; p { top: 1px }',
      'b.css': '@import "a.css"; p { left: 1px }',
    });
    expect(valueOf(circle, 'p', 'top')).toBe('1px');
    expect(circle.limits.some((l) => l.kind === 'budget')).toBe(true);
  });

  test('base href moves relative addresses', () => {
    const based = pageFrom('<!doctype html><base href="css/"><link rel=stylesheet href=main.css><p>x', files);
    expect(valueOf(based, 'p', 'left')).toBe('2px');
  });
});
