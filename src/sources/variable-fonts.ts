import type { Feature as ShapedFeature, Font as ShapedFont } from 'harfbuzzjs';
import type { FeatureSettings, FontAxes, Glyph, OpenFont } from '../core/boxes/index.js';

/** Axes whose value follows from the style of a text. @spec css-fonts-4 §5.2, §7.12 */
const FOLLOWED = ['wght', 'opsz'] as const;

/**
 * A font whose glyphs vary: it can be had at a weight and an optical size; at none its default is what it was. Null
 * where the file does not vary in what a style asks for.
 * @param bytes of the unpacked file
 */
export async function variableFont(bytes: Uint8Array, plain: OpenFont, axes: FontAxes): Promise<OpenFont | null> {
  if (!FOLLOWED.some((axis) => axes[axis])) return null;
  const { Blob, Buffer, Face, Feature, Font, Variation, shape } = await import('harfbuzzjs');
  const face = new Face(new Blob(bytes), 0);
  const set = (font: ShapedFont, text: string, features: readonly ShapedFeature[]) => {
    const buffer = new Buffer();
    buffer.addText(text);
    buffer.guessSegmentProperties();
    shape(font, buffer, [...features]);
    return buffer.getGlyphInfosAndPositions();
  };
  const known = new Map<string, OpenFont>();
  const at = (settings: Readonly<Record<string, number>>): OpenFont => {
    const key = JSON.stringify(settings);
    let made = known.get(key);
    if (!made) known.set(key, (made = instance(settings)));
    return made;
  };
  const instance = (settings: Readonly<Record<string, number>>, asked: FeatureSettings = {}): OpenFont => {
    const kerned = Object.entries(asked).map(([tag, value]) => new Feature(tag, value));
    const unkerned = [...kerned, new Feature('kern', 0)];
    const features = (kerning: boolean) => (kerning ? kerned : unkerned);
    const font = new Font(face);
    font.setVariations(Object.entries(settings).map(([tag, value]) => new Variation(tag, value)));
    return {
      ...plain,
      axes,
      at,
      featured: (others) => instance(settings, others),
      advance: (text, kerning) =>
        set(font, text, features(kerning)).reduce((sum, { xAdvance = 0 }) => sum + xAdvance, 0),
      outline: (text, kerning) => {
        let x = 0;
        return set(font, text, features(kerning)).flatMap(
          ({ codepoint, xAdvance = 0, xOffset = 0, yOffset = 0 }): Glyph[] => {
            const glyph = { path: font.glyphToPath(codepoint), x: x + xOffset, y: yOffset };
            x += xAdvance;
            return glyph.path === '' ? [] : [glyph];
          },
        );
      },
    };
  };
  return at({});
}
