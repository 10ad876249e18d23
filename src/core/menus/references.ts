import { decoded, isAncestorOrSelf, type ElementNode, type HtmlDocument } from '../html/index.js';
import { controlOf } from '../scene/index.js';
import type { Toggle } from './types.js';

/** Attributes by which markup refers to what a control shows. */
const NAMED: Readonly<Record<string, Toggle['by']>> = {
  'aria-controls': 'aria-controls',
  popovertarget: 'popovertarget',
  commandfor: 'commandfor',
};
/** Attributes that refer to other things. */
const OTHER =
  /^(id|class|style|title|href|src|srcset|name|type|role|for|value|alt|rel|lang|tabindex|d|viewbox|xmlns.*|aria-(?!controls$|owns$).*|on.*)$/;
const CODE_STRING = /(["'`])([^"'`]{1,80})\1/g;

/** What a control refers to: an element named by id or selector in one of its attributes or in its press handler. */
export function referred(e: ElementNode, document: HtmlDocument): { panel: ElementNode; by: Toggle['by'] } | null {
  const known = Object.entries(NAMED);
  for (const [attribute, by] of known) {
    const panel = bySelector(e.attributes.get(attribute), document);
    if (panel) return { panel, by };
  }
  for (const [name, value] of e.attributes) {
    if (NAMED[name] || OTHER.test(name)) continue;
    const panel = bySelector(value, document);
    if (panel && panel !== e) return { panel, by: 'data-target' };
  }
  if (e.tag === 'summary' && e.parent?.tag === 'details') return { panel: e.parent, by: 'details' };
  const href = e.attributes.get('href');
  if (e.tag === 'a' && href && /^#./.test(href)) {
    const panel = document.byId(decoded(href.slice(1)));
    if (panel) return { panel, by: 'fragment' };
  }
  for (const code of [e.attributes.get('onclick'), /^javascript:/i.test(href ?? '') ? href : undefined])
    for (const [, , text] of (code ?? '').matchAll(CODE_STRING)) {
      const panel = bySelector(text, document);
      if (panel) return { panel, by: 'handler' };
    }
  return null;
}

function bySelector(text: string | undefined, document: HtmlDocument): ElementNode | null {
  const value = text?.trim() ?? '';
  if (value === '' || /\s/.test(value) || value.length > 80) return null;
  const name = value.replace(/^[#.]/, '');
  if (value.startsWith('.')) return document.elements.find((e) => e.classes.includes(name)) ?? null;
  return document.byId(name);
}

/** The checkbox or radio button a label switches; null where it stands around it. */
export function switchedBy(label: ElementNode, document: HtmlDocument): ElementNode | null {
  if (label.tag !== 'label') return null;
  const input = controlOf(label, document);
  const switches = input?.tag === 'input' && /^(checkbox|radio)$/i.test(input.attributes.get('type') ?? '');
  return switches && !isAncestorOrSelf(label, input) ? input : null;
}
