import {
  isIdent,
  printColour,
  printLength,
  readColour,
  readGradient,
  readLength,
  splitCommas,
  type Component,
  type Computation,
  type LengthPercentage,
  type Rgba,
  BLACK,
} from '../values/index.js';
import { BACKGROUNDS } from './backgrounds.js';
import type { BackgroundImage } from './borders.js';
import { clipPath } from './clip-path.js';
import { colour, keyword, lengthOr, making, number, row, single, text, type Makes, type Traits } from './define.js';
import { commaList, keywordLayers, times, words } from './lists.js';
import { transforms } from './transform.js';

const GRADIENT = /^(-webkit-)?(repeating-)?(linear|radial|conic)-gradient$/;

/** @spec css-backgrounds-3 §2.3, css-images-4 §3 */
type ReadImage = (c: Parameters<Computation<unknown>>[0], layer: number) => BackgroundImage | null;

function readImage(items: readonly Component[]): ReadImage | null {
  const [item] = items;
  if (!item || items.length !== 1) return null;
  if (isIdent(item, 'none')) return () => null;
  if (item.type === 'url') return (_, layer) => ({ kind: 'url', layer, url: item.value });
  if (item.type !== 'function') return null;
  if (item.name === 'url' || item.name === 'src') {
    const [first] = item.args;
    return first?.type === 'string' ? (_, layer) => ({ kind: 'url', layer, url: first.value }) : null;
  }
  if (!GRADIENT.test(item.name))
    return /^(image-set|-webkit-image-set|cross-fade|element|image|paint|-webkit-gradient|-webkit-cross-fade)$/.test(
      item.name,
    )
      ? (_, layer) => ({ kind: 'unknown', layer, text: item.node.toString() })
      : null;
  const stops = splitCommas(item.args).flatMap((part) => part.map(readColour).filter((c) => c !== null));
  if (stops.length === 0) return null;
  const source = item.node.toString();
  const placed = readGradient(item.name, item.args);
  return (c, layer) => ({
    kind: 'gradient',
    layer,
    text: source,
    colours: stops.map((stop) => stop(c)),
    gradient: placed?.(c) ?? null,
  });
}

function parseImages(items: readonly Component[]): Computation<readonly BackgroundImage[]> | null {
  const layers = splitCommas(items).map(readImage);
  if (layers.some((layer) => layer === null)) return null;
  return (c) =>
    layers.map((read, layer) => read!(c, layer)).filter((image): image is BackgroundImage => image !== null);
}

const printImages = (images: readonly BackgroundImage[]) =>
  images.length === 0 ? 'none' : images.map((i) => (i.kind === 'url' ? `url("${i.url}")` : i.text)).join(', ');

/** Baselines a text of a graphic can stand on. @spec css-inline-3 §4.1, svg-2 §11.10.2 */
const BASELINES = [
  'alphabetic',
  'central',
  'middle',
  'hanging',
  'mathematical',
  'ideographic',
  'text-before-edge',
  'text-after-edge',
  'text-top',
  'text-bottom',
] as const;

const IDLE: Traits = { affects: 'nothing' };
const unless = (idle: string, name: string) => (value: string) => (value === idle ? null : name);

/**
 * Properties that make a stacking context, or hold fixed boxes, once they are set: announcing or animating them does too.
 * @spec css-will-change-1 §3
 */
const STACKED =
  /^(-webkit-)?(transform|transform-style|translate|rotate|scale|offset|offset-path|offset-position|opacity|filter|backdrop-filter|perspective|mix-blend-mode|isolation|position|clip-path|mask|mask-image|mask-box-image|box-reflect|contain|view-transition-name)$/i;
const HOLDING =
  /^(-webkit-)?(transform|transform-style|translate|rotate|scale|offset|offset-path|offset-position|filter|backdrop-filter|perspective|contain)$/i;
const announcing = (saying: string): Makes<readonly string[]> => {
  const says = (which: RegExp) => (value: readonly string[]) => {
    const found = value.find((name) => which.test(name));
    return found === undefined ? null : `${saying} ${found}`;
  };
  return { stacking: says(STACKED), containing: says(HOLDING) };
};

/** Edges of the part that shows, from the border box's upper left corner. @spec css-masking-1 §6 (clip) */
export interface ClipRect {
  readonly top: LengthPercentage | 'auto';
  readonly right: LengthPercentage | 'auto';
  readonly bottom: LengthPercentage | 'auto';
  readonly left: LengthPercentage | 'auto';
}

/** The colour letters are filled with; null is that of the text, wherever it is inherited to. */
const textFill = row<Rgba | null>(
  null,
  single<Rgba | null>((item) => (isIdent(item, 'currentcolor') ? () => null : readColour(item))),
  (value, { colour: own }) => printColour(value ?? own),
  { inherited: true, affects: 'colour' },
);

const clip = row<ClipRect | null>(
  null,
  (items) => {
    const [item] = items;
    if (items.length !== 1) return null;
    if (isIdent(item, 'auto')) return () => null;
    if (item?.type !== 'function' || item.name !== 'rect') return null;
    const edges = item.args.filter((arg) => !(arg.type === 'delim' && arg.value === ','));
    const reads = edges.map((edge) =>
      isIdent(edge, 'auto') ? () => 'auto' as const : readLength(edge, { percent: false }),
    );
    if (reads.length !== 4 || reads.includes(null)) return null;
    return (c) => {
      const [top, right, bottom, left] = reads.map((read) => read!(c)) as (LengthPercentage | 'auto')[];
      return { top: top!, right: right!, bottom: bottom!, left: left! };
    };
  },
  (value) => {
    const side = (edge: LengthPercentage | 'auto') => (edge === 'auto' ? edge : printLength(edge));
    return value === null ? 'auto' : `rect(${[value.top, value.right, value.bottom, value.left].map(side).join(', ')})`;
  },
  { affects: 'paint' },
);

export const VISUAL = {
  color: colour(() => BLACK, { inherited: true, affects: 'colour' }),
  opacity: making(
    row<number>(
      1,
      (items, source) => {
        const read = number(1, { percent: true }).parse(items, source);
        return read ? (c) => Math.min(1, Math.max(0, read(c))) : null;
      },
      (v) => String(Math.round(v * 1e6) / 1e6),
      { affects: 'paint' },
    ),
    { stacking: (value) => (value < 1 ? `opacity: ${value}` : null) },
  ),
  colorScheme: words('normal', null, { inherited: true, affects: 'colour' }),
  backgroundImage: row<readonly BackgroundImage[]>([], parseImages, printImages, { affects: 'colour' }),
  ...BACKGROUNDS,
  backgroundAttachment: keywordLayers(['scroll', 'fixed', 'local'], { affects: 'colour' }),
  backgroundOrigin: keywordLayers(['padding-box', 'border-box', 'content-box'], { affects: 'colour' }),
  backgroundClip: keywordLayers(['border-box', 'padding-box', 'content-box', 'text', 'border-area'], {
    affects: 'colour',
  }),
  backgroundBlendMode: text('normal', undefined, { affects: 'colour' }),
  pointerEvents: keyword(
    [
      'auto',
      'none',
      'visiblepainted',
      'visiblefill',
      'visiblestroke',
      'visible',
      'painted',
      'fill',
      'stroke',
      'bounding-box',
      'all',
    ],
    { inherited: true, affects: 'paint' },
  ),
  ...transforms,
  filter: making(text('none', undefined, { affects: 'paint' }), {
    stacking: unless('none', 'filter'),
    containing: unless('none', 'filter'),
  }),
  backdropFilter: making(text('none', undefined, { affects: 'paint' }), {
    stacking: unless('none', 'backdrop-filter'),
    containing: unless('none', 'backdrop-filter'),
  }),
  mixBlendMode: making(
    text('normal', (items) => items.length === 1, { affects: 'paint' }),
    {
      stacking: (value) => (value === 'normal' ? null : `mix-blend-mode: ${value}`),
    },
  ),
  isolation: making(keyword(['auto', 'isolate'], { affects: 'paint' }), {
    stacking: (value) => (value === 'auto' ? null : 'isolation: isolate'),
  }),
  willChange: making(words('auto', null, { affects: 'paint' }, { commas: true }), announcing('will-change:')),
  /** What animations in effect hold; the cascade alone sets it. @spec web-animations-1 §5.6 (side effects) */
  animates: making(words('none', null, { affects: 'paint' }), announcing('an animation of')),
  clip,
  clipPath: making(clipPath, { stacking: (value) => (value === null ? null : 'clip-path') }),
  /** Whether the box stands in the top layer; the browser's own sheet alone decides. @spec css-position-4 §4 */
  overlay: keyword(['none', 'auto'], { affects: 'paint' }),
  maskImage: making(text('none', undefined, { affects: 'paint' }), { stacking: unless('none', 'mask') }),
  webkitMaskBoxImage: making(text('none', undefined, { affects: 'paint' }), { stacking: unless('none', 'mask') }),
  perspective: making(lengthOr('none', ['none'], { percent: false, negative: false }, { affects: 'paint' }), {
    stacking: (value) => (value === 'none' ? null : 'perspective'),
    containing: (value) => (value === 'none' ? null : 'perspective'),
    only: 'transformable',
  }),
  perspectiveOrigin: text('50% 50%', undefined, { affects: 'paint' }),
  transformStyle: making(keyword(['flat', 'preserve-3d'], { affects: 'paint' }), {
    stacking: (value) => (value === 'flat' ? null : `transform-style: ${value}`),
    containing: (value) => (value === 'flat' ? null : `transform-style: ${value}`),
    only: 'transformable',
  }),
  viewTransitionName: making(text('none', undefined, { affects: 'paint' }), {
    stacking: unless('none', 'view-transition-name'),
  }),
  webkitBoxReflect: making(text('none', undefined, { affects: 'paint' }), {
    stacking: unless('none', '-webkit-box-reflect'),
  }),
  backfaceVisibility: keyword(['visible', 'hidden'], { affects: 'paint' }),
  userSelect: text('auto', (items) => items.length === 1, IDLE),
  touchAction: text('auto', undefined, IDLE),
  // Browsers know the first and last words beside the specification's. @spec css-ui-4 §7.2
  appearance: keyword(
    (
      'none auto base-select textfield menulist-button searchfield textarea checkbox radio menulist listbox ' +
      'meter progress-bar button slider-vertical'
    ).split(' '),
  ),
  resize: text('none', (items) => items.length === 1, IDLE),
  scrollBehavior: keyword(['auto', 'smooth'], IDLE),
  overscrollBehaviorX: keyword(['auto', 'contain', 'none'], { ...IDLE, turns: 'overscroll-behavior-{axis}' }),
  overscrollBehaviorY: keyword(['auto', 'contain', 'none'], { ...IDLE, turns: 'overscroll-behavior-{axis}' }),
  transitionProperty: commaList('all', IDLE),
  transitionDuration: times(0, IDLE),
  transitionDelay: times(-Infinity, IDLE),
  transitionTimingFunction: commaList('ease', IDLE),
  animationName: commaList('none', IDLE),
  animationDuration: times(0, IDLE),
  animationDelay: times(-Infinity, IDLE),
  animationIterationCount: commaList('1', IDLE),
  animationFillMode: keywordLayers(['none', 'forwards', 'backwards', 'both'], IDLE),
  animationDirection: keywordLayers(['normal', 'reverse', 'alternate', 'alternate-reverse'], IDLE),
  animationTimingFunction: commaList('ease', IDLE),
  animationPlayState: keywordLayers(['running', 'paused'], IDLE),
  animationTimeline: commaList('auto', IDLE),
  accentColor: text('auto', undefined, { inherited: true, affects: 'colour' }),
  caretColor: text('auto', undefined, { inherited: true, affects: 'nothing' }),
  webkitTextFillColor: textFill,
  webkitTapHighlightColor: text('auto', undefined, { inherited: true, affects: 'nothing' }),
  textAnchor: keyword(['start', 'middle', 'end'], { inherited: true }),
  dominantBaseline: keyword(['auto', ...BASELINES], { inherited: true }),
  alignmentBaseline: keyword(['auto', 'baseline', 'before-edge', 'after-edge', ...BASELINES]),
  fill: text('black', undefined, { inherited: true, affects: 'colour' }),
  stroke: text('none', undefined, { inherited: true, affects: 'colour' }),
  strokeWidth: text('1px', undefined, { inherited: true, affects: 'colour' }),
  zoom: text('1'),
  webkitLineClamp: text('none'),
  webkitBoxOrient: text('horizontal'),
  interactivity: keyword(['auto', 'inert'], { inherited: true, affects: 'paint' }),
} as const;
