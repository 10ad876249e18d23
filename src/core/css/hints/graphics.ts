import type { Reader } from './attributes.js';

export const svg: Reader = (e, out) => {
  for (const name of SVG_ATTRIBUTES) {
    const value = e.attributes.get(name);
    if (value !== undefined) out.push([name, value]);
  }
  const transform = svgTransform(e.attributes.get('transform') ?? '');
  if (transform !== null) out.push(['transform', transform]);
  if (!SIZED.has(e.tag) || (e.tag === 'svg' && e.parent?.namespace === 'svg')) return;
  for (const name of ['width', 'height']) {
    const value = e.attributes.get(name)?.trim();
    if (value) out.push([name, /^[\d.]+$/.test(value) ? `${value}px` : value]);
  }
};

/** SVG's presentation attributes that move boxes or paint; @spec svg-2 §6.6 */
const SVG_ATTRIBUTES = [
  'fill',
  'stroke',
  'stroke-width',
  'opacity',
  'color',
  'display',
  'visibility',
  'overflow',
  'pointer-events',
  'cursor',
  'font-size',
  'font-family',
  'font-weight',
  'font-style',
  'text-decoration',
  'text-anchor',
  'dominant-baseline',
  'alignment-baseline',
  'clip-path',
  'filter',
  'mask',
  'letter-spacing',
  'word-spacing',
  'direction',
  'writing-mode',
  'unicode-bidi',
];

/** Elements whose size attributes are properties. @spec svg-2 §8.1 */
const SIZED: ReadonlySet<string> = new Set(['svg', 'symbol', 'rect', 'image', 'foreignObject']);

/** A `transform` attribute in the form of the property; null without one. @spec css-transforms-1 §6.1 */
function svgTransform(text: string): string | null {
  const steps = [...text.matchAll(/([a-z]+)\s*\(([^)]*)\)/gi)].map(([, name, inside]) => {
    const n = inside!.split(/[\s,]+/).flatMap((part) => (part === '' ? [] : [Number(part)]));
    if (n.length === 0 || n.some((value) => !Number.isFinite(value))) return null;
    const [a, b, c] = n as [number, number?, number?];
    switch (name!.toLowerCase()) {
      case 'translate':
        return `translate(${a}px, ${b ?? 0}px)`;
      case 'rotate':
        return b === undefined || c === undefined
          ? `rotate(${a}deg)`
          : `translate(${b}px, ${c}px) rotate(${a}deg) translate(${-b}px, ${-c}px)`;
      case 'scale':
        return `scale(${a}, ${b ?? a})`;
      case 'skewx':
        return `skewX(${a}deg)`;
      case 'skewy':
        return `skewY(${a}deg)`;
      case 'matrix':
        return n.length === 6 ? `matrix(${n.join(', ')})` : null;
      default:
        return null;
    }
  });
  return steps.length === 0 || steps.includes(null) ? null : steps.join(' ');
}
