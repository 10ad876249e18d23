import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { Ajv } from 'ajv';
import { parse as parseCsv } from 'csv-parse/sync';
import jsonld from 'jsonld';
import { validateXML } from 'xmllint-wasm';
import { auditPage, compareAcross, type AuditResult, type Page } from '../../src/core/index.js';
import { formatFor, materialOf, type PageMaterial } from '../../src/formats/index.js';
import { auditModel } from '../../src/formats/schema.js';
import { loadFile, picturesOf, shippedOutlines, siteOfFile } from '../../src/sources/index.js';
import { parseHtml } from '../../src/core/html/index.js';
import { SourceText } from '../../src/core/base/index.js';
import { links, menuPage } from '../support/audit.js';
import { pageFrom } from '../support/page.js';

/** Names that act where they are not only read: markup, a formula, control codes, turned direction, Markdown, half a character. */
const HOSTILE = [
  '</script><script>alert(1)</script>',
  '=HYPERLINK("http://evil.example";"x")',
  '@SUM(1+1)',
  '\u001b[31mred\u0007',
  'abc\u202egnp.exe',
  '`<b>` [link](javascript:alert(1)) **bold** @everyone',
  '+1|cmd',
  '-2+3',
  '\ud800 half',
  ']]> & "quotes" \'single\'',
  '<%= it.policy %> {{x}} ${y}',
];
const attribute = (text: string) => text.replace(/&/g, '&amp;').replace(/"/g, '&quot;').replace(/</g, '&lt;');
const hostile = menuPage(
  'a{color:#bbb;display:block}',
  HOSTILE.map((text) => `<li><a href="${attribute(text)}" title="${attribute(text)}">${attribute(text)}</a></li>`).join(
    '',
  ) +
    links('Home', 'Fares') +
    links('Home', 'Fares'),
);

interface Audited {
  readonly result: AuditResult;
  readonly material: PageMaterial;
}

async function audited(page: Page, file: string | null): Promise<Audited> {
  const result = auditPage(page, { at: [375, 1280] });
  const pictures = file === null ? null : picturesOf(siteOfFile(file));
  return { result, material: materialOf(page, result, await shippedOutlines(), pictures) };
}

const editions = ['launched', 'mended'] as const;
type Sources = readonly (readonly [string, readonly Audited[]])[];

async function readSources(): Promise<Sources> {
  const out: [string, readonly Audited[]][] = [];
  for (const edition of editions) {
    const pages: Audited[] = [];
    for (const name of ['index', 'fares']) {
      const file = `demo/${edition}/${name}.html`;
      pages.push(await audited(await loadFile(file), file));
    }
    out.push([edition, pages]);
  }
  return [...out, ['hostile', [await audited(pageFrom(hostile), null)]]];
}

let sources: Sources = [];
beforeAll(async () => {
  sources = await readSources();
}, 120_000);

async function written(ending: string): Promise<ReadonlyMap<string, string>> {
  const out = new Map<string, string>();
  for (const [name, pages] of sources) {
    const writer = await formatFor(ending).open({ version: '1.2.3', day: '2026-01-31' });
    for (const { result, material } of pages) writer.page(result, material);
    const failures =
      name === 'hostile' ? [{ name: `gone${HOSTILE[0]}.html`, message: `it does not exist ${HOSTILE[3]}` }] : [];
    const end = writer.end({ across: compareAcross(pages.map(({ result }) => result)), failures });
    out.set(name, typeof end === 'string' ? end : Buffer.from(end).toString('utf8'));
  }
  return out;
}

const CONTROL = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\u200e\u200f\u202a-\u202e\u2066-\u2069]/;

test('the model keeps to its schema', async () => {
  for (const text of (await written('.json')).values()) expect(() => auditModel.parse(JSON.parse(text))).not.toThrow();
});

describe('SARIF', () => {
  const require = createRequire(import.meta.url);
  const schema = JSON.parse(
    readFileSync(require.resolve('schemastore/schemas/json/sarif-2.1.0.json'), 'utf8'),
  ) as object;
  const validate = new Ajv({ strict: false, unicodeRegExp: false, validateFormats: false, logger: false }).compile(
    schema,
  );

  test('is valid by the standard’s schema', async () => {
    for (const text of (await written('.sarif')).values()) {
      validate(JSON.parse(text));
      expect(validate.errors).toBeNull();
      expect(text).not.toMatch(CONTROL);
    }
  });

  test('points at lines of markup and of sheets, and tells results apart', async () => {
    interface Result {
      readonly ruleId: string;
      readonly locations: readonly {
        readonly physicalLocation: {
          readonly artifactLocation: { readonly uri: string };
          readonly region: { readonly startLine: number };
        };
      }[];
      readonly partialFingerprints: Readonly<Record<string, string>>;
    }
    const { runs } = JSON.parse((await written('.sarif')).get('launched')!) as { runs: { results: Result[] }[] };
    const { results } = runs[0]!;
    const uris = results.map(({ locations }) => locations[0]!.physicalLocation.artifactLocation.uri);
    expect(uris).toContain('demo/launched/index.html');
    expect(uris).toContain('demo/launched/css/header.css');
    expect(results.every(({ locations }) => locations[0]!.physicalLocation.region.startLine > 0)).toBe(true);
    const marks = results.map(({ partialFingerprints }) => partialFingerprints['ropeLadder/v1']);
    expect(new Set(marks).size).toBe(marks.length);
  });

  test('fingerprints survive moved lines', async () => {
    const marks = async (html: string) => {
      const writer = await formatFor('.sarif').open({ version: '1', day: null });
      writer.page(auditPage(pageFrom(html), { at: [1000] }), null);
      const log = JSON.parse(String(writer.end({ across: compareAcross([]), failures: [] }))) as {
        runs: { results: { partialFingerprints: object }[] }[];
      };
      return log.runs[0]!.results.map(({ partialFingerprints }) => partialFingerprints);
    };
    const html = menuPage('a{color:#bbb}', links('Home', 'Fares'));
    expect(await marks(html.replace('<style>', '\n\n<style>\n/* moved */\n'))).toEqual(await marks(html));
  });
});

test('JUnit is valid, and its counts are right', async () => {
  const schema = readFileSync('tests/formats/schemas/junit.xsd', 'utf8');
  for (const text of (await written('.xml')).values()) {
    const { errors } = await validateXML({ xml: [{ fileName: 'out.xml', contents: text }], schema: [schema] });
    expect(errors.map(({ message }) => message)).toEqual([]);
    const [, tests, failures] = /<testsuites [^>]*tests="(\d+)" failures="(\d+)"/.exec(text)!;
    expect([...text.matchAll(/<testcase /g)]).toHaveLength(Number(tests));
    expect([...text.matchAll(/<failure /g)]).toHaveLength(Number(failures));
    expect(text).not.toMatch(CONTROL);
  }
});

test('EARL says who asserts what of which page, in the words of its vocabulary', async () => {
  const EARL = 'http://www.w3.org/ns/earl#';
  const WORDS =
    /^(http:\/\/www\.w3\.org\/ns\/earl#(assertedBy|mode|subject|test|result|outcome|info)|http:\/\/purl\.org\/dc\/terms\/(title|description|hasVersion|isPartOf|date)|@(id|type|graph|value))$/;
  for (const text of (await written('.jsonld')).values()) {
    const [whole] = await jsonld.expand(JSON.parse(text) as never);
    const nodes = ((whole as Record<string, unknown>)['@graph'] ?? [whole]) as Record<string, unknown>[];
    const keys = new Set<string>();
    JSON.stringify(nodes, (key, value: unknown) => {
      if (key !== '' && !/^\d+$/.test(key)) keys.add(key);
      return value;
    });
    expect([...keys].filter((key) => !WORDS.test(key))).toEqual([]);
    const assertions = nodes.filter((node) => (node['@type'] as string[]).includes(`${EARL}Assertion`));
    expect(assertions.length).toBeGreaterThan(60);
    for (const one of assertions)
      for (const word of ['assertedBy', 'subject', 'test', 'result']) expect(one[`${EARL}${word}`]).toHaveLength(1);
    expect(text).not.toMatch(CONTROL);
  }
});

test('a table has text in its cells, never a formula', async () => {
  for (const [name, text] of await written('.csv')) {
    const rows = parseCsv(text) as string[][];
    expect(new Set(rows.map((row) => row.length)).size).toBe(1);
    expect(rows.length).toBeGreaterThan(name === 'mended' ? 0 : 5);
    expect(rows.flat().filter((cell) => /^\s*[=+\-@|%]/.test(cell))).toEqual([]);
    expect(text).not.toMatch(CONTROL);
  }
});

test('Markdown shows page text as it is', async () => {
  const text = (await written('.md')).get('hostile')!;
  const outsideCode = text.replace(/(`+) ?[^]*?\1/g, '');
  expect(outsideCode).not.toMatch(/<[a-z/]|\]\(|(?<!\w)@\w/);
  expect(outsideCode).toContain('alert');
  expect(text).not.toMatch(CONTROL);
  expect((await written('.md')).get('mended')).toContain('No findings.');
});

describe('the report', () => {
  test('page text becomes neither markup nor script', async () => {
    for (const text of (await written('.html')).values()) {
      const { elements } = parseHtml(new SourceText('report.html', text), { scripting: true });
      expect(elements.filter(({ tag }) => tag === 'script')).toHaveLength(1);
      expect(elements.filter(({ tag }) => ['iframe', 'object', 'embed', 'b'].includes(tag) && tag !== 'b')).toEqual([]);
      const attributes = elements.flatMap(({ attributes: own }) => [...own]);
      expect(attributes.filter(([name]) => /^on|^style$/.test(name))).toEqual([]);
      const addresses = attributes
        .filter(([name]) => /^(href|src|action|xlink:href)$/.test(name))
        .map(([, value]) => value);
      expect(addresses.filter((value) => !/^(#|data:image\/svg\+xml;base64,)/.test(value))).toEqual([]);
      expect(text).not.toMatch(CONTROL);
    }
  });

  test('loads nothing, runs nothing but its own script, and every link inside it ends somewhere', async () => {
    for (const text of (await written('.html')).values()) {
      expect(text).toMatch(/default-src &#39;none&#39;|default-src 'none'/);
      const { elements } = parseHtml(new SourceText('report.html', text), { scripting: true });
      const ids = elements.flatMap(({ id }) => (id ? [id] : []));
      expect(ids.filter((id, i) => ids.indexOf(id) !== i)).toEqual([]);
      const targets = elements.flatMap(({ attributes: own }) => own.get('href')?.match(/^#(.+)/)?.[1] ?? []);
      expect(targets.filter((id) => !ids.includes(id))).toEqual([]);
    }
  });

  test('has no finding by the checks it reports', async () => {
    const text = (await written('.html')).get('launched')!;
    const { findings, menus } = auditPage(pageFrom(text), { at: [320, 700, 1280] });
    expect(menus.length).toBeGreaterThan(0);
    expect(findings.map(({ check, says }) => `${check}: ${says}`)).toEqual([]);
  });
});
