import { imageSize } from 'image-size';
import { svgSize, type NaturalSize } from '../core/boxes/index.js';
import { SourceText } from '../core/base/index.js';
import { parseHtml } from '../core/html/index.js';

const NO_SIZE: NaturalSize = { width: null, height: null, ratio: null };
const ROOT = /<svg[\s>][^>]*>/i;

/** Natural size of an image file, px; drawings may lack some of it. Throws on formats nobody knows. */
export function imageSizeOf(bytes: Uint8Array): NaturalSize | null {
  const root = ROOT.exec(Buffer.from(bytes.subarray(0, 4096)).toString('utf8'))?.[0];
  if (root) {
    const element = parseHtml(new SourceText('image', root), { scripting: false }).elements.find(
      (e) => e.tag === 'svg',
    );
    if (!element) return null;
    const size = svgSize((name) => element.attributes.get(name) ?? element.attributes.get(name.toLowerCase()));
    // Browsers give a drawing without a ratio its own size only where it has both.
    return size.ratio === null ? NO_SIZE : size;
  }
  const { width, height } = imageSize(bytes);
  return width > 0 && height > 0 ? { width, height, ratio: width / height } : null;
}
