import {
  isIdent,
  readColour,
  readGradient,
  splitCommas,
  type Component,
  type Computation,
  BLACK,
} from '../values/index.js';
import { BACKGROUNDS } from './backgrounds.js';
import type { BackgroundImage } from './borders.js';
import { clipPath } from './clip-path.js';
import { colour, keyword, lengthOr, number, row, text } from './define.js';
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

export const VISUAL = {
  color: colour(() => BLACK, { inherited: true }),
  opacity: row<number>(
    1,
    (items, source) => {
      const read = number(1, { percent: true }).parse(items, source);
      return read ? (c) => Math.min(1, Math.max(0, read(c))) : null;
    },
    (v) => String(Math.round(v * 1e6) / 1e6),
  ),
  colorScheme: text('normal', undefined, { inherited: true }),
  backgroundImage: row<readonly BackgroundImage[]>([], parseImages, printImages),
  ...BACKGROUNDS,
  backgroundAttachment: text('scroll'),
  backgroundOrigin: text('padding-box'),
  backgroundClip: text('border-box'),
  backgroundBlendMode: text('normal'),
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
    { inherited: true },
  ),
  ...transforms,
  filter: text('none'),
  backdropFilter: text('none'),
  mixBlendMode: text('normal', (items) => items.length === 1),
  isolation: keyword(['auto', 'isolate']),
  willChange: text('auto'),
  clip: text('auto', (items) => items.length === 1),
  clipPath,
  /** Whether the box stands in the top layer; the browser's own sheet alone decides. @spec css-position-4 §4 */
  overlay: keyword(['none', 'auto']),
  maskImage: text('none'),
  perspective: lengthOr('none', ['none'], { percent: false, negative: false }),
  perspectiveOrigin: text('50% 50%'),
  transformStyle: keyword(['flat', 'preserve-3d']),
  backfaceVisibility: keyword(['visible', 'hidden']),
  userSelect: text('auto', (items) => items.length === 1),
  touchAction: text('auto'),
  appearance: text('none', (items) => items.length === 1),
  resize: text('none', (items) => items.length === 1),
  scrollBehavior: keyword(['auto', 'smooth']),
  overscrollBehaviorX: keyword(['auto', 'contain', 'none']),
  overscrollBehaviorY: keyword(['auto', 'contain', 'none']),
  transitionProperty: text('all'),
  transitionDuration: text('0s'),
  transitionDelay: text('0s'),
  transitionTimingFunction: text('ease'),
  animationName: text('none'),
  animationDuration: text('0s'),
  animationDelay: text('0s'),
  animationIterationCount: text('1'),
  animationFillMode: text('none'),
  animationDirection: text('normal'),
  animationTimingFunction: text('ease'),
  animationPlayState: text('running'),
  accentColor: text('auto', undefined, { inherited: true }),
  caretColor: text('auto', undefined, { inherited: true }),
  webkitTextFillColor: colour((c) => c.currentColor, { inherited: true }),
  webkitTapHighlightColor: text('auto', undefined, { inherited: true }),
  fill: text('black', undefined, { inherited: true }),
  stroke: text('none', undefined, { inherited: true }),
  strokeWidth: text('1px', undefined, { inherited: true }),
  zoom: text('1'),
  webkitLineClamp: text('none'),
  webkitBoxOrient: text('horizontal'),
  interactivity: keyword(['auto', 'inert'], { inherited: true }),
} as const;
