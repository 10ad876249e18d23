/**
 * Makes src/core/boxes/text/advances.json: glyph advances and kerning of the default families, so that no font has to
 * be opened to measure text in them. Run with `npm run advances`.
 *
 * The families a browser on a plain system sets pages in are the metric twins of Arimo, Tinos and Cousine that systems
 * install, with one wide-ranging family behind them. Where the installed twins are found (Debian: fonts-liberation)
 * their own figures count, as they lack some glyphs of the packages and hold others; characters they lack are taken
 * from the fallback family, then from the packages.
 */
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { create, type Font } from 'fontkit';

const INSTALLED = '/usr/share/fonts/truetype/liberation';
const FALLBACK = 'node_modules/dejavu-fonts-ttf/ttf/DejaVuSans.ttf';
const FAMILIES = {
  sans: { twin: 'LiberationSans', package: 'arimo' },
  serif: { twin: 'LiberationSerif', package: 'tinos' },
  mono: { twin: 'LiberationMono', package: 'cousine' },
} as const;
const FACES = {
  regular: { twin: 'Regular', package: '400-normal' },
  bold: { twin: 'Bold', package: '700-normal' },
  italic: { twin: 'Italic', package: '400-italic' },
  boldItalic: { twin: 'BoldItalic', package: '700-italic' },
} as const;
const KERNED: readonly (readonly [number, number])[] = [
  [0x20, 0x7e],
  [0xa0, 0x17f],
  [0x218, 0x21b],
  [0x384, 0x3ce],
  [0x400, 0x45f],
  [0x490, 0x491],
  [0x1e80, 0x1e85],
  [0x1ea0, 0x1ef9],
  [0x2010, 0x2026],
];
/** Cuts of the fallback family, which pages may name too; what they leave out here is taken from it as from any other. */
const WIDE = { regular: 'DejaVuSans', bold: 'DejaVuSans-Bold' } as const;
const isLetter = (code: number): boolean =>
  code < 0x250 || (code >= 0x370 && code < 0x530) || (code >= 0x2010 && code < 0x2040);

interface Face {
  unitsPerEm: number;
  ascent: number;
  descent: number;
  lineGap: number;
  xHeight: number;
  capHeight: number;
  /** OS/2 xAvgCharWidth, and the width of the box around all glyphs. */
  average: number;
  widest: number;
  /** Advance of the glyph for what no font has. */
  missing: number;
  /** Runs of [first code point, advance, advance, …]. */
  advances: number[][];
  /** Left character → right characters and their adjustments: `{"A": {"V": -152}}`. */
  kerning: Record<string, Record<string, number>>;
}

const open = (file: string): Font => create(readFileSync(file)) as Font;

interface Tables {
  readonly 'OS/2': { readonly xAvgCharWidth: number };
  readonly head: { readonly xMin: number; readonly xMax: number };
}

function readFace(file: string, holds: (code: number) => boolean = () => true): Face {
  const font = open(file);
  const { 'OS/2': os2, head } = font as unknown as Tables;
  return {
    unitsPerEm: font.unitsPerEm,
    ascent: font.ascent,
    descent: -font.descent,
    lineGap: font.lineGap,
    xHeight: font.xHeight || heightOf('x', font),
    capHeight: font.capHeight || heightOf('H', font),
    average: os2.xAvgCharWidth,
    widest: head.xMax - head.xMin,
    missing: font.getGlyph(0).advanceWidth,
    advances: runs(
      new Map(font.characterSet.filter(holds).map((code) => [code, font.glyphForCodePoint(code).advanceWidth])),
    ),
    kerning: kerningOf(font),
  };
}

/** Old files do not say how high their letters are. */
const heightOf = (letter: string, font: Font): number => font.glyphForCodePoint(letter.codePointAt(0)!).bbox.maxY;

function kerningOf(font: Font): Face['kerning'] {
  const kerning: Face['kerning'] = {};
  const held = new Set(font.characterSet);
  const codes = KERNED.flatMap(([from, to]) => Array.from({ length: to - from + 1 }, (_, i) => from + i)).filter(
    (code) => held.has(code),
  );
  for (const left of codes) {
    for (const right of codes) {
      // The whole of both: they may be set as one glyph.
      const set = font.layout(String.fromCodePoint(left, right)).advanceWidth;
      const alone = font.glyphForCodePoint(left).advanceWidth + font.glyphForCodePoint(right).advanceWidth;
      const change = Math.round(set - alone);
      if (change !== 0) (kerning[String.fromCodePoint(left)] ??= {})[String.fromCodePoint(right)] = change;
    }
  }
  return kerning;
}

function runs(advances: ReadonlyMap<number, number>): number[][] {
  const out: number[][] = [];
  let next = -1;
  for (const [code, advance] of [...advances].sort(([a], [b]) => a - b)) {
    if (code === next) out[out.length - 1]!.push(Math.round(advance));
    else out.push([code, Math.round(advance)]);
    next = code + 1;
  }
  return out;
}

/** What stands in for characters the default families lack; the packages' glyphs where even that has none. */
function readFallback(): Pick<Face, 'unitsPerEm' | 'ascent' | 'descent' | 'lineGap' | 'advances'> {
  const font = open(FALLBACK);
  const advances = new Map<number, number>();
  const folder = `node_modules/@fontsource/${FAMILIES.sans.package}/files`;
  for (const name of readdirSync(folder).filter((file) => file.endsWith(`-${FACES.regular.package}.woff2`))) {
    const extra = open(`${folder}/${name}`);
    for (const code of extra.characterSet)
      advances.set(code, (extra.glyphForCodePoint(code).advanceWidth / extra.unitsPerEm) * font.unitsPerEm);
  }
  for (const code of font.characterSet) advances.set(code, font.glyphForCodePoint(code).advanceWidth);
  const { unitsPerEm, ascent, descent, lineGap } = font;
  return { unitsPerEm, ascent, descent: -descent, lineGap, advances: runs(advances) };
}

if (!existsSync(INSTALLED)) {
  console.error(`advances: ${INSTALLED} is missing; install the fonts first (Debian: fonts-liberation)`);
  process.exit(1);
}
const tables = Object.fromEntries(
  Object.entries(FAMILIES).map(([name, family]) => [
    name,
    Object.fromEntries(
      Object.entries(FACES).map(([key, face]) => [key, readFace(`${INSTALLED}/${family.twin}-${face.twin}.ttf`)]),
    ),
  ]),
);
const wide = Object.fromEntries(
  Object.entries(WIDE).map(([key, file]) => [key, readFace(`node_modules/dejavu-fonts-ttf/ttf/${file}.ttf`, isLetter)]),
);
writeFileSync(
  'src/core/boxes/text/advances.json',
  `${JSON.stringify({ ...tables, wide, fallback: readFallback() })}\n`,
);
