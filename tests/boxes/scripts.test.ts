import fc from 'fast-check';
import { inVisualOrder } from '../../src/core/boxes/contexts/inline/bidi.js';
import { joinedForms } from '../../src/core/boxes/text/arabic.js';
import { embeddingLevels, mayRunBackwards } from '../../src/core/boxes/text/index.js';

const leaves = fc.array(fc.nat(4), { maxLength: 30 }).map((levels) => levels.map((level, id) => ({ level, id })));
const ids = (list: readonly { readonly id: number }[]) => list.map(({ id }) => id);

describe('visual order', () => {
  test('nothing is lost or doubled', () => {
    fc.assert(
      fc.property(leaves, (parts) => {
        expect([...ids(inVisualOrder(parts))].sort((a, b) => a - b)).toEqual(ids(parts));
      }),
    );
  });

  test('runs from the left stay, runs from the right are turned round', () => {
    fc.assert(
      fc.property(leaves, (parts) => {
        expect(ids(inVisualOrder(parts.map((p) => ({ ...p, level: 0 }))))).toEqual(ids(parts));
        expect(ids(inVisualOrder(parts.map((p) => ({ ...p, level: 1 }))))).toEqual(ids(parts).reverse());
      }),
    );
  });

  test('two levels up, everything is turned round within itself', () => {
    fc.assert(
      fc.property(leaves, (parts) => {
        const twice = parts.map((p) => ({ ...p, level: p.level + 2 }));
        expect(ids(inVisualOrder(twice))).toEqual(ids(inVisualOrder(parts)));
      }),
    );
  });

  test.each<[number[], number[]]>([
    [
      [0, 1, 1, 0],
      [0, 2, 1, 3],
    ],
    [
      [1, 2, 2, 1],
      [3, 1, 2, 0],
    ],
    [
      [0, 1, 2, 1, 0],
      [0, 3, 2, 1, 4],
    ],
    [
      [2, 1, 0],
      [1, 0, 2],
    ],
    [[], []],
  ])('%j becomes %j', (levels, expected) => {
    expect(ids(inVisualOrder(levels.map((level, id) => ({ level, id }))))).toEqual(expected);
  });
});

describe('embedding levels', () => {
  test.each<[string, 'ltr' | 'rtl' | 'auto', number[], boolean]>([
    ['ab', 'ltr', [0, 0], false],
    ['אב', 'ltr', [1, 1], false],
    ['ab', 'rtl', [2, 2], true],
    ['א1', 'rtl', [1, 2], true],
    ['אa', 'auto', [1, 2], true],
    ['aא', 'auto', [0, 1], false],
  ])('%s set from the %s', (text, base, levels, rtl) => {
    const made = embeddingLevels(text, base);
    expect([[...made.levels], made.rtl]).toEqual([levels, rtl]);
  });

  test.each(['Fares', 'Größe', '42 €', 'Ελλάδα', '日本', ''])('%s never runs backwards', (text) => {
    expect(mayRunBackwards(text)).toBe(false);
  });

  test.each(['שלום', 'مرحبا', 'a \u202e b', '\u2067x\u2069'])('%s may', (text) => {
    expect(mayRunBackwards(text)).toBe(true);
  });
});

describe('Arabic letters beside each other', () => {
  test.each([
    ['one alone', 'ب', '\ufe8f'],
    ['first, middle, last', 'ببب', '\ufe91\ufe92\ufe90'],
    ['letters that join on one side', 'دار', '\ufea9\ufe8d\ufead'],
    ['lam and alef alone', 'لا', '\ufefb'],
    ['lam and alef after a letter', 'بلا', '\ufe91\ufefc'],
    ['marks are passed over', 'بَب', '\ufe91\u064e\ufe90'],
    ['a line between letters joins', 'بـ', '\ufe91\u0640'],
    ['words are kept apart', 'ب ب', '\ufe8f \ufe8f'],
    ['other scripts are left alone', 'Fares 1', 'Fares 1'],
    ['Persian letters', 'پ', '\ufb56'],
  ])('%s', (_name, text, expected) => {
    expect(joinedForms(text)).toBe(expected);
  });

  test('standing for the same letters', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...'ابتجدرسلمنهوي'), { maxLength: 12 }), (letters) => {
        const text = letters.join('');
        expect(joinedForms(text).normalize('NFKC')).toBe(text);
      }),
    );
  });
});
