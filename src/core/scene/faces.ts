import type { OpenFont, WebFace } from '../boxes/index.js';
import type { FontFace } from '../sheets/index.js';

/** More faces than this a page does not need to be measured. */
const FACE_CAP = 60;

interface FontReader {
  font?(url: string): OpenFont | null | Promise<OpenFont | null>;
}

/** Opens the fonts a page declares: of each face the first source that can be read. @spec css-fonts-4 §4.3 */
export function* openWebFaces(
  faces: readonly FontFace[],
  reader: FontReader,
): Generator<readonly (() => unknown)[], WebFace[], readonly unknown[]> {
  const out: WebFace[] = [];
  const opened = new Map<string, OpenFont | null>();
  for (const face of reader.font ? faces.slice(0, FACE_CAP) : []) {
    for (const url of face.sources) {
      if (/\.(eot|svg)([?#]|$)/i.test(url)) continue;
      if (!opened.has(url)) {
        const [font] = yield [() => reader.font!(url)];
        opened.set(url, font as OpenFont | null);
      }
      const font = opened.get(url);
      if (!font) continue;
      out.push(webFace(face, font));
      break;
    }
  }
  return out;
}

function webFace(face: FontFace, font: OpenFont): WebFace {
  const percent = (name: string): number | null => {
    const match = /^([\d.]+)%$/.exec(face.overrides[name] ?? '');
    return match ? Number(match[1]) / 100 : null;
  };
  return {
    family: face.family,
    weights: weightsOf(face, font),
    characters: face.characters,
    italic: /italic|oblique/i.test(face.style),
    sizeAdjust: percent('size-adjust') ?? 1,
    ascentOverride: percent('ascent-override'),
    descentOverride: percent('descent-override'),
    lineGapOverride: percent('line-gap-override'),
    font,
  };
}

/** A rule that says nothing of weights takes those its file varies over. @spec css-fonts-4 §4.4 (auto) */
function weightsOf({ weight }: FontFace, { axes }: OpenFont): readonly [number, number] {
  const own = axes?.['wght'];
  return weight === 'auto' && own ? [own.min, own.max] : weightRange(weight);
}

function weightRange(text: string): readonly [number, number] {
  const numbers = text
    .toLowerCase()
    .split(/\s+/)
    .map((word) => (word === 'normal' || word === 'auto' ? 400 : word === 'bold' ? 700 : Number(word)))
    .filter((n) => Number.isFinite(n) && n > 0);
  const [low = 400, high = low] = numbers;
  return [Math.min(low, high), Math.max(low, high)];
}
