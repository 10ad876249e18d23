import type { Face } from './metrics.js';

/** Where the ink of a text lies from the start of its baseline, px, y down. */
export interface Ink {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

const PAIR = /(-?[\d.]+(?:e-?\d+)?)[\s,]+(-?[\d.]+(?:e-?\d+)?)/gi;

/** The ink of a text in whole px around it; null where a font does not tell. */
export function inkOf(text: string, face: Face, size: number): Ink | null {
  const box = { left: Infinity, right: -Infinity, top: Infinity, bottom: -Infinity };
  let at = 0;
  for (const run of face.runs(text, size)) {
    if (!run.font) return null;
    const scale = (size * run.scale) / run.font.unitsPerEm;
    for (const { path, x, y } of run.font.outline(run.text, true))
      for (const [, px, py] of path.matchAll(PAIR)) {
        box.left = Math.min(box.left, at + (x + Number(px)) * scale);
        box.right = Math.max(box.right, at + (x + Number(px)) * scale);
        box.top = Math.min(box.top, -(y + Number(py)) * scale);
        box.bottom = Math.max(box.bottom, -(y + Number(py)) * scale);
      }
    at += run.width ?? face.width(run.text, size, true);
  }
  if (box.left > box.right) return null;
  return {
    left: Math.floor(box.left),
    right: Math.ceil(box.right),
    top: Math.floor(box.top),
    bottom: Math.ceil(box.bottom),
  };
}
