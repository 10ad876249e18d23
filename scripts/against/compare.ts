/** Holds the engine's boxes of a page against those a browser gave. */
import { setting, type Page } from '../../src/core/index.js';
import type { Place, Seen } from './browser.js';

export interface Difference {
  readonly path: string;
  readonly wanted: Place;
  readonly got: Place;
}

export interface Comparison {
  readonly boxes: number;
  readonly differences: readonly Difference[];
}

/** Boxes agree when every side is within a px. */
const agree = (a: Place, b: Place): boolean =>
  a === null || b === null ? a === b : a.every((v, i) => Math.abs(v - b[i]!) <= 1);

export function compare(page: Page, seen: Seen, width: number, height: number): Comparison {
  const scene = page.scene(setting(width, { height }));
  const differences: Difference[] = [];
  let boxes = 0;
  for (const element of page.document.elements) {
    const wanted = seen.boxes[element.path];
    if (wanted === undefined) continue;
    boxes += 1;
    const r = scene.rect(element);
    const got: Place = r ? [r.x, r.y, r.width, r.height] : null;
    if (!agree(wanted, got)) differences.push({ path: element.path, wanted, got });
  }
  const { width: reach } = scene.scrollSize;
  if (Math.abs(reach - seen.scrollWidth) > 1)
    differences.push({ path: 'what can be scrolled to', wanted: [0, 0, seen.scrollWidth, 0], got: [0, 0, reach, 0] });
  return { boxes: boxes + 1, differences };
}

/** Differences that do not merely follow from that of the parent. */
export function causes({ differences }: Comparison): readonly Difference[] {
  const byPath = new Map(differences.map((one) => [one.path, one]));
  return differences.filter(({ path, wanted, got }) => {
    const parent = byPath.get(path.slice(0, path.lastIndexOf('>')));
    if (!wanted || !got || !parent?.wanted || !parent.got) return true;
    const from = ([x, y, w, h]: NonNullable<Place>, [px, py]: NonNullable<Place>): Place => [x - px, y - py, w, h];
    return !agree(from(wanted, parent.wanted), from(got, parent.got));
  });
}

const shown = (place: Place): string => (place ? place.map((v) => Math.round(v * 100) / 100).join(' ') : 'no box');

export const tell = ({ path, wanted, got }: Difference): string =>
  `${path}\n    Chromium ${shown(wanted)}\n    engine   ${shown(got)}`;
