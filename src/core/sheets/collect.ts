import { SourceText, type LimitLog, type Span } from '../base/index.js';
import { compileMedia, QUIRKS_SHEET, SVG_SHEET, USER_AGENT_SHEET, type MediaCondition } from '../css/index.js';
import { splitTokens, type ElementNode, type HtmlDocument } from '../html/index.js';
import { absence } from './absence.js';
import { parseSheet, type ParsedSheet } from './parse.js';
import type { FontFace, Keyframes, Layer, RegisteredProperty, RuleSet, SheetThreshold, StyleRule } from './rules.js';

/** A text the page refers to, already read; `name` is how reports call it. */
export interface Resource {
  readonly name: string;
  readonly text: string;
}

/** Absolute URL → what was found there, or null where nothing was. */
export type Resources = ReadonlyMap<string, Resource | null>;

/** Sheets parsed before, by URL and text; may be shared between pages. */
export type SheetCache = Map<string, ParsedSheet>;

export interface Collected {
  readonly ruleSet: RuleSet;
  /** URLs of sheets that are not among the resources yet. */
  readonly wanted: readonly string[];
}

const IMPORT_DEPTH = 20;

interface Gathering {
  readonly resources: Resources;
  readonly cache: SheetCache;
  readonly limits: LimitLog;
  /** Folder of the site, as a URL. */
  readonly root: string | null;
  readonly wanted: Set<string>;
  readonly rules: StyleRule[];
  readonly thresholds: Map<string, { px: number; side: 'from' | 'above'; places: { text: string; span: Span }[] }>;
  readonly fontFaces: FontFace[];
  readonly properties: Map<string, RegisteredProperty>;
  readonly keyframes: Map<string, Keyframes>;
  readonly addresses: Map<SourceText, string>;
  readonly layers: Layer;
  bytes: number;
  anonymous: number;
}

let userAgent: ParsedSheet | null = null;
let vectors: ParsedSheet | null = null;
let quirks: ParsedSheet | null = null;

/**
 * Gathers the rules of all sheets that apply to a document, in cascade order.
 * Call again with more resources until `wanted` is empty.
 * @param options.patches sheets that stand after all those of the page
 * @param options.root folder of the site, as a URL
 * @spec html §4.2.4 (link), §4.2.6 (style), css-cascade-5 §2
 */
export function collectSheets(
  document: HtmlDocument,
  url: string,
  resources: Resources,
  cache: SheetCache,
  limits: LimitLog,
  { patches = [], root = null }: { readonly patches?: readonly Resource[]; readonly root?: string | null } = {},
): Collected {
  const g: Gathering = {
    resources,
    cache,
    limits,
    root,
    wanted: new Set(),
    rules: [],
    thresholds: new Map(),
    fontFaces: [],
    properties: new Map(),
    keyframes: new Map(),
    addresses: new Map(),
    layers: { name: '', parent: null, children: [], order: 0 },
    bytes: 0,
    anonymous: 0,
  };
  userAgent ??= parseSheet(new SourceText('user-agent.css', USER_AGENT_SHEET));
  add(userAgent, 'user-agent', [], null, g);
  vectors ??= parseSheet(new SourceText('user-agent-svg.css', SVG_SHEET));
  add(vectors, 'user-agent', [], null, g, 'svg');
  if (document.quirks) {
    quirks ??= parseSheet(new SourceText('user-agent-quirks.css', QUIRKS_SHEET));
    add(quirks, 'user-agent', [], null, g);
  }
  const base = baseUrl(document, url);
  for (const element of document.elements) fromElement(element, document, base, g);
  for (const { name, text } of patches)
    add(parsedOnce(`patch:${name}\0${text}`, name, text, g), 'author', [], { url: base, depth: 0, layers: [] }, g);
  number(g.layers, { next: 0 });
  const thresholds: SheetThreshold[] = [...g.thresholds.values()].sort(
    (a, b) => a.px - b.px || (a.side === 'from' ? -1 : 1),
  );
  return {
    ruleSet: {
      rules: g.rules,
      thresholds,
      fontFaces: g.fontFaces,
      properties: g.properties,
      keyframes: g.keyframes,
      addresses: g.addresses,
      bytes: g.bytes,
    },
    wanted: [...g.wanted],
  };
}

/** One page asks for each address in it. */
const bases = new WeakMap<HtmlDocument, { readonly url: string; readonly base: string }>();

/** The URL relative references start from. @spec html §4.2.3 */
export function baseUrl(document: HtmlDocument, url: string): string {
  const known = bases.get(document);
  if (known?.url === url) return known.base;
  const element = document.elements.find((e) => e.tag === 'base' && e.attributes.has('href'));
  const base = resolveUrl(element?.attributes.get('href') ?? '', url) ?? url;
  bases.set(document, { url, base });
  return base;
}

export function resolveUrl(reference: string, base: string): string | null {
  return URL.canParse(reference, base) ? new URL(reference, base).href : null;
}

function fromElement(element: ElementNode, document: HtmlDocument, base: string, g: Gathering): void {
  if (element.namespace === 'html' && element.tag === 'link') linked(element, base, g);
  else if (element.tag === 'style' && !inTemplate(element)) embedded(element, document, base, g);
  else if (element.tag === 'source' && element.parent?.tag === 'picture') choosing(element, g);
}

/** Where another picture is shown. */
function choosing(source: ElementNode, g: Gathering): void {
  const media = source.attributes.get('media');
  const span = source.attributeSpan('media') ?? source.startTag;
  if (media && span) note(compileMedia(media), span, g);
}

const inTemplate = (element: ElementNode): boolean => element.parent?.tag === 'template';
const isCss = (type: string | undefined): boolean =>
  type === undefined || type.trim() === '' || /^text\/css\b/i.test(type.trim());

function linked(element: ElementNode, base: string, g: Gathering): void {
  const rel = splitTokens((element.attributes.get('rel') ?? '').toLowerCase());
  const href = element.attributes.get('href');
  if (
    !rel.includes('stylesheet') ||
    rel.includes('alternate') ||
    !href?.trim() ||
    element.attributes.has('disabled') ||
    !isCss(element.attributes.get('type'))
  )
    return;
  const media = element.attributes.get('media');
  const url = resolveUrl(href.trim(), base);
  const span = element.attributeSpan('href') ?? element.startTag;
  if (!url)
    return g.limits.add('missing', `sheet ${href}`, 'its address is malformed; the page is looked at without it', span);
  const condition = media ? compileMedia(media) : null;
  if (condition && span) note(condition, element.attributeSpan('media') ?? span, g);
  load(url, href, condition ? [condition] : [], [], span, 0, g);
}

function embedded(element: ElementNode, document: HtmlDocument, base: string, g: Gathering): void {
  if (!isCss(element.attributes.get('type'))) return;
  const text = element.children.map((child) => (child.kind === 'text' ? child.data : '')).join('');
  const start = element.startTag?.end ?? 0;
  const exact = document.source.text.startsWith(text.slice(0, 200), start);
  const key = `${document.source.name}#${element.index}\0${text}`;
  let parsed = g.cache.get(key);
  if (!parsed) {
    parsed = parseSheet(
      new SourceText(document.source.name, text, exact ? start : (element.startTag?.start ?? 0), document.source),
    );
    g.cache.set(key, parsed);
  }
  g.bytes += text.length;
  const media = element.attributes.get('media');
  const condition = media ? compileMedia(media) : null;
  if (condition && element.startTag) note(condition, element.startTag, g);
  add(parsed, 'author', condition ? [condition] : [], { url: base, depth: 0, layers: [] }, g);
}

function load(
  url: string,
  reference: string,
  conditions: readonly MediaCondition[],
  layers: readonly string[],
  span: Span | null,
  depth: number,
  g: Gathering,
): void {
  if (depth > IMPORT_DEPTH)
    return g.limits.add('budget', `imports deeper than ${IMPORT_DEPTH}`, 'deeper sheets are left out', span);
  const resource = g.resources.get(url);
  if (resource === undefined) {
    g.wanted.add(url);
    return;
  }
  if (resource === null)
    return g.limits.add(
      'missing',
      `sheet ${reference}`,
      `${absence(url, g.root)}; the page is looked at without it`,
      span,
    );
  g.bytes += resource.text.length;
  const parsed = parsedOnce(`${url}\0${resource.text}`, resource.name, resource.text, g);
  add(parsed, 'author', conditions, { url, depth, layers }, g);
}

function parsedOnce(key: string, name: string, text: string, { cache }: Gathering): ParsedSheet {
  let parsed = cache.get(key);
  if (!parsed) cache.set(key, (parsed = parseSheet(new SourceText(name, text))));
  return parsed;
}

interface Place {
  readonly url: string;
  readonly depth: number;
  readonly layers: readonly string[];
}

function add(
  sheet: ParsedSheet,
  origin: StyleRule['origin'],
  conditions: readonly MediaCondition[],
  place: Place | null,
  g: Gathering,
  namespace: StyleRule['namespace'] = origin === 'author' ? null : 'html',
): void {
  const prefix = place?.layers ?? [];
  const unique = g.anonymous++;
  if (origin === 'author') g.limits.merge(sheet.limits);
  const located = (names: readonly string[]) => [
    ...prefix,
    ...names.map((name) => (name.startsWith('#') ? `${name}@${unique}` : name)),
  ];
  for (const names of sheet.layerNames) layerAt(located(names), g.layers);
  for (const item of sheet.imports) {
    const url = place && resolveUrl(item.url, place.url);
    if (!place || !url || !item.supported) continue;
    const layers = item.layer === null ? prefix : located(item.layer.split('.'));
    load(
      url,
      item.url,
      item.condition ? [...conditions, item.condition] : conditions,
      layers,
      item.span,
      place.depth + 1,
      g,
    );
  }
  for (const rule of sheet.rules) {
    const path = located(rule.layers);
    if (place) g.addresses.set(rule.span.source, place.url);
    g.rules.push({
      origin,
      namespace,
      selectors: rule.selectors,
      declarations: rule.declarations,
      conditions: conditions.length > 0 ? [...conditions, ...rule.conditions] : rule.conditions,
      containers: rule.containers,
      scopes: rule.scopes,
      layer: path.length > 0 ? layerAt(path, g.layers) : null,
      order: g.rules.length,
      span: rule.span,
    });
  }
  for (const { condition, span } of sheet.conditions) note(condition, span, g);
  if (place)
    for (const face of sheet.fontFaces)
      g.fontFaces.push({ ...face, sources: face.sources.flatMap((s) => resolveUrl(s, place.url) ?? []) });
  for (const property of sheet.properties) g.properties.set(property.name, property);
  for (const [name, frames] of sheet.keyframes) g.keyframes.set(name, frames);
}

function note(condition: MediaCondition, span: Span, g: Gathering): void {
  for (const { px, side } of condition.thresholds) {
    const key = `${px}${side}`;
    const known = g.thresholds.get(key) ?? { px, side, places: [] };
    known.places.push({ text: condition.text, span });
    g.thresholds.set(key, known);
  }
}

function layerAt(path: readonly string[], root: Layer): Layer {
  let layer = root;
  for (const name of path) {
    let child = layer.children.find((c) => c.name === name);
    if (!child) {
      child = { name, parent: layer, children: [], order: 0 };
      layer.children.push(child);
    }
    layer = child;
  }
  return layer;
}

/** A layer's own rules are stronger than those of the layers inside it. @spec css-cascade-5 §6.4.1 */
function number(layer: Layer, counter: { next: number }): void {
  for (const child of layer.children) number(child, counter);
  layer.order = counter.next++;
}
