import { shortBreaks, breaksInsideWords } from '../../src/core/boxes/text/index.js';
import { fullBreaks } from '../../src/core/boxes/text/full-breaks.js';

/** A text with a stroke at each place where a browser ends a line. */
const marked = (text: string, breaks: ReadonlySet<number>): string =>
  [...text].map((c, i) => (breaks.has(i) ? `|${c}` : c)).join('');

const TEXTS = [
  'aa-|bb',
  'aa-|11',
  'aa |-11',
  'aa |-|bb',
  '-|-|bb',
  'aa-|(bb)',
  'f(x)',
  'f.|(x)',
  'a;|[b]',
  'a?|b',
  'a?"b"',
  'a=|[b]?|=c',
  'a/b/c',
  'a/|é',
  'word|—|word',
  'word–|word',
  'word…|word',
  '“word” |«word»',
  '5 |€ |or |€5, |(€5)',
  '100%|(a)',
  'é-|é |-é',
  'a\u00a0b',
];

describe('where lines may end', () => {
  test.each(TEXTS)('%s', (expected) => {
    const text = expected.replaceAll('|', '');
    expect(marked(text, shortBreaks(text))).toBe(expected);
    expect(marked(text, fullBreaks(text))).toBe(expected);
  });

  test.each<[string, string]>([
    ['no.', 'n|o.'],
    ['£8.50', '£8.|5|0'],
    ['(a)b', '(a)|b'],
    ['a"b', 'a"b'],
    ['x/y', 'x/|y'],
  ])('inside %s where words may be broken', (text, expected) => {
    const places = [...text.slice(1)].flatMap((c, i) => (breaksInsideWords(text[i]!, c) ? [i + 1] : []));
    expect(marked(text, new Set(places))).toBe(expected);
  });
});
