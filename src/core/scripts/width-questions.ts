import type { CallExpression, Expression, MemberExpression, Node } from 'acorn';
import { simple } from 'acorn-walk';
import type { SourceText, Span } from '../base/index.js';
import { parseScript } from './parse.js';

/** A width at which a script that compares the window's width decides otherwise. */
export interface WidthQuestion {
  readonly px: number;
  /** `from` where the answer is another at this px, `above` where it is another beyond it. */
  readonly side: 'from' | 'above';
  readonly span: Span;
}

const WIDTHS = new Set(['innerWidth', 'outerWidth', 'clientWidth']);
const WHOLE = /^(window|self|globalThis|document|documentElement|body|screen)$/;

/** Comparisons of the window's width with a number, as they are written. */
export function widthQuestions(source: SourceText): readonly WidthQuestion[] {
  if (!/innerWidth|outerWidth|clientWidth|\.width\(/.test(source.text)) return [];
  const tree = parseScript(source.text, 'script') ?? parseScript(source.text, 'module');
  if (!tree) return [];
  const numbers = new Map<string, number>();
  simple(tree, {
    VariableDeclarator({ id, init }) {
      const value = init ? literal(init) : null;
      if (id.type === 'Identifier' && value !== null) numbers.set(id.name, value);
    },
  });
  const valueOf = (node: Node): number | null =>
    literal(node) ??
    (node.type === 'Identifier' ? (numbers.get((node as { name?: string }).name ?? '') ?? null) : null);
  const out: WidthQuestion[] = [];
  simple(tree, {
    BinaryExpression({ left, right, operator, start, end }) {
      const turned = isWidth(right) ? left : isWidth(left) ? right : null;
      const px = turned && valueOf(turned);
      const side = sideOf(operator, turned === left);
      if (px !== null && side) out.push({ px, side, span: { source, start, end } });
    },
  });
  return out;
}

const literal = (node: Node): number | null => {
  const { value } = node as { value?: unknown };
  return node.type === 'Literal' && typeof value === 'number' ? value : null;
};

/** `width < n` and `width >= n` turn at n, `width <= n` and `width > n` beyond it. */
function sideOf(operator: string, turned: boolean): 'from' | 'above' | null {
  if (operator === '<' || operator === '>=') return turned ? 'above' : 'from';
  if (operator === '>' || operator === '<=') return turned ? 'from' : 'above';
  return null;
}

function isWidth(node: Node): boolean {
  if (node.type === 'Identifier') return (node as { name?: string }).name === 'innerWidth';
  if (node.type === 'MemberExpression') {
    const { property, object } = node as MemberExpression;
    return property.type === 'Identifier' && WIDTHS.has(property.name) && isWhole(object as Expression);
  }
  if (node.type !== 'CallExpression') return false;
  const { callee, arguments: given } = node as CallExpression;
  return (
    given.length === 0 &&
    callee.type === 'MemberExpression' &&
    callee.property.type === 'Identifier' &&
    /^(width|innerWidth|outerWidth)$/.test(callee.property.name) &&
    callee.object.type === 'CallExpression' &&
    isWhole(callee.object.arguments[0] as Expression | undefined)
  );
}

/** The window, the document or the whole page. */
function isWhole(node: Expression | undefined): boolean {
  if (node?.type === 'Identifier') return WHOLE.test(node.name);
  return node?.type === 'MemberExpression' && node.property.type === 'Identifier' && WHOLE.test(node.property.name);
}
