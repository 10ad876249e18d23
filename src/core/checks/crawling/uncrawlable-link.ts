import { positionOf } from '../../base/index.js';
import type { ElementNode } from '../../html/index.js';
import type { MenuItem } from '../../menus/index.js';
import { defineCheck, type Look, type Observation } from '../define.js';

/** Items that navigate without an address a crawler, a new tab or a page without scripts could follow. */
export const uncrawlableLink = defineCheck(
  {
    id: 'uncrawlable-link',
    title: 'Items lead somewhere by a real address',
    weight: 'hinders',
    criteria: [],
    messages: {
      'no-href': {
        says: '“{label}” is a link without an address{how}. Crawlers do not follow it, the keyboard skips it, and it cannot be opened in a new tab.',
        mends: 'Give it the address it leads to: href="…". If it opens a part of the menu instead, make it a button.',
      },
      'empty-href': {
        says: '“{label}” leads to “{href}”, which is no page{how}. Crawlers find nothing behind it, and without scripts it goes nowhere.',
        mends:
          'Put the real address into href. If it opens a part of the menu instead, make it a button with aria-expanded.',
      },
      'script-href': {
        says: '“{label}” leads to a script (“{href}”). Crawlers do not run it as a link, and it fails when scripts are off.',
        mends: 'Put the real address into href and let the script add to it.',
      },
      'not-a-link': {
        says: '“{label}” goes to another page by script alone: it is a {tag}, not a link. Crawlers do not follow it, and it cannot be opened in a new tab.',
        mends: 'Make it a link: <a href="…">.',
      },
    },
  },
  inspect,
);

function inspect(look: Look): readonly Observation[] {
  return look.menus.flatMap((menu) =>
    menu.items.flatMap((item): Observation[] => {
      const fault = faultOf(item);
      if (!fault || !look.scene.seen(item.element)) return [];
      const span = item.element.attributeSpan('href') ?? item.element.startTag;
      const cause = span
        ? { selector: null, text: span.source.text.slice(span.start, span.end).slice(0, 80), at: positionOf(span) }
        : null;
      return [
        {
          element: item.element,
          menu,
          state: 'normal',
          message: fault.message,
          data: { label: item.label || item.element.tag, ...fault.data },
          cause,
        },
      ];
    }),
  );
}

interface Fault {
  readonly message: string;
  readonly data: Readonly<Record<string, string>>;
}

/** Opens something here instead of going elsewhere: not a link in the first place. */
function opensSomething({ element, submenu }: MenuItem): boolean {
  if (submenu !== null && !isRealAddress(element.attributes.get('href'))) return true;
  const { attributes } = element;
  const handler = attributes.get('onclick');
  if (handler !== undefined && !isRealAddress(attributes.get('href')) && !GOES.test(handler)) return true;
  if (attributes.has('aria-haspopup') || attributes.has('aria-expanded') || attributes.has('aria-controls'))
    return true;
  return [
    'data-toggle',
    'data-bs-toggle',
    'data-target',
    'data-bs-target',
    'popovertarget',
    'commandfor',
    'command',
  ].some((name) => attributes.has(name));
}

const isRealAddress = (href: string | undefined): boolean =>
  href !== undefined && href.trim() !== '' && href.trim() !== '#' && !/^\s*javascript:/i.test(href);

const GOES =
  /(?:\b(?:window|document|top|parent|self)\s*\.\s*)?\blocation\b\s*(?:\.\s*(?:href|assign|replace)\b)?\s*[=(]|\bnavigate(?:To)?\s*\(/;
const ADDRESS_DATA = ['data-href', 'data-url', 'data-link'];

function navigatesByScript(element: ElementNode): boolean {
  return (
    GOES.test(element.attributes.get('onclick') ?? '') ||
    ADDRESS_DATA.some((name) => isRealAddress(element.attributes.get(name)))
  );
}

function faultOf(item: MenuItem): Fault | null {
  const { element } = item;
  const href = element.attributes.get('href');
  if (opensSomething(item)) return null;
  if (element.tag !== 'a')
    return navigatesByScript(element) || (element.attributes.get('role') === 'link' && !navigable(element))
      ? { message: 'not-a-link', data: { tag: element.tag } }
      : null;
  // The item of the page one is on may do without an address, or name this very page.
  if (item.current && (href === undefined || href.trim() === '' || href.trim() === '#')) return null;
  if (href !== undefined && /^\s*javascript:/i.test(href))
    return { message: 'script-href', data: { href: clip(href) } };
  if (isRealAddress(href)) return null;
  const how = navigatesByScript(element) ? ' and goes on by script' : '';
  if (href === undefined)
    return element.attributes.has('name') || (element.id !== null && element.elements.length === 0 && item.label === '')
      ? null
      : { message: 'no-href', data: { how } };
  return { message: 'empty-href', data: { href: clip(href), how } };
}

const navigable = (element: ElementNode): boolean => element.tag === 'area' && element.attributes.has('href');
const clip = (text: string): string => (text.length > 40 ? `${text.slice(0, 37)}…` : text);
