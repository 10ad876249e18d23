import type { Rect } from '../base/index.js';
import { svgSize, type Fragment, type NaturalSize } from '../boxes/index.js';
import type { ComputedStyle } from '../cascade/index.js';
import { resolveLength, type BackgroundImage, type BackgroundSize, type Repeating } from '../css/index.js';

/** Where the pictures of one background layer lie, in the coordinates of the box. */
export interface Tiling {
  /** Outside of it nothing of the layer is painted. */
  readonly clip: Rect;
  /** The first picture. */
  readonly tile: Rect;
  /** From one picture to the next, px; null where there is one only. */
  readonly stepX: number | null;
  readonly stepY: number | null;
}

const at = <T>(list: readonly T[], layer: number): T => list[layer % list.length]!;

function areaOf(which: string, { border, padding }: Fragment, rect: Rect): Rect {
  const inner = which === 'content-box' ? padding : { top: 0, right: 0, bottom: 0, left: 0 };
  const edges = which === 'border-box' ? { top: 0, right: 0, bottom: 0, left: 0 } : border;
  const [left, top] = [edges.left + inner.left, edges.top + inner.top];
  return {
    x: rect.x + left,
    y: rect.y + top,
    width: Math.max(0, rect.width - left - edges.right - inner.right),
    height: Math.max(0, rect.height - top - edges.bottom - inner.bottom),
  };
}

/**
 * Places the pictures of a background layer; null where their size would decide and is not known.
 * @spec css-backgrounds-3 §3.3 to §3.9
 */
export function tilingOf(fragment: Fragment, rect: Rect, style: ComputedStyle, image: BackgroundImage): Tiling | null {
  const { layer } = image;
  if (at(style.backgroundAttachment, layer) === 'fixed') return null;
  const area = areaOf(at(style.backgroundOrigin, layer), fragment, rect);
  const clip = areaOf(at(style.backgroundClip, layer), fragment, rect);
  const size = sizeIn(at(style.backgroundSize, layer), area, naturalOf(image));
  if (!size) return null;
  const [x, y] = at(style.backgroundPosition, layer);
  const [repeatX, repeatY] = at(style.backgroundRepeat, layer);
  const along = (room: number, used: number, offset: number, repeat: Repeating) => spaced(room, used, offset, repeat);
  const h = along(area.width, size.width, resolveLength(x, area.width - size.width), repeatX);
  const v = along(area.height, size.height, resolveLength(y, area.height - size.height), repeatY);
  const tile = { x: area.x + h.offset, y: area.y + v.offset, width: h.size, height: v.size };
  return { clip, tile, stepX: h.step, stepY: v.step };
}

/** @param natural null where nothing is known of the picture. @spec css-images-3 §5.3, css-backgrounds-3 §3.9 */
function sizeIn(
  size: BackgroundSize,
  area: Rect,
  natural: NaturalSize | null,
): { readonly width: number; readonly height: number } | null {
  if (size === 'cover' || size === 'contain') {
    if (!natural) return size === 'cover' ? area : null;
    return natural.ratio === null ? area : fitted(area, natural.ratio, size);
  }
  const width = size[0] === 'auto' ? null : resolveLength(size[0], area.width);
  const height = size[1] === 'auto' ? null : resolveLength(size[1], area.height);
  if (width !== null && height !== null) return { width, height };
  if (!natural) return null;
  const { ratio } = natural;
  if (width !== null) return { width, height: ratio ? width / ratio : (natural.height ?? area.height) };
  if (height !== null) return { width: ratio ? height * ratio : (natural.width ?? area.width), height };
  if (natural.width === null && natural.height === null && ratio) return fitted(area, ratio, 'contain');
  return { width: natural.width ?? area.width, height: natural.height ?? area.height };
}

function fitted(area: Rect, ratio: number, how: 'cover' | 'contain'): { width: number; height: number } {
  const byWidth = area.width / ratio > area.height === (how === 'cover');
  return byWidth
    ? { width: area.width, height: area.width / ratio }
    : { width: area.height * ratio, height: area.height };
}

/** A gradient has no size of its own. */
const SIZELESS: NaturalSize = { width: null, height: null, ratio: null };

/** What is known of a background picture's size: of drawings written into the address all, of files nothing. */
function naturalOf(image: BackgroundImage): NaturalSize | null {
  if (image.kind === 'gradient') return SIZELESS;
  const match = image.kind === 'url' ? /^data:image\/svg\+xml[^,]*?(;base64)?,([^]*)$/i.exec(image.url) : null;
  if (!match) return null;
  const root = /<svg\b[^>]*>/i.exec(match[1] ? atob(match[2]!) : unescaped(match[2]!))?.[0];
  return root ? svgSize((name) => new RegExp(`\\s${name}\\s*=\\s*["']([^"']*)`).exec(root)?.[1]) : null;
}

function unescaped(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    return text;
  }
}

interface Spaced {
  readonly offset: number;
  readonly size: number;
  readonly step: number | null;
}

/** @spec css-backgrounds-3 §3.4 */
function spaced(room: number, size: number, offset: number, repeat: Repeating): Spaced {
  if (repeat === 'no-repeat' || size <= 0) return { offset, size, step: null };
  if (repeat === 'round') {
    const rounded = room / Math.max(1, Math.round(room / size));
    return { offset: 0, size: rounded, step: rounded };
  }
  if (repeat === 'space') {
    const count = Math.floor(room / size);
    return count < 2
      ? { offset, size, step: null }
      : { offset: 0, size, step: size + (room - count * size) / (count - 1) };
  }
  return { offset, size, step: size };
}

/** Keeps neighbouring tiles from coming apart where sums are rounded, px. */
const ROUNDING = 1e-9;

/** The picture of a layer that covers a point, or null where none does. */
export function tileAt({ clip, tile, stepX, stepY }: Tiling, x: number, y: number): Rect | null {
  if (x < clip.x || y < clip.y || x >= clip.x + clip.width || y >= clip.y + clip.height) return null;
  const left = stepX ? tile.x + Math.floor((x - tile.x) / stepX) * stepX : tile.x;
  const top = stepY ? tile.y + Math.floor((y - tile.y) / stepY) * stepY : tile.y;
  const inside = x >= left && y >= top && x < left + tile.width + ROUNDING && y < top + tile.height + ROUNDING;
  return inside ? { x: left, y: top, width: tile.width, height: tile.height } : null;
}
