import { find, pageFrom, sceneAt } from '../support/page.js';

const at = (style: string, body: string) => {
  const page = pageFrom(
    `<!doctype html><style>body{margin:0;font:16px/20px Arial}p{margin:0;width:300px}p::first-letter{${style}}</style>${body}`,
  );
  return (selector: string) => sceneAt(page, 800).rect(find(page, selector))!;
};
const LINES = '<p>Over<br><b>two</b><br><i>three</i><br><u>four</u></p>';

test.each([
  ['sinks as deep as it is high', 'initial-letter:3', ['b', 'i'], ['u']],
  ['sinks less', 'initial-letter:3 1', [], ['b', 'i', 'u']],
  ['sinks deeper', 'initial-letter:2 3', ['b', 'i'], ['u']],
  ['is none', 'initial-letter:normal', [], ['b', 'i', 'u']],
  ['floats by itself', 'float:left;initial-letter:3;line-height:20px', [], ['b', 'i', 'u']],
])('lines beside a letter that %s', (_name, style, beside, alone) => {
  const rect = at(style, LINES);
  for (const name of beside) expect(rect(name).x).toBeGreaterThan(10);
  for (const name of alone) expect(rect(name).x).toBe(0);
});

test('its capitals are as high as the lines it stands for', () => {
  const [two, four] = [2, 4].map((lines) => at(`initial-letter:${lines}`, LINES)('b').x);
  // Capitals of Arial at 16 px are 11 px high: one line of 20 px more each.
  expect(four! / two!).toBeCloseTo((60 + 11) / (20 + 11), 1);
});

test('what its box has around it stands off the lines', () => {
  const plain = at('initial-letter:2', LINES)('b').x;
  expect(at('initial-letter:2;margin-right:10px;padding:2px;border:1px solid', LINES)('b').x - plain).toBeCloseTo(
    16,
    1,
  );
});
