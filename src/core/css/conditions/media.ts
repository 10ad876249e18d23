import {
  isGeneralEnclosed,
  isMediaCondition,
  isMediaConditionListWithAnd,
  isMediaConditionListWithOr,
  isMediaFeature,
  isMediaFeatureBoolean,
  isMediaFeaturePlain,
  isMediaFeatureRangeNameValue,
  isMediaFeatureRangeValueName,
  isMediaInParens,
  isMediaNot,
  isMediaQueryInvalid,
  isMediaQueryWithType,
  parse,
  type MediaCondition as ConditionNode,
  type MediaFeature,
  type MediaFeatureValue,
  type MediaInParens,
  type MediaNot,
  type MediaQuery,
} from '@csstools/media-query-list-parser';
import type { FunctionNode } from '@csstools/css-parser-algorithms';
import {
  BLACK,
  isMath,
  parseComponents,
  readLength,
  readNumber,
  splitList,
  type Component,
  type ComputeContext,
  isTooDeep,
} from '../values/index.js';

/** What media queries may ask of the visitor's device and wishes. Lengths in CSS px. */
export interface Medium {
  readonly width: number;
  readonly height: number;
  readonly hover: boolean;
  readonly pointer: 'fine' | 'coarse' | 'none';
  readonly scripting: boolean;
  readonly dark: boolean;
  readonly reducedMotion: boolean;
  readonly print: boolean;
}

/**
 * A px value at which a width condition may change its truth.
 * `from`: changes between just under the value and the value; `above`: between the value and just over it.
 */
export interface WidthThreshold {
  readonly px: number;
  readonly side: 'from' | 'above';
}

/** A compiled media query list. */
export interface MediaCondition {
  readonly text: string;
  readonly thresholds: readonly WidthThreshold[];
  /** Names of the features asked, in lower case without min- and max-. */
  readonly features: ReadonlySet<string>;
  evaluate(medium: Medium): boolean;
}

/** Three-valued truth: null is the standard's "unknown". */
type Truth = (medium: Medium) => boolean | null;

const cache = new Map<string, MediaCondition>();

/**
 * Compiles a media query list; malformed queries become `not all`.
 * @spec mediaqueries-5 §2, §3
 */
export function compileMedia(text: string): MediaCondition {
  let known = cache.get(text);
  if (!known) {
    const found: Found = { thresholds: [], features: new Set() };
    const queries = text.trim() === '' ? [] : splitList(text).map((part) => compileText(part, found));
    known = Object.freeze({
      text: text.trim(),
      thresholds: found.thresholds,
      features: found.features,
      evaluate: (medium: Medium) => queries.length === 0 || queries.some((query) => query(medium) === true),
    });
    cache.set(text, known);
  }
  return known;
}

function compileText(text: string, found: Found): Truth {
  if (isTooDeep(text) || !isWellFormed(text)) return () => false;
  const [query, ...more] = parse(text);
  return query && more.length === 0 ? compileQuery(query, found) : () => false;
}

interface Found {
  thresholds: WidthThreshold[];
  features: Set<string>;
}

function compileQuery(query: MediaQuery, found: Found): Truth {
  if (isMediaQueryInvalid(query)) return () => false;
  if (!isMediaQueryWithType(query)) return compileCondition(query.media, found);
  const type = query.getMediaType().toLowerCase();
  const negated = query.getModifier().toLowerCase() === 'not';
  const rest: Truth = query.media ? compileCondition(query.media, found) : () => true;
  return (medium) => {
    const typed = type === 'all' || type === (medium.print ? 'print' : 'screen');
    const truth = typed ? rest(medium) : false;
    return negated ? negate(truth) : truth;
  };
}

/** Mixed `and` and `or` on one level, or a joiner without a right side, make a query `not all`. @spec mediaqueries-5 §3 */
function isWellFormed(text: string): boolean {
  if (/\b(and|or|not)\s*$/i.test(text)) return false;
  const joiners: Set<string>[] = [new Set()];
  for (const [token] of text.toLowerCase().matchAll(/\(|\)|\b(?:and|or)\b(?!\s*:)/g)) {
    const level = joiners[joiners.length - 1];
    if (token === '(') joiners.push(new Set());
    else if (token === ')') joiners.pop();
    else level?.add(token);
    if ((level?.size ?? 0) > 1) return false;
  }
  return joiners.length === 1;
}

const negate = (truth: boolean | null): boolean | null => (truth === null ? null : !truth);

function compileCondition(node: ConditionNode | MediaNot | MediaInParens, found: Found): Truth {
  if (isMediaNot(node)) {
    const inner = compileCondition(node.media, found);
    return (m) => negate(inner(m));
  }
  if (isMediaInParens(node)) {
    const { media } = node;
    if (isGeneralEnclosed(media)) return () => null;
    return isMediaFeature(media) ? compileFeature(media, found) : compileCondition(media, found);
  }
  if (!isMediaCondition(node)) return () => null;
  const { media } = node;
  if (isMediaConditionListWithAnd(media)) {
    const parts = [media.leading, ...media.list.map((x) => x.media)].map((x) => compileCondition(x, found));
    return (m) => parts.reduce<boolean | null>((all, part) => (all === false ? false : both(all, part(m))), true);
  }
  if (isMediaConditionListWithOr(media)) {
    const parts = [media.leading, ...media.list.map((x) => x.media)].map((x) => compileCondition(x, found));
    return (m) =>
      negate(
        parts.reduce<boolean | null>((none, part) => (none === false ? false : both(none, negate(part(m)))), true),
      );
  }
  return compileCondition(media, found);
}

const both = (a: boolean | null, b: boolean | null): boolean | null =>
  a === false || b === false ? false : a === null || b === null ? null : true;

/** Media queries resolve font units against the initial font size. @spec mediaqueries-5 §1.3 */
const INITIAL: ComputeContext = {
  fontSize: 16,
  rootFontSize: 16,
  lineHeight: 18,
  rootLineHeight: 18,
  xHeight: 7.34,
  capHeight: 10.6,
  zeroAdvance: 8,
  viewportWidth: 0,
  viewportHeight: 0,
  containerWidth: 0,
  containerHeight: 0,
  currentColor: BLACK,
  linkColor: null,
  bodyColor: BLACK,
  dark: false,
  parentFontWeight: 400,
};

type Numeric = (m: Medium) => number;
const LENGTHS: Readonly<Record<string, Numeric>> = {
  width: (m) => m.width,
  height: (m) => m.height,
  'device-width': (m) => m.width,
  'device-height': (m) => m.height,
};
const RATIOS: Readonly<Record<string, Numeric>> = {
  'aspect-ratio': (m) => m.width / m.height,
  'device-aspect-ratio': (m) => m.width / m.height,
};
const NUMBERS: Readonly<Record<string, number>> = {
  color: 8,
  'color-index': 0,
  monochrome: 0,
  grid: 0,
  resolution: 1,
  '-webkit-device-pixel-ratio': 1,
  'horizontal-viewport-segments': 1,
  'vertical-viewport-segments': 1,
  '-webkit-transform-3d': 1,
};
const KEYWORDS: Readonly<Record<string, { values: readonly string[]; is: (m: Medium) => string | readonly string[] }>> =
  {
    orientation: { values: ['portrait', 'landscape'], is: (m) => (m.height >= m.width ? 'portrait' : 'landscape') },
    hover: { values: ['none', 'hover'], is: (m) => (m.hover ? 'hover' : 'none') },
    'any-hover': { values: ['none', 'hover'], is: (m) => (m.hover ? 'hover' : 'none') },
    pointer: { values: ['none', 'coarse', 'fine'], is: (m) => m.pointer },
    'any-pointer': { values: ['none', 'coarse', 'fine'], is: (m) => m.pointer },
    scripting: { values: ['none', 'initial-only', 'enabled'], is: (m) => (m.scripting ? 'enabled' : 'none') },
    'prefers-color-scheme': { values: ['light', 'dark'], is: (m) => (m.dark ? 'dark' : 'light') },
    'prefers-reduced-motion': {
      values: ['no-preference', 'reduce'],
      is: (m) => (m.reducedMotion ? 'reduce' : 'no-preference'),
    },
    'prefers-reduced-transparency': { values: ['no-preference', 'reduce'], is: () => 'no-preference' },
    'prefers-reduced-data': { values: ['no-preference', 'reduce'], is: () => 'no-preference' },
    'prefers-contrast': { values: ['no-preference', 'more', 'less', 'custom'], is: () => 'no-preference' },
    'forced-colors': { values: ['none', 'active'], is: () => 'none' },
    'inverted-colors': { values: ['none', 'inverted'], is: () => 'none' },
    'color-gamut': { values: ['srgb', 'p3', 'rec2020'], is: () => ['srgb'] },
    'dynamic-range': { values: ['standard', 'high'], is: () => 'standard' },
    'video-dynamic-range': { values: ['standard', 'high'], is: () => 'standard' },
    'display-mode': {
      values: ['browser', 'standalone', 'minimal-ui', 'fullscreen', 'picture-in-picture', 'window-controls-overlay'],
      is: () => 'browser',
    },
    update: { values: ['none', 'slow', 'fast'], is: (m) => (m.print ? 'none' : 'fast') },
    'overflow-block': { values: ['none', 'scroll', 'paged'], is: (m) => (m.print ? 'paged' : 'scroll') },
    'overflow-inline': { values: ['none', 'scroll'], is: () => 'scroll' },
    scan: { values: ['interlace', 'progressive'], is: () => 'progressive' },
  };

const none = new Set(['none', 'no-preference']);

function compileFeature(node: MediaFeature, found: Found): Truth {
  const { feature } = node;
  const name = feature.getName().toLowerCase();
  if (isMediaFeatureBoolean(feature)) return booleanFeature(name, found);
  if (isMediaFeaturePlain(feature)) return plainFeature(name, componentsOf(feature.value), found);
  if (isMediaFeatureRangeNameValue(feature))
    return compareFeature(name, textOf(feature.operator), componentsOf(feature.value), found);
  if (isMediaFeatureRangeValueName(feature))
    return compareFeature(name, mirror(textOf(feature.operator)), componentsOf(feature.value), found);
  const low = compareFeature(name, mirror(textOf(feature.valueOneOperator)), componentsOf(feature.valueOne), found);
  const high = compareFeature(name, textOf(feature.valueTwoOperator), componentsOf(feature.valueTwo), found);
  return (m) => both(low(m), high(m));
}

const textOf = (tokens: readonly (readonly unknown[])[]): string => tokens.map((t) => t[1] as string).join('');
const mirror = (operator: string): string => operator.replace(/[<>]/, (c) => (c === '<' ? '>' : '<'));

function componentsOf(value: MediaFeatureValue): readonly Component[] {
  return parseComponents(value.toString().trim());
}

function booleanFeature(name: string, found: Found): Truth {
  found.features.add(name);
  const numeric = LENGTHS[name] ?? RATIOS[name];
  if (numeric) return (m) => numeric(m) > 0;
  if (name in NUMBERS) return () => NUMBERS[name] !== 0;
  const keyword = KEYWORDS[name];
  if (!keyword) return () => null;
  return (m) => [keyword.is(m)].flat().some((value) => !none.has(value));
}

function plainFeature(name: string, value: readonly Component[], found: Found): Truth {
  const prefixed = /^(-webkit-)?(min|max)-(.+)$/.exec(name);
  if (prefixed)
    return compareFeature(`${prefixed[1] ?? ''}${prefixed[3]}`, prefixed[2] === 'min' ? '>=' : '<=', value, found);
  const keyword = KEYWORDS[name];
  if (!keyword) return compareFeature(name, '=', value, found);
  found.features.add(name);
  const wanted = value.length === 1 && value[0]!.type === 'ident' ? value[0]!.name : '';
  if (!keyword.values.includes(wanted)) return () => null;
  return (m) => [keyword.is(m)].flat().includes(wanted);
}

function compareFeature(name: string, operator: string, value: readonly Component[], found: Found): Truth {
  found.features.add(name);
  const wanted = readFeatureValue(name, value);
  if (wanted === null) return () => null;
  const given = LENGTHS[name] ?? RATIOS[name] ?? (() => NUMBERS[name]!);
  if (name === 'width' || name === 'device-width') found.thresholds.push(...thresholdsOf(operator, wanted));
  switch (operator) {
    case '>=':
      return (m) => given(m) >= wanted;
    case '<=':
      return (m) => given(m) <= wanted;
    case '>':
      return (m) => given(m) > wanted;
    case '<':
      return (m) => given(m) < wanted;
    case '=':
      return (m) => Math.abs(given(m) - wanted) < 1e-9;
    default:
      return () => null;
  }
}

function thresholdsOf(operator: string, value: number): WidthThreshold[] {
  if (operator === '>=' || operator === '<') return [{ px: value, side: 'from' }];
  if (operator === '<=' || operator === '>') return [{ px: value, side: 'above' }];
  return [
    { px: value, side: 'from' },
    { px: value, side: 'above' },
  ];
}

const DENSITIES: Readonly<Record<string, number>> = { dppx: 1, x: 1, dpi: 1 / 96, dpcm: 2.54 / 96 };

function readFeatureValue(name: string, value: readonly Component[]): number | null {
  const [first, slash, second] = value;
  if (name in LENGTHS) {
    if (value.length !== 1) return null;
    const length = readLength(first, { percent: false });
    // Screens are compared with the number as written, not with its nearest 32-bit float.
    return length ? Number(length(INITIAL).px.toPrecision(7)) : null;
  }
  if (name in RATIOS) {
    const a = readNumber(first, { min: 0 })?.(INITIAL);
    if (a === undefined) return null;
    if (value.length === 1) return a;
    const b = slash?.type === 'delim' && slash.value === '/' ? readNumber(second, { min: 0 })?.(INITIAL) : undefined;
    return b === undefined || value.length !== 3 ? null : a / b;
  }
  if (name === 'resolution') return value.length === 1 ? readResolution(first!) : null;
  if (name in NUMBERS) return value.length === 1 ? (readNumber(first)?.(INITIAL) ?? null) : null;
  return null;
}

function readResolution(item: Component): number | null {
  if (item.type === 'dimension') return item.unit in DENSITIES ? item.value * DENSITIES[item.unit]! : null;
  if (item.type === 'ident') return item.name === 'infinite' ? Infinity : null;
  return isMath(item) ? mathResolution(item.node) : null;
}

function mathResolution(node: FunctionNode): number | null {
  const match = /^calc\(\s*([\d.]+)(dppx|x|dpi|dpcm)\s*\*\s*([\d.]+)\s*\)$/i.exec(node.toString());
  return match ? Number(match[1]) * DENSITIES[match[2]!.toLowerCase()]! * Number(match[3]) : null;
}
