import { contrastRatio, type Rgba } from '../../css/index.js';
import type { Cause } from '../../findings/index.js';
import { elementOf, type PaintItem } from '../../paint/index.js';
import type { Scene } from '../../scene/index.js';
import { causeOf } from './causes.js';
import { hexOf, passingColour } from './colours.js';
import { passingInk } from './standing.js';

/** What a piece of text or a glyph stands out from, where it stands out least. */
export interface Reading {
  readonly item: PaintItem;
  readonly ratio: number;
  readonly needed: number;
  readonly ink: Rgba;
  readonly ground: Rgba;
  readonly grounds: readonly Rgba[];
  /** Whether colours between two of the grounds are met too. */
  readonly gradient: boolean;
}

/** Something the text lies on whose colours are not known. */
export interface Unknown {
  readonly item: PaintItem;
  readonly what: string;
}

/** The contrast of a painted text with all that lies beneath it; null where it is clipped away. */
export function readInk(item: PaintItem, scene: Scene, needed: number): Reading | Unknown | null {
  const style = scene.paintStyle(item.node.box);
  if (style.fontSize < 1 || !seen(item, scene)) return null;
  const fill = style.webkitTextFillColor ?? style.color;
  if (fill.a === 0 && style.backgroundClip.includes('text'))
    return { item, what: 'its own background, seen through the letters' };
  let low: { ratio: number; ink: Rgba; ground: Rgba } | null = null;
  let gradient = false;
  const grounds = new Map<string, Rgba>();
  for (const point of scene.inkPoints(item)) {
    const under = scene.backdrop(point, item, null);
    if (under.unknown.length > 0) return { item, what: under.unknown[0]! };
    const inked = scene.backdrop(point, item, fill).colours;
    under.colours.forEach((ground, i) => {
      const ink = inked.length === under.colours.length ? inked[i]! : inked[0]!;
      const ratio = contrastRatio(ink, ground);
      if (!low || ratio < low.ratio) low = { ratio, ink, ground };
      grounds.set(hexOf(ground), ground);
    });
    gradient ||= under.gradient;
  }
  return (
    low && {
      ...(low as { ratio: number; ink: Rgba; ground: Rgba }),
      item,
      needed,
      grounds: [...grounds.values()],
      gradient,
    }
  );
}

const seen = (item: PaintItem, scene: Scene): boolean => {
  const element = elementOf(item);
  return element !== null && scene.isVisible(element);
};

/** What to change: the nearest colours that pass, the smaller change first. */
export interface Remedy {
  readonly says: string;
  readonly of: 'text' | 'ground';
}

/** Null where no colour of the text passes on all of its ground. */
export function remedyFor(reading: Reading, what: string): Remedy | null {
  const { ink, ground, grounds, needed } = reading;
  const options: { readonly of: Remedy['of']; readonly share: number; readonly colour: Rgba }[] = [];
  const text = passingInk(ink, [reading]);
  if (text) options.push({ of: 'text', ...text });
  const other = grounds.length === 1 ? passingColour(ground, ink, needed) : null;
  if (other) options.push({ of: 'ground', ...other });
  const [best, second] = options.sort((a, b) => a.share - b.share);
  if (!best) return null;
  // A second way is only worth naming if it is no far cry from what is there.
  const both = second && second.share < 0.6 ? [best, second] : [best];
  const named = both.map((o) => `the ${o.of === 'text' ? what : o.of} ${hexOf(o.colour)}`).join(' or ');
  return { of: best.of, says: `Make ${named} (${both.length > 1 ? 'either gives' : 'that gives'} ${needed}:1).` };
}

/** The declaration that gives a text its colour. */
export function causeOfInk(item: PaintItem, scene: Scene): Cause | null {
  const style = scene.paintStyle(item.node.box);
  return causeOf(style, style.webkitTextFillColor ? 'webkitTextFillColor' : 'color');
}

/** The declaration that is to be changed. */
export function inkCause({ item }: Reading, remedy: Remedy | null, scene: Scene): Cause | null {
  if (remedy?.of !== 'ground') return causeOfInk(item, scene);
  for (let e = elementOf(item); e; e = e.parent)
    if (scene.style(e).backgroundColor.a > 0) return causeOf(scene.style(e), 'backgroundColor');
  return null;
}

export const floorRatio = (ratio: number): number => Math.floor(ratio * 100) / 100;

/** A picture's address as short as it can be told apart. */
export const shortName = (what: string): string =>
  what.startsWith('data:') ? 'an embedded picture' : what.length > 60 ? `${what.slice(0, 57)}…` : what;
