import names from './roles.json' with { type: 'json' };
import { closest, splitTokens, type ElementNode } from '../html/index.js';
import { isFocusable } from './focus.js';

const KNOWN = new Set<string>(names);
const SECTIONING = new Set(['article', 'aside', 'main', 'nav', 'section']);
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
function keepsSemantics(element: ElementNode): boolean {
  return isFocusable(element) || [...element.attributes.keys()].some((name) => GLOBAL.test(name));
}

/** The role of an element: its own valid role, or what the markup means. @spec html-aam §3, wai-aria-1.2 §8.1 */
export function roleOf(element: ElementNode): string {
  for (const role of splitTokens((element.attributes.get('role') ?? '').toLowerCase())) {
    if (!KNOWN.has(role) && !role.startsWith('graphics-') && !role.startsWith('doc-')) continue;
    if (role === 'none' || role === 'presentation') {
      if (keepsSemantics(element)) continue;
      return 'none';
    }
    if ((role === 'region' || role === 'form') && !hasName(element)) continue;
    return role === 'img' ? 'image' : role;
  }
  return implicitRole(element);
}

const hasName = (element: ElementNode): boolean =>
  ['aria-label', 'aria-labelledby', 'title'].some((name) => (element.attributes.get(name) ?? '').trim() !== '');

function implicitRole(element: ElementNode): string {
  const { tag, attributes } = element;
  if (element.namespace === 'svg')
    return tag === 'svg' ? 'graphics-document' : tag === 'a' && attributes.has('href') ? 'link' : 'generic';
  switch (tag) {
    case 'a':
    case 'area':
      return attributes.has('href') ? 'link' : 'generic';
    case 'aside':
      return scoped(element) && !hasName(element) ? 'generic' : 'complementary';
    case 'footer':
      return scoped(element) ? 'generic' : 'contentinfo';
    case 'header':
      return scoped(element) ? 'generic' : 'banner';
    case 'form':
      return hasName(element) ? 'form' : 'generic';
    case 'section':
      return hasName(element) ? 'region' : 'generic';
    case 'img':
      return attributes.get('alt') === '' && !hasName(element) ? 'none' : 'image';
    case 'input':
      return input(element);
    case 'li':
      return element.parent && ['ul', 'ol', 'menu'].includes(element.parent.tag) ? 'listitem' : 'generic';
    case 'select':
      return attributes.has('multiple') || Number(attributes.get('size') ?? 1) > 1 ? 'listbox' : 'combobox';
    case 'td':
      return cellRole(element, 'cell');
    case 'th':
      return header(element);
    default:
      return FIXED[tag] ?? 'generic';
  }
}

/** header and footer are landmarks only outside sectioning content. */
const scoped = (element: ElementNode): boolean =>
  element.parent !== null &&
  closest(
    element.parent,
    (e) =>
      SECTIONING.has(e.tag) ||
      ['article', 'complementary', 'main', 'navigation', 'region'].includes(e.attributes.get('role') ?? ''),
  ) !== null;

function input(element: ElementNode): string {
  const type = (element.attributes.get('type') ?? '').toLowerCase();
  const role = INPUTS[type];
  if (element.attributes.has('list') && (role === 'textbox' || role === 'searchbox')) return 'combobox';
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

function cellRole(element: ElementNode, role: string): string {
  const kind = tableOf(element)?.attributes.get('role');
  return kind === 'grid' || kind === 'treegrid' ? 'gridcell' : role;
}

function header(element: ElementNode): string {
  const scope = (element.attributes.get('scope') ?? '').toLowerCase();
  if (scope === 'row' || scope === 'rowgroup') return 'rowheader';
  if (scope === 'col' || scope === 'colgroup') return 'columnheader';
  const inHead = closest(element, (e) => e.tag === 'thead') !== null;
  const row = element.parent;
  const allHeaders = row?.elements.every((e) => e.tag === 'th') ?? false;
  return inHead || allHeaders ? 'columnheader' : 'rowheader';
}
