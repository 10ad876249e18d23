import { mkdtempSync, mkdirSync, realpathSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { decodePage, looksBinary } from '../../src/sources/decode.js';
import { loadFile, loadText, SourceError } from '../../src/sources/index.js';
import { valueOf } from '../support/computed.js';
import { boxOf } from '../support/page.js';

const folder = realpathSync(mkdtempSync(join(tmpdir(), 'rope-ladder-sources-')));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const put = (name: string, content: string | Uint8Array) => {
  mkdirSync(join(folder, name, '..'), { recursive: true });
  writeFileSync(join(folder, name), content);
  return join(folder, name);
};
const options = { scripting: true };

describe('decoding', () => {
  test.each<[string, Uint8Array, string]>([
    ['plain utf-8', Buffer.from('Fähre'), 'Fähre'],
    ['a byte order mark', Buffer.from([0xef, 0xbb, 0xbf, 0x78]), 'x'],
    ['utf-16', Buffer.from([0xff, 0xfe, 0x78, 0x00]), 'x'],
    [
      'a named charset',
      Buffer.from('<meta charset="iso-8859-1">F\xe4hre', 'latin1'),
      '<meta charset="iso-8859-1">Fähre',
    ],
    ['an unknown charset', Buffer.from('<meta charset="nonsense">x'), '<meta charset="nonsense">x'],
    [
      'bytes that are no text in it',
      Buffer.from('<meta charset=utf-8>a\xffb', 'latin1'),
      '<meta charset=utf-8>a\ufffdb',
    ],
    ['the dashes of windows-1252', Buffer.from('<meta charset=latin1>3\x964', 'latin1'), '<meta charset=latin1>3–4'],
    ['no charset, not UTF-8', Buffer.from('F\xe4hre \x96 \x93an\x94', 'latin1'), 'Fähre – “an”'],
    ['no charset, one bad byte', Buffer.concat([Buffer.from('Fähre, Köln'), Buffer.from([0xff])]), 'Fähre, Köln\ufffd'],
    [
      'an XML declaration',
      Buffer.from('<?xml version="1.0" encoding="koi8-r"?>\xc1', 'latin1'),
      '<?xml version="1.0" encoding="koi8-r"?>а',
    ],
    [
      'a charset after much else',
      Buffer.from(`<!--${'-'.repeat(2000)}--><meta charset="koi8-r">\xc1`, 'latin1'),
      `<!--${'-'.repeat(2000)}--><meta charset="koi8-r">а`,
    ],
    [
      'more bytes to a character',
      Buffer.from('<meta charset=shift_jis>\x83\x74', 'latin1'),
      '<meta charset=shift_jis>フ',
    ],
  ])('%s', (_name, bytes, expected) => {
    expect(decodePage(bytes)).toBe(expected);
  });

  test('null bytes mean it is no text', () => {
    expect(looksBinary(Buffer.from([0x47, 0x49, 0x46, 0]))).toBe(true);
    expect(looksBinary(Buffer.from('text'))).toBe(false);
    expect(looksBinary(Buffer.from([0xff, 0xfe, 0x78, 0x00]))).toBe(false);
  });
});

describe('pages from disk', () => {
  test('sheets and what they import, relative to each file', async () => {
    put('css/site.css', '@import "parts/deep.css";');
    put('css/parts/deep.css', 'p { top: 4px }');
    const page = await loadFile(
      put('page.html', '<!doctype html><link rel=stylesheet href="css/site.css"><p>x'),
      options,
    );
    expect(valueOf(page, 'p', 'top')).toBe('4px');
  });

  test('addresses with queries, escapes and data', async () => {
    put('css/my sheet.css', 'p { top: 5px }');
    const page = await loadFile(
      put(
        'q.html',
        '<!doctype html><link rel=stylesheet href="css/my%20sheet.css?v=3#x"><link rel=stylesheet href="data:text/css,p{left:6px}"><p>x',
      ),
      options,
    );
    expect(valueOf(page, 'p', 'top')).toBe('5px');
    expect(valueOf(page, 'p', 'left')).toBe('6px');
  });

  test('nothing outside the root is read, not even by a link', async () => {
    put('secret.css', 'p { top: 7px }');
    const file = put(
      'site/page.html',
      '<!doctype html><link rel=stylesheet href="../secret.css"><link rel=stylesheet href="linked.css"><p>x',
    );
    symlinkSync(join(folder, 'secret.css'), join(folder, 'site/linked.css'));
    const page = await loadFile(file, { ...options, root: join(folder, 'site') });
    expect(valueOf(page, 'p', 'top')).toBe('auto');
    expect(page.limits.map((l) => l.subject)).toEqual(['sheet ../secret.css', 'sheet linked.css']);
  });

  test('the network is not reached', async () => {
    const page = await loadFile(
      put('net.html', '<!doctype html><link rel=stylesheet href="https://ferries.example/a.css"><p>x'),
      options,
    );
    expect(page.limits.some((l) => l.consequence.startsWith('it lies on the network, which is not asked'))).toBe(true);
  });

  test('natural sizes of pictures', async () => {
    put('img/boat.svg', '<svg xmlns="http://www.w3.org/2000/svg" width="80" height="40"></svg>');
    const html =
      '<!doctype html><style>body{margin:0}img{display:block}</style><img id=a src="img/boat.svg" alt=""><img id=b src="img/boat.svg" width=20 alt=""><img id=c src="gone.png" alt="">';
    const page = await loadFile(put('pictures.html', html), options);
    expect(boxOf(page, '#a')).toEqual([0, 0, 80, 40]);
    expect(boxOf(page, '#b')).toEqual([0, 40, 20, 10]);
    expect(boxOf(page, '#c')).toEqual([0, 50, 800, 0]);
  });

  test('scripts of other continents are broken by the full rules', async () => {
    const page = await loadFile(
      put(
        'cjk.html',
        '<!doctype html><style>body{margin:0;font:20px/20px Arial}p{margin:0;width:50px}</style><p>渡船時刻表</p>',
      ),
      options,
    );
    expect(boxOf(page, 'p')![3]).toBe(60);
    expect(page.limits).toEqual([]);
  });

  test.each<[string, string | Uint8Array | null, string]>([
    ['missing.html', null, 'does not exist'],
    ['blank.html', '   ', 'is empty'],
    ['gif.html', Buffer.from([0x47, 0x49, 0x46, 0, 0]), 'is not a text file'],
  ])('%s is refused with a remedy', async (name, content, message) => {
    const file = content === null ? join(folder, name) : put(name, content);
    const error = (await loadFile(file, options).catch((e: unknown) => e)) as SourceError;
    expect(error).toBeInstanceOf(SourceError);
    expect(error.message).toContain(message);
    expect(error.remedy.length).toBeGreaterThan(10);
  });

  test('text without a file', async () => {
    const page = await loadText('<!doctype html><p style="top:3px">x', options);
    expect(page.name).toBe('standard input');
    expect(valueOf(page, 'p', 'top')).toBe('3px');
    await expect(loadText('  ', options)).rejects.toThrow('empty');
  });
});
