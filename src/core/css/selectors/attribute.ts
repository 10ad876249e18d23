import type { Attribute } from 'postcss-selector-parser';
import type { ElementNode, MarkupView } from '../../html/index.js';
import { decide } from './guard.js';
import type { Matcher } from './types.js';

const CASELESS_ATTRIBUTES = new Set(
  'accept accept-charset align alink axis bgcolor charset checked clear codetype color compact declare defer dir direction disabled enctype face frame hreflang http-equiv lang language link media method multiple nohref noresize noshade nowrap readonly rel rev rules scope scrolling selected shape target text type valign valuetype vlink'.split(
    ' ',
  ),
);

/** @spec selectors-4 §6 */
export function attributeMatcher(node: Attribute): Matcher {
  const name = node.attribute.toLowerCase();
  const raw = node.attribute;
  const wanted = node.value ?? '';
  const { operator } = node;
  const caseless = node.insensitive || (CASELESS_ATTRIBUTES.has(name) && !/\ss\s*\]$/i.test(String(node)));
  const fold = (text: string) => (caseless ? text.toLowerCase() : text);
  const value = fold(wanted);
  const text = String(node).trim();
  const nameIn = (e: ElementNode) => (e.namespace === 'html' ? name : raw);
  const ask =
    (check: (given: string | undefined, e: ElementNode) => boolean): Matcher =>
    (e, c) => {
      const own = nameIn(e);
      if (!c.changeable?.attribute(e, own)) return check(e.attributes.get(own), e);
      return decide(true, e, text, (m: MarkupView) => check(m.attribute(e, own), e), 'own');
    };
  if (!operator) return ask((given) => given !== undefined);
  const test = (check: (given: string) => boolean): Matcher =>
    ask((given, e) => given !== undefined && check(e.namespace === 'html' ? fold(given) : given));
  switch (operator) {
    case '=':
      return test((given) => given === value);
    case '~=':
      return value === '' || /\s/.test(value)
        ? () => false
        : test((given) => given.split(/[ \t\n\f\r]+/).includes(value));
    case '|=':
      return test((given) => given === value || given.startsWith(`${value}-`));
    case '^=':
      return value === '' ? () => false : test((given) => given.startsWith(value));
    case '$=':
      return value === '' ? () => false : test((given) => given.endsWith(value));
    case '*=':
      return value === '' ? () => false : test((given) => given.includes(value));
  }
}
