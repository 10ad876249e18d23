import type { AtRule, ChildNode, Container, Declaration as PostDeclaration, Root, Rule } from 'postcss';
import safeParse from 'postcss-safe-parser';
import { LimitLog, type Limit, type SourceText, type Span } from '../base/index.js';
import {
  compileMedia,
  compileSelectors,
  SelectorError,
  supports,
  type MediaCondition,
  type Selector,
} from '../css/index.js';
import { topLevel, withoutHtmlComments } from './top-level.js';
import { fontFaceOf, unquote } from './font-face.js';
import { keyframesOf } from './keyframes.js';
import type { ContainerQuery, Declaration, FontFace, Keyframes, RegisteredProperty, Scope } from './rules.js';

/** A rule of one sheet, its place among layers still relative to that sheet. */
export interface SheetRule {
  readonly selectors: readonly Selector[];
  readonly declarations: readonly Declaration[];
  readonly conditions: readonly MediaCondition[];
  readonly containers: readonly ContainerQuery[];
  /** Names of enclosing layers, outermost first; anonymous layers have unique names beginning with `#`. */
  readonly layers: readonly string[];
  readonly scopes: readonly Scope[];
  readonly span: Span;
}

export interface SheetImport {
  readonly url: string;
  readonly condition: MediaCondition | null;
  readonly layer: string | null;
  readonly supported: boolean;
  readonly span: Span;
}

export interface ConditionPlace {
  readonly condition: MediaCondition;
  readonly span: Span;
}

/** One parsed style sheet: depends on its text alone, so it can be shared between pages. */
export interface ParsedSheet {
  readonly source: SourceText;
  readonly imports: readonly SheetImport[];
  readonly rules: readonly SheetRule[];
  /** Layer names in order of first mention. */
  readonly layerNames: readonly (readonly string[])[];
  readonly conditions: readonly ConditionPlace[];
  readonly fontFaces: readonly FontFace[];
  readonly properties: readonly RegisteredProperty[];
  readonly keyframes: ReadonlyMap<string, Keyframes>;
  readonly limits: readonly Limit[];
}

interface Frame {
  readonly conditions: readonly MediaCondition[];
  readonly containers: readonly ContainerQuery[];
  readonly layers: readonly string[];
  readonly scopes: readonly Scope[];
  /** Selectors of the enclosing style rule. */
  readonly parent: readonly Selector[] | null;
}

type Mutable<T> = {
  -readonly [K in keyof T]: T[K] extends readonly (infer U)[]
    ? U[]
    : T[K] extends ReadonlyMap<infer A, infer B>
      ? Map<A, B>
      : T[K];
};

interface Work {
  readonly out: Mutable<ParsedSheet>;
  readonly limits: LimitLog;
  anonymous: number;
  importsOpen: boolean;
}

const NESTING_CAP = 200;

/**
 * Parses a style sheet into flat rules. Total: what is malformed is dropped as the standard says.
 * @spec css-syntax-3 §9, css-nesting-1, css-cascade-5 §2, §6.4
 */
export function parseSheet(source: SourceText): ParsedSheet {
  const limits = new LimitLog();
  const out: Mutable<ParsedSheet> = {
    source,
    limits: [],
    imports: [],
    rules: [],
    layerNames: [],
    conditions: [],
    fontFaces: [],
    properties: [],
    keyframes: new Map(),
  };
  let root: Root;
  let text: string;
  try {
    text = withoutHtmlComments(source.text);
    root = safeParse(text) as Root;
  } catch (error) {
    limits.add('repaired', `sheet ${source.name}`, `could not be read and was left out: ${(error as Error).message}`);
    return { ...out, limits: limits.list() };
  }
  const work: Work = { out, limits, anonymous: 0, importsOpen: true };
  const frame: Frame = { conditions: [], containers: [], layers: [], scopes: [], parent: null };
  for (const { node, stray } of topLevel(root, text))
    if (stray === '') ruleOf(node, frame, work, 0);
    else noteStray(stray, node, work);
  return { ...out, limits: limits.list() };
}

/** Declarations of a `style=""` attribute. @spec css-style-attr-1 */
export function parseStyleAttribute(source: SourceText): readonly Declaration[] {
  const root = safeParse(source.text) as Root;
  return root.nodes
    .filter((node): node is PostDeclaration => node.type === 'decl')
    .map((node) => declarationOf(node, source))
    .filter((d) => d !== null);
}

function spanOf(node: ChildNode, source: SourceText): Span {
  const start = node.source?.start?.offset ?? 0;
  return { source, start, end: node.source?.end?.offset ?? start };
}

function walk(container: Container, frame: Frame, work: Work, depth: number): void {
  if (depth > NESTING_CAP) {
    work.limits.add(
      'budget',
      `rules nested deeper than ${NESTING_CAP}`,
      'they are left out',
      spanOf(container as ChildNode, work.out.source),
    );
    return;
  }
  let run: Declaration[] = [];
  const flush = (at: ChildNode) => {
    if (run.length > 0 && frame.parent) emit(frame.parent, run, frame, at, work);
    run = [];
  };
  for (const node of container.nodes ?? []) {
    if (node.type === 'decl') {
      const made = declarationOf(node, work.out.source);
      if (made) run.push(made);
      continue;
    }
    if (node.type === 'comment') continue;
    flush(node);
    ruleOf(node, frame, work, depth);
  }
  flush(container as ChildNode);
}

function ruleOf(node: ChildNode, frame: Frame, work: Work, depth: number): void {
  if (node.type === 'rule') styleRule(node, frame, work, depth);
  else if (node.type === 'atrule') atRule(node, frame, work, depth);
}

const noteStray = (stray: string, node: ChildNode, { limits, out }: Work): void =>
  limits.add(
    'repaired',
    `stray ${stray.slice(0, 40)}`,
    'it spoils the rule after it, which is dropped as in browsers',
    spanOf(node, out.source),
  );

function declarationOf(node: PostDeclaration, source: SourceText): Declaration | null {
  // The parser strips the old `*` and `_` hacks from names; to the standard they are malformed.
  if (/[*_$]$/.test(node.raws.before ?? '')) return null;
  const custom = node.prop.startsWith('--');
  const text = (custom ? (node.raws.value?.raw ?? node.value) : node.value).trim();
  if (!custom && text === '') return null;
  return {
    name: custom ? node.prop : node.prop.toLowerCase(),
    text,
    important: node.important === true,
    span: spanOf(node, source),
  };
}

function emit(
  selectors: readonly Selector[],
  declarations: readonly Declaration[],
  frame: Frame,
  node: ChildNode,
  work: Work,
): void {
  const { conditions, containers, layers, scopes } = frame;
  work.out.rules.push({
    selectors,
    declarations,
    conditions,
    containers,
    layers,
    scopes,
    span: spanOf(node, work.out.source),
  });
}

function styleRule(node: Rule, frame: Frame, work: Work, depth: number): void {
  work.importsOpen = false;
  let selectors: readonly Selector[];
  try {
    const text = node.selector.replace(/\/\*[^]*?\*\//g, ' ');
    selectors = compileSelectors(frame.scopes.length > 0 && !frame.parent ? scopedText(text) : text, {
      parent: frame.parent,
    });
  } catch (error) {
    if (!(error instanceof SelectorError)) throw error;
    work.limits.add(
      'repaired',
      `selector ${node.selector.slice(0, 60)}`,
      `the rule is dropped as in browsers (${error.message})`,
      spanOf(node, work.out.source),
    );
    return;
  }
  const inner: Frame = { ...frame, parent: selectors };
  let run: Declaration[] = [];
  const flush = () => {
    if (run.length > 0) emit(selectors, run, inner, node, work);
    run = [];
  };
  for (const child of node.nodes) {
    if (child.type === 'decl') {
      const made = declarationOf(child, work.out.source);
      if (made) run.push(made);
    } else if (child.type !== 'comment') {
      flush();
      if (depth >= NESTING_CAP) walk(node, inner, work, depth + 1);
      else if (child.type === 'rule') styleRule(child, inner, work, depth + 1);
      else atRule(child, inner, work, depth + 1);
    }
  }
  flush();
}

function atRule(node: AtRule, frame: Frame, work: Work, depth: number): void {
  const name = node.name.toLowerCase();
  const params = node.params.replace(/\/\*[^]*?\*\//g, ' ').trim();
  const span = spanOf(node, work.out.source);
  if (name !== 'import' && name !== 'charset' && name !== 'layer') work.importsOpen = false;
  switch (name) {
    case 'media': {
      const condition = compileMedia(params);
      work.out.conditions.push({ condition, span });
      return walk(node, { ...frame, conditions: [...frame.conditions, condition] }, work, depth + 1);
    }
    case 'supports':
      if (supports(params)) walk(node, frame, work, depth + 1);
      return;
    case 'layer':
      return layerRule(node, params, frame, work, depth);
    case 'container':
      return containerRule(node, params, frame, work, depth);
    case 'import':
      return importRule(params, frame, span, work);
    case 'font-face':
      return fontFace(node, span, work);
    case 'keyframes':
    case '-webkit-keyframes':
      work.out.keyframes.set(
        unquote(params),
        keyframesOf(node, span, (item) => declarationOf(item, work.out.source)),
      );
      return;
    case 'property':
      return registered(node, params, work);
    case 'scope':
      return scopeRule(node, params, frame, work, depth);
    default:
      if (!IGNORED.has(name)) work.limits.add('unknown', `@${name}`, 'dropped as in browsers', span);
  }
}

/** Selectors of a scoped rule that begin with a combinator start from the scope's root. */
function scopedText(text: string): string {
  return text
    .split(',')
    .map((part) => (/^\s*[>+~]/.test(part) ? `:scope ${part}` : part.replace(/&/g, ':where(:scope)')))
    .join(',');
}

/** @spec css-cascade-6 §2.5 */
function scopeRule(node: AtRule, params: string, frame: Frame, work: Work, depth: number): void {
  const match = /^(?:\(([^]*?)\))?\s*(?:to\s*\(([^]*)\))?$/i.exec(params);
  if (!match) return;
  try {
    const roots = match[1] ? compileSelectors(match[1], { parent: frame.parent, relative: true }) : null;
    const limits = match[2] ? compileSelectors(match[2].replace(/^\s*([>+~])/, ':scope $1'), { parent: null }) : [];
    walk(node, { ...frame, parent: null, scopes: [...frame.scopes, { roots, limits }] }, work, depth + 1);
  } catch (error) {
    if (!(error instanceof SelectorError)) throw error;
  }
}

/** @spec css-contain-3 §3 */
function containerRule(node: AtRule, params: string, frame: Frame, work: Work, depth: number): void {
  const match = /^(?!not\b|style\(|scroll-state\()([a-z_-][\w-]*)?\s*([^]*)$/i.exec(params);
  const text = (match?.[2] ?? params).trim();
  const span = spanOf(node, work.out.source);
  if (/\b(style\((?!\s*--[-\w]+\s*[:)])|scroll-state\()/i.test(text)) {
    const asked = '@container scroll-state(), and style() of other than custom properties';
    work.limits.add('unsupported', asked, 'such queries are taken as false', span);
  }
  walk(node, { ...frame, containers: [...frame.containers, { name: match?.[1] ?? null, text }] }, work, depth + 1);
}

const IGNORED = new Set([
  'charset',
  'namespace',
  'page',
  'counter-style',
  'starting-style',
  'view-transition',
  'font-feature-values',
  'font-palette-values',
  'position-try',
]);

function layerRule(node: AtRule, params: string, frame: Frame, work: Work, depth: number): void {
  const names = params === '' ? [] : params.split(',').map((part) => part.trim().split('.'));
  if (!node.nodes) {
    for (const path of names) work.out.layerNames.push([...frame.layers, ...path]);
    return;
  }
  work.importsOpen = false;
  const path = names[0] ?? [`#${++work.anonymous}`];
  const layers = [...frame.layers, ...path];
  work.out.layerNames.push(layers);
  walk(node, { ...frame, layers }, work, depth + 1);
}

/** @spec css-cascade-5 §2 */
function importRule(params: string, frame: Frame, span: Span, work: Work): void {
  if (!work.importsOpen || frame.parent || frame.conditions.length > 0) return;
  const match = /^(?:url\(\s*(?:"([^"]*)"|'([^']*)'|([^)"'\s]*))\s*\)|"([^"]*)"|'([^']*)')\s*(.*)$/is.exec(params);
  if (!match) return;
  let rest = match[6]!.trim();
  let layer: string | null = null;
  const layered = /^layer(?:\(\s*([^)]*?)\s*\))?(?=\s|$)/i.exec(rest);
  if (layered) {
    layer = layered[1] || `#import${++work.anonymous}`;
    work.out.layerNames.push(layer.split('.'));
    rest = rest.slice(layered[0].length).trim();
  }
  let supported = true;
  if (/^supports\(/i.test(rest)) {
    let depth = 0;
    const end = [...rest].findIndex((c) => (c === '(' ? (depth++, false) : c === ')' ? --depth === 0 : false));
    const inner = rest.slice(9, end);
    supported = supports(`(${inner})`) || supports(inner);
    rest = rest.slice(end + 1).trim();
  }
  const condition = rest === '' ? null : compileMedia(rest);
  if (condition) work.out.conditions.push({ condition, span });
  work.out.imports.push({ url: match.slice(1, 6).find((x) => x !== undefined)!, condition, layer, supported, span });
}

function descriptors(node: AtRule, source: SourceText): Map<string, string> {
  const out = new Map<string, string>();
  for (const child of node.nodes ?? []) {
    const made = child.type === 'decl' ? declarationOf(child, source) : null;
    if (made) out.set(made.name, made.text);
  }
  return out;
}

function fontFace(node: AtRule, span: Span, { out }: Work): void {
  const face = fontFaceOf(descriptors(node, out.source), span);
  if (face) out.fontFaces.push(face);
}

function registered(node: AtRule, params: string, work: Work): void {
  const given = descriptors(node, work.out.source);
  const syntax = unquote(given.get('syntax') ?? '');
  const inherits = given.get('inherits');
  if (!params.startsWith('--') || syntax === '' || (inherits !== 'true' && inherits !== 'false')) return;
  const initial = given.get('initial-value') ?? null;
  if (initial === null && syntax !== '*') return;
  work.out.properties.push({ name: params, syntax, inherits: inherits === 'true', initial });
}
