/** Random pages from a seed whose boxes overlap: positions, orders, contexts, clips and what a press passes through. */
import fc from 'fast-check';
import type { Element, Part } from './generate.js';

/** A page and how far it is scrolled, px. */
export interface Overlap {
  readonly parts: readonly Part[];
  readonly scroll: number;
}

/** Lines as high as their letters: what a press reaches between lines is no matter of boxes. */
export const OVERLAP_CSS = 'body{line-height:17px}';

const one = (...values: readonly string[]) => fc.constantFrom(...values);
const px = (min: number, max: number) => fc.integer({ min, max }).map((n) => `${n}px`);

/** Properties any box may have; the number says how rarely. */
const PROPERTIES: readonly (readonly [name: string, value: fc.Arbitrary<string>, rarity: number])[] = [
  ['position', one('relative', 'absolute', 'absolute', 'fixed', 'sticky'), 0],
  ['position', one('static'), 2],
  ['z-index', one('-1', '0', '1', '1', '2', '10'), 1],
  ['top', px(-10, 60), 1],
  ['left', px(-10, 90), 1],
  ['bottom', px(0, 20), 9],
  ['margin-top', px(-40, 20), 3],
  ['margin-left', px(-20, 40), 4],
  ['width', px(20, 140), 0],
  ['height', px(10, 90), 0],
  ['padding', px(0, 14), 5],
  ['display', one('flex', 'grid', 'inline-block', 'inline', 'table'), 4],
  ['float', one('left', 'right'), 9],
  ['opacity', one('0', '0.5', '0.9', '1'), 8],
  ['visibility', one('hidden', 'visible'), 9],
  ['pointer-events', one('none', 'auto'), 8],
  ['overflow', one('hidden', 'auto', 'clip'), 7],
  ['transform', one('translate(12px, 8px)', 'scale(0.5)', 'rotate(45deg)', 'translateZ(0)'), 8],
  ['isolation', one('isolate'), 14],
  ['will-change', one('transform', 'opacity', 'z-index'), 14],
  ['filter', one('blur(0)', 'grayscale(1)'), 16],
  ['mix-blend-mode', one('multiply'), 22],
  ['contain', one('paint', 'layout', 'strict'), 18],
  ['container-type', one('inline-size'), 22],
  ['clip-path', one('inset(10px)', 'circle(20px)', 'polygon(0 0, 100% 0, 0 100%)'), 14],
  ['border-radius', one('20px', '50%'), 9],
  ['border', one('6px solid', '2px solid'), 9],
  ['order', one('-1', '1'), 14],
  ['display', one('none', 'contents'), 20],
];

/** Lines do not stick and are not cut by paths here: no page does that. */
function settled({ 'clip-path': path, ...given }: Record<string, string>): Element['style'] {
  if (given.display !== 'inline') return path === undefined ? given : { ...given, 'clip-path': path };
  return given.position === 'sticky' ? { ...given, position: 'relative' } : given;
}

const style = fc
  .tuple(
    ...PROPERTIES.map(([name, value, rarity]) =>
      fc
        .tuple(fc.integer({ min: 0, max: rarity }), value)
        .map(([roll, given]): Record<string, string> => (roll === 0 ? { [name]: given } : {})),
    ),
  )
  .map((list) => settled(Object.assign({}, ...list)));

const { parts } = fc.letrec<{ parts: readonly Part[]; part: Part }>((tie) => ({
  parts: fc.array(tie('part'), { minLength: 1, maxLength: 4, depthIdentifier: 'overlap' }),
  part: fc.oneof(
    { depthIdentifier: 'overlap', maxDepth: 3, depthSize: 'small' },
    { weight: 2, arbitrary: one('tide', 'harbour lights', 'fog') },
    { weight: 1, arbitrary: style.map((given): Part => ({ tag: 'div', style: given, parts: [] })) },
    { weight: 5, arbitrary: fc.tuple(style, tie('parts')).map(([s, p]): Part => ({ tag: 'div', style: s, parts: p })) },
  ),
}));

/** `count` pages from a seed. */
export const makeOverlaps = (count: number, seed: number): readonly Overlap[] =>
  fc.sample(fc.record({ parts, scroll: fc.constantFrom(0, 0, 25, 60) }), { numRuns: count, seed });

/** Boxes named by a letter each, in the order of the page. */
export function named(list: readonly Part[]): readonly Part[] {
  let at = 0;
  const name = (part: Part): Part =>
    typeof part === 'string'
      ? part
      : { ...part, attributes: { id: String.fromCharCode(97 + at++) }, parts: part.parts.map(name) };
  return list.map(name);
}
