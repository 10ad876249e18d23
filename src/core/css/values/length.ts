import { calc } from '@csstools/css-calc';
import type { FunctionNode } from '@csstools/css-parser-algorithms';
import { TokenType } from '@csstools/css-tokenizer';
import type { Component } from './components.js';
import { mathText, type MathPrinter } from './math-text.js';
import { freeze, type AnchorFinder, type Computation, type LengthContext } from './context.js';

/** `px + percent % of the basis`; `curve` replaces both where math functions bend the relation. */
export interface LengthPercentage {
  readonly px: number;
  readonly percent: number;
  readonly curve: ((basis: number) => number) | null;
  /** The sum behind a curve that is one cut off at zero. */
  readonly sum?: { readonly px: number; readonly percent: number };
  /** How the computed value of a bent relation is told; null where only its ends are known. */
  readonly told?: () => string | null;
  /** Written as 0%: nothing is known of it either where the basis is not. */
  readonly zeroPercent?: true;
  /** The length it comes to once its anchors are found; null without them. */
  readonly anchored?: (find: AnchorFinder) => LengthPercentage | null;
}

export const ZERO: LengthPercentage = Object.freeze({ px: 0, percent: 0, curve: null });
export const ZERO_PERCENT: LengthPercentage = Object.freeze({ ...ZERO, zeroPercent: true });
/** The longest length browsers lay out, px. */
const LONGEST = 33_554_428;
/** Browsers keep lengths and percentages as 32-bit floats: it decides on which side of a 64th a length falls. */
export const px = (value: number): LengthPercentage =>
  value === 0 ? ZERO : { px: Math.fround(Math.max(-LONGEST, Math.min(LONGEST, value))), percent: 0, curve: null };

const share = (percent: number, basis: number): number => Math.fround(Math.fround(percent * basis) / 100);
/** Sums divide first. */
const sumAt = ({ px: length, percent }: Pick<LengthPercentage, 'px' | 'percent'>, basis: number): number =>
  Math.fround(length + Math.fround(Math.fround(percent / 100) * basis));

/** The used length for a basis in px; percentages of an unknown (NaN) basis give NaN. */
export function resolveLength(value: LengthPercentage, basis: number): number {
  if (value.curve) return value.curve(basis);
  if (value.percent !== 0) return value.px === 0 ? share(value.percent, basis) : sumAt(value, basis);
  return value.zeroPercent && Number.isNaN(basis) ? NaN : value.px;
}

export const hasPercent = (value: LengthPercentage): boolean => value.percent !== 0 || value.curve !== null;

/** Absolute units in px. @spec css-values-4 §6.2 */
export const ABSOLUTE_UNITS: Readonly<Record<string, number>> = {
  px: 1,
  cm: 96 / 2.54,
  mm: 96 / 25.4,
  q: 96 / 101.6,
  in: 96,
  pt: 96 / 72,
  pc: 16,
};

type Relative = (c: LengthContext) => number;
const vw: Relative = (c) => c.viewportWidth / 100;
const vh: Relative = (c) => c.viewportHeight / 100;
const vmin: Relative = (c) => Math.min(c.viewportWidth, c.viewportHeight) / 100;
const vmax: Relative = (c) => Math.max(c.viewportWidth, c.viewportHeight) / 100;
const cqw: Relative = (c) => c.containerWidth / 100;
const cqh: Relative = (c) => c.containerHeight / 100;
const RELATIVE: Readonly<Record<string, Relative>> = {
  em: (c) => c.fontSize,
  rem: (c) => c.rootFontSize,
  ex: (c) => c.xHeight,
  rex: (c) => c.rootFontSize / 2,
  ch: (c) => c.zeroAdvance,
  rch: (c) => c.rootFontSize / 2,
  cap: (c) => c.capHeight,
  rcap: (c) => c.rootFontSize * 0.7,
  ic: (c) => c.fontSize,
  ric: (c) => c.rootFontSize,
  lh: (c) => c.lineHeight,
  rlh: (c) => c.rootLineHeight,
  ...Object.fromEntries(
    ['', 's', 'l', 'd'].flatMap((kind) => [
      [`${kind}vw`, vw],
      [`${kind}vh`, vh],
      [`${kind}vi`, vw],
      [`${kind}vb`, vh],
      [`${kind}vmin`, vmin],
      [`${kind}vmax`, vmax],
    ]),
  ),
  cqw,
  cqh,
  cqi: cqw,
  cqb: cqh,
  cqmin: (c) => Math.min(c.containerWidth, c.containerHeight) / 100,
  cqmax: (c) => Math.max(c.containerWidth, c.containerHeight) / 100,
};

const isLengthUnit = (unit: string): boolean => unit in ABSOLUTE_UNITS || unit in RELATIVE;

/** A dimension in px. @spec css-values-4 §6 */
function toPx(value: number, unit: string, context: LengthContext): number {
  const absolute = ABSOLUTE_UNITS[unit];
  return absolute !== undefined ? value * absolute : value * RELATIVE[unit]!(context);
}

/** Gives a length once what it refers to is known. */
export type LengthReader = (context: LengthContext) => LengthPercentage;

const MATH = new Set(
  'calc min max clamp round mod rem abs sign sin cos tan asin acos atan atan2 pow sqrt hypot log exp'.split(' '),
);
export const isMath = (item: Component): item is Extract<Component, { type: 'function' }> =>
  item.type === 'function' && MATH.has(item.name.replace(/^-webkit-/, ''));

interface MathResult {
  readonly value: number;
  readonly unit: string;
}

const results = new Map<string, MathResult | null>();

/** Works out a math function, its relative units and percentages replaced by px. @spec css-values-4 §10 */
function evaluate(node: FunctionNode, context: LengthContext | null, basis: number): MathResult | null {
  let text = '';
  for (const token of node.tokens()) {
    if (token[0] === TokenType.Dimension) {
      const unit = token[4].unit.toLowerCase();
      if (isLengthUnit(unit)) text += `${context ? toPx(token[4].value, unit, context) : token[4].value}px`;
      else text += token[1];
    } else if (token[0] === TokenType.Percentage && !Number.isNaN(basis)) text += `${(token[4].value * basis) / 100}px`;
    else text += token[1];
  }
  text = text.replace(/-webkit-calc\(/gi, 'calc(');
  let known = results.get(text);
  if (known === undefined) {
    if (results.size > 50_000) results.clear();
    known = read(text);
    results.set(text, known);
  }
  return known;
}

function read(text: string): MathResult | null {
  const out = calc(text, {
    toCanonicalUnits: true,
    precision: 12,
    censorIntoStandardRepresentableValues: true,
    rawPercentages: true,
  });
  const match = /^([+-]?)(infinity|nan|(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)([a-z]*|%)$/i.exec(out.trim());
  if (!match) return null;
  const size = /^inf/i.test(match[2]!) ? Number.MAX_VALUE : Number(match[2]);
  // What is no number counts as zero. @spec css-values-4 §10.9
  return { value: Number.isNaN(size) ? 0 : Number(`${match[1]}1`) * size, unit: match[3]!.toLowerCase() };
}

function containsPercent(node: FunctionNode): boolean {
  return node.tokens().some((t) => t[0] === TokenType.Percentage);
}

function onlySums(node: FunctionNode): boolean {
  return node.tokens().every((t) => t[0] !== TokenType.Function || /^(-webkit-)?calc\($/i.test(t[1]));
}

export interface LengthOptions {
  readonly percent?: boolean;
  readonly negative?: boolean;
  /** Unitless numbers count as px (quirks, SVG-like presentational attributes). */
  readonly unitless?: boolean;
}

/**
 * Reads a length or length-percentage; null if the component is no such value.
 * @spec css-values-4 §5.2, §6, §10
 */
export function readLength(item: Component | undefined, options: LengthOptions = {}): LengthReader | null {
  const { percent = true, negative = true } = options;
  if (!item) return null;
  if (item.type === 'number') {
    if (item.value !== 0 && !options.unitless) return null;
    const fixed = px(item.value);
    return negative || item.value >= 0 ? () => fixed : null;
  }
  if (item.type === 'dimension') {
    const { value, unit } = item;
    if (!isLengthUnit(unit) || (!negative && value < 0)) return null;
    const absolute = ABSOLUTE_UNITS[unit];
    if (absolute !== undefined) {
      const fixed = px(value * absolute);
      return () => fixed;
    }
    const relative = RELATIVE[unit]!;
    return (c) => px(value * relative(c));
  }
  if (item.type === 'percentage') {
    if (!percent || (!negative && item.value < 0)) return null;
    if (item.value === 0) return () => ZERO_PERCENT;
    const fixed: LengthPercentage = Object.freeze({ px: 0, percent: Math.fround(item.value), curve: null });
    return () => fixed;
  }
  return isMath(item) ? mathLength(item.node, percent, negative) : null;
}

function mathLength(node: FunctionNode, percent: boolean, negative: boolean): LengthReader | null {
  const relative = containsPercent(node);
  if (relative && !percent) return null;
  const probe = evaluate(node, null, 100);
  if (probe?.unit !== 'px') return null;
  const floor = (value: number) => (negative ? value : Math.max(0, value));
  const at = (c: LengthContext, basis: number) => evaluate(node, c, basis)?.value ?? 0;
  if (!relative) return (c) => px(floor(at(c, NaN)));
  const sumOf = (c: LengthContext) => {
    const base = at(c, 0);
    return { px: Math.fround(base), percent: Math.fround(at(c, 100) - base), curve: null };
  };
  if (onlySums(node) && negative) return sumOf;
  return (c) => {
    const frozen = freeze(c);
    const known = (curve: (basis: number) => number) => (basis: number) =>
      Number.isNaN(basis) ? NaN : floor(curve(basis));
    if (!onlySums(node)) {
      const told = () => mathText(node, printerFor(frozen));
      return { px: 0, percent: 0, curve: known((basis) => Math.fround(at(frozen, basis))), told };
    }
    const sum = sumOf(frozen);
    return { px: 0, percent: 0, curve: known((basis) => sumAt(sum, basis)), sum };
  };
}

const printerFor = (context: LengthContext): MathPrinter => ({
  toPx: (value, unit) => (isLengthUnit(unit) ? toPx(value, unit, context) : null),
  solve: (node) => evaluate(node, context, NaN),
  print: printNumber,
});

/** A plain number, math included; percentages count as hundredths where `percent` is set. */
export function readNumber(
  item: Component | undefined,
  options: { percent?: boolean; integer?: boolean; min?: number } = {},
): Computation<number> | null {
  const fit = (value: number) => (options.integer ? Math.round(value) : value);
  if (!item) return null;
  if (item.type === 'number') {
    if (options.integer && !item.integer) return null;
    if (options.min !== undefined && item.value < options.min) return null;
    const { value } = item;
    return () => value;
  }
  if (item.type === 'percentage' && options.percent) {
    const value = item.value / 100;
    return options.min !== undefined && value < options.min ? null : () => value;
  }
  if (!isMath(item)) return null;
  const probe = evaluate(item.node, null, NaN);
  const scale = probe?.unit === '%' && options.percent ? 0.01 : probe?.unit === '' ? 1 : null;
  if (scale === null) return null;
  const floor = options.min ?? -Infinity;
  return (c) => Math.max(floor, fit((evaluate(item.node, c, NaN)?.value ?? 0) * scale));
}

const ANGLES: Readonly<Record<string, number>> = { deg: 1, grad: 0.9, rad: 180 / Math.PI, turn: 360 };

/** An angle in degrees; a bare 0 counts. */
export function readAngle(item: Component | undefined): Computation<number> | null {
  if (item?.type === 'number' && item.value === 0) return () => 0;
  if (item?.type === 'dimension' && item.unit in ANGLES) {
    const degrees = item.value * ANGLES[item.unit]!;
    return () => degrees;
  }
  if (!item || !isMath(item) || evaluate(item.node, null, NaN)?.unit !== 'deg') return null;
  return (c) => evaluate(item.node, c, NaN)?.value ?? 0;
}

/** `12.5px`, rounded as browsers print lengths. */
export function printPx(value: number): string {
  return `${printNumber(value)}px`;
}

const DIGITS = 6;

/** A number with at most six significant digits, as browsers serialise it: halves go to the even one. */
export function printNumber(value: number): string {
  if (!Number.isFinite(value)) return value > 0 ? '3.35544e+07' : value < 0 ? '-3.35544e+07' : '0';
  const rounded = Number(halved(value) ?? value.toPrecision(DIGITS));
  return String(rounded === 0 ? 0 : rounded);
}

/** The digits that stay where what is left over is exactly one half and the last of them is even; null elsewhere. */
function halved(value: number): string | null {
  if (Number.isInteger(value) || !Number.isInteger(value * 64)) return null;
  const [, sign, figures, exponent] = /^(-?)([\d.]+)(e.*)$/.exec(value.toExponential(20))!;
  const kept = figures!.slice(0, DIGITS + 1);
  return /[02468]$/.test(kept) && /^50*$/.test(figures!.slice(DIGITS + 1)) ? `${sign}${kept}${exponent}` : null;
}

export function printLength(value: LengthPercentage): string {
  if (value.sum) return printLength({ ...value.sum, curve: null });
  const told = value.told?.() ?? null;
  if (told !== null) return told;
  if (value.curve) {
    const at0 = value.curve(0);
    const slope = value.curve(100) - at0;
    return `calc(${printNumber(slope)}% + ${printPx(at0)})`;
  }
  if (value.zeroPercent) return '0%';
  if (value.percent === 0) return printPx(value.px);
  if (value.px === 0) return `${printNumber(value.percent)}%`;
  return `calc(${printNumber(value.percent)}% ${value.px < 0 ? '-' : '+'} ${printPx(Math.abs(value.px))})`;
}
