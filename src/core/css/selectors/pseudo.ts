import { MARKUP, type ElementNode, type MarkupView } from '../../html/index.js';
import { decide, type FactName, type Guard } from './guard.js';
import type { MatchContext, Matcher } from './types.js';

const fact =
  (name: FactName): Matcher =>
  (element): Guard => ({ op: 'state', name, element });

/** A question about where an element stands in the tree. */
const when =
  (test: (e: ElementNode, c: MatchContext) => boolean): Matcher =>
  (e, c) =>
    test(e, c);

/** A question about attributes of an element and of those around it. */
export const markupMatcher =
  (text: string, test: (e: ElementNode, m: MarkupView) => boolean): Matcher =>
  (e, c) =>
    c.changeable === null ? test(e, MARKUP) : decide(c.changeable.near(e), e, text, (markup) => test(e, markup));

const never: Matcher = () => false;
const FORM_CONTROLS = new Set(['button', 'input', 'select', 'textarea', 'optgroup', 'option', 'fieldset']);
const TEXT_INPUTS = new Set([
  '',
  'text',
  'search',
  'url',
  'tel',
  'email',
  'password',
  'number',
  'date',
  'time',
  'month',
  'week',
  'datetime-local',
]);
const has = (m: MarkupView, e: ElementNode, name: string): boolean => m.attribute(e, name) !== undefined;
const isLink = (e: ElementNode, m: MarkupView) => (e.tag === 'a' || e.tag === 'area') && has(m, e, 'href');
const inputType = (e: ElementNode, m: MarkupView) => (m.attribute(e, 'type') ?? '').toLowerCase();

function isDisabled(e: ElementNode, m: MarkupView): boolean {
  if (!FORM_CONTROLS.has(e.tag)) return false;
  if (has(m, e, 'disabled')) return true;
  for (let a = e.parent, child = e; a; child = a, a = a.parent) {
    if (a.tag === 'fieldset' && has(m, a, 'disabled'))
      return !(child.tag === 'legend' && a.elements.find((x) => x.tag === 'legend') === child);
    if (e.tag === 'option' && a.tag === 'optgroup') return has(m, a, 'disabled');
  }
  return false;
}

function isEditable(e: ElementNode, m: MarkupView): boolean {
  const free = !has(m, e, 'readonly') && !has(m, e, 'disabled');
  if (e.tag === 'textarea') return free;
  if (e.tag === 'input') return free && TEXT_INPUTS.has(inputType(e, m));
  const editable = m.attribute(e, 'contenteditable');
  return editable !== undefined && editable !== 'false';
}

const isEmpty = (e: ElementNode) => e.children.every((c) => c.kind === 'text' && c.data === '');

function requirable(e: ElementNode, m: MarkupView): boolean {
  return (
    e.tag === 'select' ||
    e.tag === 'textarea' ||
    (e.tag === 'input' && !['hidden', 'range', 'color', 'submit', 'image', 'reset', 'button'].includes(inputType(e, m)))
  );
}

const isRequired = (e: ElementNode, m: MarkupView) => requirable(e, m) && has(m, e, 'required');
const sameType = (e: ElementNode, from: readonly ElementNode[]) => from.filter((s) => s.tag === e.tag);
const siblings = (e: ElementNode): readonly ElementNode[] => e.parent?.elements ?? [e];

function isPlaceholderShown(e: ElementNode, m: MarkupView): boolean {
  if (!has(m, e, 'placeholder')) return false;
  if (e.tag === 'textarea') return isEmpty(e);
  return e.tag === 'input' && TEXT_INPUTS.has(inputType(e, m)) && (m.attribute(e, 'value') ?? '') === '';
}

/** Pseudo-classes without arguments. @spec selectors-4, html §4.16.3 */
export const PSEUDO_CLASSES: Readonly<Record<string, Matcher>> = {
  hover: fact('hover'),
  active: fact('active'),
  focus: fact('focus'),
  'focus-visible': fact('focus-visible'),
  'focus-within': fact('focus-within'),
  target: fact('target'),
  'target-within': fact('target-within'),
  checked: fact('checked'),
  open: fact('open'),
  'popover-open': fact('popover-open'),
  modal: fact('modal'),
  root: when((e, c) => e === c.root),
  scope: when((e, c) => e === (c.scope ?? c.root)),
  link: markupMatcher(':link', isLink),
  'any-link': markupMatcher(':any-link', isLink),
  '-webkit-any-link': markupMatcher(':any-link', isLink),
  visited: never,
  'first-child': when((e) => e.position === 0),
  'last-child': when((e) => e.position === siblings(e).length - 1),
  'only-child': when((e) => siblings(e).length === 1),
  'first-of-type': when((e) => siblings(e).find((s) => s.tag === e.tag) === e),
  'last-of-type': when((e) => siblings(e).findLast((s) => s.tag === e.tag) === e),
  'only-of-type': when((e) => sameType(e, siblings(e)).length === 1),
  empty: when(isEmpty),
  enabled: markupMatcher(':enabled', (e, m) => FORM_CONTROLS.has(e.tag) && !isDisabled(e, m)),
  disabled: markupMatcher(':disabled', isDisabled),
  required: markupMatcher(':required', isRequired),
  optional: markupMatcher(':optional', (e, m) => requirable(e, m) && !has(m, e, 'required')),
  'read-write': markupMatcher(':read-write', isEditable),
  'read-only': markupMatcher(':read-only', (e, m) => !isEditable(e, m)),
  'placeholder-shown': markupMatcher(':placeholder-shown', isPlaceholderShown),
  default: when((e) =>
    e.tag === 'option' ? e.attributes.has('selected') : e.tag === 'input' && e.attributes.has('checked'),
  ),
  indeterminate: when((e) => e.tag === 'progress' && !e.attributes.has('value')),
  valid: markupMatcher(
    ':valid',
    (e, m) =>
      ['input', 'select', 'textarea', 'form', 'fieldset', 'button', 'output'].includes(e.tag) && !isRequired(e, m),
  ),
  invalid: markupMatcher(
    ':invalid',
    (e, m) =>
      isRequired(e, m) && (m.attribute(e, 'value') ?? '') === '' && !['checkbox', 'radio'].includes(inputType(e, m)),
  ),
  'in-range': when((e) => e.tag === 'input' && (e.attributes.has('min') || e.attributes.has('max'))),
  'out-of-range': never,
  'user-valid': never,
  'user-invalid': never,
  defined: when((e) => e.namespace !== 'html' || !e.tag.includes('-')),
  autofill: never,
  '-webkit-autofill': never,
  fullscreen: never,
  '-webkit-full-screen': never,
  'picture-in-picture': never,
  paused: never,
  playing: never,
  muted: never,
  buffering: never,
  seeking: never,
  stalled: never,
  'volume-locked': never,
  host: never,
  current: never,
  past: never,
  future: never,
  'window-inactive': never,
  horizontal: never,
  vertical: never,
  decrement: never,
  increment: never,
  'corner-present': never,
  'double-button': never,
  'single-button': never,
  'no-button': never,
  start: never,
  end: never,
};

/** The language of an element, by the nearest lang attribute. @spec html §3.2.6.2 */
export function languageOf(element: ElementNode, markup: MarkupView = MARKUP): string {
  for (let e: ElementNode | null = element; e; e = e.parent) {
    const lang = markup.attribute(e, 'lang') ?? markup.attribute(e, 'xml:lang');
    if (lang !== undefined) return lang.toLowerCase();
  }
  return '';
}

/** Extended filtering of RFC 4647 as Selectors asks for. @spec selectors-4 §7.2 */
export function matchesLanguage(range: string, language: string): boolean {
  if (range === '') return language === '';
  const wanted = range.toLowerCase().split('-');
  const given = language.split('-');
  if (wanted[0] !== '*' && wanted[0] !== given[0]) return false;
  let i = 1;
  for (const part of wanted.slice(1)) {
    while (i < given.length && given[i] !== part && given[i]!.length > 1) i++;
    if (given[i] !== part) return false;
    i++;
  }
  return language !== '';
}

const RTL = /[\u0590-\u08ff\ufb1d-\ufdff\ufe70-\ufefc]/;
const LTR = /[A-Za-z\u00c0-\u02b8\u0370-\u058f\u0900-\u1fff\u3040-\ud7ff]/;

/** The directionality of an element. @spec html §3.2.6.4 */
export function directionOf(element: ElementNode, markup: MarkupView = MARKUP): 'ltr' | 'rtl' {
  for (let e: ElementNode | null = element; e; e = e.parent) {
    const dir = markup.attribute(e, 'dir')?.toLowerCase();
    if (dir === 'ltr' || dir === 'rtl') return dir;
    if (dir === 'auto' || (dir === undefined && e.tag === 'bdi')) return firstStrong(e) ?? 'ltr';
  }
  return 'ltr';
}

function firstStrong(element: ElementNode): 'ltr' | 'rtl' | null {
  for (const child of element.children) {
    if (child.kind === 'text') {
      for (const character of child.data) {
        if (RTL.test(character)) return 'rtl';
        if (LTR.test(character)) return 'ltr';
      }
    } else if (!['bdi', 'script', 'style', 'textarea'].includes(child.tag) && !child.attributes.has('dir')) {
      const found = firstStrong(child);
      if (found) return found;
    }
  }
  return null;
}
