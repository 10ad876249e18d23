import { existsSync, readFileSync, readdirSync } from 'node:fs';
import { CHECKS, criteriaOf, fill, LEVELS, WEIGHTS } from '../../src/core/index.js';
import { checkPage } from '../../src/formats/index.js';

const GROUPS = readdirSync('src/core/checks', { withFileTypes: true })
  .filter((entry) => entry.isDirectory() && entry.name !== 'shared')
  .map((entry) => entry.name);

describe('the catalogue', () => {
  test('ids are unique and sorted', () => {
    const ids = CHECKS.map((c) => c.meta.id);
    expect(ids).toEqual([...new Set(ids)].sort());
  });

  test('every file of a check is in it', () => {
    const files = GROUPS.flatMap((group) => readdirSync(`src/core/checks/${group}`)).map((f) => f.replace(/\.ts$/, ''));
    expect(files.sort()).toEqual(CHECKS.map((c) => c.meta.id));
  });

  test.each(CHECKS.map((c) => [c.meta.id, c.meta] as const))('%s is whole', (id, meta) => {
    expect(id).toMatch(/^[a-z]+(-[a-z]+)*$/);
    expect(WEIGHTS).toContain(meta.weight);
    for (const { number, level } of criteriaOf(meta)) {
      expect(number).toMatch(/^[1-4]\.\d\.\d{1,2}$/);
      expect(LEVELS).toContain(level);
    }
    expect(meta.asks.visitors.length).toBeGreaterThan(0);
    expect(Object.keys(meta.messages).length).toBeGreaterThan(0);
    for (const { says, mends } of Object.values(meta.messages)) {
      expect(says).toMatch(/([.?]|\})$/);
      expect(mends).toMatch(/(\.|\})$/);
    }
  });

  test.each(CHECKS.map((c) => c.meta.id))('%s has its own test and its page of documentation', (id) => {
    expect(existsSync(`tests/checks/${id}.test.ts`)).toBe(true);
    expect(existsSync(`docs/checks/${id}.md`)).toBe(true);
    // Made anew with npm run docs:checks.
    expect(readFileSync(`docs/checks/${id}.md`, 'utf8')).toBe(checkPage(CHECKS.find((c) => c.meta.id === id)!));
  });

  test('texts with unfilled places are mistakes', () => {
    expect(fill('{a} and {b}', { a: 1, b: 'two' })).toBe('1 and two');
    expect(() => fill('{a} and {b}', { a: 1 })).toThrow('no value for {b}');
  });
});
