import { pageFrom, sceneAt, styled } from '../support/page.js';

const unsupported = (css: string, body = '<p id=x>1</p>') =>
  styled(css, body)
    .limits.filter((limit) => limit.kind === 'unsupported')
    .map(({ subject, consequence, place }) => ({ subject, consequence, line: place?.split(':').at(-2) }));

describe('what browsers act on and the engine leaves out is said', () => {
  test.each([
    ['p{column-rule:1px solid}', 'column-rule: 1px solid', 'the lines between columns are not drawn'],
    ['p{shape-outside:circle()}', 'shape-outside: circle()', 'text flows around the whole box of such floats'],
    [
      'p::first-letter{initial-letter:2}',
      'initial-letter: 2',
      'such letters are as wide as their advance, not as their ink',
    ],
    ['p{line-clamp:2}', 'line-clamp: 2', 'all lines are shown'],
    [
      'p{POSITION-TRY-FALLBACKS:Flip-Block,--Other}',
      'position-try-fallbacks: flip-block,--other',
      'such placements are left out: flips and areas are tried in the order they stand',
    ],
    ['p{hyphens:auto}', 'hyphens: auto', 'words are not hyphenated by dictionary'],
    ['p{field-sizing:content}', 'field-sizing: content', 'fields have the size of their attributes'],
    ['p{text-emphasis:dot}', 'text-emphasis: dot', 'its marks take no room'],
    ['p{margin-trim:inline}', 'margin-trim: inline', 'margins are trimmed in the block direction only'],
    ['p{font-size-adjust:from-font}', 'font-size-adjust: from-font', 'the font keeps its own size'],
    [
      'p{font-variation-settings:"wght" 650}',
      'font-variation-settings: "wght" 650',
      'text keeps the width it has by its weight and size',
    ],
    ['@media (min-width:1px){p{offset-path:none,x}}', 'offset-path: none,x', 'the box is not moved along the path'],
  ])('%s', (css, subject, consequence) => {
    expect(unsupported(css)).toEqual([{ subject, consequence, line: '1' }]);
  });

  test.each([
    'p{columns:2}',
    'p{zoom:2}',
    'p{shape-outside:none}',
    'p{font-variation-settings:"FILL" 1}',
    'p{shape-outside:inherit}',
    'p{hyphens:manual}',
    'p{font-size-adjust:.5}',
    'p{margin-trim:block}',
    'p{text-box:trim-both cap alphabetic}',
    'p{box-decoration-break:clone;font-variant:small-caps;field-sizing:fixed}',
    'em{shape-outside:circle()}',
    '',
  ])('nothing is said of %s', (css) => {
    expect(unsupported(css)).toEqual([]);
  });

  test.each([
    ['p{text-box:trim-both;columns:2}', '<p>1</p>', 'lines in columns are not trimmed'],
    [
      'div{text-box:trim-both}p{display:flow-root}',
      '<div><p>1</p></div>',
      'it does not reach into formatting contexts inside',
    ],
  ])('layout says of %s where lines are not trimmed', (css, body, consequence) => {
    const page = styled(css, body);
    sceneAt(page);
    expect(page.limits.map((limit) => [limit.subject, limit.consequence])).toEqual([['text-box-trim', consequence]]);
  });

  test('annotations of ruby', () => {
    const page = styled('', '<p><ruby>1<rt>one</rt></ruby></p>');
    sceneAt(page);
    expect(page.limits.map(({ subject, consequence }) => [subject, consequence])).toEqual([
      ['ruby', 'its annotations stand in the line of the text'],
    ]);
  });

  test('style attributes count, repeats are counted', () => {
    const page = styled('', '<p style="text-emphasis:dot">1</p><p style="text-emphasis:dot">2</p>');
    expect(page.limits.map(({ subject, count }) => [subject, count])).toEqual([['text-emphasis: dot', 2]]);
  });
});

test('trees that the markup hangs on elements are said, other templates are not', () => {
  const page = pageFrom(
    '<!doctype html><site-head><template shadowrootmode=open><nav><a href=a>A</a></nav></template></site-head><template><p>x</p></template>',
  );
  const told = page.limits.map(({ subject }) => subject).filter((subject) => subject.includes('shadow'));
  expect(told).toEqual(['shadow tree of site-head']);
});
