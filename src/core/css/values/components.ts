import {
  isFunctionNode,
  isSimpleBlockNode,
  isTokenNode,
  parseListOfComponentValues,
  type ComponentValue,
  type FunctionNode,
  type SimpleBlockNode,
} from '@csstools/css-parser-algorithms';
import { TokenType, tokenize, type CSSToken } from '@csstools/css-tokenizer';

/** A component value of CSS Syntax 3, white space and comments dropped; names and units in lower case. */
export type Component =
  | { readonly type: 'ident'; readonly name: string; readonly raw: string }
  | { readonly type: 'number'; readonly value: number; readonly integer: boolean }
  | { readonly type: 'percentage'; readonly value: number }
  | { readonly type: 'dimension'; readonly value: number; readonly unit: string }
  | { readonly type: 'string'; readonly value: string }
  | { readonly type: 'hash'; readonly value: string }
  | { readonly type: 'url'; readonly value: string }
  | { readonly type: 'delim'; readonly value: string }
  | {
      readonly type: 'function';
      readonly name: string;
      readonly args: readonly Component[];
      readonly node: FunctionNode;
    }
  | { readonly type: 'block'; readonly open: string; readonly args: readonly Component[] }
  | { readonly type: 'bad' };

const cache = new Map<string, readonly Component[]>();
const CACHE_CAP = 50_000;

/**
 * Component values of a declaration's value; remembered by text.
 * @spec css-syntax-3 §5.3.10 (parse a list of component values)
 */
export function parseComponents(text: string): readonly Component[] {
  let known = cache.get(text);
  if (!known) {
    if (cache.size > CACHE_CAP) cache.clear();
    known = simple(text) ?? Object.freeze(parsed(text));
    cache.set(text, known);
  }
  return known;
}

const BAD: Component = Object.freeze({ type: 'bad' });

/** What is nested deeper than the parser goes is no value of anything. */
function parsed(text: string): readonly Component[] {
  try {
    return fromNodes(parseListOfComponentValues(tokenize({ css: text })));
  } catch {
    return [BAD];
  }
}

const NUMERIC = /^([+-]?(?:\d+\.?\d*|\.\d+))([a-z]+|%)?$/i;
const IDENT = /^[a-z_-][a-z0-9_-]*$/i;

/** The two commonest forms without a tokenizer: one number or one identifier. */
function simple(text: string): readonly Component[] | null {
  const numeric = NUMERIC.exec(text);
  if (numeric && !text.endsWith('.') && !/^e\d/i.test(numeric[2] ?? '')) {
    const value = Number(numeric[1]);
    const unit = numeric[2]?.toLowerCase();
    if (unit === undefined) return [{ type: 'number', value, integer: !numeric[1]!.includes('.') }];
    return [unit === '%' ? { type: 'percentage', value } : { type: 'dimension', value, unit }];
  }
  if (IDENT.test(text) && !text.startsWith('--')) return [{ type: 'ident', name: text.toLowerCase(), raw: text }];
  return null;
}

const ENDS: Readonly<Record<string, CSSToken>> = {
  '(': [TokenType.CloseParen, ')', -1, -1, undefined],
  '[': [TokenType.CloseSquare, ']', -1, -1, undefined],
  '{': [TokenType.CloseCurly, '}', -1, -1, undefined],
};

/** Brackets left open are closed where the text ends. @spec css-syntax-3 §5.4.8, §5.4.9 */
function close(node: FunctionNode | SimpleBlockNode, bracket: string): void {
  (node as { endToken: CSSToken | undefined }).endToken ??= ENDS[bracket]!;
}

function fromNodes(nodes: readonly ComponentValue[]): Component[] {
  const out: Component[] = [];
  for (const node of nodes) {
    if (isFunctionNode(node)) {
      close(node, '(');
      out.push({ type: 'function', name: node.getName().toLowerCase(), args: fromNodes(node.value), node });
    } else if (isSimpleBlockNode(node)) {
      close(node, node.startToken[1]);
      out.push({ type: 'block', open: node.startToken[1], args: fromNodes(node.value) });
    } else if (isTokenNode(node)) {
      const made = fromToken(node.value);
      if (made) out.push(made);
    }
  }
  return out;
}

function fromToken(token: CSSToken): Component | null {
  switch (token[0]) {
    case TokenType.Ident:
      return { type: 'ident', name: token[4].value.toLowerCase(), raw: token[4].value };
    case TokenType.Number:
      return { type: 'number', value: token[4].value, integer: token[4].type === 'integer' };
    case TokenType.Percentage:
      return { type: 'percentage', value: token[4].value };
    case TokenType.Dimension:
      return { type: 'dimension', value: token[4].value, unit: token[4].unit.toLowerCase() };
    case TokenType.String:
      return { type: 'string', value: token[4].value };
    case TokenType.Hash:
      return { type: 'hash', value: token[4].value };
    case TokenType.URL:
      return { type: 'url', value: token[4].value };
    case TokenType.Comma:
      return { type: 'delim', value: ',' };
    case TokenType.Colon:
      return { type: 'delim', value: ':' };
    case TokenType.Delim:
      return { type: 'delim', value: token[4].value };
    case TokenType.Whitespace:
    case TokenType.Comment:
    case TokenType.EOF:
      return null;
    default:
      return { type: 'bad' };
  }
}

/** Splits at top-level commas; an empty part is kept, so that callers can reject it. */
export function splitCommas(items: readonly Component[]): Component[][] {
  return splitAt(items, ',');
}

/** Splits at a top-level delimiter. */
export function splitAt(items: readonly Component[], delimiter: string): Component[][] {
  const parts: Component[][] = [[]];
  for (const item of items) {
    if (item.type === 'delim' && item.value === delimiter) parts.push([]);
    else parts[parts.length - 1]!.push(item);
  }
  return parts;
}

export function isIdent(item: Component | undefined, ...names: string[]): boolean {
  return item?.type === 'ident' && (names.length === 0 || names.includes(item.name));
}

/** The parts of a text between commas outside parentheses and brackets. */
export function splitList(text: string): string[] {
  const parts = [''];
  let depth = 0;
  for (const c of text) {
    if (c === '(' || c === '[') depth++;
    if (c === ')' || c === ']') depth--;
    if (c === ',' && depth <= 0) parts.push('');
    else parts[parts.length - 1] += c;
  }
  return parts;
}
