import fc from 'fast-check';
import { LimitLog, positionOf, SourceText } from '../../src/core/base/index.js';
import {
  closest,
  collapseSpace,
  DEPTH_CAP,
  descendants,
  isAncestorOrSelf,
  parseHtml,
  splitTokens,
  textContent,
} from '../../src/core/html/index.js';

const parse = (html: string, scripting = true) => parseHtml(new SourceText('page.html', html), { scripting });

describe('documents', () => {
  test('implied elements are there and have no start tag', () => {
    const document = parse('<p id=a>x');
    expect(document.elements.map((e) => e.tag)).toEqual(['html', 'head', 'body', 'p']);
    expect(document.root.startTag).toBeNull();
    expect(document.body?.tag).toBe('body');
    expect(document.quirks).toBe(true);
  });

  test('a doctype means standards mode', () => {
    expect(parse('<!doctype html><p>x').quirks).toBe(false);
    expect(parse('<!DOCTYPE HTML PUBLIC "-//W3C//DTD HTML 3.2//EN"><p>x').quirks).toBe(true);
  });

  test('paths name each element by its place', () => {
    const document = parse('<!doctype html><header></header><nav><a>1</a><a>2</a></nav>');
    expect(document.elements.at(-1)!.path).toBe('html>body>nav:nth-child(2)>a:nth-child(2)');
    expect(new Set(document.elements.map((e) => e.path)).size).toBe(document.elements.length);
  });

  test('noscript holds elements only with scripts off', () => {
    const html = '<!doctype html><body><noscript><a href=x>menu</a></noscript>';
    expect(parse(html, false).elements.some((e) => e.tag === 'a')).toBe(true);
    expect(parse(html, true).elements.some((e) => e.tag === 'a')).toBe(false);
  });

  test('templates keep their content apart', () => {
    expect(parse('<!doctype html><template><a>x</a></template>').elements.some((e) => e.tag === 'a')).toBe(false);
  });

  test('the first of several equal ids is found', () => {
    const document = parse('<p id=a class=one><p id=a class=two>');
    expect(document.byId('a')!.classes).toEqual(['one']);
    expect(document.byId('zzz')).toBeNull();
  });

  test('svg keeps its namespace and spelling', () => {
    const document = parse('<!doctype html><svg viewBox="0 0 1 1"><linearGradient/></svg>');
    const svg = document.elements.find((e) => e.tag === 'svg')!;
    expect(svg.namespace).toBe('svg');
    expect(svg.attributes.get('viewBox')).toBe('0 0 1 1');
    expect(svg.elements[0]!.tag).toBe('linearGradient');
  });
});

describe('places', () => {
  const html = '<!doctype html>\n<nav>\n  <a href="x" class=y>t</a>\n</nav>';
  const link = parse(html).elements.find((e) => e.tag === 'a')!;

  test('start tags have line and column', () => {
    expect(positionOf(link.startTag!)).toEqual({ file: 'page.html', line: 3, column: 3 });
  });

  test('attributes have their own spans', () => {
    const span = link.attributeSpan('class')!;
    expect(html.slice(span.start, span.end)).toBe('class=y');
    expect(link.attributeSpan('title')).toBeNull();
  });

  test('pieces of a file count lines in the file', () => {
    const file = new SourceText('page.html', 'ab\ncd\nef');
    const piece = new SourceText('page.html', 'd\ne', 4, file);
    expect(piece.position(2)).toEqual({ file: 'page.html', line: 3, column: 1 });
  });

  test('every offset lies on the line that holds it', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom('a', 'b', '\n')), fc.nat(), (parts, n) => {
        const text = parts.join('');
        const offset = text.length === 0 ? 0 : n % text.length;
        const { line, column } = new SourceText('t', text).position(offset);
        const lines = text.split('\n');
        return lines.slice(0, line - 1).join('\n').length + (line > 1 ? 1 : 0) + column - 1 === offset;
      }),
    );
  });
});

describe('bounds', () => {
  test('deep nesting is cut as browsers cut it, and said', () => {
    const limits = new LimitLog();
    const document = parseHtml(new SourceText('deep.html', '<!doctype html>' + '<div>'.repeat(5000)), {
      scripting: true,
      limits,
    });
    const depth = (path: string) => path.split('>').length;
    expect(Math.max(...document.elements.map((e) => depth(e.path)))).toBeLessThanOrEqual(DEPTH_CAP);
    expect(document.elements.filter((e) => e.tag === 'div')).toHaveLength(5000);
    expect(limits.list()[0]).toMatchObject({ kind: 'budget' });
  });

  test('any text is a document', () => {
    fc.assert(fc.property(fc.string(), (text) => parse(text).root.tag === 'html'));
  });
});

describe('helpers', () => {
  const document = parse('<!doctype html><ul id=u><li id=l>a <b>b</b></li><li>c</li></ul>');
  const u = document.byId('u')!;

  test('descendants come in document order', () => {
    expect([...descendants(u)].map((e) => e.tag)).toEqual(['li', 'b', 'li']);
  });

  test('text content and white space', () => {
    expect(textContent(u)).toBe('a bc');
    expect(collapseSpace('  a \n b\t')).toBe('a b');
    expect(splitTokens(' a  b\nc ')).toEqual(['a', 'b', 'c']);
  });

  test('ancestors', () => {
    const b = document.elements.find((e) => e.tag === 'b')!;
    expect(isAncestorOrSelf(u, b)).toBe(true);
    expect(isAncestorOrSelf(b, u)).toBe(false);
    expect(closest(b, (e) => e.tag === 'li')!.id).toBe('l');
    expect(closest(u, (e) => e.tag === 'table')).toBeNull();
  });
});

describe('limits', () => {
  test('repeats are counted, order is fixed, logs can be joined', () => {
    const log = new LimitLog();
    log.add('missing', 'sheet b.css', 'left out');
    log.add('missing', 'sheet a.css', 'left out');
    log.add('missing', 'sheet b.css', 'left out');
    const other = new LimitLog();
    other.merge(log.list());
    other.add('budget', 'x', 'y');
    expect(other.list().map((l) => [l.kind, l.subject, l.count])).toEqual([
      ['budget', 'x', 1],
      ['missing', 'sheet a.css', 1],
      ['missing', 'sheet b.css', 2],
    ]);
  });
});
