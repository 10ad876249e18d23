import { clampChroma, modeLch, modeOklch, modeRgb, useMode, type Oklch } from 'culori/fn';
import { contrastRatio, printColour, type Rgba } from '../../css/index.js';

/** `#rrggbb`, or rgba() where it is see-through. */
export function hexOf(colour: Rgba): string {
  if (colour.a < 1) return printColour(colour);
  return `#${[colour.r, colour.g, colour.b].map((v) => Math.round(v).toString(16).padStart(2, '0')).join('')}`;
}

const oklch = useMode(modeOklch);
useMode(modeLch);
const rgb = useMode(modeRgb);

/** A colour of the same hue at another lightness, with as much of its chroma as the screen can show. */
function atLightness(from: Oklch, l: number): Rgba {
  const { r, g, b } = rgb(clampChroma({ ...from, l }, 'oklch'))!;
  const byte = (value: number) => Math.max(0, Math.min(255, Math.round(value * 255)));
  return { r: byte(r), g: byte(g), b: byte(b), a: 1 };
}

const inOklch = ({ r, g, b }: Rgba): Oklch => oklch({ mode: 'rgb', r: r / 255, g: g / 255, b: b / 255 })!;

/** A colour and how far its lightness went from that of the one it came from: 0 not at all, 1 from black to white. */
export interface Passing {
  readonly colour: Rgba;
  readonly share: number;
}

/**
 * The colour of the same hue whose lightness is nearest to a given one’s and that reaches a contrast against another;
 * null where neither black nor white does.
 * @spec css-color-4 §9.4 (Oklch)
 */
export function passingColour(colour: Rgba, against: Rgba, needed: number): Passing | null {
  const from = inOklch(colour);
  const found = [0, 1].flatMap((end): Passing[] => {
    if (contrastRatio(atLightness(from, end), against) < needed) return [];
    let [low, high] = [from.l, end];
    for (let i = 0; i < 14; i++) {
      const middle = (low + high) / 2;
      if (contrastRatio(atLightness(from, middle), against) >= needed) high = middle;
      else low = middle;
    }
    return [{ colour: atLightness(from, high), share: Math.abs(high - from.l) }];
  });
  return found.sort((a, b) => a.share - b.share)[0] ?? null;
}

const STEPS = 40;

/** Ever darker and ever lighter shades of a colour, the nearest first, black and white among them. */
export function shades(colour: Rgba): readonly Passing[] {
  const from = inOklch(colour);
  return Array.from({ length: STEPS }, (_, i) => (i + 1) / STEPS)
    .flatMap((share) =>
      [0, 1].map((end) => {
        const l = from.l + (end - from.l) * share;
        return { colour: atLightness(from, l), share: Math.abs(l - from.l) };
      }),
    )
    .sort((a, b) => a.share - b.share);
}
