import { SourceText } from '../base/index.js';
import { parseStyleAttribute } from '../sheets/index.js';
import { NO_RULE, type Match, type MatchedDocument } from './match.js';

/** The least a page must stand without losing content. @spec WCAG 2.2 SC 1.4.12 */
const SPACING = 'line-height: 1.5 !important; letter-spacing: 0.12em !important; word-spacing: 0.16em !important';
const PARAGRAPHS = 'margin-bottom: 2em !important';

const spacing = (id: string, text: string): Match => ({
  ...NO_RULE,
  id,
  declarations: parseStyleAttribute(new SourceText('text spacing', text)),
});

/** The same document with text spaced by its reader, whatever the page says. */
export function spacedOut(matched: MatchedDocument): MatchedDocument {
  const all = spacing('v:spacing', SPACING);
  const paragraph = spacing('v:paragraphs', PARAGRAPHS);
  return {
    ...matched,
    byElement: matched.byElement.map((matches, i) => ({
      ...matches,
      own: [...matches.own, all, ...(matched.document.elements[i]!.tag === 'p' ? [paragraph] : [])],
    })),
  };
}
