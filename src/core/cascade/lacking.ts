import type { LimitLog } from '../base/index.js';
import type { HtmlDocument } from '../html/index.js';
import type { Declaration } from '../sheets/index.js';
import type { ElementMatches } from './match.js';

const KNOWN_TRIES = /^(?!.*(--|flip-start|most-))/;
const TRIES = 'such placements are left out: flips and areas are tried in the order they stand';

/** Properties browsers act on and this engine does not, and what follows. Values in the pattern change nothing. */
const LACKING: Readonly<Record<string, { readonly harmless: RegExp; readonly consequence: string }>> = {
  'clip-path': {
    harmless: /^(?!.*(path|shape|url)\()/,
    consequence: 'taken as not clipped',
  },
  'initial-letter': {
    harmless: /^normal$/,
    consequence: 'such letters are as wide as their advance, not as their ink',
  },
  'column-rule': { harmless: /^none$/, consequence: 'the lines between columns are not drawn' },
  'column-rule-style': { harmless: /^(none|hidden)$/, consequence: 'the lines between columns are not drawn' },
  'text-combine-upright': { harmless: /^none$/, consequence: 'the characters are set one below the other' },
  'position-try': { harmless: KNOWN_TRIES, consequence: TRIES },
  'position-try-fallbacks': { harmless: KNOWN_TRIES, consequence: TRIES },
  'line-clamp': { harmless: /^none$/, consequence: 'all lines are shown' },
  'shape-outside': { harmless: /^none$/, consequence: 'text flows around the whole box of such floats' },
  'offset-path': { harmless: /^none$/, consequence: 'the box is not moved along the path' },
  'font-size-adjust': {
    harmless: /^(none|(ex-height |ch-width )?[\d.]+)$/,
    consequence: 'the font keeps its own size',
  },
  'font-variation-settings': {
    harmless: /^(?!.*\b(wght|wdth|opsz|slnt)\b)/,
    consequence: 'text keeps the width it has by its weight and size',
  },
  'font-optical-sizing': { harmless: /^auto$/, consequence: 'letters are drawn for the size of their text' },
  'font-variant': { harmless: /^(?!.*\b(sub|super)\b)/, consequence: 'such letters keep their size and place' },
  'font-variant-position': { harmless: /^normal$/, consequence: 'such letters keep their size and place' },
  'field-sizing': { harmless: /^fixed$/, consequence: 'fields have the size of their attributes' },
  'text-emphasis': { harmless: /^none$/, consequence: 'its marks take no room' },
  'text-emphasis-style': { harmless: /^none$/, consequence: 'its marks take no room' },
  'hanging-punctuation': { harmless: /^none$/, consequence: 'punctuation takes its room' },
  hyphens: { harmless: /^(none|manual)$/, consequence: 'words are not hyphenated by dictionary' },
  'text-autospace': { harmless: /^(normal|no-autospace)$/, consequence: 'no space is added between scripts' },
  'margin-trim': {
    harmless: /^(none|block|block-start|block-end|block-start block-end|block-end block-start)$/,
    consequence: 'margins are trimmed in the block direction only',
  },
};

const WIDE = /^(initial|inherit|unset|revert|revert-layer)$/;

/** Notes what the sheets ask of elements of the page and the engine leaves out. */
export function noteLacking(byElement: readonly ElementMatches[], limits: LimitLog): void {
  const seen = new Set<readonly Declaration[]>();
  for (const { own, pseudo } of byElement)
    for (const list of [own, ...pseudo.values()])
      for (const { origin, declarations } of list) {
        if (origin !== 'author' || seen.has(declarations)) continue;
        seen.add(declarations);
        for (const declaration of declarations) noteDeclaration(declaration, limits);
      }
}

function noteDeclaration({ name, text, span }: Declaration, limits: LimitLog): void {
  const lacking = LACKING[name];
  const value = text.trim().toLowerCase();
  if (lacking && !lacking.harmless.test(value) && !WIDE.test(value))
    limits.add('unsupported', `${name}: ${value}`, lacking.consequence, span);
}

/** Notes trees that the markup hangs on elements: nothing of them is in the page's own tree. @spec html §4.12.3 (declarative shadow trees) */
export function noteShadowTrees({ elements }: HtmlDocument, limits: LimitLog): void {
  for (const { tag, namespace, attributes, parent, startTag } of elements) {
    if (tag !== 'template' || namespace !== 'html' || !parent) continue;
    if (!/^(open|closed)$/i.test(attributes.get('shadowrootmode') ?? '')) continue;
    limits.add(
      'unsupported',
      `shadow tree of ${parent.tag}`,
      'what it holds has no boxes, and links in it are in no menu; what it shows elsewhere stays in its place',
      startTag,
    );
  }
}
