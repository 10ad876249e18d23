import type { Rect } from '../../core/base/index.js';
import { winnerOf, type ComputedStyle } from '../../core/cascade/index.js';
import type { Page } from '../../core/index.js';
import { resolveUrl } from '../../core/sheets/index.js';
import { drawAddress } from './vector.js';
import { shape, type Shape } from './xml.js';

/** Data address of the picture at an absolute URL; null where there is none to show. */
export type Pictures = (url: string) => string | null;

/** Pictures that may stand in a drawing: as pictures, nothing in them runs or loads. */
const SHOWN = /^data:image\/(png|jpeg|gif|webp|avif|svg\+xml);base64,[a-z\d+/=]+$/i;

/** What a drawing defines once and uses often: glyphs, clips, gradients, shadows. */
export class Definitions {
  readonly #ids = new Map<string, string>();
  readonly #shapes: Shape[] = [];

  /** @param pictures where pictures come from; without it only drawings that addresses hold themselves are shown */
  constructor(
    readonly page: Page,
    readonly pictures: Pictures | null = null,
  ) {}

  /**
   * A picture in the room it has; null where it is not known what it shows. Drawings that stand in the address itself
   * are rebuilt from their shapes.
   * @param style of the box whose background it is; null for what the page itself refers to
   */
  picture(reference: string, room: Rect, style: ComputedStyle | null, fit = 'none'): Shape | null {
    if (room.width <= 0 || room.height <= 0) return null;
    const source = style && winnerOf(style, 'backgroundImage')?.declaration.span.source;
    const base = (source && this.page.ruleSet.addresses.get(source)) ?? this.page.base;
    const url = resolveUrl(reference.trim(), base);
    const data = url === null ? null : /^data:/i.test(url) ? url : (this.pictures?.(url) ?? null);
    if (data === null) return null;
    if (/^data:/i.test(url!) && /^data:image\/svg\+xml/i.test(data)) return drawAddress(data, room);
    if (!this.pictures || !SHOWN.test(data)) return null;
    return shape('image', { href: data, ...room, preserveAspectRatio: fit });
  }

  /** The id under which something is defined; made when it is first asked for. */
  id(kind: string, key: string, make: (id: string) => Shape): string {
    const name = `${kind}\0${key}`;
    let id = this.#ids.get(name);
    if (id === undefined) {
      id = `${kind}${this.#ids.size}`;
      this.#ids.set(name, id);
      this.#shapes.push(make(id));
    }
    return id;
  }

  get shape(): Shape {
    return shape('defs', {}, this.#shapes);
  }
}
