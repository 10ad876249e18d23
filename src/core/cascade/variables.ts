import { parseComponents, readAngle, readColour, readLength, readNumber } from '../css/index.js';

/** Longest text a var() chain may grow to before it is given up as invalid. */
const LENGTH_CAP = 65_536;

export type CustomProperties = ReadonlyMap<string, string>;

export const usesVariables = (text: string): boolean => /\b(var|env)\(/i.test(text);

/**
 * Replaces var() and env(); null where that makes the declaration invalid at computed-value time.
 * @param lookup the computed value of a custom property, or null
 * @spec css-variables-1 §3, css-env-1 §3
 */
export function substitute(text: string, lookup: (name: string) => string | null): string | null {
  let out = '';
  let at = 0;
  for (;;) {
    const call = findCall(text, at);
    if (!call) return limit(out + text.slice(at));
    out += text.slice(at, call.start);
    const value = call.name === 'var' ? variable(call.inside, lookup) : environment(call.inside, lookup);
    if (value === null || out.length + value.length > LENGTH_CAP) return null;
    // Comments keep tokens apart where pasting would join them.
    out += value === '' ? '' : glue(out, value);
    at = call.end;
    if (/^[\w%-]/.test(text.slice(at, at + 1)) && /[\w-]$/.test(out)) out += '/**/';
  }
}

const limit = (text: string): string | null => (text.length > LENGTH_CAP ? null : text);
const glue = (before: string, value: string): string =>
  /[\w-]$/.test(before) && /^[\w-]/.test(value) ? `/**/${value}` : value;

interface Call {
  readonly name: 'var' | 'env';
  readonly start: number;
  readonly inside: string;
  readonly end: number;
}

function findCall(text: string, from: number): Call | null {
  for (let i = from; i < text.length; i++) {
    const c = text[i]!;
    if (c === '"' || c === "'") i = skipString(text, i);
    else if (c === '/' && text[i + 1] === '*') i = Math.max(i, text.indexOf('*/', i + 2) + 1);
    else if (c === '(') {
      const name = /(?:^|[^\w-])(var|env)$/i.exec(text.slice(Math.max(0, i - 5), i))?.[1];
      if (!name) continue;
      const end = closing(text, i + 1);
      return {
        name: name.toLowerCase() as Call['name'],
        start: i - 3,
        inside: text.slice(i + 1, end),
        end: Math.min(text.length, end + 1),
      };
    }
  }
  return null;
}

function skipString(text: string, start: number): number {
  const quote = text[start]!;
  for (let i = start + 1; i < text.length; i++) {
    if (text[i] === '\\') i++;
    else if (text[i] === quote) return i;
  }
  return text.length;
}

function closing(text: string, from: number): number {
  let depth = 1;
  for (let i = from; i < text.length; i++) {
    const c = text[i]!;
    if (c === '"' || c === "'") i = skipString(text, i);
    else if (c === '(') depth++;
    else if (c === ')' && --depth === 0) return i;
  }
  return text.length;
}

function split(inside: string): [name: string, fallback: string | null] {
  const comma = inside.indexOf(',');
  return comma < 0 ? [inside.trim(), null] : [inside.slice(0, comma).trim(), inside.slice(comma + 1).trim()];
}

function variable(inside: string, lookup: (name: string) => string | null): string | null {
  const [name, fallback] = split(inside.replace(/^\s*\/\*[^]*?\*\//, ''));
  if (!name.startsWith('--')) return null;
  return lookup(name) ?? (fallback === null ? null : substitute(fallback, lookup));
}

function environment(inside: string, lookup: (name: string) => string | null): string | null {
  const [name, fallback] = split(inside);
  if (/^safe-area-(inset|max-inset)-(top|right|bottom|left)$/i.test(name)) return '0px';
  return fallback === null ? null : substitute(fallback, lookup);
}

/** Registered custom properties by name. @spec css-properties-values-api-1 §2 */
export type Registry = ReadonlyMap<
  string,
  { readonly syntax: string; readonly inherits: boolean; readonly initial: string | null }
>;
const NOT_REGISTERED: Registry = new Map();

/** Whether a value may be held by a registered property, for the syntaxes that are one plain type. */
function fitsSyntax(value: string, syntax: string | undefined): boolean {
  if (syntax === undefined) return true;
  const items = parseComponents(value.trim());
  const [item] = items;
  const one = items.length === 1;
  switch (syntax) {
    case '<length>':
      return one && readLength(item, { percent: false }) !== null;
    case '<percentage>':
      return one && item!.type === 'percentage';
    case '<length-percentage>':
      return one && readLength(item) !== null;
    case '<number>':
      return one && readNumber(item) !== null;
    case '<integer>':
      return one && readNumber(item, { integer: true }) !== null;
    case '<color>':
      return one && readColour(item) !== null;
    case '<angle>':
      return one && readAngle(item) !== null;
    default:
      return true;
  }
}

/**
 * Computed custom properties of an element: its own declarations resolved against each other and the parent's.
 * Members of a cycle compute to nothing.
 * @spec css-variables-1 §2.3
 */
export function resolveCustom(
  declared: ReadonlyMap<string, string>,
  inherited: CustomProperties,
  registry: Registry = NOT_REGISTERED,
): CustomProperties {
  const initial = (name: string) => registry.get(name)?.initial ?? null;
  const passedOn = (name: string) =>
    registry.get(name)?.inherits === false ? initial(name) : (inherited.get(name) ?? initial(name));
  const done = new Map<string, string | null>();
  const open = new Set<string>();
  const cyclic = new Set<string>();
  const lookup = (name: string): string | null => {
    const text = declared.get(name);
    if (text === undefined) return passedOn(name);
    if (done.has(name)) return done.get(name)!;
    if (open.has(name)) {
      for (const member of [...open].slice([...open].indexOf(name))) cyclic.add(member);
      return null;
    }
    open.add(name);
    const wide = text.trim().toLowerCase();
    let value: string | null;
    if (wide === 'initial') value = initial(name);
    else if (wide === 'inherit') value = inherited.get(name) ?? initial(name);
    else if (['unset', 'revert', 'revert-layer'].includes(wide)) value = passedOn(name);
    else value = usesVariables(text) ? substitute(text, lookup) : text;
    open.delete(name);
    if (cyclic.has(name)) value = null;
    if (value !== null && !fitsSyntax(value, registry.get(name)?.syntax)) value = passedOn(name);
    value ??= cyclic.has(name) ? initial(name) : value;
    done.set(name, value);
    return value;
  };
  const out = new Map(inherited);
  for (const name of [...declared.keys(), ...registry.keys()]) {
    const value = lookup(name);
    if (value === null) out.delete(name);
    else out.set(name, value);
  }
  return out;
}
