import { usedFontSize, type Face, type FontRun, type Glyph } from '../../core/boxes/index.js';
import type { ComputedStyle } from '../../core/cascade/index.js';
import { resolveLength, type Rgba } from '../../core/css/index.js';
import type { Definitions } from './definitions.js';
import { paint } from './paint.js';
import { group, shape, type Shape } from './xml.js';

/** Where outlines of shipped fonts come from. */
export interface Outlines {
  of(name: string, text: string, kerning: boolean): { readonly unitsPerEm: number; readonly glyphs: readonly Glyph[] };
}

export interface TextRun {
  readonly text: string;
  readonly face: Face;
  readonly size: number;
  readonly x: number;
  readonly baseline: number;
  readonly colour: Rgba;
  readonly kerning?: boolean;
}

/** A run of text as outlines, so that it looks the same wherever the drawing is shown. */
export function drawRun(run: TextRun, outlines: Outlines, definitions: Definitions): Shape {
  const { face, size, baseline, colour, kerning = true } = run;
  const glyphs: Shape[] = [];
  let x = run.x;
  for (const part of face.runs(run.text, size)) {
    glyphs.push(...drawPart(part, x, baseline, size, kerning, outlines, definitions));
    x += part.width ?? face.width(part.text, size, kerning);
  }
  return group(glyphs, paint('fill', colour));
}

function drawPart(
  part: FontRun,
  x: number,
  baseline: number,
  size: number,
  kerning: boolean,
  outlines: Outlines,
  definitions: Definitions,
): Shape[] {
  const { unitsPerEm, glyphs } = part.font
    ? { unitsPerEm: part.font.unitsPerEm, glyphs: part.font.outline(part.text, kerning) }
    : outlines.of(part.name, part.text, kerning);
  const scale = (size * part.scale) / unitsPerEm;
  return glyphs.map((glyph) => {
    const id = definitions.id('g', `${part.name}/${glyph.path}`, (name) => shape('path', { id: name, d: glyph.path }));
    const at = [x + glyph.x * scale, baseline - glyph.y * scale].map((v) => Math.round(v * 100) / 100);
    return shape('use', {
      href: `#${id}`,
      transform: `translate(${at.join(' ')}) scale(${scale.toFixed(5)} ${(-scale).toFixed(5)})`,
    });
  });
}

const RUN_TOGETHER = /[\u0590-\u08ff\u0900-\u0dff\ufb1d-\ufdff\ufe70-\ufeff]/;

/** Text of a page: spaced letter by letter where the style asks for it, justified spaces widened. */
export function drawText(
  text: string,
  style: ComputedStyle,
  face: Face,
  at: { readonly x: number; readonly baseline: number; readonly width: number },
  outlines: Outlines,
  definitions: Definitions,
): Shape {
  const { fontSize, color: colour } = style;
  const size = usedFontSize(style, face);
  const kerning = style.fontKerning !== 'none';
  const shown = text.replace(/[\n\t\u200b\u00ad]/g, ' ').replace(/\s+$/, '');
  const letter = resolveLength(style.letterSpacing, fontSize);
  const word = resolveLength(style.wordSpacing, fontSize);
  const spaces = shown.match(/[ \u00a0]/g)?.length ?? 0;
  const natural = face.width(shown, size, kerning) + letter * [...shown].length + word * spaces;
  const stretch = spaces > 0 && at.width - natural > 0.5 && text === shown ? (at.width - natural) / spaces : 0;
  const base = { face, size, baseline: at.baseline, colour, kerning };
  // Letters of joined and right-to-left scripts cannot be set one by one.
  if ((letter === 0 && word === 0 && stretch === 0) || RUN_TOGETHER.test(shown))
    return drawRun({ ...base, text: shown, x: at.x }, outlines, definitions);
  let x = at.x;
  const parts: Shape[] = [];
  for (const character of shown) {
    const space = character === ' ' || character === '\u00a0';
    if (!space) parts.push(drawRun({ ...base, text: character, x }, outlines, definitions));
    x += face.width(character, size, false) + letter + (space ? word + stretch : 0);
  }
  return group(parts);
}
