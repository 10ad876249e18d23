import type { ChildNode, Root } from 'postcss';
import { tokenize, TokenType } from '@csstools/css-tokenizer';

/** The text with the `<!--` and `-->` between its rules blanked: old pages hide their sheets in them. @spec css-syntax-3 §5.4.1 */
export function withoutHtmlComments(text: string): string {
  if (!/<!--|-->/.test(text)) return text;
  let depth = 0;
  let out = '';
  for (const [type, written] of tokenize({ css: text })) {
    if (type === TokenType.OpenCurly) depth++;
    if (type === TokenType.CloseCurly) depth = Math.max(0, depth - 1);
    const blank = depth === 0 && (type === TokenType.CDO || type === TokenType.CDC);
    out += blank ? ' '.repeat(written.length) : written;
  }
  return out;
}

/**
 * The rules of a sheet, each with what stands stray before it, such as a brace too many or a semicolon after a block:
 * to browsers that is part of the rule that follows, which is then malformed.
 * @spec css-syntax-3 §5.4.1, §5.4.3
 */
export function* topLevel(
  { nodes }: Root,
  text: string,
): Generator<{ readonly node: ChildNode; readonly stray: string }> {
  let end = 0;
  let stray = '';
  for (const node of nodes) {
    const { start, end: stops } = node.source ?? {};
    if (start) {
      stray += text.slice(end, start.offset);
      end = stops?.offset ?? text.length;
    }
    if (node.type === 'comment') continue;
    const block = node.type === 'rule' || (node.type === 'atrule' && node.nodes !== undefined);
    if (node.type === 'decl' || (!block && stray.trim() !== '')) {
      stray += node.toString();
      continue;
    }
    yield { node, stray: stray.trim() };
    stray = block && /\}\s*;\s*$/.test(text.slice(start?.offset ?? 0, end)) ? ';' : '';
  }
}
