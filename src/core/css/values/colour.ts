import { color, serializeRGB, SyntaxFlag } from '@csstools/css-color-parser';
import { parseListOfComponentValues, type ComponentValue } from '@csstools/css-parser-algorithms';
import { tokenize } from '@csstools/css-tokenizer';
import { splitCommas, type Component } from './components.js';
import type { Computation, ComputeContext } from './context.js';

/** sRGB channels 0 to 255 (not rounded), alpha 0 to 1. */
export interface Rgba {
  readonly r: number;
  readonly g: number;
  readonly b: number;
  readonly a: number;
}

export const TRANSPARENT: Rgba = Object.freeze({ r: 0, g: 0, b: 0, a: 0 });
export const BLACK: Rgba = Object.freeze({ r: 0, g: 0, b: 0, a: 1 });
export const WHITE: Rgba = Object.freeze({ r: 255, g: 255, b: 255, a: 1 });

const grey = (v: number, a = 1): Rgba => Object.freeze({ r: v, g: v, b: v, a });

/** The colour of links, which the page may set on its body. */
const LINK = '-webkit-link';
/** The text colour of the body, which tables take where quirks rule. @spec quirks (tables inherit color from body) */
const BODY_TEXT = '-body-text';

/** System colours as current desktop browsers give them: light scheme, dark scheme. @spec css-color-4 §6.2 */
const CURRENT: Readonly<Record<string, readonly [Rgba, Rgba]>> = {
  canvas: [WHITE, grey(18)],
  canvastext: [BLACK, WHITE],
  linktext: [rgb(0, 0, 238), rgb(158, 158, 255)],
  visitedtext: [rgb(85, 26, 139), rgb(208, 173, 240)],
  activetext: [rgb(255, 0, 0), rgb(255, 158, 158)],
  buttonface: [grey(239), grey(107)],
  buttontext: [BLACK, WHITE],
  buttonborder: [BLACK, WHITE],
  field: [WHITE, grey(59)],
  fieldtext: [BLACK, WHITE],
  highlight: [rgb(30, 144, 255), rgb(30, 144, 255)],
  highlighttext: [BLACK, WHITE],
  selecteditem: [rgb(30, 144, 255), rgb(30, 144, 255)],
  selecteditemtext: [WHITE, WHITE],
  mark: [rgb(255, 255, 0), rgb(255, 255, 0)],
  marktext: [BLACK, BLACK],
  graytext: [grey(128), grey(128)],
  accentcolor: [rgb(0, 117, 255), rgb(153, 200, 255)],
  accentcolortext: [WHITE, BLACK],
  [LINK]: [rgb(0, 0, 238), rgb(158, 158, 255)],
  '-webkit-activelink': [rgb(255, 0, 0), rgb(255, 158, 158)],
  '-webkit-text': [BLACK, BLACK],
  '-webkit-focus-ring-color': [rgb(16, 16, 16), WHITE],
};

/** Names of former times, by what they mean today. @spec css-color-4 §A (deprecated system colors) */
const FORMER: Readonly<Record<string, string>> = {
  buttonborder:
    'activeborder inactiveborder threeddarkshadow threedhighlight threedlightshadow threedshadow windowframe',
  canvas: 'activecaption appworkspace background inactivecaption infobackground menu scrollbar window',
  buttonface: 'buttonhighlight buttonshadow threedface',
  canvastext: 'captiontext infotext menutext windowtext',
  graytext: 'inactivecaptiontext',
};

const SYSTEM: Readonly<Record<string, readonly [Rgba, Rgba]>> = {
  ...CURRENT,
  ...Object.fromEntries(
    Object.entries(FORMER).flatMap(([now, names]) => names.split(' ').map((name) => [name, CURRENT[now]!])),
  ),
};

const NAMED = new RegExp(`(?<![\\w-])(${Object.keys(SYSTEM).join('|')})(?![\\w-])`, 'gi');
const BOUND = new RegExp(`currentcolor|light-dark|${Object.keys(SYSTEM).join('|')}`, 'i');

function rgb(r: number, g: number, b: number): Rgba {
  return Object.freeze({ r, g, b, a: 1 });
}

/**
 * Reads any colour of CSS Color 4 and 5; null if the component is none.
 * @spec css-color-4 §4, css-color-5 §3, §4, css-color-5 §7 (light-dark)
 */
export function readColour(item: Component | undefined): Computation<Rgba> | null {
  if (!item) return null;
  if (item.type === 'hash') return fixed(`#${item.value}`);
  if (item.type === 'ident') {
    if (item.name === 'currentcolor') return (c) => c.currentColor;
    if (item.name === 'transparent') return () => TRANSPARENT;
    if (item.name === BODY_TEXT) return (c) => c.bodyColor;
    const system = SYSTEM[item.name];
    if (system && item.name === LINK) return (c) => c.linkColor ?? system[c.dark ? 1 : 0];
    return system ? (c) => system[c.dark ? 1 : 0] : fixed(item.name);
  }
  if (item.type !== 'function') return null;
  if (item.name === 'light-dark') return lightDark(item.args);
  const text = item.node.toString();
  if (!BOUND.test(text)) return fixed(text);
  const probe = parseColourText(substitute(text, { currentColor: BLACK, dark: false }));
  return probe ? (c) => parseColourText(substitute(text, c)) ?? probe : null;
}

function lightDark(args: readonly Component[]): Computation<Rgba> | null {
  const parts = splitCommas(args);
  const light = parts[0]?.length === 1 ? readColour(parts[0][0]) : null;
  const dark = parts[1]?.length === 1 ? readColour(parts[1][0]) : null;
  return parts.length === 2 && light && dark ? (c) => (c.dark ? dark(c) : light(c)) : null;
}

function substitute(text: string, c: Pick<ComputeContext, 'currentColor' | 'dark'>): string {
  return text
    .replace(/\bcurrentcolor\b/gi, printColour(c.currentColor))
    .replace(NAMED, (name) => printColour(SYSTEM[name.toLowerCase()]![c.dark ? 1 : 0]));
}

const cache = new Map<string, Rgba | null>();

function fixed(text: string): Computation<Rgba> | null {
  const value = parseColourText(text);
  return value ? () => value : null;
}

/** A colour without context, remembered by text; null if it is none. */
export function parseColourText(text: string): Rgba | null {
  let known = cache.get(text);
  if (known === undefined) {
    if (cache.size > 20_000) cache.clear();
    known = shortHex(text) ?? general(text);
    cache.set(text, known);
  }
  return known;
}

function shortHex(text: string): Rgba | null {
  const match = /^#([0-9a-f]{3,8})$/i.exec(text);
  let hex = match?.[1];
  if (!hex || hex.length === 5 || hex.length === 7) return null;
  if (hex.length < 6) hex = [...hex].map((c) => c + c).join('');
  const at = (i: number) => parseInt(hex.slice(i, i + 2), 16);
  return Object.freeze({ r: at(0), g: at(2), b: at(4), a: hex.length === 8 ? at(6) / 255 : 1 });
}

function general(text: string): Rgba | null {
  const node = parseListOfComponentValues(tokenize({ css: text })).find((n): n is ComponentValue => n !== undefined);
  const data = node && color(node);
  if (!data || data.syntaxFlags.has(SyntaxFlag.Experimental)) return null;
  const match = /^rgba?\(([^)]*)\)$/.exec(serializeRGB(data, false).toString());
  const parts = match?.[1]!.split(/[\s,/]+/).map(Number);
  if (!parts || parts.length < 3 || parts.some(Number.isNaN)) return null;
  return Object.freeze({ r: parts[0]!, g: parts[1]!, b: parts[2]!, a: parts[3] ?? 1 });
}

/** `rgb(0, 0, 0)` or `rgba(0, 0, 0, 0.5)`, as getComputedStyle gives sRGB colours. */
export function printColour(value: Rgba): string {
  const [r, g, b] = [value.r, value.g, value.b].map((v) => Math.round(Math.min(255, Math.max(0, v))));
  if (value.a >= 1) return `rgb(${r}, ${g}, ${b})`;
  const byte = Math.round(value.a * 255);
  let alpha = Math.round((byte / 255) * 100) / 100;
  if (Math.round(alpha * 255) !== byte) alpha = Math.round((byte / 255) * 1000) / 1000;
  return `rgba(${r}, ${g}, ${b}, ${alpha})`;
}

/** `over` painted on `under`. @spec compositing-1 §5.1 (simple alpha compositing) */
export function compose(over: Rgba, under: Rgba): Rgba {
  const a = over.a + under.a * (1 - over.a);
  if (a === 0) return TRANSPARENT;
  const mix = (o: number, u: number) => (o * over.a + u * under.a * (1 - over.a)) / a;
  return { r: mix(over.r, under.r), g: mix(over.g, under.g), b: mix(over.b, under.b), a };
}

export const fade = (value: Rgba, opacity: number): Rgba =>
  opacity === 1 ? value : { ...value, a: value.a * opacity };

/** Relative luminance of an opaque colour, 0 to 1. @spec WCAG 2.2, definition of relative luminance */
export function luminance(value: Rgba): number {
  const linear = (v: number) => {
    const s = v / 255;
    return s <= 0.04045 ? s / 12.92 : ((s + 0.055) / 1.055) ** 2.4;
  };
  return 0.2126 * linear(value.r) + 0.7152 * linear(value.g) + 0.0722 * linear(value.b);
}

/** Contrast ratio of two opaque colours, 1 to 21. @spec WCAG 2.2, definition of contrast ratio */
export function contrastRatio(a: Rgba, b: Rgba): number {
  const [high, low] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number];
  return (high + 0.05) / (low + 0.05);
}
