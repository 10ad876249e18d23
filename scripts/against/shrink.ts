/** Makes a page smaller while something still holds of it. */
import type { Element, Part } from './generate.js';

/** Every page that is smaller by one step: a part gone, replaced by what it holds, without one declaration, or fewer words. */
function* smaller(parts: readonly Part[]): Generator<readonly Part[]> {
  const put = (at: number, ...by: readonly Part[]): readonly Part[] => [
    ...parts.slice(0, at),
    ...by,
    ...parts.slice(at + 1),
  ];
  for (const [i, part] of parts.entries()) {
    if (parts.length > 1) yield put(i);
    if (typeof part === 'string') {
      const list = part.split(' ');
      if (list.length > 1) {
        yield put(i, list.slice(0, list.length >> 1).join(' '));
        yield put(i, list.slice(list.length >> 1).join(' '));
        yield put(i, list.slice(1).join(' '));
      }
      continue;
    }
    if (!/^(table|tr|td)$/.test(part.tag)) yield put(i, ...part.parts);
    if (part.parts.length > 0 && part.tag !== 'table' && part.tag !== 'tr') yield put(i, { ...part, parts: [] });
    for (const name of Object.keys(part.style)) yield put(i, without(part, name));
    if (part.attributes && Object.values(part.attributes).some((value) => value !== '1'))
      yield put(i, { tag: part.tag, style: part.style, parts: part.parts });
    for (const inside of smaller(part.parts)) yield put(i, { ...part, parts: inside });
  }
}

function without(part: Element, name: string): Element {
  const style = Object.fromEntries(Object.entries(part.style).filter(([key]) => key !== name));
  return { ...part, style };
}

/** The smallest page that can be reached step by step. @param most how many pages are tried */
export async function shrink(
  parts: readonly Part[],
  holds: (parts: readonly Part[]) => Promise<boolean>,
  most: number,
): Promise<readonly Part[]> {
  let best = parts;
  let tried = 0;
  for (let found = true; found && tried < most;) {
    found = false;
    for (const candidate of smaller(best)) {
      if (++tried > most) break;
      if (!(await holds(candidate))) continue;
      best = candidate;
      found = true;
      break;
    }
  }
  return best;
}
