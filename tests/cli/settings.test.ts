import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { config } from '../../src/cli/config/model.js';
import { parseFile } from '../../src/cli/config/parse.js';
import { UsageError } from '../../src/cli/errors.js';
import { auditModel } from '../../src/formats/schema.js';
import { Site } from '../support/command.js';

const page = (css: string) =>
  `<!doctype html><html lang="en"><head><title>Pier</title><meta name="viewport" content="width=device-width"><style>nav a{display:inline-block;padding:8px}${css}</style></head><body><nav aria-label="Main"><ul><li><a href="index.html">Home</a></li><li><a href="fares.html">Fares</a></li></ul></nav><main></main></body></html>`;
const FAST = { from: 400, to: 420 };

const site = new Site({
  'dist/index.html': page('a{color:#aaa}'),
  'dist/fares.html': page('a{color:#aaa}'),
  'dist/drafts/old.html': page('a{color:#bbb}'),
  'clean/index.html': page('a{color:#111}'),
  'rope-ladder.json': JSON.stringify({ pages: ['dist'], skipPages: ['dist/drafts'], ...FAST }),
});
afterAll(() => site.remove());

const asked = (settings: object, words: readonly string[] = ['audit']) => {
  site.put('rope-ladder.json', JSON.stringify({ pages: ['dist'], skipPages: ['dist/drafts'], ...FAST, ...settings }));
  return site.run(words);
};
const model = (out: string) => auditModel.parse(JSON.parse(out));

describe('rope-ladder.json', () => {
  test('names the pages, those to leave out and the widths', () => {
    const { pages } = model(asked({}, ['audit', '--json']).out);
    expect(pages.map((one) => one.page)).toEqual(['dist/index.html', 'dist/fares.html']);
    expect(pages[0]!.widths).toEqual(FAST);
  });

  test('the command line goes before it', () => {
    const { pages } = model(
      asked({ level: 'AAA' }, ['audit', 'clean/index.html', '--at', '500', '--level', 'A', '--json']).out,
    );
    expect(pages.map(({ page: name, level, widths }) => [name, level, widths.from])).toEqual([
      ['clean/index.html', 'A', 500],
    ]);
  });

  test('--no-config leaves it out; other options with values cannot be negated', () => {
    const words = ['audit', 'clean/index.html', '--at', '500', '--json'];
    expect(model(asked({ level: 'AAA' }, [...words, '--no-config']).out).pages[0]!.level).toBe('AA');
    const { code, err } = asked({}, [...words, '--no-root']);
    expect([code, err]).toEqual([2, expect.stringMatching(/--no-root means nothing\. Leave --root out/)]);
  });

  test('turns checks off, weighs them otherwise, and says what fails', () => {
    expect(asked({}).code).toBe(1);
    expect(asked({ checks: { 'text-contrast': 'off' } }).code).toBe(0);
    expect(asked({ checks: { 'text-contrast': 'polish' } }).code).toBe(0);
    expect(asked({ failOn: 'blocks' }).code).toBe(0);
    const [first] = model(asked({ checks: { 'text-contrast': { weight: 'blocks' } } }, ['audit', '--json']).out).pages;
    expect(first!.findings.map(({ check, weight }) => [check, weight])).toEqual([['text-contrast', 'blocks']]);
  });

  test('figures that no standard fixes can be set', () => {
    site.put('small/index.html', page('a{font-size:12.5px;color:#222}'));
    const found = (figures: object) =>
      model(
        asked({ pages: ['small'], checks: { 'small-text': { figures } } }, ['audit', '--json', '--only', 'small-text'])
          .out,
      ).pages[0]!.findings;
    expect(found({})).toEqual([]);
    const [finding] = found({ least: 13 });
    expect(finding!.says).toContain('12.5 px high: under 13 px');
    expect(finding!.mends).toContain('Set it in 13 px or more');
    expect(finding!.needed).toEqual({ value: 13, unit: 'px' });
  });

  test('writes what it is told to', () => {
    expect(asked({ write: ['told.csv'] }).err).toContain('Written: told.csv');
    expect(readFileSync(join(site.folder, 'told.csv'), 'utf8').split('\r\n')[0]).toMatch(/^page,weight,check/);
  });

  test('a declared opening shows what the page’s scripts do not', () => {
    const hidden = page('a{color:#aaa}nav ul{display:none}nav.open ul{display:block}').replace(
      '<nav',
      '<button class="b" aria-expanded="false">Menu</button><nav',
    );
    site.put('shut/index.html', hidden);
    const openings = [{ handle: '.b', move: 'press', on: 'nav', class: 'open' }];
    const found = (settings: object) =>
      model(asked({ pages: ['shut'], ...settings }, ['audit', '--json', '--only', 'text-contrast']).out).pages[0]!
        .findings;
    expect(found({})).toEqual([]);
    expect(found({ openings }).map(({ check, poses }) => [check, poses])).toEqual([
      ['text-contrast', ['press:button.b']],
    ]);
  });

  test('declared menus are audited, and what is declared to be none is not', () => {
    site.put(
      'own/index.html',
      page('a{color:#aaa}').replace(
        '<nav',
        '<div class="q"><span class="t">More</span><p><a href="a.html">A one</a> and <a href="b.html">B two</a></p></div><nav',
      ),
    );
    const found = (menus: object[]) => {
      const result = model(asked({ pages: ['own'], menus }, ['audit', '--json', '--only', 'text-contrast']).out)
        .pages[0]!;
      return [result.menus.map(({ kind, label }) => `${kind} ${label}`), result.findings.length] as const;
    };
    const [names, count] = found([]);
    expect(found([{ menu: '.q', kind: 'utility', label: 'Quick links', toggles: ['.t'] }])[0]).toEqual([
      'utility Quick links',
      ...names,
    ]);
    expect([names.length > 0, count > 0]).toEqual([true, true]);
    expect(found([{ menu: 'nav', ignore: true }])).toEqual([[], 0]);
  });

  test('what only another height shows is told with that height', () => {
    const low = page('a{color:#111}@media (max-height:640px){a{color:#aaa}}');
    site.put('low/index.html', low);
    const found = (settings: object, words: readonly string[] = []) => {
      const [one] = model(
        asked({ pages: ['low'], ...settings }, ['audit', '--json', '--only', 'text-contrast', ...words]).out,
      ).pages;
      return { heights: one!.heights, findings: one!.findings.map(({ visitors, says }) => [visitors, says]) };
    };
    expect(found({})).toEqual({ heights: [800], findings: [] });
    const { heights, findings } = found({ height: [800, 600, 500] });
    expect(heights).toEqual([800, 600, 500]);
    expect(findings).toEqual([[['screen-600-px-high'], expect.stringMatching(/on a screen 600 px high\.$/)]]);
    // At the first height it is told as ever.
    expect(found({ height: 600 }).findings).toEqual([[[], expect.not.stringContaining('px high')]]);
    expect(found({}, ['--height', '600,800']).heights).toEqual([600, 800]);
  });

  test('what is declared holds for every command that reads a page', () => {
    const settings = {
      menus: [{ menu: '.q', kind: 'utility', label: 'Quick links' }],
      openings: [{ handle: '.b', move: 'press', on: '.q', class: 'open' }],
    };
    site.put(
      'told/index.html',
      page('.q p{display:none}.q.open p{display:block}').replace(
        '<nav',
        '<button class="b" aria-expanded="false">More</button><div class="q"><p><a href="a.html">A one</a> and <a href="b.html">B two</a></p></div><nav',
      ),
    );
    const told = (words: readonly string[], set: object = settings) => asked(set, [...words, 'told/index.html']).out;
    expect(told(['menus'])).toMatch(/utility[^]*Quick links|Quick links[^]*utility/);
    expect(told(['menus'], {})).not.toContain('Quick links');
    expect(told(['rungs'])).toContain('Quick links');
    const stops = (set: object) =>
      (JSON.parse(told(['walk', '--json', '--pose', 'press:.b'], set)) as { stops: { name: string }[] }).stops.map(
        ({ name }) => name,
      );
    expect(stops(settings)).toEqual(expect.arrayContaining(['A one', 'B two']));
    const seen = (set: object) =>
      (JSON.parse(told(['links', '--json'], set)) as { pages: { links: { address: string }[] }[] }).pages[0]!.links.map(
        ({ address }) => address,
      );
    expect([seen(settings).some((a) => a.endsWith('a.html')), seen({}).some((a) => a.endsWith('a.html'))]).toEqual([
      true,
      false,
    ]);
    asked(settings, ['rungs', 'told/index.html']);
    site.put('other.json', JSON.stringify({ menus: [{ menu: '.q', label: 'By another file' }] }));
    expect(site.run(['menus', 'told/index.html', '--config', 'other.json']).out).toContain('By another file');
    expect(site.run(['menus', 'told/index.html', '--config', 'none.json']).err).toContain('none.json does not exist');
  });

  test.each<[string, string, RegExp]>([
    [
      'a figure that a check does not have',
      '{ "checks": {\n"small-text": { "figures": { "smallest": 13 } } } }',
      /:2 cannot be used: small-text has no figure “smallest”/,
    ],
    [
      'a figure that cannot be meant so',
      '{ "checks": {\n"sticky-greedy": { "figures": {\n"most": 0.3 } } } }',
      /:3 cannot be used: the figure “most” of sticky-greedy goes from 5 to 95 %, not 0.3/,
    ],
    ['what is no selector', '{ "menus": [{ "menu": "nav >" }] }', /“menus\[0\]\.menu” must be a CSS selector/],
    ['a kind that there is not', '{ "menus": [{ "menu": "nav", "kind": "mian" }] }', /“menus\[0\]\.kind”/],
    [
      'a label for what is ignored',
      '{ "menus": [{ "menu": "nav", "label": "x", "ignore": true }] }',
      /is ignored: leave its kind, label and toggles out/,
    ],
    [
      'a setting that is none',
      '{\n  "levle": "AA"\n}',
      /rope-ladder\.json:2 has “levle”, which is no setting\. Did you mean “level”\?/,
    ],
    [
      'a setting inside a list',
      '{ "accepted": [\n{ "check": "small-text", "reson": "x" }] }',
      /:2 .*“accepted\[0\]\.reson”.*Did you mean “reason”/,
    ],
    ['a wrong value', '{\n\n"level": "B" }', /:3 cannot be used: “level” does not fit/],
    [
      'a check that there is not',
      '{\n"checks": {\n"smal-text": "off" } }',
      /:3 names a check “smal-text” that there is not\. Did you mean small-text\?/,
    ],
    ['a setting of a check', '{ "checks": { "small-text": "of" } }', /“checks\.small-text” must be "off" or a weight/],
    ['a reason that is missing', '{ "accepted": [{ "check": "small-text" }] }', /“accepted\[0\](\.reason)?”/],
    [
      'a day that is none',
      '{ "accepted": [{ "check": "small-text", "reason": "x", "until": "2027-02-31" }] }',
      /must be a day such as/,
    ],
    [
      'an opening that changes nothing',
      '{ "openings": [{ "handle": "a", "on": "b" }] }',
      /needs either “class” or “attribute”/,
    ],
    ['no JSON', '{ "level": AA }', /rope-ladder\.json:1 is not JSON/],
    ['nothing at all', '', /is not JSON: it is empty/],
    ['a list', '[]', /cannot be used/],
  ])('%s is named with its line and a remedy', (_name, text, message) => {
    site.put('rope-ladder.json', text);
    const { code, err, out } = site.run(['audit', 'clean/index.html']);
    expect(code).toBe(2);
    expect(err).toMatch(message);
    expect(err).not.toMatch(/\n\s+at /);
    expect(out).toBe('');
  });

  test('a settings file that is named and missing', () => {
    expect(site.run(['audit', 'clean', '--config', 'none.json'])).toMatchObject({
      code: 2,
      err: expect.stringMatching(/none\.json does not exist/),
    });
  });

  test('any text is settings or a clear error', () => {
    const text = fc.oneof(
      fc.string(),
      fc.json(),
      fc.json().map((one) => `{"accepted": ${one}, "checks": ${one}}`),
    );
    fc.assert(
      fc.property(text, (given) => {
        try {
          parseFile('x.json', given, config);
        } catch (error) {
          expect(error).toBeInstanceOf(UsageError);
          expect((error as UsageError).message).toMatch(/^x\.json(:\d+)? /);
        }
      }),
      { numRuns: 400 },
    );
  });
});

describe('accepted findings', () => {
  const accepted = [{ check: 'text-contrast', pages: ['dist/*.html'], reason: 'old theme' }];

  test('are taken out, and told as accepted', () => {
    const { code, out } = asked({ accepted });
    expect(code).toBe(0);
    expect(out).toContain('No findings. 2 accepted.');
    const [first] = model(asked({ accepted }, ['audit', '--json']).out).pages;
    expect(first!.accepted.map(({ reason, finding }) => [reason, finding.check])).toEqual([
      ['old theme', 'text-contrast'],
    ]);
  });

  test('hold on their pages and places alone', () => {
    expect(asked({ accepted: [{ ...accepted[0], pages: ['other.html'] }] }).code).toBe(1);
    const selectors = ['nav > ul > li:nth-child(1) > a'];
    expect(asked({ accepted: [{ ...accepted[0], selectors }] }).code).toBe(1);
    expect(
      asked({ accepted: [{ ...accepted[0], selectors: [...selectors, 'nav > ul > li:nth-child(2) > a'] }] }).code,
    ).toBe(0);
  });

  test('end on their day, and say so', () => {
    const env = { SOURCE_DATE_EPOCH: String(Date.UTC(2027, 0, 2) / 1000) };
    const until = (day: string) => {
      site.put(
        'rope-ladder.json',
        JSON.stringify({ pages: ['dist/index.html'], ...FAST, accepted: [{ ...accepted[0], until: day }] }),
      );
      return site.run(['audit'], { env });
    };
    expect(until('2027-01-02').code).toBe(0);
    expect(until('2027-01-01')).toMatchObject({
      code: 1,
      err: expect.stringMatching(/acceptance of text-contrast on dist\/\*\.html ended on 2027-01-01/),
    });
  });

  test('that nothing matches any more are named', () => {
    const { err } = asked({ accepted: [{ check: 'small-text', reason: 'x' }] });
    expect(err).toContain('Nothing matches the acceptance of small-text any more; take it out of rope-ladder.json.');
  });

  test('--accept-all accepts what is there, so that only new faults fail', () => {
    site.put('rope-ladder.json', JSON.stringify(FAST));
    const first = site.run(['audit', 'dist', '--accept-all', 'old theme']);
    expect(first).toMatchObject({
      code: 0,
      err: expect.stringContaining('Accepted 2 findings in rope-ladder-accepted.json'),
    });
    expect(site.run(['audit', 'dist']).code).toBe(0);
    site.put(
      'dist/index.html',
      page('a{color:#aaa}a:hover{color:#999}').replace('</ul>', '<li><a href="#crew">Crew</a></li></ul>'),
    );
    const next = site.run(['audit', 'dist', '--json']);
    expect(next.code).toBe(1);
    expect(model(next.out).pages.flatMap(({ findings }) => findings.map(({ check }) => check))).toContain(
      'broken-fragment',
    );
    expect(site.run(['audit', 'dist', '--accept-all', ' ']).code).toBe(2);
  });
});

describe('findings of several pages together', () => {
  const one = page('a{color:#111}');
  const renamed = one.replace('>Fares<', '>Prices<');
  const accepted = [{ check: 'name-differs', pages: ['pair/*.html'], reason: 'a campaign' }];
  const run = (settings: object, words: readonly string[] = []) => {
    site.put('pair/index.html', one);
    site.put('pair/fares.html', renamed);
    site.put('rope-ladder.json', JSON.stringify({ pages: ['pair'], failOn: 'polish', ...FAST, ...settings }));
    return site.run(['audit', ...words]);
  };

  test('are accepted like others', () => {
    site.put('rope-ladder-accepted.json', '{"accepted":[]}');
    expect(run({}).code).toBe(1);
    expect(run({ accepted }).code).toBe(0);
    expect(model(run({ accepted }, ['--json']).out).across.accepted.map(({ reason }) => reason)).toEqual([
      'a campaign',
    ]);
    expect(run({ accepted: [{ ...accepted[0], pages: ['elsewhere.html'] }] }).code).toBe(1);
  });

  test('--accept-all takes them too, and copies nothing out of the settings', () => {
    const own = [{ check: 'small-text', reason: 'in the settings' }];
    expect(run({ accepted: own }, ['--accept-all', 'a campaign']).err).toContain('Accepted 1 finding in');
    const written = JSON.parse(readFileSync(join(site.folder, 'rope-ladder-accepted.json'), 'utf8')) as {
      accepted: { check: string }[];
    };
    expect(written.accepted.map(({ check }) => check)).toEqual(['name-differs']);
    expect(run({ accepted: own }).code).toBe(0);
    site.put('rope-ladder-accepted.json', '{"accepted":[]}');
  });
});

describe('init and schema', () => {
  test('a first file that audits what is there', () => {
    const fresh = new Site({ 'build/index.html': page('a{color:#111}'), 'build/sub/two.html': page('a{color:#111}') });
    expect(fresh.run(['init'])).toMatchObject({ code: 0, out: expect.stringContaining('for 2 pages in build') });
    expect(fresh.run(['init'])).toMatchObject({ code: 2, err: expect.stringContaining('--replace') });
    const { code, out } = fresh.run(['audit', '--at', '400']);
    expect(code).toBe(0);
    expect(out).toContain('2 pages: 0 with findings');
    expect(existsSync(join(fresh.folder, 'menus.html'))).toBe(true);
    fresh.remove();
  });

  test('a folder without pages', () => {
    const empty = new Site({ 'notes.txt': 'x' });
    expect(empty.run(['init'])).toMatchObject({ code: 0, out: expect.stringContaining('No built page was found') });
    empty.remove();
  });

  test.each(['result', 'settings', 'accepted'])('the schema of %s', (of) => {
    const schema = JSON.parse(site.run(['schema', of]).out) as { type: string; properties: object };
    expect(schema.type).toBe('object');
    expect(Object.keys(schema.properties)).toContain(of === 'result' ? 'pages' : 'accepted');
  });
});
