import {
  isFunctionNode,
  isSimpleBlockNode,
  isTokenNode,
  type ComponentValue,
  type FunctionNode,
} from '@csstools/css-parser-algorithms';
import { TokenType } from '@csstools/css-tokenizer';

/** A calculation reduced as far as it goes before percentages have a basis. @spec css-values-4 §10.10 */
interface Reduced {
  /** Set where it is a number without unit. */
  readonly number: number | null;
  readonly px: number | null;
  readonly percent: number | null;
  /** Functions that cannot be reduced, each as often as it counts. */
  readonly functions: readonly { readonly times: number; readonly text: string }[];
}

/** How lengths and numbers are worked out and printed. */
export interface MathPrinter {
  /** A dimension in px; null for other units. */
  toPx: (value: number, unit: string) => number | null;
  /** A function without percentages. */
  solve: (node: FunctionNode) => { readonly value: number; readonly unit: string } | null;
  print: (value: number) => string;
}

const NOTHING: Reduced = { number: null, px: null, percent: null, functions: [] };

/** A math function that bends with its basis, as browsers serialise its computed value; null for what it cannot reduce. @spec css-values-4 §10.13 */
export function mathText(node: FunctionNode, printer: MathPrinter): string | null {
  const reduced = ofFunction(node, printer);
  if (!reduced) return null;
  const { functions } = reduced;
  const bare = functions.length === 1 && functions[0]!.times === 1 && reduced.px === null && reduced.percent === null;
  const single = functions.length === 0 && (reduced.px === null || reduced.percent === null);
  const text = sumText(reduced, printer);
  return bare || single ? text : `calc(${text})`;
}

const scaled = (value: number | null, by: number) => (value === null ? null : value * by);
const added = (a: number | null, b: number | null) => (a === null ? b : b === null ? a : a + b);

const times = (of: Reduced, by: number): Reduced => ({
  number: scaled(of.number, by),
  px: scaled(of.px, by),
  percent: scaled(of.percent, by),
  functions: of.functions.map((one) => ({ ...one, times: one.times * by })),
});

const plus = (a: Reduced, b: Reduced): Reduced => ({
  number: added(a.number, b.number),
  px: added(a.px, b.px),
  percent: added(a.percent, b.percent),
  functions: [...a.functions, ...b.functions],
});

function ofFunction(node: FunctionNode, printer: MathPrinter): Reduced | null {
  const name = node
    .getName()
    .toLowerCase()
    .replace(/^-webkit-/, '');
  if (name === 'calc') return ofSum(node.value, printer);
  if (!node.tokens().some((token) => token[0] === TokenType.Percentage)) {
    const solved = printer.solve(node);
    if (solved?.unit === 'px') return { ...NOTHING, px: solved.value };
    return solved?.unit === '' ? { ...NOTHING, number: solved.value } : null;
  }
  const texts: string[] = [];
  const parts = argumentsOf(node.value);
  for (const part of parts) {
    const word = wordOf(part);
    const reduced = word === null ? ofSum(part, printer) : null;
    if (word === null && !reduced) return null;
    if (reduced && parts.length === 1 && /^(min|max)$/.test(name)) return reduced;
    texts.push(word ?? sumText(reduced!, printer));
  }
  // Bounds that are left out leave the other function.
  if (name === 'clamp' && texts.length === 3 && texts.includes('none')) {
    const [low, value, high] = texts as [string, string, string];
    const text = low === 'none' ? `min(${value}, ${high})` : `max(${low}, ${value})`;
    return low === high ? ofSum(parts[1]!, printer) : { ...NOTHING, functions: [{ times: 1, text }] };
  }
  return { ...NOTHING, functions: [{ times: 1, text: `${name}(${texts.join(', ')})` }] };
}

const isSpace = (value: ComponentValue): boolean =>
  !isTokenNode(value) && !isFunctionNode(value) && !isSimpleBlockNode(value);

function argumentsOf(values: readonly ComponentValue[]): readonly (readonly ComponentValue[])[] {
  const out: ComponentValue[][] = [[]];
  for (const value of values)
    if (isTokenNode(value) && value.value[0] === TokenType.Comma) out.push([]);
    else out.at(-1)!.push(value);
  return out;
}

/** `up` of `round(up, …)`, `none` of `clamp(none, …)`. */
function wordOf(values: readonly ComponentValue[]): string | null {
  const [only, ...others] = values.filter((value) => !isSpace(value));
  return only && others.length === 0 && isTokenNode(only) && only.value[0] === TokenType.Ident
    ? only.value[1].toLowerCase()
    : null;
}

const delimiter = (value: ComponentValue): string =>
  isTokenNode(value) && value.value[0] === TokenType.Delim ? value.value[1] : '';

function ofSum(values: readonly ComponentValue[], printer: MathPrinter): Reduced | null {
  let total: Reduced | null = null;
  let sign = 1;
  let product: ComponentValue[] = [];
  const close = (): boolean => {
    const one = ofProduct(product, printer);
    if (!one) return false;
    total = total ? plus(total, times(one, sign)) : times(one, sign);
    product = [];
    return true;
  };
  for (const value of values) {
    const sum = delimiter(value);
    if (sum !== '+' && sum !== '-') {
      if (!isSpace(value)) product.push(value);
      continue;
    }
    if (!close()) return null;
    sign = sum === '-' ? -1 : 1;
  }
  return close() ? total : null;
}

function ofProduct(values: readonly ComponentValue[], printer: MathPrinter): Reduced | null {
  let total: Reduced | null = null;
  let divides = false;
  for (const value of values) {
    const sign = delimiter(value);
    if (sign === '*' || sign === '/') {
      divides = sign === '/';
      continue;
    }
    const one = ofValue(value, printer);
    if (!one) return null;
    if (!total) total = one;
    else if (one.number !== null) total = times(total, divides ? 1 / one.number : one.number);
    else if (total.number !== null && !divides) total = times(one, total.number);
    else return null;
  }
  return total;
}

function ofValue(value: ComponentValue, printer: MathPrinter): Reduced | null {
  if (isFunctionNode(value)) return ofFunction(value, printer);
  if (isSimpleBlockNode(value)) return ofSum(value.value, printer);
  if (!isTokenNode(value)) return null;
  const [type, , , , token] = value.value as [TokenType, string, number, number, { value: number; unit: string }];
  if (type === TokenType.Number) return { ...NOTHING, number: token.value };
  if (type === TokenType.Percentage) return { ...NOTHING, percent: token.value };
  const px = type === TokenType.Dimension ? printer.toPx(token.value, token.unit.toLowerCase()) : null;
  return px === null ? null : { ...NOTHING, px };
}

/** Percentages stand first, then lengths, then functions. */
function sumText({ number, px, percent, functions }: Reduced, { print }: MathPrinter): string {
  const parts: { readonly minus: boolean; readonly text: string }[] = [];
  if (number !== null) parts.push({ minus: number < 0, text: print(Math.abs(number)) });
  if (percent !== null) parts.push({ minus: percent < 0, text: `${print(Math.abs(percent))}%` });
  if (px !== null) parts.push({ minus: px < 0, text: `${print(Math.abs(px))}px` });
  const alone = functions.length === 1 && parts.length === 0;
  for (const { times: by, text } of functions) {
    if (alone) return by === 1 ? text : `${print(by)} * ${text}`;
    const much = Math.abs(by);
    parts.push({ minus: by < 0, text: much === 1 ? text : `(${print(much)} * ${text})` });
  }
  return parts
    .map(({ minus, text }, k) => (k === 0 ? `${minus ? '-' : ''}${text}` : `${minus ? '-' : '+'} ${text}`))
    .join(' ');
}
