import { findNodeAtLocation, parseTree, printParseErrorCode, type Node, type ParseError } from 'jsonc-parser';
import type { z } from 'zod';
import { ArgumentError, checkFigure, CHECKS, nearest } from '../../core/index.js';
import { UsageError } from '../errors.js';

/** Deeper JSON than this is no configuration. */
const DEEPEST = 60;

/**
 * JSON with comments and trailing commas, held to a form. Throws UsageError that names file, line, path and the
 * nearest right name.
 */
export function parseFile<T extends z.ZodType>(file: string, given: string, form: T): z.infer<T> {
  const text = given.replace(/^\ufeff/, '');
  const errors: ParseError[] = [];
  if (depthOf(text) > DEEPEST) throw new UsageError(`${file} is nested too deeply`, 'See rope-ladder schema.');
  if (text.trim() === '')
    throw new UsageError(`${file}:1 is not JSON: it is empty`, 'rope-ladder init writes a first one.');
  const tree = parseTree(text, errors, { allowTrailingComma: true });
  const [first] = errors;
  if (first || !tree) {
    const reason = (first ? printParseErrorCode(first.error) : 'nothing is in it')
      .replace(/([a-z])([A-Z])/g, '$1 $2')
      .toLowerCase();
    throw new UsageError(
      `${file}:${lineOf(text, first?.offset ?? 0)} is not JSON: ${reason}`,
      'Mend that line; comments and trailing commas are allowed.',
    );
  }
  const result = form.safeParse(plainOf(tree));
  if (result.success) return result.data;
  // A name that is no setting is often why another one is missing.
  const issues = result.error.issues.map(inner);
  throw faultOf(file, text, tree, issues.find(({ code }) => code === 'unrecognized_keys') ?? issues[0]!, form);
}

function depthOf(text: string): number {
  let depth = 0;
  let deepest = 0;
  for (const char of text)
    if (char === '[' || char === '{') deepest = Math.max(deepest, ++depth);
    else if (char === ']' || char === '}') depth--;
  return deepest;
}

/** The value of a node; keys such as `__proto__` are keys like others. */
function plainOf(node: Node): unknown {
  if (node.type === 'array') return (node.children ?? []).map(plainOf);
  if (node.type !== 'object') return node.value;
  const entries = (node.children ?? []).flatMap(({ children }) =>
    children?.[1] ? [[String(children[0]!.value), plainOf(children[1])] as const] : [],
  );
  return Object.fromEntries(entries);
}

const lineOf = (text: string, offset: number): number => text.slice(0, offset).split('\n').length;

/** `checks.small-text` or `accepted[2].until`. */
const printPath = (path: readonly PropertyKey[]): string =>
  path.map((part, i) => (typeof part === 'number' ? `[${part}]` : `${i > 0 ? '.' : ''}${String(part)}`)).join('');

type Issue = z.core.$ZodIssue;

function faultOf(file: string, text: string, tree: Node, issue: Issue, form: z.ZodType): UsageError {
  const path = [...issue.path] as (string | number)[];
  if (issue.code === 'unrecognized_keys') {
    const key = issue.keys[0]!;
    const known = knownKeys(form, path);
    const [near] = nearest(key, known);
    const at = lineOf(text, findNodeAtLocation(tree, [...path, key])?.parent?.offset ?? 0);
    return new UsageError(
      `${file}:${at} has “${printPath([...path, key])}”, which is no setting`,
      near ? `Did you mean “${near}”?` : `Known there: ${known.join(', ')}.`,
    );
  }
  const node = nodeNear(tree, path);
  return new UsageError(
    `${file}:${lineOf(text, node.offset)} cannot be used: ${path.length > 0 ? `“${printPath(path)}” ` : 'it '}${wording(issue)}`,
    'rope-ladder schema prints what is allowed.',
  );
}

/** Of a choice of forms the one that was meant. */
function inner(issue: Issue): Issue {
  if (issue.code !== 'invalid_union') return issue;
  const tried = issue.errors.flat();
  const keys = tried.find((one) => one.code === 'unrecognized_keys');
  return keys ? ({ ...keys, path: [...issue.path, ...keys.path] } as Issue) : issue;
}

/** The node at a path, or the last one on the way that is there. */
function nodeNear(tree: Node, path: readonly (string | number)[]): Node {
  for (let end = path.length; end > 0; end--) {
    const node = findNodeAtLocation(tree, path.slice(0, end));
    if (node) return node;
  }
  return tree;
}

function wording(issue: Issue): string {
  const message = issue.message.replace(/^Invalid input: /, '').replace(/^Invalid option: /, '');
  if (/^(must|needs)/.test(message)) return message;
  return `does not fit: ${message.replace(/\s+/g, ' ')}`;
}

/** Names allowed at a path of a form. */
function knownKeys(form: z.ZodType, path: readonly (string | number)[]): readonly string[] {
  let at: unknown = form;
  for (const part of path) at = step(unwrap(at), part);
  const shape = (unwrap(at) as { shape?: object }).shape;
  return shape ? Object.keys(shape) : [];
}

interface Definition {
  readonly def?: {
    readonly innerType?: unknown;
    readonly element?: unknown;
    readonly valueType?: unknown;
    readonly options?: readonly unknown[];
  };
  readonly shape?: Readonly<Record<string, unknown>>;
}

function unwrap(given: unknown): Definition {
  const form = given as Definition;
  if (form.def?.innerType) return unwrap(form.def.innerType);
  const objects = form.def?.options?.map(unwrap).filter((one) => one.shape);
  return objects?.[0] ?? form;
}

const step = (form: Definition, part: string | number): unknown =>
  typeof part === 'number' ? form.def?.element : (form.shape?.[part] ?? form.def?.valueType);

/** Throws UsageError where a check has no such figure, or it cannot be meant so. */
export function checkFigures(file: string, text: string, id: string, figures: Readonly<Record<string, number>>): void {
  for (const [name, value] of Object.entries(figures))
    try {
      checkFigure(id, name, value);
    } catch (error) {
      if (!(error instanceof ArgumentError)) throw error;
      const at = lineOf(text, Math.max(0, text.indexOf(JSON.stringify(name), text.indexOf(JSON.stringify(id)))));
      throw new UsageError(`${file}:${at} cannot be used: ${error.message}`, error.remedy);
    }
}

/** Throws UsageError where a check is named that there is not. */
export function checkNames(file: string, text: string, ids: readonly string[]): void {
  const known = CHECKS.map(({ meta }) => meta.id);
  const wrong = ids.find((id) => !known.includes(id));
  if (wrong === undefined) return;
  const at = lineOf(text, Math.max(0, text.indexOf(JSON.stringify(wrong))));
  const [near] = nearest(wrong, known);
  throw new UsageError(
    `${file}:${at} names a check “${wrong}” that there is not`,
    near ? `Did you mean ${near}?` : 'rope-ladder checks lists them.',
  );
}
