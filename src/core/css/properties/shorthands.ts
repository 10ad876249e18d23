import {
  isIdent,
  readColour,
  readLength,
  readNumber,
  splitAt,
  splitCommas,
  ZERO_PERCENT,
  type Component,
  type Computation,
} from '../values/index.js';
import { parseFamilies } from './fonts.js';
import { PROPERTIES, propertyIndex, PROPERTY_KEYS, type PropertyKey } from './table.js';
import { logicalProperty } from './logical.js';

/** A longhand's part of a shorthand: components and text to parse, a computation, or its initial value. */
type Piece = readonly Component[] | Computation<unknown> | 'initial';
export type Pieces = Readonly<Record<string, Piece>>;

export interface Shorthand {
  readonly longhands: readonly string[];
  /** Null if the value is not valid; longhands left out take their initial value. */
  readonly expand: (items: readonly Component[], text: string) => Pieces | null;
}

const accepts = (longhand: string, items: readonly Component[]): boolean => {
  const index = propertyIndex(longhand) ?? propertyIndex(logicalProperty(longhand)?.like ?? '');
  return index !== undefined && PROPERTIES[PROPERTY_KEYS[index]!].parse(items, sourceOf(items)) !== null;
};

/** Text of components good enough for rows that keep text. */
export function sourceOf(items: readonly Component[]): string {
  return items.map(itemText).join(' ').replace(/ ,/g, ',');
}

function itemText(item: Component): string {
  switch (item.type) {
    case 'ident':
      return item.raw;
    case 'number':
      return String(item.value);
    case 'percentage':
      return `${item.value}%`;
    case 'dimension':
      return `${item.value}${item.unit}`;
    case 'string':
      return JSON.stringify(item.value);
    case 'hash':
      return `#${item.value}`;
    case 'url':
      return `url("${item.value}")`;
    case 'delim':
      return item.value;
    case 'function':
      return item.node.toString();
    case 'block':
      return `${item.open}${sourceOf(item.args)}${item.open === '[' ? ']' : item.open === '(' ? ')' : '}'}`;
    case 'bad':
      return '';
  }
}

/** One to four values for four sides, as margin has them. */
function sides(names: readonly string[]): Shorthand {
  return {
    longhands: names,
    expand: (items) => {
      if (items.length < 1 || items.length > 4 || !items.every((item) => accepts(names[0]!, [item]))) return null;
      const [a, b = a, c = a, d = b] = items as [Component, ...Component[]];
      return Object.fromEntries([a, b, c, d].map((item, i) => [names[i]!, [item!]]));
    },
  };
}

/** One or two values for a start and an end. */
function ends(first: string, second: string): Shorthand {
  return {
    longhands: [first, second],
    expand: (items) => {
      if (items.length < 1 || items.length > 2 || !items.every((item) => accepts(first, [item]))) return null;
      return { [first]: [items[0]!], [second]: [items[1] ?? items[0]!] };
    },
  };
}

/** Values in any order, each for the first longhand that takes it. */
function anyOrder(names: readonly string[], also: readonly string[] = []): Shorthand {
  return {
    longhands: [...names, ...also],
    expand: (items) => {
      const pieces: Record<string, Piece> = {};
      for (const item of items) {
        const name = names.find((n) => !(n in pieces) && accepts(n, [item]));
        if (!name) return null;
        pieces[name] = [item];
      }
      return items.length === 0 ? null : pieces;
    },
  };
}

const SIDES = ['top', 'right', 'bottom', 'left'] as const;
const BORDER_PARTS = ['width', 'style', 'color'] as const;

function border(sideNames: readonly string[], also: readonly string[] = []): Shorthand {
  const parts = anyOrder(BORDER_PARTS.map((part) => `border-${sideNames[0]}-${part}`));
  return {
    longhands: [...sideNames.flatMap((side) => BORDER_PARTS.map((part) => `border-${side}-${part}`)), ...also],
    expand: (items, text) => {
      const first = parts.expand(items, text);
      if (!first) return null;
      return Object.fromEntries(
        sideNames.flatMap((side) =>
          BORDER_PARTS.map((part) => [`border-${side}-${part}`, first[`border-${sideNames[0]}-${part}`] ?? 'initial']),
        ),
      );
    },
  };
}

const RADII = [
  'border-top-left-radius',
  'border-top-right-radius',
  'border-bottom-right-radius',
  'border-bottom-left-radius',
];
const radius: Shorthand = {
  longhands: RADII,
  expand: (items) => {
    const axes = splitAt(items, '/');
    if (
      axes.length > 2 ||
      axes.some((axis) => axis.length < 1 || axis.length > 4 || !axis.every((i) => readLength(i, { negative: false })))
    )
      return null;
    const fill = (list: readonly Component[]) => {
      const [a, b = a, c = a, d = b] = list;
      return [a!, b!, c!, d!];
    };
    const x = fill(axes[0]!);
    const y = axes[1] ? fill(axes[1]) : x;
    return Object.fromEntries(RADII.map((name, i) => [name, [x[i]!, y[i]!]]));
  },
};

/** @spec css-fonts-4 §3.7 */
const FONT_LONGHANDS = [
  'font-style',
  'font-variant-caps',
  'font-weight',
  'font-stretch',
  'font-size',
  'line-height',
  'font-family',
  'font-size-adjust',
  'font-kerning',
  'font-variant-ligatures',
  'font-variant-numeric',
  'font-feature-settings',
  'font-variation-settings',
  'font-optical-sizing',
];
const SYSTEM_FONTS = ['caption', 'icon', 'menu', 'message-box', 'small-caption', 'status-bar'];
const STRETCHES =
  /^(ultra-condensed|extra-condensed|condensed|semi-condensed|semi-expanded|expanded|extra-expanded|ultra-expanded)$/;
const font: Shorthand = {
  longhands: FONT_LONGHANDS,
  expand: (items) => {
    if (items.length === 1 && isIdent(items[0], ...SYSTEM_FONTS))
      return { 'font-size': () => 13.3333, 'font-family': () => [{ name: 'sans-serif', generic: true }] };
    const pieces: Record<string, Piece> = {};
    let i = 0;
    for (; i < items.length && i < 4; i++) {
      const item = items[i]!;
      if (isIdent(item, 'normal')) continue;
      if (isIdent(item) && STRETCHES.test((item as { name: string }).name)) pieces['font-stretch'] = [item];
      else if (accepts('font-style', [item])) pieces['font-style'] = [item];
      else if (isIdent(item, 'small-caps')) pieces['font-variant-caps'] = [item];
      else if (accepts('font-weight', [item])) pieces['font-weight'] = [item];
      else break;
    }
    const size = items[i];
    if (!size || !accepts('font-size', [size])) return null;
    pieces['font-size'] = [size];
    let rest = items.slice(i + 1);
    if (rest[0]?.type === 'delim' && rest[0].value === '/') {
      if (!rest[1] || !accepts('line-height', [rest[1]])) return null;
      pieces['line-height'] = [rest[1]];
      rest = rest.slice(2);
    }
    const families = rest.length > 0 ? parseFamilies(rest) : null;
    return families ? { ...pieces, 'font-family': families } : null;
  },
};

/** @spec css-flexbox-1 §7.1 */
const flex: Shorthand = {
  longhands: ['flex-grow', 'flex-shrink', 'flex-basis'],
  expand: (items) => {
    const zero = () => ZERO_PERCENT;
    if (items.length === 1) {
      if (isIdent(items[0], 'none')) return { 'flex-grow': () => 0, 'flex-shrink': () => 0, 'flex-basis': 'initial' };
      if (isIdent(items[0], 'initial')) return {};
    }
    const pieces: Record<string, Piece> = {};
    for (const item of items) {
      const isNumber = readNumber(item, { min: 0 }) !== null;
      const last = items[items.length - 1] === item;
      if (isNumber && !('flex-grow' in pieces)) pieces['flex-grow'] = [item];
      else if (isNumber && !('flex-shrink' in pieces) && 'flex-grow' in pieces) pieces['flex-shrink'] = [item];
      else if (!('flex-basis' in pieces) && accepts('flex-basis', [item]) && (last || (!isNumber && item === items[0])))
        pieces['flex-basis'] = [item];
      else return null;
    }
    if (items.length === 0 || items.length > 3) return null;
    return { 'flex-grow': () => 1, 'flex-shrink': () => 1, 'flex-basis': zero, ...pieces };
  },
};

const BACKGROUND = [
  'background-image',
  'background-position',
  'background-size',
  'background-repeat',
  'background-attachment',
  'background-origin',
  'background-clip',
  'background-color',
];
const REPEATS = ['repeat', 'no-repeat', 'repeat-x', 'repeat-y', 'space', 'round'];
const BOXES = ['border-box', 'padding-box', 'content-box', 'text'];
const isPosition = (item: Component) =>
  isIdent(item, 'left', 'right', 'top', 'bottom', 'center') || readLength(item) !== null;

/** @spec css-backgrounds-3 §2.10 */
const background: Shorthand = {
  longhands: BACKGROUND,
  expand: (items) => {
    const layers = splitCommas(items);
    const lists: Record<string, Component[]> = {};
    const comma: Component = { type: 'delim', value: ',' };
    let colourItem: Component | null = null;
    for (const [index, layer] of layers.entries()) {
      const parts = backgroundLayer(layer);
      if (!parts || (parts['background-color'] && index < layers.length - 1)) return null;
      colourItem = parts['background-color']?.[0] ?? null;
      for (const name of BACKGROUND.slice(0, -1)) {
        const list = (lists[name] ??= []);
        if (index > 0) list.push(comma);
        list.push(...(parts[name] ?? INITIAL_LAYER[name]!));
      }
    }
    return { ...lists, 'background-color': colourItem ? [colourItem] : 'initial' };
  },
};

const ident = (name: string): Component => ({ type: 'ident', name, raw: name });
const START: Component = { type: 'percentage', value: 0 };
const INITIAL_LAYER: Readonly<Record<string, readonly Component[]>> = {
  'background-image': [ident('none')],
  'background-position': [START, START],
  'background-size': [ident('auto')],
  'background-repeat': [ident('repeat')],
  'background-attachment': [ident('scroll')],
  'background-origin': [ident('padding-box')],
  'background-clip': [ident('border-box')],
};

function backgroundLayer(layer: readonly Component[]): Record<string, Component[]> | null {
  const out: Record<string, Component[]> = {};
  const add = (name: string, item: Component) => (out[name] ??= []).push(item);
  let sizing = false;
  for (const item of layer) {
    if (item.type === 'delim' && item.value === '/') {
      if (!out['background-position'] || sizing) return null;
      sizing = true;
    } else if (
      sizing &&
      (out['background-size']?.length ?? 0) < 2 &&
      (isIdent(item, 'auto', 'cover', 'contain') || readLength(item))
    )
      add('background-size', item);
    else if (isPosition(item)) {
      if (sizing && out['background-size'] === undefined) return null;
      add('background-position', item);
    } else if (isIdent(item, ...REPEATS)) add('background-repeat', item);
    else if (isIdent(item, 'scroll', 'fixed', 'local')) add('background-attachment', item);
    else if (isIdent(item, ...BOXES)) add(out['background-origin'] ? 'background-clip' : 'background-origin', item);
    else if (!out['background-image'] && accepts('background-image', [item])) add('background-image', item);
    else if (!out['background-color'] && readColour(item)) add('background-color', item);
    else return null;
  }
  if (layer.length === 0 || (out['background-position']?.length ?? 0) > 4) return null;
  if (out['background-origin'] && !out['background-clip']) out['background-clip'] = out['background-origin'];
  return out;
}

const COMMA: Component = { type: 'delim', value: ',' };

/** Transitions and animations: lists whose parts are told by their kind. @spec css-transitions-1 §2.5, css-animations-1 §3.10 */
function timeline(prefix: 'transition' | 'animation', names: readonly string[]): Shorthand {
  return {
    longhands: names.map((name) => `${prefix}-${name}`),
    expand: (items) => {
      const lists: Record<string, Component[]> = {};
      for (const part of splitCommas(items)) {
        if (part.length === 0) return null;
        for (const [name, value] of Object.entries(timelinePart(part, prefix))) {
          const list = (lists[`${prefix}-${name}`] ??= []);
          if (list.length > 0) list.push(COMMA);
          list.push(value);
        }
      }
      return lists;
    },
  };
}

const EASINGS = /^(ease|linear|ease-in|ease-out|ease-in-out|step-start|step-end)$/;
const NO_TIME: Component = { type: 'dimension', value: 0, unit: 's' };

function timelinePart(part: readonly Component[], prefix: 'transition' | 'animation'): Record<string, Component> {
  const out: Record<string, Component> = { duration: NO_TIME, delay: NO_TIME, 'timing-function': ident('ease') };
  if (prefix === 'transition') out.property = ident('all');
  else
    Object.assign(out, {
      name: ident('none'),
      'iteration-count': { type: 'number', value: 1, integer: true },
      'fill-mode': ident('none'),
      direction: ident('normal'),
      'play-state': ident('running'),
    });
  let times = 0;
  for (const item of part) {
    if (item.type === 'dimension' && (item.unit === 's' || item.unit === 'ms'))
      out[times++ === 0 ? 'duration' : 'delay'] = item;
    else if (
      (item.type === 'ident' && EASINGS.test(item.name)) ||
      (item.type === 'function' && /^(cubic-bezier|steps|linear)$/.test(item.name))
    )
      out['timing-function'] = item;
    else if (prefix === 'transition') {
      if (!isIdent(item, 'allow-discrete', 'normal')) out.property = item;
    } else if (isIdent(item, 'infinite') || item.type === 'number') out['iteration-count'] = item;
    else if (isIdent(item, 'forwards', 'backwards', 'both')) out['fill-mode'] = item;
    else if (isIdent(item, 'normal', 'reverse', 'alternate', 'alternate-reverse')) out.direction = item;
    else if (isIdent(item, 'running', 'paused')) out['play-state'] = item;
    else out.name = item;
  }
  return out;
}

/** Alignment shorthands: one value for both, or one each; two-word values are tried greedily. */
function place(first: string, second: string): Shorthand {
  return {
    longhands: [first, second],
    expand: (items) => {
      for (let cut = items.length; cut >= 1; cut--) {
        const a = items.slice(0, cut);
        const b = items.slice(cut);
        if (accepts(first, a) && accepts(second, b.length > 0 ? b : a))
          return { [first]: a, [second]: b.length > 0 ? b : a };
      }
      return null;
    },
  };
}

function gridLines(names: readonly string[]): Shorthand {
  return {
    longhands: names,
    expand: (items) => {
      const parts = splitAt(items, '/');
      if (parts.length > names.length || parts.some((part) => part.length === 0)) return null;
      const custom = (part: readonly Component[] | undefined) =>
        part?.length === 1 && part[0]!.type === 'ident' && part[0]!.name !== 'auto' ? part : undefined;
      const start = parts[0]!;
      const value = (i: number): readonly Component[] =>
        parts[i] ??
        (i === 3 ? custom(parts[1]) : undefined) ??
        (i === 1 || i === 2 ? custom(start) : i === 3 ? custom(start) : undefined) ?? [ident('auto')];
      return Object.fromEntries(names.map((name, i) => [name, value(i)]));
    },
  };
}

const GRID_TEMPLATE = ['grid-template-rows', 'grid-template-columns', 'grid-template-areas'];
const GRID_AUTO = ['grid-auto-rows', 'grid-auto-columns', 'grid-auto-flow'];
const gridTemplate: Shorthand = {
  longhands: GRID_TEMPLATE,
  expand: (items) => {
    if (items.length === 1 && isIdent(items[0], 'none')) return {};
    const parts = splitAt(items, '/');
    if (parts.length > 2 || parts.some((part) => part.length === 0)) return null;
    const columns: Pieces = parts[1] ? { 'grid-template-columns': parts[1] } : {};
    if (!parts[0]!.some((item) => item.type === 'string'))
      return parts[1] ? { 'grid-template-rows': parts[0]!, ...columns } : null;
    const areas: Component[] = [];
    const rows: Component[] = [];
    let open = false;
    for (const item of parts[0]!) {
      if (item.type === 'string') {
        if (open) rows.push(ident('auto'));
        areas.push(item);
        open = true;
      } else {
        if (item.type === 'block' && open) {
          rows.push(ident('auto'));
          open = false;
        } else if (item.type !== 'block') open = false;
        rows.push(item);
      }
    }
    if (open) rows.push(ident('auto'));
    return { 'grid-template-areas': areas, 'grid-template-rows': rows, ...columns };
  },
};
const grid: Shorthand = {
  longhands: [...GRID_TEMPLATE, ...GRID_AUTO],
  expand: (items, text) => {
    const parts = splitAt(items, '/');
    const auto = parts.findIndex((part) => part.some((item) => isIdent(item, 'auto-flow')));
    if (auto < 0) return gridTemplate.expand(items, text);
    if (parts.length !== 2) return null;
    const rest = parts[auto]!.filter((item) => !isIdent(item, 'auto-flow', 'dense'));
    const dense = parts[auto]!.some((item) => isIdent(item, 'dense'));
    const fixed = parts[1 - auto]!;
    const flow = `${auto === 0 ? 'row' : 'column'}${dense ? ' dense' : ''}`;
    return {
      [auto === 0 ? 'grid-template-columns' : 'grid-template-rows']: fixed,
      ...(rest.length > 0 ? { [auto === 0 ? 'grid-auto-rows' : 'grid-auto-columns']: rest } : {}),
      'grid-auto-flow': () => flow,
    };
  },
};

const listStyle: Shorthand = {
  longhands: ['list-style-type', 'list-style-position', 'list-style-image'],
  expand: (items) => {
    const pieces: Record<string, Piece> = {};
    let nones = 0;
    for (const item of items) {
      if (isIdent(item, 'none')) nones++;
      else if (isIdent(item, 'inside', 'outside') && !pieces['list-style-position'])
        pieces['list-style-position'] = [item];
      else if (
        (item.type === 'url' || (item.type === 'function' && item.name !== 'symbols')) &&
        !pieces['list-style-image']
      )
        pieces['list-style-image'] = [item];
      else if (isIdent(item) || item.type === 'string' || item.type === 'function') {
        if (pieces['list-style-type']) return null;
        pieces['list-style-type'] = [item];
      } else return null;
    }
    if (nones > 0 && !pieces['list-style-type']) pieces['list-style-type'] = [ident('none')];
    return items.length === 0 || nones > 2 ? null : pieces;
  },
};

const DECORATION = [
  'text-decoration-line',
  'text-decoration-style',
  'text-decoration-color',
  'text-decoration-thickness',
];
const LINES = ['underline', 'overline', 'line-through', 'blink'];
const textDecoration: Shorthand = {
  longhands: DECORATION,
  expand: (items, text) => {
    const lines = items.filter((item) => isIdent(item, ...LINES));
    const rest = items.filter((item) => !isIdent(item, ...LINES));
    const others = rest.length > 0 ? anyOrder(DECORATION).expand(rest, text) : {};
    if (!others || (lines.length > 0 && others['text-decoration-line'])) return null;
    return lines.length > 0 ? { ...others, 'text-decoration-line': lines } : others;
  },
};

const flexFlow = anyOrder(['flex-direction', 'flex-wrap']);
const outline = anyOrder(['outline-color', 'outline-style', 'outline-width']);
const columns: Shorthand = {
  longhands: ['column-width', 'column-count'],
  expand: (items, text) => {
    const rest = items.filter((item) => !isIdent(item, 'auto'));
    return items.length > 2
      ? null
      : rest.length === 0
        ? {}
        : anyOrder(['column-width', 'column-count']).expand(rest, text);
  },
};

const wrapping = anyOrder(['white-space-collapse', 'text-wrap-mode']);

/** What the older keywords stand for. @spec css-text-4 §3 (white-space) */
const WHITE_SPACE: Readonly<Record<string, readonly [string, string]>> = {
  normal: ['collapse', 'wrap'],
  pre: ['preserve', 'nowrap'],
  'pre-wrap': ['preserve', 'wrap'],
  'pre-line': ['preserve-breaks', 'wrap'],
};

const whiteSpace: Shorthand = {
  longhands: wrapping.longhands,
  expand: (items, text) => {
    const [item] = items;
    const pair = items.length === 1 && item?.type === 'ident' ? WHITE_SPACE[item.name] : undefined;
    if (!pair) return wrapping.expand(items, text);
    return { 'white-space-collapse': [ident(pair[0])], 'text-wrap-mode': [ident(pair[1])] };
  },
};

/** The shortest text of the two longhands. @spec cssom-1 §6.7.2 */
export function printWhiteSpace(collapse: string, mode: string): string {
  const old = Object.entries(WHITE_SPACE).find(([, pair]) => pair[0] === collapse && pair[1] === mode);
  if (old) return old[0];
  return mode === 'wrap' ? collapse : collapse === 'collapse' ? mode : `${collapse} ${mode}`;
}

function overflow(): Shorthand {
  return ends('overflow-x', 'overflow-y');
}

const quad = (before: string, after = ''): Shorthand => sides(SIDES.map((side) => `${before}${side}${after}`));
const axis = (before: string, name: string, after = ''): Shorthand =>
  ends(`${before}${name}-start${after}`, `${before}${name}-end${after}`);

export const SHORTHANDS: Readonly<Record<string, Shorthand>> = {
  margin: quad('margin-'),
  padding: quad('padding-'),
  inset: sides([...SIDES]),
  'scroll-margin': quad('scroll-margin-'),
  'scroll-padding': quad('scroll-padding-'),
  'border-width': quad('border-', '-width'),
  'border-style': quad('border-', '-style'),
  'border-color': quad('border-', '-color'),
  border: border(SIDES, ['border-image-source']),
  ...Object.fromEntries(
    [...SIDES, 'inline-start', 'inline-end', 'block-start', 'block-end'].map((side) => [
      `border-${side}`,
      border([side]),
    ]),
  ),
  'border-inline': border(['inline-start', 'inline-end']),
  'border-block': border(['block-start', 'block-end']),
  ...Object.fromEntries(
    ['inline', 'block'].flatMap((name) => [
      [`margin-${name}`, axis('margin-', name)],
      [`padding-${name}`, axis('padding-', name)],
      [`inset-${name}`, axis('inset-', name)],
      [`scroll-margin-${name}`, axis('scroll-margin-', name)],
      [`scroll-padding-${name}`, axis('scroll-padding-', name)],
      ...BORDER_PARTS.map((part) => [`border-${name}-${part}`, axis('border-', name, `-${part}`)]),
    ]),
  ),
  'border-radius': radius,
  outline,
  font,
  flex,
  'flex-flow': flexFlow,
  background,
  transition: timeline('transition', ['property', 'duration', 'timing-function', 'delay']),
  animation: timeline('animation', [
    'name',
    'duration',
    'timing-function',
    'delay',
    'iteration-count',
    'direction',
    'fill-mode',
    'play-state',
  ]),
  gap: ends('row-gap', 'column-gap'),
  'grid-gap': ends('row-gap', 'column-gap'),
  'place-content': place('align-content', 'justify-content'),
  'place-items': place('align-items', 'justify-items'),
  'place-self': place('align-self', 'justify-self'),
  'contain-intrinsic-size': place('contain-intrinsic-width', 'contain-intrinsic-height'),
  'grid-area': gridLines(['grid-row-start', 'grid-column-start', 'grid-row-end', 'grid-column-end']),
  'grid-row': gridLines(['grid-row-start', 'grid-row-end']),
  'grid-column': gridLines(['grid-column-start', 'grid-column-end']),
  'grid-template': gridTemplate,
  grid,
  'list-style': listStyle,
  'text-decoration': textDecoration,
  overflow: overflow(),
  'white-space': whiteSpace,
  'text-wrap': anyOrder(['text-wrap-mode', 'text-wrap-style']),
  'overscroll-behavior': ends('overscroll-behavior-x', 'overscroll-behavior-y'),
  columns,
};

/** Other spellings of properties. */
export const ALIASES: Readonly<Record<string, string>> = {
  'word-wrap': 'overflow-wrap',
  'grid-row-gap': 'row-gap',
  'grid-column-gap': 'column-gap',
  '-webkit-box-shadow': 'box-shadow',
  '-webkit-mask-image': 'mask-image',
  '-webkit-mask': 'mask-image',
  mask: 'mask-image',
  '-webkit-text-decoration': 'text-decoration',
  'font-width': 'font-stretch',
  ...Object.fromEntries(
    'align-content align-items align-self animation animation-delay animation-direction animation-duration animation-fill-mode animation-iteration-count animation-name animation-play-state animation-timing-function appearance backface-visibility background-clip background-origin background-size border-radius box-sizing clip-path column-count column-width columns filter flex flex-basis flex-direction flex-flow flex-grow flex-shrink flex-wrap justify-content order perspective perspective-origin transform transform-origin transform-style transition transition-delay transition-duration transition-property transition-timing-function user-select column-gap'
      .split(' ')
      .map((name) => [`-webkit-${name}`, name]),
  ),
};

export type { PropertyKey };
