import { auditPage } from '../../src/core/index.js';
import { pageFrom, sceneAt, styled } from '../support/page.js';
import { valueOf } from '../support/computed.js';

const nested = (depth: number, inside: string): string =>
  '<div class=a>'.repeat(depth) + inside + '</div>'.repeat(depth);
const many = (count: number, make: (i: number) => string): string =>
  Array.from({ length: count }, (_, i) => make(i)).join('');
const budgets = (page: { limits: readonly { kind: string; subject: string }[] }) =>
  page.limits.filter((l) => l.kind === 'budget').map((l) => l.subject);

describe('sheets made to take forever end, and say what was given up', () => {
  test('long chains of descendants in a deep page', () => {
    const selector = `.gone ${'.a '.repeat(14)}p`;
    const page = styled(`${selector}{top:1px} p{left:2px}`, nested(120, '<p id=x>1</p>'));
    expect(valueOf(page, '#x', 'left')).toBe('2px');
    expect(budgets(page)).toEqual(['selectors too costly to match']);
  });

  test('thousands of :has()', () => {
    const css = many(600, (i) => `div:has(.b${i} .c${i}){top:${i}px}`);
    const page = styled(
      css,
      many(400, () => '<div><i></i></div>'),
    );
    expect(sceneAt(page).rect(page.document.body!)!.height).toBeGreaterThanOrEqual(0);
    expect(page.document.elements.length).toBeGreaterThan(800);
  });

  test('thousands of :nth-child(of)', () => {
    const css = many(400, (i) => `i:nth-child(${i} of .b${i % 7}){top:1px}`);
    const page = styled(css, `<p>${many(600, (i) => `<i class=b${i % 7}></i>`)}</p>`);
    expect(valueOf(page, 'i', 'position')).toBe('static');
  });

  test('rules nested without end', () => {
    const page = styled(`${'a { & '.repeat(400)}`, '<a id=x>1</a>');
    expect(budgets(page).some((subject) => subject.startsWith('rules nested deeper'))).toBe(true);
  });

  test('elements nested without end', () => {
    const page = pageFrom(`<!doctype html>${nested(3000, '<p>deep</p>')}`);
    expect(sceneAt(page).scrollSize.height).toBeGreaterThan(0);
    expect(budgets(page)).toEqual(['elements nested deeper than 512']);
  });

  test('a container query that answers itself', () => {
    const css =
      'body{margin:0}main{display:inline-block;container-type:normal}#c{container-type:inline-size;width:300px}@container (max-width:250px){#x{top:1px}}';
    expect(valueOf(styled(css, '<main><div id=c><p id=x>1</p></div></main>'), '#x', 'top')).toBe('auto');
  });

  test('a page of thousands of items', () => {
    const items = many(3000, (i) => `<li><a href="#${i}">Item ${i}</a></li>`);
    const page = pageFrom(`<!doctype html><nav><ul>${items}</ul></nav>`);
    const result = auditPage(page, { at: [375], only: ['uncrawlable-link'] });
    expect(result.menus[0]!.items).toHaveLength(3000);
    expect(result.crashed).toEqual([]);
  });

  test('floats beside floats beside floats', () => {
    const page = styled(
      'i{float:left;width:7px;height:7px}',
      many(900, () => '<i></i>'),
    );
    expect(sceneAt(page).scrollSize.height).toBeGreaterThan(0);
  });

  test('one paragraph of very many words', () => {
    const page = styled('p{width:300px}', `<p>${'ferry '.repeat(10_000)}</p>`);
    expect(sceneAt(page).rect(page.document.body!.elements[0]!)!.height).toBeGreaterThan(1000);
  });

  test('flex containers inside flex containers', () => {
    const page = styled('.a{display:flex;flex-wrap:wrap}', nested(24, '<p>deep</p>'));
    expect(sceneAt(page).scrollSize.height).toBeGreaterThan(0);
  });

  test('tables inside tables', () => {
    const open = '<table><tr><td>'.repeat(12);
    const page = pageFrom(`<!doctype html>${open}x`);
    expect(sceneAt(page).scrollSize.height).toBeGreaterThan(0);
  });
});
