import { positionOf } from '../../base/index.js';
import type { ElementNode } from '../../html/index.js';
import { navigatesByData, saysClose, type Menu, type MenuItem } from '../../menus/index.js';
import { leadsSomewhere } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { addressOf, goesByScript } from '../shared/addresses.js';
import type { Control } from '../shared/controls.js';
import { leavesByPress, PRESSES } from '../shared/presses.js';
import type { Subject } from '../subject.js';

/** Items that navigate without an address a crawler, a new tab or a page without scripts could follow. @spec html §4.6.2 */
export const uncrawlableLink = defineCheck(
  {
    id: 'uncrawlable-link',
    title: 'Items lead somewhere by a real address',
    weight: 'hinders',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'opened', widths: 'ends' },
    leansOn: [],
    explains: {
      means:
        'A link without a real address is not followed by search engines, cannot be opened in a new tab, copied or bookmarked, and goes nowhere when its script fails.',
      rule: [
        'Items that lead somewhere have an href with an address; “#!”, “#0”, “javascript:” and the like are none.',
        'Left out: items that open a part of the menu or close it, the current page, plain buttons, addresses of parts of this page.',
        '“#” is an address where the top of the page is meant: on “Home”, “Top”, or in a list of the page’s parts.',
      ],
      faulty: '<a onclick="location.href=\'fares.html\'">Fares</a>',
      mended: '<a href="fares.html">Fares</a>',
    },
    worse: null,
    messages: {
      'no-href': {
        says: '{subject} is a link without an address{how}. Crawlers do not follow it, the keyboard skips it, and it cannot be opened in a new tab.',
        mends: 'Give it the address it leads to: href="…". If it opens a part of the menu instead, make it a button.',
        criteria: [],
      },
      'empty-href': {
        says: '{subject} leads to “{href}”, which is no page{how}. Crawlers find nothing behind it, and without scripts it goes nowhere.',
        mends:
          'Put the real address into href. If it opens a part of the menu instead, make it a button with aria-expanded.',
        criteria: [],
      },
      'script-href': {
        says: '{subject} leads to a script (“{href}”). Crawlers do not run it as a link, and it fails when scripts are off.',
        mends: 'Put the real address into href and let the script add to it.',
        criteria: [],
      },
      'not-a-link': {
        says: '{subject} goes to another page by script alone: it is a {tag}, not a link. Crawlers do not follow it, and it cannot be opened in a new tab.',
        mends: 'Make it a link: <a href="…">.',
        criteria: [],
      },
    },
  },
  (subject) => subject.controls.flatMap((control) => (control.item ? observe(control, control.item, subject) : [])),
);

function observe(control: Control, item: MenuItem, subject: Subject): Observation[] {
  // A link that is switched off for now says so.
  if (control.disabled) return [];
  const fault = faultOf(control, item, subject);
  if (!fault || isCloser(control, subject)) return [];
  const span = item.element.attributeSpan('href') ?? item.element.startTag;
  const text = span?.source.text.slice(span.start, span.end).slice(0, 80) ?? '';
  return [
    {
      at: onElement(item.element),
      menus: control.menus,
      state: 'normal',
      message: fault.message,
      data: { subject: control.subject, ...fault.data },
      cause: span ? { selector: null, text, at: positionOf(span) } : null,
      common: fault.data.href ?? item.element.tag,
    },
  ];
}

interface Fault {
  readonly message: string;
  readonly data: Readonly<Record<string, string>>;
}

/** Opens something here instead of going elsewhere: not a link in the first place. */
function opensSomething({ element, submenu }: MenuItem): boolean {
  if (addressOf(element).kind === 'page') return false;
  if (submenu !== null) return true;
  const handler = element.attributes.get('onclick');
  if (handler !== undefined && !goesByScript(handler)) return true;
  return [...element.attributes.keys()].some((name) =>
    /^(aria-haspopup|aria-expanded|aria-controls|popovertarget|commandfor|command|data-([a-z]+-)?(toggle|target|menu|open|drawer|modal))$/.test(
      name,
    ),
  );
}

/** Whether something says that it closes the opened part it stands in, and does: it was never meant to lead anywhere. */
const isCloser = ({ element }: Control, subject: Subject): boolean =>
  saysClose(element) &&
  subject.parts.opened !== null &&
  subject.after({ by: 'press', element }).reach(element) === null;

/** Whether a script takes a press on something to another page: by what it says, or by what its listeners do. */
function goesElsewhere(element: ElementNode, subject: Subject): boolean {
  if (goesByScript(element.attributes.get('onclick') ?? '') || navigatesByData(element)) return true;
  if (addressOf(element).kind === 'page' || !subject.page.hearing.of(element, PRESSES)) return false;
  return leavesByPress(element, subject);
}

function faultOf(control: Control, item: MenuItem, subject: Subject): Fault | null {
  const { element } = item;
  if (opensSomething(item)) return null;
  const goes = goesElsewhere(element, subject);
  if (element.tag !== 'a') {
    const claims = element.attributes.get('role') === 'link' && !element.attributes.has('href');
    return goes || claims ? { message: 'not-a-link', data: { tag: element.tag } } : null;
  }
  const address = addressOf(element);
  // The item of the page one is on may do without an address, or name this very page.
  if (item.current && (address.kind === 'none' || address.kind === 'top' || address.kind === 'empty')) return null;
  const how = goes ? ' and goes on by script' : '';
  switch (address.kind) {
    case 'script':
      return { message: 'script-href', data: { href: clip(address.href) } };
    case 'none':
      return isTarget(element, item) ? null : { message: 'no-href', data: { how } };
    case 'empty':
      return { message: 'empty-href', data: { href: clip(address.href) || '(nothing)', how } };
    case 'top':
      return goes || !meansTop(control, item) ? { message: 'empty-href', data: { href: address.href, how } } : null;
    case 'fragment':
      return PLACEHOLDER.test(address.href) && !leadsSomewhere(subject.page, address.href)
        ? { message: 'empty-href', data: { href: address.href, how } }
        : null;
    case 'page':
      return null;
  }
}

/** Fragments people write where they mean no address. */
const PLACEHOLDER = /^#[!0]?$|^#(null|void|none|nogo|link|url|todo)$/i;

/** The top of the page is where home, top and the lists of a page's parts lead. @spec html §7.4.6.4 (the top of the document) */
function meansTop(control: Control, item: MenuItem): boolean {
  if (
    /\b(home|top|start|index|begin(ning)?|contents|oben|seitenanfang|inicio|arriba|accueil|haut|hjem|topp|etusivu)\b|^[↑⇧▲△^]/i.test(
      control.label,
    )
  )
    return true;
  return control.menus.some((menu) => listsParts(menu, item));
}

/** A list of links of which most lead to parts of this page. */
function listsParts(menu: Menu, except: MenuItem): boolean {
  const others = menu.items.filter((item) => item !== except && item.href !== null);
  const parts = others.filter((item) => /^#./.test(item.href!.trim()) && !PLACEHOLDER.test(item.href!.trim()));
  return parts.length >= 2 && parts.length * 2 > others.length;
}

/** An old-fashioned anchor: a place to jump to. */
const isTarget = (element: ElementNode, item: MenuItem): boolean =>
  element.attributes.has('name') || (element.id !== null && element.elements.length === 0 && item.label === '');

const clip = (text: string): string => (text.length > 40 ? `${text.slice(0, 37)}…` : text);
