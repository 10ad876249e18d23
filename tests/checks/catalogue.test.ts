import { existsSync } from 'node:fs';
import { CHECKS, fill, LEVELS, WEIGHTS } from '../../src/core/index.js';

describe('the catalogue', () => {
  test('ids are unique and sorted', () => {
    const ids = CHECKS.map((c) => c.meta.id);
    expect(ids).toEqual([...new Set(ids)].sort());
  });

  test.each(CHECKS.map((c) => [c.meta.id, c.meta] as const))('%s is whole', (id, meta) => {
    expect(id).toMatch(/^[a-z]+(-[a-z]+)*$/);
    expect(WEIGHTS).toContain(meta.weight);
    for (const { number, level } of meta.criteria) {
      expect(number).toMatch(/^[1-4]\.\d\.\d{1,2}$/);
      expect(LEVELS).toContain(level);
    }
    expect(Object.keys(meta.messages).length).toBeGreaterThan(0);
    for (const { says, mends } of Object.values(meta.messages)) {
      expect(says).toMatch(/[.?]$/);
      expect(mends).toMatch(/(\.|\})$/);
    }
  });

  test.each(CHECKS.map((c) => c.meta.id))('%s has its own test', (id) => {
    expect(existsSync(`tests/checks/${id}.test.ts`)).toBe(true);
  });

  test('texts with unfilled places are mistakes', () => {
    expect(fill('{a} and {b}', { a: 1, b: 'two' })).toBe('1 and two');
    expect(() => fill('{a} and {b}', { a: 1 })).toThrow('no value for {b}');
  });
});
