import { copyFileSync, mkdtempSync, readFileSync, realpathSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import fc from 'fast-check';
import { loadFile } from '../../src/sources/index.js';
import { openFont } from '../../src/sources/fonts.js';
import { boxOf } from '../support/page.js';

const folder = realpathSync(mkdtempSync(join(tmpdir(), 'rope-ladder-fonts-')));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const require = createRequire(import.meta.url);
const copy = (parcel: string, file: string, as: string) =>
  copyFileSync(join(dirname(require.resolve(`${parcel}/package.json`)), file), join(folder, as));
copy('@fontsource-variable/inter', 'files/inter-latin-opsz-normal.woff2', 'varying.woff2');
copy('@fontsource/tinos', 'files/tinos-latin-400-normal.woff', 'plain.woff');
copy('@fontsource/arimo', 'files/arimo-cyrillic-400-normal.woff2', 'cyrillic.woff2');
copy('dejavu-fonts-ttf', 'ttf/DejaVuSansCondensed-Bold.ttf', 'old.ttf');
writeFileSync(join(folder, 'broken.woff2'), 'wOF2 but no font');

const TEXT = 'Hamburgefonstiv abc Wave To AV';

/** Width of the text in a style, px. */
const widthIn = async (face: string, style: string, text = TEXT): Promise<number> =>
  (await sizeIn(face, style, text))[0];

async function sizeIn(face: string, style: string, text: string): Promise<readonly [number, number]> {
  const file = join(folder, 'page.html');
  writeFileSync(
    file,
    `<!doctype html><style>@font-face{font-family:Quay;${face}}</style><span id=x style="white-space:nowrap;font:16px Quay, serif;${style}">${text}</span>`,
  );
  const page = await loadFile(file);
  const box = boxOf(page, '#x')!;
  return [box[2]!, box[3]!];
}

/** Widths are Chromium's. */
describe('fonts a page brings', () => {
  test.each([
    ['the weight the text asks for', 'src:url(varying.woff2);font-weight:100 900', '', 255.06],
    ['bold', 'src:url(varying.woff2);font-weight:100 900', 'font-weight:700', 263.84],
    ['light', 'src:url(varying.woff2);font-weight:100 900', 'font-weight:250', 248.23],
    ['optical size by the size of the text', 'src:url(varying.woff2);font-weight:100 900', 'font-size:32px', 472.73],
    ['small and heavy', 'src:url(varying.woff2);font-weight:100 900', 'font-size:11px;font-weight:600', 180.7],
    ['a rule without weights takes those of the file', 'src:url(varying.woff2)', 'font-weight:700', 263.84],
    ['a rule with one weight keeps to it', 'src:url(varying.woff2);font-weight:400', 'font-weight:700', 255.06],
  ])('of a variable one: %s', async (_name, face, style, width) => {
    expect(await widthIn(face, style)).toBeCloseTo(width, 1);
  });

  test.each([
    ['font-variant-numeric:tabular-nums', 208.84, 178.73],
    ["font-feature-settings:'tnum','zero' on", 208.84, 178.73],
    ["font-feature-settings:'kern' 0", 191.36, 184.84],
    ['letter-spacing:1px', 214.05, 204.73],
  ])('features: %s', async (style, varying, plain) => {
    const text = 'Office fjord 1110171 AV To';
    expect(await widthIn('src:url(varying.woff2);font-weight:100 900', style, text)).toBeCloseTo(varying, 1);
    expect(await widthIn('src:url(plain.woff)', style, text)).toBeCloseTo(plain, 1);
  });

  test('small capitals are made where a file has none', async () => {
    const style = 'font-variant:small-caps';
    expect(await widthIn('src:url(plain.woff)', style, 'Office fjord 1110171 AV To')).toBeCloseTo(183.25, 1);
  });

  test('a face serves only the characters of its range, and gives line heights only if it serves the space', async () => {
    const whole = 'src:url(varying.woff2);font-weight:400';
    const none = await widthIn('src:url(broken.woff2)', '');
    expect(await widthIn(`${whole};unicode-range:U+0-FF`, '')).toBeCloseTo(await widthIn(whole, ''), 2);
    expect(await widthIn(`${whole};unicode-range:U+400-4FF`, '')).toBeCloseTo(none, 2);
    // Chromium's width, only the capital letters in the page's font.
    expect(await widthIn(`${whole};unicode-range:U+41-5A`, '')).toBeCloseTo(227.16, 1);
  });

  test.each([
    ['the height of letters where the file does not tell it', 'old.ttf', '<i style="width:10ex"></i>', 87.5, 19],
    ['that of capitals', 'old.ttf', '<i style="width:10cap"></i>', 116.72, 19],
    ['what no font draws is the box of the first', 'plain.woff', '\uf0c9', 12.45, 18],
    ['and makes no line higher', 'cyrillic.woff2', '\uf0c9', 12, 18],
    [
      'what another family draws makes lines higher with its leading',
      'cyrillic.woff2',
      '<b style="font:40px Quay">Ab</b>',
      48.89,
      47,
    ],
    ['an accented letter is put together', 'plain.woff', 'ṽẽ', 15.11, 18],
  ])('%s', async (_name, file, text, width, height) => {
    const size = await sizeIn(
      `src:url(${file})`,
      'display:inline-block',
      `<style>i,b{display:inline-block}</style>${text}`,
    );
    expect(size[0]).toBeCloseTo(width, 0);
    expect(size[1]).toBe(height);
  });

  test('a damaged one is used as far as it goes, or passed over: it never ends the work', async () => {
    const whole = ['varying.woff2', 'plain.woff', 'old.ttf'].map((name) => readFileSync(join(folder, name)));
    const damage = fc.array(fc.tuple(fc.double({ min: 0, max: 1, maxExcluded: true, noNaN: true }), fc.nat(255)), {
      maxLength: 12,
    });
    const cut = fc.option(fc.double({ min: 0, max: 1, noNaN: true }));
    await fc.assert(
      fc.asyncProperty(fc.constantFrom(...whole), damage, cut, async (file, changes, kept) => {
        const bytes = Uint8Array.from(file);
        for (const [at, value] of changes) bytes[Math.floor(at * bytes.length)] = value;
        const font = await openFont(kept === null ? bytes : bytes.subarray(0, kept * bytes.length));
        if (!font) return;
        expect(font.advance('Home', true) + font.xHeight + font.ascent).not.toBeNaN();
        expect(font.outline('é\uf0c9 x', false)).toBeInstanceOf(Array);
      }),
      { numRuns: 40 },
    );
  });

  test('a plain one is what it is at any weight; a broken one is passed over', async () => {
    const plain = await widthIn('src:url(plain.woff)', '');
    expect(await widthIn('src:url(plain.woff);font-weight:100 900', 'font-weight:700')).toBe(plain);
    expect(await widthIn('src:url(broken.woff2), url(plain.woff)', '')).toBe(plain);
    expect(await widthIn('src:url(broken.woff2)', '')).toBeCloseTo(plain, 1);
  });
});
