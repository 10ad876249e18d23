import { bottom, type Rect } from '../../base/index.js';
import { plain } from '../builtins/define.js';
import { valueOf } from '../builtins/numbers.js';
import type { Reading } from '../reading.js';
import { UNKNOWN, type El, type Obj, type Value } from '../values.js';

/** Something told of an element that comes into view or goes out of it. @spec intersection-observer §2.2 */
export interface Watcher {
  readonly observer: Obj;
  readonly callback: Value;
  readonly target: El;
  /** How far the screen's edges are moved outwards, px: top and bottom. */
  readonly margins: readonly [number, number];
}

/** More watchers than this are not asked about one by one. */
const MOST = 12;

export function watch(reading: Reading, watcher: Watcher): void {
  const before = reading.watchers;
  reading.trail.note(() => (reading.watchers = before));
  reading.watchers = [...before, watcher];
}

/** The outer margins of a `rootMargin`, px; percentages of the screen's height. */
export function marginsOf(text: string | null, height: number): readonly [number, number] {
  const parts = (text ?? '').trim().split(/\s+/).filter(Boolean);
  const px = (part: string | undefined) =>
    part === undefined ? 0 : (Number.parseFloat(part) || 0) * (part.endsWith('%') ? height / 100 : 1);
  return [px(parts[0]), px(parts[2] ?? parts[0])];
}

/** Tells watchers where their elements stand on the screen just now. */
export function tellWatchers(reading: Reading): void {
  for (const { observer, callback, target, margins } of reading.watchers.slice(0, MOST)) {
    const rect = reading.ask(`rect ${target.node.index}`, ({ layouts }) => layouts.rect(target.node, reading.standing));
    const entry = plain(reading.realm, { target, ...placeOf(rect, margins, reading) });
    entry.open = true;
    const list = valueOf(reading, [null]);
    reading.set(list, '0', entry);
    reading.call(callback, observer, [list, observer]);
  }
}

function placeOf(
  rect: Rect | null | undefined,
  [above, below]: readonly [number, number],
  reading: Reading,
): Readonly<Record<string, Value>> {
  if (rect === undefined) return { isIntersecting: UNKNOWN, intersectionRatio: UNKNOWN, boundingClientRect: UNKNOWN };
  const { scroll, medium } = reading.look;
  const top = rect ? rect.y - scroll.y : 0;
  const low = rect ? bottom(rect) - scroll.y : 0;
  const shows = rect !== null && low >= -above && top <= medium.height + below;
  const box = {
    top,
    bottom: low,
    y: top,
    height: low - top,
    left: rect?.x ?? 0,
    x: rect?.x ?? 0,
    width: rect?.width ?? 0,
  };
  return {
    isIntersecting: shows,
    intersectionRatio: shows ? 1 : 0,
    boundingClientRect: plain(reading.realm, box),
    rootBounds: plain(reading.realm, { top: -above, bottom: medium.height + below, height: medium.height, y: -above }),
  };
}
