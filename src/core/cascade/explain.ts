import { expandDeclaration, longhandsOf, propertyIndex, type Flow } from '../css/index.js';
import type { Declaration } from '../sheets/index.js';
import { byImportantStrength, byStrength, type Match } from './match.js';
import { usesVariables } from './variables.js';

/** A match that does not count in a setting, and the condition it waits for. */
export interface Idle {
  readonly why: 'media' | 'container' | 'state';
  readonly text: string;
}

/** What decided between a declaration and the winner. */
export type Rule =
  'importance' | 'origin' | 'style-attribute' | 'layer' | 'specificity' | 'scope' | 'order' | 'animation';

export type Fate =
  | { readonly fate: 'wins' }
  | { readonly fate: 'loses'; readonly by: Rule }
  | { readonly fate: 'idle'; readonly idle: Idle }
  /** The value is not one of the property: browsers drop it. */
  | { readonly fate: 'invalid' };

export type Explained = { readonly declaration: Declaration; readonly match: Match } & Fate;

/** All declarations of a longhand: what counts first, then what does not. */
export type Explanation = readonly Explained[];

interface Entry {
  readonly declaration: Declaration;
  readonly match: Match;
}

/** Whether a declaration concerns a longhand, and whether its value can be read. */
function concern(declaration: Declaration, index: number, flow: Flow, quirks: boolean): 'sets' | 'invalid' | null {
  const placed = (name: string): number => {
    const probe = expandDeclaration(name, 'initial');
    const first = typeof probe === 'string' ? undefined : probe[0];
    if (!first) return -1;
    return first.logical ? propertyIndex(first.logical(flow))! : first.index;
  };
  if (!longhandsOf(declaration.name).some((name) => placed(name) === index)) return null;
  if (usesVariables(declaration.text)) return 'sets';
  return typeof expandDeclaration(declaration.name, declaration.text, quirks) === 'string' ? 'invalid' : 'sets';
}

const layerOf = (match: Match): number => match.layer?.order ?? Number.MAX_SAFE_INTEGER;

/** The step of the cascade at which one declaration lost against another. @spec css-cascade-5 §6.1 */
function decidedBy(winner: Entry, loser: Entry): Rule {
  const [a, b] = [winner.match, loser.match];
  if (winner.declaration.important !== loser.declaration.important) return 'importance';
  if (a.origin !== b.origin) return 'origin';
  if (a.rank === 'animation' && b.rank !== 'animation') return 'animation';
  if (a.rank === 'inline' && b.rank !== 'inline') return 'style-attribute';
  if (a.rank !== b.rank || layerOf(a) !== layerOf(b)) return a.rank !== b.rank ? 'origin' : 'layer';
  if (a.specificity !== b.specificity) return 'specificity';
  return a.proximity === b.proximity ? 'order' : 'scope';
}

export function explainMatches(
  matches: readonly Match[],
  index: number,
  flow: Flow,
  idleOf: (match: Match) => Idle | null,
  quirks: boolean,
): Explanation {
  const active: Entry[] = [];
  const rest: Explained[] = [];
  const strongest = [...matches].sort(byStrength).reverse();
  const mostImportant = [...matches].sort(byImportantStrength).reverse();
  for (const [list, important] of [
    [mostImportant, true],
    [strongest, false],
  ] as const) {
    for (const match of list) {
      const idle = idleOf(match);
      for (const declaration of match.declarations.toReversed()) {
        if (declaration.important !== important) continue;
        const kind = concern(declaration, index, flow, quirks);
        if (kind === 'invalid') rest.push({ declaration, match, fate: 'invalid' });
        else if (kind && idle) rest.push({ declaration, match, fate: 'idle', idle });
        else if (kind) active.push({ declaration, match });
      }
    }
  }
  const [winner] = active;
  const ranked = active.map((entry): Explained =>
    entry === winner ? { ...entry, fate: 'wins' } : { ...entry, fate: 'loses', by: decidedBy(winner!, entry) },
  );
  return [...ranked, ...rest];
}
