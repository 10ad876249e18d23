import { expandDeclaration, isElsewhere } from '../properties/index.js';
import { closingBracket, isTooDeep } from '../values/index.js';
import { compileSelectors, SelectorError } from '../selectors/index.js';

/**
 * Whether an `@supports` condition holds for this engine, which claims what current browsers have.
 * Malformed conditions are false.
 * @spec css-conditional-3 §6, css-conditional-4 §2 (selector())
 */
export function supports(condition: string): boolean {
  if (isTooDeep(condition)) return false;
  const reader = { text: condition.replace(/\/\*[^]*?\*\//g, ' '), at: 0 };
  const value = readCondition(reader);
  skipSpace(reader);
  return value === true && reader.at === reader.text.length;
}

/** At-rules current browsers have. @spec css-conditional-5 §3 */
const AT_RULES =
  /^@(charset|container|counter-style|font-face|font-feature-values|font-palette-values|import|keyframes|layer|media|namespace|page|position-try|property|scope|starting-style|supports|view-transition)$/i;

interface Reader {
  readonly text: string;
  at: number;
}

type Outcome = boolean | null;

function skipSpace(reader: Reader): void {
  while (/\s/.test(reader.text[reader.at] ?? '')) reader.at++;
}

function word(reader: Reader, name: string): boolean {
  skipSpace(reader);
  const found = new RegExp(`^${name}(?![\\w-])`, 'i').test(reader.text.slice(reader.at, reader.at + name.length + 1));
  if (found) reader.at += name.length;
  return found;
}

function readCondition(reader: Reader): Outcome {
  if (word(reader, 'not')) {
    const inner = readInParens(reader);
    return inner === null ? null : !inner;
  }
  let value = readInParens(reader);
  let joiner: 'and' | 'or' | null = null;
  while (value !== null) {
    const next = word(reader, 'and') ? 'and' : word(reader, 'or') ? 'or' : null;
    if (next === null) return value;
    if (joiner !== null && joiner !== next) return null;
    joiner = next;
    const right = readInParens(reader);
    if (right === null) return null;
    value = joiner === 'and' ? value && right : value || right;
  }
  return value;
}

function readInParens(reader: Reader): Outcome {
  skipSpace(reader);
  const name = /^[a-z-]*\(/i.exec(reader.text.slice(reader.at));
  if (!name) return null;
  const start = reader.at + name[0].length;
  const end = closingBracket(reader.text, start);
  if (end < 0) return null;
  const inside = reader.text.slice(start, end);
  reader.at = end + 1;
  const call = name[0].slice(0, -1).toLowerCase();
  if (call === 'selector') return supportsSelector(inside);
  if (call === 'font-tech')
    return /^(features-opentype|variations|color-colrv[01]|palettes|color-svg)$/i.test(inside.trim());
  if (call === 'font-format') return /^"?(woff2?|opentype|truetype|collection)"?$/i.test(inside.trim());
  if (call === 'at-rule') return AT_RULES.test(inside.trim());
  if (call !== '') return false;
  if (/^\s*(\(|not\b|(selector|font-tech|font-format|at-rule)\()/i.test(inside)) {
    const inner: Reader = { text: inside, at: 0 };
    const value = readCondition(inner);
    skipSpace(inner);
    return inner.at === inside.length ? value : false;
  }
  return supportsDeclaration(inside);
}

function supportsSelector(text: string): boolean {
  try {
    return compileSelectors(text).length === 1;
  } catch (error) {
    if (error instanceof SelectorError) return false;
    throw error;
  }
}

function supportsDeclaration(text: string): boolean {
  const colon = text.indexOf(':');
  if (colon < 0) return false;
  const name = text.slice(0, colon).trim();
  const value = text
    .slice(colon + 1)
    .replace(/!\s*important\s*$/i, '')
    .trim();
  if (name.startsWith('--')) return true;
  if (value === '') return false;
  if (/\bvar\(|\benv\(/i.test(value)) return true;
  const known = name.toLowerCase();
  return (
    typeof expandDeclaration(known, value) !== 'string' || (isElsewhere(known) && /^[\w\s%.,()/"'#+-]+$/.test(value))
  );
}
