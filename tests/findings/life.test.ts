import fc from 'fast-check';
import {
  accept,
  compareFindings,
  digest,
  fingerprints,
  hasEnded,
  holdsAt,
  identityOf,
  type Acceptance,
  type Finding,
} from '../../src/core/index.js';

/** A finding at some places. */
const finding = (check: string, selectors: readonly string[], more: Partial<Finding> = {}): Finding => ({
  key: `${check}|m|normal|${selectors[0]}`,
  check,
  message: 'm',
  verdict: 'fault',
  weight: 'hinders',
  criteria: [],
  menus: [],
  states: ['normal'],
  poses: ['closed'],
  visitors: [],
  widths: [{ from: 320, to: 1920 }],
  places: selectors.map((selector, i) => ({
    kind: 'element',
    selector,
    path: `html>body>${selector}`,
    label: `label ${selector}`,
    at: { file: 'page.html', line: i + 1, column: 1 },
    widths: null,
  })),
  cause: null,
  measured: null,
  needed: null,
  says: 'Something is wrong.',
  mends: 'Mend it.',
  ...more,
});

const everywhere = () => true;
const TODAY = '2026-06-15';

describe('accepting', () => {
  const pale = finding('text-contrast', ['a.one', 'a.two']);
  const small = finding('small-target', ['a.one']);
  const sorted = (list: readonly Acceptance[], onPage = everywhere) => accept([pale, small], list, onPage, TODAY);

  test.each<[string, readonly Acceptance[], readonly string[], readonly number[]]>([
    ['nothing', [], ['text-contrast', 'small-target'], []],
    ['a whole check', [{ check: 'text-contrast', reason: 'r' }], ['small-target'], [0]],
    ['another message', [{ check: 'text-contrast', message: 'n', reason: 'r' }], ['text-contrast', 'small-target'], []],
    [
      'one of two places',
      [{ check: 'text-contrast', selectors: ['a.one'], reason: 'r' }],
      ['text-contrast', 'small-target'],
      [],
    ],
    [
      'both places, by two of them',
      [
        { check: 'text-contrast', selectors: ['a.one'], reason: 'r' },
        { check: 'text-contrast', selectors: ['a.two', 'a.three'], reason: 's' },
      ],
      ['small-target'],
      [0, 1],
    ],
    [
      'one that has ended',
      [{ check: 'text-contrast', reason: 'r', until: '2026-06-14' }],
      ['text-contrast', 'small-target'],
      [],
    ],
    ['one that ends today', [{ check: 'text-contrast', reason: 'r', until: TODAY }], ['small-target'], [0]],
  ])('%s', (_name, list, left, used) => {
    const { findings, accepted, used: counted } = sorted(list);
    expect(findings.map(({ check }) => check)).toEqual(left);
    expect(accepted.length).toBe(2 - left.length);
    expect([...counted]).toEqual(used);
  });

  test('pages it does not hold on are left alone', () => {
    expect(sorted([{ check: 'text-contrast', reason: 'r' }], () => false).accepted).toEqual([]);
  });

  test('reason and end go with what is accepted', () => {
    const [first] = sorted([{ check: 'small-target', reason: 'old theme', until: '2027-01-01' }]).accepted;
    expect(first).toMatchObject({ finding: small, reason: 'old theme', until: '2027-01-01' });
  });

  test('an end is the last day it holds', () => {
    const until = (day?: string) => hasEnded({ check: 'x', reason: 'r', ...(day ? { until: day } : {}) }, TODAY);
    expect([until(), until('2026-06-14'), until(TODAY), until('2030-01-01')]).toEqual([false, true, false, false]);
  });

  test('nothing is lost or told twice, whatever is accepted', () => {
    const check = fc.constantFrom('text-contrast', 'small-target', 'no-menu');
    const selector = fc.constantFrom('a.one', 'a.two', 'a.three');
    const places = fc.uniqueArray(selector, { minLength: 1, maxLength: 3 });
    const acceptances = fc.array(
      fc.record({ check, reason: fc.constant('r'), selectors: places }, { requiredKeys: ['check', 'reason'] }),
      { maxLength: 5 },
    );
    const findings = fc.array(
      fc.tuple(check, places).map(([id, own]) => finding(id, own)),
      { maxLength: 6 },
    );
    fc.assert(
      fc.property(findings, acceptances, (all, list) => {
        const { findings: left, accepted, used } = accept(all, list as readonly Acceptance[], everywhere, TODAY);
        expect(left.length + accepted.length).toBe(all.length);
        expect(accepted.length > 0).toBe(used.length > 0);
        for (const one of accepted) expect(list.some(({ check: id }) => id === one.finding.check)).toBe(true);
      }),
    );
  });
});

describe('comparing', () => {
  const names = (all: readonly Finding[]) => all.map(({ check, places }) => `${check} ${places[0]!.selector}`);
  const compared = (before: readonly Finding[], after: readonly Finding[]) => {
    const { cleared, fresh, still } = compareFindings(before, after);
    return {
      cleared: names(cleared),
      fresh: names(fresh),
      still: still.map(({ after: one, moved }) => `${names([one])[0]}${moved ? ' moved' : ''}`),
    };
  };

  test.each<[string, readonly Finding[], readonly Finding[], ReturnType<typeof compared>]>([
    ['nothing changed', [finding('a', ['x'])], [finding('a', ['x'])], { cleared: [], fresh: [], still: ['a x'] }],
    [
      'one mended, one new',
      [finding('a', ['x'])],
      [finding('b', ['x'])],
      { cleared: ['a x'], fresh: ['b x'], still: [] },
    ],
    [
      'at other widths',
      [finding('a', ['x'])],
      [finding('a', ['x'], { widths: [{ from: 320, to: 600 }] })],
      { cleared: [], fresh: [], still: ['a x moved'] },
    ],
    [
      'moved in the markup',
      [finding('a', ['x'])],
      [finding('a', ['x'], { key: 'other' })],
      { cleared: [], fresh: [], still: ['a x'] },
    ],
    [
      'another place leads',
      [finding('a', ['x', 'y'])],
      [finding('a', ['y', 'x'])],
      { cleared: [], fresh: [], still: ['a y'] },
    ],
    [
      'the same words elsewhere',
      [finding('a', ['x'])],
      [finding('a', ['z'], { places: [{ ...finding('a', ['x']).places[0]!, selector: 'z' }] })],
      { cleared: [], fresh: [], still: ['a z'] },
    ],
    [
      'each is matched once, the surest first',
      [finding('a', ['x', 'y']), finding('a', ['y'])],
      [finding('a', ['y'])],
      { cleared: ['a x'], fresh: [], still: ['a y'] },
    ],
    [
      'another state is another finding',
      [finding('a', ['x'])],
      [finding('a', ['x'], { states: ['hover'] })],
      { cleared: ['a x'], fresh: ['a x'], still: [] },
    ],
  ])('%s', (_name, before, after, expected) => {
    expect(compared(before, after)).toEqual(expected);
  });

  test('every finding of both sides is told just once', () => {
    const one = fc
      .tuple(fc.constantFrom('a', 'b'), fc.constantFrom('x', 'y', 'z'))
      .map(([check, place]) => finding(check, [place]));
    fc.assert(
      fc.property(fc.array(one, { maxLength: 6 }), fc.array(one, { maxLength: 6 }), (before, after) => {
        const { cleared, fresh, still } = compareFindings(before, after);
        expect(cleared.length + still.length).toBe(before.length);
        expect(fresh.length + still.length).toBe(after.length);
        expect(new Set(still.map(({ after: own }) => own)).size).toBe(still.length);
      }),
    );
  });
});

describe('identity', () => {
  test('lines, figures and widths are no part of it', () => {
    const one = finding('a', ['x']);
    const moved = finding('a', ['x'], { widths: [{ from: 1, to: 2 }], measured: { value: 1, unit: 'px' }, key: 'k' });
    expect(identityOf(moved)).toBe(identityOf(one));
    expect(fingerprints('p', [moved])).toEqual(fingerprints('p', [one]));
    expect(identityOf(finding('a', ['y']))).not.toBe(identityOf(one));
  });

  test('findings of one identity have marks of their own, pages too', () => {
    const twice = fingerprints('p', [finding('a', ['x']), finding('a', ['x'])]);
    expect(twice[1]).toBe(`${twice[0]}.2`);
    expect(fingerprints('q', [finding('a', ['x'])])).not.toEqual([twice[0]]);
  });

  test('a digest is sixteen digits and tells texts apart', () => {
    fc.assert(
      fc.property(fc.string(), fc.string(), (a, b) => {
        expect(digest(a)).toMatch(/^[\da-f]{16}$/);
        expect(digest(a) === digest(b)).toBe(a === b);
      }),
    );
  });

  test('ranges hold their ends', () => {
    const ranges = [
      { from: 320, to: 600 },
      { from: 900, to: 900 },
    ];
    expect([319, 320, 600, 601, 900, 901].map((width) => holdsAt(ranges, width))).toEqual([
      false,
      true,
      true,
      false,
      true,
      false,
    ]);
  });
});
