/** Freezes a result and all it holds: callers share it and cannot change it for one another. */
export function deepFreeze<T>(value: T): T {
  const seen = new Set<object>();
  const stack: unknown[] = [value];
  while (stack.length > 0) {
    const next = stack.pop();
    if (typeof next !== 'object' || next === null || seen.has(next)) continue;
    seen.add(next);
    Object.freeze(next);
    stack.push(...Object.values(next));
  }
  return value;
}
