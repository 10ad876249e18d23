import { LimitLog, SourceText } from '../base/index.js';
import type { TextMetrics } from '../boxes/index.js';
import { Cascade, matchDocument, printValue, stateView, type ComputedStyle, type StyleTree } from '../cascade/index.js';
import { propertyIndex, type Medium } from '../css/index.js';
import { parseHtml, type ElementNode, type HtmlDocument } from '../html/index.js';
import type { RuleSet } from '../sheets/index.js';
import { fontUnits } from './font-units.js';
import type { Layouts } from '../scripts/index.js';

/** An element that a script made: its tag and attributes. */
export type Made = Parameters<Layouts['made']>[0];

/** What styles are worked out from. */
interface Sheets {
  readonly ruleSet: RuleSet;
  readonly metrics: TextMetrics;
}

/** Pseudo-elements that carry words from style sheets to scripts. */
const CARRIERS = ['before', 'after'] as const;

/** A computed value as text; undefined where the property is not known. */
export function printed(style: ComputedStyle, property: string): string | undefined {
  if (property.startsWith('--')) return style.custom.get(property)?.trim() ?? '';
  const index = propertyIndex(property);
  return index === undefined ? undefined : printValue(style, index);
}

/** A computed value of generated content, by the name scripts use; undefined where it cannot be told. @spec cssom-1 §9 */
export function generated(
  styles: StyleTree,
  element: ElementNode,
  pseudo: string,
  property: string,
): string | undefined {
  const name = CARRIERS.find((one) => pseudo === `:${one}` || pseudo === `::${one}`);
  const style = name ? styles.pseudo(element, name) : null;
  return style ? printed(style, property) : name && property === 'content' ? 'none' : undefined;
}

const cascadeOf = (document: HtmlDocument, { ruleSet, metrics }: Sheets): Cascade =>
  new Cascade(matchDocument(document, ruleSet, new LimitLog()), fontUnits(metrics));

const escaped = (value: string): string => value.replace(/&/g, '&amp;').replace(/"/g, '&quot;');

/**
 * Styles of elements that scripts make and put into the page, as far as rules ask for nothing around them: enough for
 * those that only carry a value from a style sheet to a script, such as the name of the query that holds.
 */
export class MadeStyles {
  readonly #cascades = new Map<string, Cascade>();

  constructor(readonly sheets: Sheets) {}

  styleOf({ tag, attributes }: Made, medium: Medium): ComputedStyle | null {
    if (!/^[a-z][\w-]*$/.test(tag)) return null;
    const written = [...attributes].map(([name, value]) => ` ${name}="${escaped(value ?? '')}"`).join('');
    const key = `<${tag}${written}>`;
    let cascade = this.#cascades.get(key);
    if (!cascade) {
      const document = parseHtml(new SourceText('made', `<!doctype html><body>${key}`), { scripting: true });
      this.#cascades.set(key, (cascade = cascadeOf(document, this.sheets)));
    }
    const element = cascade.matched.document.elements.findLast((e) => e.tag === tag);
    return element ? cascade.styles(medium, stateView({})).of(element) : null;
  }
}

/** What style sheets tell scripts on purpose before anything is matched or laid out: custom properties, generated words. */
export function toldBySheets(document: HtmlDocument, sheets: Sheets, medium: Medium): Layouts {
  const made = new MadeStyles(sheets);
  let known: StyleTree | null = null;
  const styles = () => (known ??= cascadeOf(document, sheets).styles(medium, stateView({})));
  return {
    whole: false,
    rect: () => undefined,
    content: () => undefined,
    computed: (element, property, _standing, pseudo) => {
      if (pseudo !== null) return generated(styles(), element, pseudo, property);
      return property.startsWith('--') ? printed(styles().of(element), property) : undefined;
    },
    made: (element, property) => {
      const style = made.styleOf(element, medium);
      return style ? printed(style, property) : undefined;
    },
  };
}
