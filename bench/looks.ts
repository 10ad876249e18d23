import { auditPage, type Page, type Setting } from '../src/core/index.js';

/** One look at a page as the browser script takes it. Lengths in CSS px, elements by their paths. */
export interface Look {
  readonly width: number;
  readonly height: number;
  readonly visitor: string;
  readonly hovered: string | null;
  readonly focused: string | null;
  readonly changed: readonly (readonly [string, readonly (readonly [string, string | null])[]])[];
  readonly toggled: readonly (readonly [string, boolean])[];
  readonly scroll: number;
  /** Whether all of the page was laid out; else only how the element pointed at looks was asked. */
  readonly whole: boolean;
  readonly at: string | null;
}

const LOW = 375;

function lookAt({ width, height, visitor, pose, scroll }: Setting, whole: boolean): Look {
  const { hovered = null, focused = null, changed = new Map(), toggled = new Map() } = pose;
  return {
    width,
    height: visitor === 'short-screen' ? LOW : height,
    visitor: visitor === 'keyboard' ? 'mouse' : visitor,
    hovered: hovered?.path ?? null,
    focused: focused?.path ?? null,
    changed: [...changed].map(([element, attributes]) => [element.path, [...attributes]]),
    toggled: [...toggled].map(([element, on]) => [element.path, on]),
    scroll: scroll.y,
    whole,
    at: hovered?.path ?? focused?.path ?? 'body',
  };
}

/** Every look an audit takes at a page, each once: widths, visitors, poses and states. */
export function looksOf(page: Page): readonly Look[] {
  const looks = new Map<string, Look>();
  const note = (s: Setting, whole: boolean) => {
    const look = lookAt(s, whole);
    const key = JSON.stringify({ ...look, whole: true });
    if (whole || !looks.has(key)) looks.set(key, look);
  };
  const { scene, preview } = page;
  page.scene = function (s, near) {
    note(s, true);
    return scene.call(this, s, near);
  };
  page.preview = function (s, base) {
    note(s, false);
    return preview.call(this, s, base);
  };
  auditPage(page);
  return [...looks.values()].sort((a, b) => a.width - b.width || a.height - b.height);
}
