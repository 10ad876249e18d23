import names from './roles.json' with { type: 'json' };
import { closest, MARKUP, splitTokens, type ElementNode, type MarkupView } from '../html/index.js';
import { isFocusable } from './focus.js';

const KNOWN = new Set<string>(names);
const SECTIONING = new Set(['article', 'aside', 'main', 'nav', 'section']);
/** Attributes that make an element without a role of its own a part to be told of. @spec html-aam §3.4 */
const GROUPING = ['autofocus', 'draggable', 'popover'];
const GLOBAL =
  /^aria-(atomic|busy|controls|current|describedby|details|dropeffect|errormessage|flowto|grabbed|keyshortcuts|label|labelledby|live|owns|relevant|roledescription)$/;

const INPUTS: Readonly<Record<string, string>> = {
  button: 'button',
  submit: 'button',
  reset: 'button',
  image: 'button',
  checkbox: 'checkbox',
  radio: 'radio',
  range: 'slider',
  number: 'spinbutton',
  search: 'searchbox',
  email: 'textbox',
  tel: 'textbox',
  text: 'textbox',
  url: 'textbox',
  '': 'textbox',
};

const FIXED: Readonly<Record<string, string>> = {
  address: 'group',
  article: 'article',
  blockquote: 'blockquote',
  body: 'generic',
  button: 'button',
  caption: 'caption',
  code: 'code',
  datalist: 'listbox',
  dd: 'definition',
  del: 'deletion',
  details: 'group',
  dfn: 'term',
  dialog: 'dialog',
  dt: 'term',
  em: 'emphasis',
  fieldset: 'group',
  figure: 'figure',
  h1: 'heading',
  h2: 'heading',
  h3: 'heading',
  h4: 'heading',
  h5: 'heading',
  h6: 'heading',
  hgroup: 'group',
  hr: 'separator',
  html: 'document',
  ins: 'insertion',
  main: 'main',
  mark: 'mark',
  math: 'math',
  menu: 'list',
  meter: 'meter',
  nav: 'navigation',
  ol: 'list',
  optgroup: 'group',
  option: 'option',
  output: 'status',
  p: 'paragraph',
  progress: 'progressbar',
  search: 'search',
  strong: 'strong',
  sub: 'subscript',
  sup: 'superscript',
  svg: 'graphics-document',
  table: 'table',
  tbody: 'rowgroup',
  textarea: 'textbox',
  tfoot: 'rowgroup',
  thead: 'rowgroup',
  time: 'time',
  tr: 'row',
  ul: 'list',
};

/** Roles whose explicit none is ignored because the element is focusable or has a global attribute. @spec wai-aria-1.2 §9.1 */
function keepsSemantics(element: ElementNode, m: MarkupView): boolean {
  return (
    isFocusable(element, m) || [...element.attributes.keys()].some((name) => GLOBAL.test(name) && has(element, name, m))
  );
}

/** The role of an element: its own valid role, or what the markup means. @spec html-aam §3, wai-aria-1.2 §8.1 */
export function roleOf(element: ElementNode, m: MarkupView = MARKUP): string {
  for (const role of splitTokens((m.attribute(element, 'role') ?? '').toLowerCase())) {
    if (role !== 'image' && !KNOWN.has(role) && !role.startsWith('graphics-') && !role.startsWith('doc-')) continue;
    if (role === 'none' || role === 'presentation') {
      if (keepsSemantics(element, m)) continue;
      return grouped(element, m) ?? 'none';
    }
    if ((role === 'region' || role === 'form') && !hasName(element, m)) continue;
    if (role === 'generic') return grouped(element, m) ?? role;
    if (role === 'gridcell' && isStray(element, m)) continue;
    return role === 'img' ? 'image' : role;
  }
  const implicit = implicitRole(element, m);
  return implicit === 'generic' ? (grouped(element, m) ?? implicit) : implicit;
}

/** A control that would be a cell outside of any row stays what it is. @spec wai-aria-1.3 §9.3 */
const isStray = (element: ElementNode, m: MarkupView): boolean =>
  implicitRole(element, m) !== 'generic' &&
  closest(element, (e) => e.tag === 'tr' || m.attribute(e, 'role') === 'row') === null;

const grouped = (element: ElementNode, m: MarkupView): string | null =>
  (element.tag === 'div' || element.tag === 'section' || element.tag === 'span') &&
  GROUPING.some((name) => has(element, name, m) && m.attribute(element, name) !== 'false')
    ? 'group'
    : null;

const has = (element: ElementNode, name: string, m: MarkupView): boolean => m.attribute(element, name) !== undefined;

const hasName = (element: ElementNode, m: MarkupView): boolean =>
  ['aria-label', 'aria-labelledby', 'title'].some((name) => (m.attribute(element, name) ?? '').trim() !== '');

function implicitRole(element: ElementNode, m: MarkupView): string {
  const { tag } = element;
  if (element.namespace === 'svg')
    return tag === 'svg' ? 'graphics-document' : tag === 'a' && has(element, 'href', m) ? 'link' : 'generic';
  switch (tag) {
    case 'a':
    case 'area':
      return has(element, 'href', m) ? 'link' : 'generic';
    case 'aside':
      return inSection(element, m) && !hasName(element, m) ? 'generic' : 'complementary';
    case 'footer':
      return scoped(element, m) ? 'sectionfooter' : 'contentinfo';
    case 'header':
      return scoped(element, m) ? 'sectionheader' : 'banner';
    case 'form':
      return hasName(element, m) ? 'form' : 'generic';
    case 'section':
      return hasName(element, m) ? 'region' : 'generic';
    case 'img':
      return m.attribute(element, 'alt') === '' && !hasName(element, m) ? 'none' : 'image';
    case 'input':
      return input(element, m);
    case 'li':
      return element.parent && ['ul', 'ol', 'menu'].includes(element.parent.tag) ? 'listitem' : 'generic';
    case 'select':
      return has(element, 'multiple', m) || Number(m.attribute(element, 'size') ?? 1) > 1 ? 'listbox' : 'combobox';
    case 'td':
      return cellRole(element, 'cell', m);
    case 'th':
      return header(element, m);
    default:
      return FIXED[tag] ?? 'generic';
  }
}

/** header and footer are landmarks only outside sectioning content. */
const scoped = (element: ElementNode, m: MarkupView): boolean =>
  element.parent !== null &&
  closest(
    element.parent,
    (e) =>
      SECTIONING.has(e.tag) ||
      ['article', 'complementary', 'main', 'navigation', 'region'].includes(m.attribute(e, 'role') ?? ''),
  ) !== null;

/** An aside in the main part is still a landmark, one in a section of it is not. */
const inSection = (element: ElementNode, m: MarkupView): boolean =>
  element.parent !== null &&
  closest(
    element.parent,
    (e) =>
      (SECTIONING.has(e.tag) && e.tag !== 'main') ||
      ['article', 'complementary', 'navigation', 'region'].includes(m.attribute(e, 'role') ?? ''),
  ) !== null;

function input(element: ElementNode, m: MarkupView): string {
  const type = (m.attribute(element, 'type') ?? '').toLowerCase();
  const role = type === 'checkbox' && has(element, 'switch', m) ? 'switch' : INPUTS[type];
  if (has(element, 'list', m) && (role === 'textbox' || role === 'searchbox')) return 'combobox';
  return (
    role ??
    (['date', 'time', 'month', 'week', 'datetime-local', 'color', 'file', 'password', 'hidden'].includes(type)
      ? 'generic'
      : 'textbox')
  );
}

function tableOf(element: ElementNode): ElementNode | null {
  return closest(element, (e) => e.tag === 'table');
}

function cellRole(element: ElementNode, role: string, m: MarkupView): string {
  const table = tableOf(element);
  const kind = table ? m.attribute(table, 'role') : undefined;
  return kind === 'grid' || kind === 'treegrid' ? 'gridcell' : role;
}

function header(element: ElementNode, m: MarkupView): string {
  const scope = (m.attribute(element, 'scope') ?? '').toLowerCase();
  if (scope === 'row' || scope === 'rowgroup') return 'rowheader';
  if (scope === 'col' || scope === 'colgroup') return 'columnheader';
  const inHead = closest(element, (e) => e.tag === 'thead') !== null;
  const row = element.parent;
  const allHeaders = row?.elements.every((e) => e.tag === 'th') ?? false;
  return inHead || allHeaders ? 'columnheader' : 'rowheader';
}
