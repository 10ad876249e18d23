import { expandPages, globsHold, SourceError } from '../../src/sources/index.js';
import { Site } from '../support/command.js';

const site = new Site({
  'dist/zebra.html': 'x',
  'dist/index.html': 'x',
  'dist/b/page.htm': 'x',
  'dist/a/index.html': 'x',
  'dist/a/about.html': 'x',
  'dist/node_modules/no.html': 'x',
  'dist/.hidden/no.html': 'x',
  'dist/notes.txt': 'x',
  'dist/odd [1].html': 'x',
});
const before = process.cwd();
beforeAll(() => process.chdir(site.folder));
afterAll(() => {
  process.chdir(before);
  site.remove();
});

test('a folder: the top first, then folder by folder, first pages before others; it is the root', async () => {
  const { files, root } = await expandPages(['dist']);
  expect(files).toEqual([
    'dist/index.html',
    'dist/odd [1].html',
    'dist/zebra.html',
    'dist/a/index.html',
    'dist/a/about.html',
    'dist/b/page.htm',
  ]);
  expect(root).toBe('dist');
});

test.each<[readonly string[], readonly string[], readonly string[]]>([
  [['dist/a/*.html'], [], ['dist/a/index.html', 'dist/a/about.html']],
  [['dist/zebra.html', 'dist/*.html'], ['dist/odd*'], ['dist/zebra.html', 'dist/index.html']],
  [['dist/odd [1].html'], [], ['dist/odd [1].html']],
  [['gone.html'], [], ['gone.html']],
  [['dist'], ['dist/a/', '**/zebra.html', '**/odd*'], ['dist/index.html', 'dist/b/page.htm']],
])('%j without %j', async (given, skip, expected) => {
  expect((await expandPages(given, skip)).files).toEqual(expected);
});

test('what holds no page is an error that says so', async () => {
  await expect(expandPages(['dist/x*.html'])).rejects.toThrow(SourceError);
  await expect(expandPages(['dist/a'], ['dist'])).rejects.toThrow(/all 2 pages of dist\/a are left out/);
});

test('a glob holds a path, a folder all below it', () => {
  expect(globsHold(['dist/a'], 'dist/a/index.html')).toBe(true);
  expect(globsHold(['dist/*.html'], './dist/index.html')).toBe(true);
  expect(globsHold(['dist/*.html'], 'dist/a/index.html')).toBe(false);
  expect(globsHold([], 'dist/index.html')).toBe(false);
});
