/**
 * Makes src/core/boxes/text/advances.json: glyph advances and kerning of the default families, read from the font
 * packages, so that no font has to be opened to measure text in them. Run with `npm run advances`.
 */
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { create, type Font } from 'fontkit';

const FAMILIES = { sans: 'arimo', serif: 'tinos', mono: 'cousine' } as const;
const FACES = { regular: '400-normal', bold: '700-normal', italic: '400-italic', boldItalic: '700-italic' } as const;
const KERNED: readonly (readonly [number, number])[] = [
  [0x20, 0x7e],
  [0xc0, 0xff],
  [0x2010, 0x2026],
  [0x391, 0x3c9],
  [0x410, 0x44f],
];

const ONE = 0x31;
const MIDDLE_DOT = 0xb7;
/** Advances in which the compatible families that systems install differ from the packages, per 2048 units. */
const INSTALLED: Readonly<Record<string, Readonly<Record<number, number>>>> = {
  arimo: { [MIDDLE_DOT]: 569 },
  tinos: { [MIDDLE_DOT]: 512 },
};

/** Average and greatest glyph width of the installed families, per 2048 units: OS/2 xAvgCharWidth, head xMax − xMin. */
const BREADTH: Readonly<Record<string, readonly (readonly [number, number])[]>> = {
  arimo: [
    [1208, 2567],
    [1255, 2552],
    [1210, 2733],
    [1258, 2739],
  ],
  tinos: [
    [1163, 2424],
    [1217, 2595],
    [1145, 2590],
    [1185, 2721],
  ],
  cousine: [
    [1229, 1297],
    [1229, 1314],
    [1229, 1636],
    [1229, 1622],
  ],
};

interface Face {
  unitsPerEm: number;
  ascent: number;
  descent: number;
  lineGap: number;
  xHeight: number;
  average: number;
  widest: number;
  /** Runs of [first code point, advance, advance, …]. */
  advances: number[][];
  /** Left character → right characters and their adjustments: `{"A": {"V": -152}}`. */
  kerning: Record<string, Record<string, number>>;
}

function readFace(family: string, face: string): Face {
  const folder = `node_modules/@fontsource/${family}/files`;
  const files = readdirSync(folder).filter((name) => name.endsWith(`-${face}.woff2`));
  const fonts = files.map((name) => create(readFileSync(`${folder}/${name}`)) as Font);
  const first = fonts[0]!;
  const advances = new Map<number, number>();
  const kerning: Face['kerning'] = {};
  for (const font of fonts) {
    for (const code of font.characterSet)
      advances.set(code, INSTALLED[family]?.[code] ?? font.glyphForCodePoint(code).advanceWidth);
    collectKerning(font, kerning);
  }
  const [average, widest] = BREADTH[family]![Object.values(FACES).indexOf(face as (typeof FACES)['regular'])]!;
  return {
    unitsPerEm: first.unitsPerEm,
    average,
    widest,
    ascent: first.ascent,
    descent: -first.descent,
    lineGap: first.lineGap,
    xHeight: first.xHeight,
    advances: runs(advances),
    kerning,
  };
}

function collectKerning(font: Font, kerning: Face['kerning']): void {
  const held = new Set(font.characterSet);
  const codes = KERNED.flatMap(([from, to]) => Array.from({ length: to - from + 1 }, (_, i) => from + i)).filter(
    (code) => held.has(code),
  );
  for (const left of codes) {
    for (const right of codes) {
      const adjusted = font.layout(String.fromCodePoint(left, right)).positions[0]!.xAdvance;
      const change = Math.round(adjusted - font.glyphForCodePoint(left).advanceWidth);
      // The compatible families that systems install leave this pair alone.
      if (left === ONE && right === ONE) continue;
      if (change !== 0) (kerning[String.fromCodePoint(left)] ??= {})[String.fromCodePoint(right)] = change;
    }
  }
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

const tables: Record<string, Record<string, Face>> = {};
for (const [name, family] of Object.entries(FAMILIES)) {
  tables[name] = Object.fromEntries(Object.entries(FACES).map(([key, face]) => [key, readFace(family, face)]));
}
writeFileSync('src/core/boxes/text/advances.json', `${JSON.stringify(tables)}\n`);
