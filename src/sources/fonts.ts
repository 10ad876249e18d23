import type { Font, FontCollection } from 'fontkit';
import type { OpenFont, WebFace } from '../core/boxes/index.js';
import type { FontFace } from '../core/sheets/index.js';

/** More faces than this a page does not need to be measured. */
const FACE_CAP = 60;

/** Opens the fonts a page declares. `read` gives the bytes behind an absolute address, or null. */
export async function openFonts(
  faces: readonly FontFace[],
  read: (url: string) => Uint8Array | null,
): Promise<WebFace[]> {
  const out: WebFace[] = [];
  let open: ((bytes: Uint8Array) => OpenFont | null) | null = null;
  const opened = new Map<string, OpenFont | null>();
  for (const face of faces.slice(0, FACE_CAP)) {
    for (const url of face.sources) {
      if (/\.(eot|svg)([?#]|$)/i.test(url)) continue;
      let font = opened.get(url);
      if (font === undefined) {
        const bytes = read(url);
        // Reading fonts takes long to load: only pages that bring some pay for it.
        if (bytes) open ??= await opener();
        font = bytes ? open!(bytes) : null;
        opened.set(url, font);
      }
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
    weights: weightRange(face.weight),
    italic: /italic|oblique/i.test(face.style),
    sizeAdjust: percent('size-adjust') ?? 1,
    ascentOverride: percent('ascent-override'),
    descentOverride: percent('descent-override'),
    lineGapOverride: percent('line-gap-override'),
    font,
  };
}

function weightRange(text: string): readonly [number, number] {
  const numbers = text
    .toLowerCase()
    .split(/\s+/)
    .map((word) => (word === 'normal' ? 400 : word === 'bold' ? 700 : Number(word)))
    .filter((n) => Number.isFinite(n) && n > 0);
  const [low = 400, high = low] = numbers;
  return [Math.min(low, high), Math.max(low, high)];
}

async function opener(): Promise<(bytes: Uint8Array) => OpenFont | null> {
  const { create } = await import('fontkit');
  return (bytes) => {
    try {
      const made = create(Buffer.from(bytes));
      return wrap('fonts' in made ? (made as FontCollection).fonts[0]! : (made as Font));
    } catch {
      return null;
    }
  };
}

interface Tables {
  readonly 'OS/2'?: {
    readonly fsSelection?: { readonly useTypoMetrics?: boolean };
    readonly typoAscender: number;
    readonly typoDescender: number;
    readonly typoLineGap: number;
    readonly xHeight?: number;
    readonly xAvgCharWidth?: number;
  };
  readonly head?: { readonly xMin: number; readonly xMax: number };
}

function wrap(font: Font): OpenFont {
  const { 'OS/2': os2, head } = font as unknown as Tables;
  const typo = os2?.fsSelection?.useTypoMetrics ? os2 : null;
  return {
    unitsPerEm: font.unitsPerEm,
    ascent: typo?.typoAscender ?? font.ascent,
    descent: -(typo?.typoDescender ?? font.descent),
    lineGap: typo?.typoLineGap ?? font.lineGap,
    xHeight: os2?.xHeight || font.unitsPerEm / 2,
    average: os2?.xAvgCharWidth || font.unitsPerEm / 2,
    widest: head ? head.xMax - head.xMin : font.unitsPerEm,
    has: (code) => font.hasGlyphForCodePoint(code),
    advance: (text, kerning) => {
      try {
        return font.layout(text, kerning ? undefined : { kern: false }).advanceWidth;
      } catch {
        return [...text].reduce((sum, c) => sum + font.glyphForCodePoint(c.codePointAt(0)!).advanceWidth, 0);
      }
    },
  };
}
