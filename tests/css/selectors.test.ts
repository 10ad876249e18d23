import fc from 'fast-check';
import {
  compileSelectors,
  factsOf,
  holds,
  parseAnPlusB,
  printFact,
  restContext,
  satisfies,
  SelectorError,
  unpack,
  type Guard,
} from '../../src/core/css/index.js';
import { stateView } from '../../src/core/cascade/index.js';
import { findAll, pageFrom } from '../support/page.js';

const PAGE = pageFrom(`<!doctype html><html lang="en"><body>
<header id="top" class="bar wide"><nav aria-label="Main" data-kind="menu-main"><ul>
<li id="i1" class="item first"><a id="a1" href="/a">A</a></li>
<li id="i2" class="item"><a id="a2" href="/b" target="_BLANK">B</a><ul id="sub"><li id="s1"><a id="sa" href="/c">C</a></li></ul></li>
<li id="i3" class="item last"><button id="b1" disabled>D</button></li>
</ul></nav></header>
<p id="p1" lang="de-AT">x</p><p id="p2" dir="rtl"></p><p id="p3"></p>
<form><input id="c1" type="checkbox" checked><input id="t1" required placeholder="x"><input id="t2" type="TEXT" readonly></form>
<custom-tag id="k1"></custom-tag><details id="d1" open><summary id="m1">s</summary></details>
</body></html>`);

const ids = (selector: string) => findAll(PAGE, selector).map((e) => e.id ?? e.tag);

describe('matching', () => {
  test.each<[string, string[]]>([
    ['#a1', ['a1']],
    ['.item', ['i1', 'i2', 'i3']],
    ['li.item.first', ['i1']],
    ['nav a', ['a1', 'a2', 'sa']],
    ['.item > a', ['a1', 'a2']],
    ['.item + .item', ['i2', 'i3']],
    ['.first ~ .item', ['i2', 'i3']],
    ['a + ul', ['sub']],
    ['[href]', ['a1', 'a2', 'sa']],
    ['[href="/a"]', ['a1']],
    ['[class~="wide"]', ['top']],
    ['[data-kind|="menu"]', ['nav']],
    ['[data-kind^="menu"]', ['nav']],
    ['[data-kind$="main"]', ['nav']],
    ['[data-kind*="u-m"]', ['nav']],
    ['[data-kind="MENU-MAIN" i]', ['nav']],
    ['[target=_blank]', ['a2']],
    ['[type=text]', ['t2']],
    ['[href^=""]', []],
    ['li:first-child', ['i1', 's1']],
    ['li:last-child', ['s1', 'i3']],
    ['li:only-child', ['s1']],
    ['.item:nth-child(2)', ['i2']],
    ['.item:nth-child(odd)', ['i1', 'i3']],
    ['.item:nth-last-child(1)', ['i3']],
    ['p:nth-of-type(2)', ['p2']],
    ['p:first-of-type', ['p1']],
    ['p:last-of-type', ['p3']],
    ['li:nth-child(2 of .item)', ['i2']],
    ['.item:not(.first)', ['i2', 'i3']],
    ['.item:not(.first, .last)', ['i2']],
    [':is(#a1, #a2)', ['a1', 'a2']],
    [':where(.first, .last)', ['i1', 'i3']],
    [':is(#a1, :nonsense)', ['a1']],
    ['li:has(> ul)', ['i2']],
    ['li:has(button)', ['i3']],
    ['a:has(+ ul)', ['a2']],
    ['li:not(:has(a))', ['i3']],
    ['li:has(ul a)', ['i2']],
    [':root', ['html']],
    ['p:empty', ['p2', 'p3']],
    [':disabled', ['b1']],
    ['input:required', ['t1']],
    ['input:placeholder-shown', ['t1']],
    ['input:read-write', ['t1']],
    [':lang(de)', ['p1']],
    ['p:dir(rtl)', ['p2']],
    ['a:link', ['a1', 'a2', 'sa']],
    ['a:visited', []],
    ['custom-tag:not(:defined)', ['k1']],
    ['*', PAGE.document.elements.map((e) => e.id ?? e.tag)],
    ['LI.first', ['i1']],
    ['.FIRST', []],
  ])('%s', (selector, expected) => {
    expect(ids(selector)).toEqual(expected);
  });

  test('quirks mode folds the case of classes and ids', () => {
    const page = pageFrom('<p id=A class=B>x');
    expect(findAll(page, '#a.b')).toHaveLength(1);
  });
});

describe('specificity', () => {
  test.each<[string, [number, number, number]]>([
    ['*', [0, 0, 0]],
    ['li', [0, 0, 1]],
    ['ul li', [0, 0, 2]],
    ['.a.b', [0, 2, 0]],
    ['#a .b li', [1, 1, 1]],
    ['a:hover', [0, 1, 1]],
    ['a::before', [0, 0, 2]],
    ['[href]', [0, 1, 0]],
    [':is(#a, .b)', [1, 0, 0]],
    [':where(#a, .b)', [0, 0, 0]],
    [':not(.a, li)', [0, 1, 0]],
    [':has(#x)', [1, 0, 0]],
    [':nth-child(2)', [0, 1, 0]],
    [':nth-child(2 of #x)', [1, 1, 0]],
  ])('%s', (selector, expected) => {
    expect(unpack(compileSelectors(selector)[0]!.specificity)).toEqual(expected);
  });
});

describe('nesting', () => {
  const nested = (parent: string, child: string) => compileSelectors(child, { parent: compileSelectors(parent) });
  const match = (parent: string, child: string) => {
    const [selector] = nested(parent, child);
    const context = restContext(PAGE.document.root, { quirks: false, scripting: true });
    return PAGE.document.elements.filter((e) => selector!.match(e, context) === true).map((e) => e.id ?? e.tag);
  };

  test.each<[string, string, string[]]>([
    ['.item', 'a', ['a1', 'a2', 'sa']],
    ['.item', '& > a', ['a1', 'a2']],
    ['.item', '> a', ['a1', 'a2']],
    ['.item', '&.first', ['i1']],
    ['.first', '& + li', ['i2']],
    ['.first', '+ li', ['i2']],
    ['a', 'li &', ['a1', 'a2', 'sa']],
    ['.item', ':is(&, p)', ['i1', 'i2', 'i3', 'p1', 'p2', 'p3']],
  ])('%s { %s }', (parent, child, expected) => {
    expect(match(parent, child)).toEqual(expected);
  });

  test('the parent weighs as :is() of its list', () => {
    expect(unpack(nested('#a, li', 'b')[0]!.specificity)).toEqual([1, 0, 1]);
  });
});

describe('what is not a selector', () => {
  test.each([
    [''],
    ['a >'],
    ['> a'],
    ['a >> b'],
    [':unknown'],
    ['::unknown'],
    ['a..b'],
    ['[=x]'],
    ['a::before b'],
    [':not()'],
    [':nth-child(x)'],
    ['1a'],
    ['a,'],
    ['a, /* none */ '],
    [',a'],
    ['a,,b'],
    [':not(a,)'],
    [':nth-child(n of a,)'],
  ])('%s', (selector) => {
    expect(() => compileSelectors(selector)).toThrow(SelectorError);
  });

  test('unknown vendor pseudo-elements match nothing but are valid', () => {
    expect(compileSelectors('a::-webkit-anything')[0]!.pseudoElement).toBe('other');
  });

  test('any text either compiles or is refused', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 30 }), (text) => {
        try {
          compileSelectors(text);
        } catch (error) {
          if (!(error instanceof SelectorError)) throw error;
        }
      }),
      { numRuns: 300 },
    );
  });
});

describe('guards', () => {
  const guardOf = (selector: string, id: string): Guard => {
    const context = restContext(PAGE.document.root, { quirks: false, scripting: true });
    return compileSelectors(selector)[0]!.match(PAGE.document.byId(id)!, context);
  };
  const hovering = (id: string) => stateView({ hovered: PAGE.document.byId(id)! });
  const focusing = (id: string) => stateView({ focused: PAGE.document.byId(id)! });

  test('static selectors are plain truths', () => {
    expect(guardOf('.item', 'i1')).toBe(true);
    expect(guardOf('.item:hover', 'p1')).toBe(false);
  });

  test('hover reaches up to what holds the element', () => {
    const guard = guardOf('li:hover > ul', 'sub');
    expect(holds(guard, hovering('sa'))).toBe(true);
    expect(holds(guard, hovering('i2'))).toBe(true);
    expect(holds(guard, hovering('a1'))).toBe(false);
    expect(holds(guard, stateView({}))).toBe(false);
  });

  test('focus-within, negation and alternatives', () => {
    expect(holds(guardOf('li:focus-within', 'i2'), focusing('sa'))).toBe(true);
    expect(holds(guardOf('li:not(:hover)', 'i1'), hovering('i1'))).toBe(false);
    expect(holds(guardOf('li:not(:hover)', 'i1'), hovering('i2'))).toBe(true);
    expect(holds(guardOf(':is(a:hover, a:focus)', 'a1'), focusing('a1'))).toBe(true);
  });

  test('markup decides what poses leave alone', () => {
    expect(holds(guardOf('input:checked', 'c1'), stateView({}))).toBe(true);
    expect(
      holds(guardOf('input:checked', 'c1'), stateView({ toggled: new Map([[PAGE.document.byId('c1')!, false]]) })),
    ).toBe(false);
    expect(holds(guardOf('details:open', 'd1'), stateView({}))).toBe(true);
  });

  test('the facts asked for are listed', () => {
    const names = [...factsOf(guardOf('li:hover a:focus', 'sa'))].map(printFact);
    expect(new Set(names)).toEqual(new Set([':hover', ':focus']));
    expect([...compileSelectors('a:hover, a:focus')[0]!.asks]).toEqual(['hover']);
  });
});

describe('An+B', () => {
  test.each<[string, [number, number] | null]>([
    ['odd', [2, 1]],
    ['even', [2, 0]],
    ['3', [0, 3]],
    ['2n+1', [2, 1]],
    ['-n + 3', [-1, 3]],
    ['n', [1, 0]],
    ['+4n-2', [4, -2]],
    ['2n + -1', null],
    ['x', null],
  ])('%s', (text, expected) => {
    const read = parseAnPlusB(text);
    expect(read && [read.a, read.b]).toEqual(expected);
  });

  test('satisfies agrees with counting', () => {
    const small = fc.integer({ min: -5, max: 5 });
    fc.assert(
      fc.property(small, small, fc.integer({ min: 1, max: 30 }), (a, b, index) => {
        const counted = Array.from({ length: 60 }, (_, n) => a * n + b).includes(index);
        return satisfies({ a, b }, index) === counted;
      }),
    );
  });
});
