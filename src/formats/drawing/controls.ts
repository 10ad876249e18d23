import type { Rect } from '../../core/base/index.js';
import { winnerOf, type ComputedStyle } from '../../core/cascade/index.js';
import type { Rgba } from '../../core/css/index.js';
import type { ElementNode } from '../../core/index.js';
import { paint } from './paint.js';
import { shape, type Shape } from './xml.js';

type Write = (text: string, x: number, baseline: number, colour: Rgba) => Shape;

const PALE: Rgba = { r: 117, g: 117, b: 117, a: 1 };
const ACCENT: Rgba = { r: 20, g: 97, b: 188, a: 1 };
const WHITE: Rgba = { r: 255, g: 255, b: 255, a: 1 };

/** What a page has to leave alone for a control to look as the browser's own. @spec css-ui-4 §7.2 */
const OWN_LOOK = [
  'borderTopWidth',
  'borderTopStyle',
  'borderTopColor',
  'borderBottomWidth',
  'borderLeftWidth',
  'borderTopLeftRadius',
  'backgroundColor',
  'backgroundImage',
] as const;

const BUTTONS = /^(button|submit|reset)$/;
const FIELDS = /^(text|search|email|url|tel|password|number|date|time|month|week|datetime-local)$/;

/** The ground of a button or text field the page has not styled, as browsers draw it; null for anything else. */
export function drawNative(element: ElementNode | null, style: ComputedStyle, rect: Rect): Shape[] | null {
  const plain = winnerOf(style, 'appearance') !== null && style.appearance === 'none';
  if (!element || element.namespace !== 'html' || plain) return null;
  const type = (element.attributes.get('type') ?? 'text').toLowerCase();
  const button = element.tag === 'button' || (element.tag === 'input' && BUTTONS.test(type));
  const field = element.tag === 'input' && FIELDS.test(type);
  if (
    (!button && !field) ||
    OWN_LOOK.some((key) => (winnerOf(style, key)?.match.origin ?? 'user-agent') !== 'user-agent')
  )
    return null;
  const { x, y, width, height } = rect;
  const faded = element.attributes.has('disabled');
  return [
    shape('rect', {
      x: x + 0.5,
      y: y + 0.5,
      width: Math.max(0, width - 1),
      height: Math.max(0, height - 1),
      rx: button ? 3 : 2,
      'stroke-width': 1,
      ...paint('stroke', { ...FRAME, a: faded ? 0.3 : 1 }),
      ...paint('fill', style.backgroundColor),
    }),
  ];
}

const FRAME: Rgba = { r: 118, g: 118, b: 118, a: 1 };

/** What a form control shows inside its box. */
export function drawControl(element: ElementNode, room: Rect, style: ComputedStyle, write: Write): Shape[] {
  const type = (element.attributes.get('type') ?? 'text').toLowerCase();
  const middle = room.y + room.height / 2 + style.fontSize * 0.35;
  if (element.tag === 'input' && (type === 'checkbox' || type === 'radio'))
    return mark(type, element.attributes.has('checked'), room);
  if (element.tag === 'select') {
    const option = options(element).find((o) => o.attributes.has('selected')) ?? options(element)[0];
    const x = room.x + room.width - 12;
    const y = room.y + room.height / 2;
    const caret = shape('path', {
      d: `M${x} ${y - 2}l4 4 4-4`,
      fill: 'none',
      'stroke-width': 1.5,
      ...paint('stroke', style.color),
    });
    return [write(option ? textOf(option) : '', room.x + 4, middle, style.color), caret];
  }
  if (element.tag === 'meter' || element.tag === 'progress') {
    const share = Number(element.attributes.get('value') ?? 0) / Number(element.attributes.get('max') ?? 1);
    return [
      shape('rect', { ...room, rx: 4, fill: '#e2e5ea' }),
      shape('rect', {
        ...room,
        rx: 4,
        width: room.width * Math.max(0, Math.min(1, share || 0)),
        ...paint('fill', ACCENT),
      }),
    ];
  }
  const value = element.tag === 'textarea' ? textOf(element) : (element.attributes.get('value') ?? '');
  const shown = value || (element.attributes.get('placeholder') ?? '');
  if (shown === '' || type === 'password') return [];
  const baseline = element.tag === 'textarea' ? room.y + style.fontSize : middle;
  return [write(shown, room.x, baseline, value ? style.color : PALE)];
}

const options = (element: ElementNode): readonly ElementNode[] =>
  element.elements.flatMap((e) => (e.tag === 'optgroup' ? e.elements : [e])).filter((e) => e.tag === 'option');

const textOf = (element: ElementNode): string =>
  element.children
    .map((c) => (c.kind === 'text' ? c.data : ''))
    .join('')
    .trim();

function mark(type: 'checkbox' | 'radio', checked: boolean, { x, y, width, height }: Rect): Shape[] {
  const size = Math.min(width, height);
  const radius = type === 'radio' ? size / 2 : 2;
  const frame = shape('rect', {
    x,
    y,
    width: size,
    height: size,
    rx: radius,
    'stroke-width': 1,
    ...paint('stroke', PALE),
    ...paint('fill', checked ? ACCENT : WHITE),
  });
  if (!checked) return [frame];
  const tick = shape('path', {
    d: `M${x + size * 0.22} ${y + size * 0.52}l${size * 0.2} ${size * 0.2} ${size * 0.36} -${size * 0.4}`,
    fill: 'none',
    'stroke-width': Math.max(1.5, size / 8),
    ...paint('stroke', WHITE),
  });
  return [frame, tick];
}
