import { longhandsOf, type Flow } from '../css/index.js';
import type { Declaration } from '../sheets/index.js';
import {
  physicalIndex,
  placedLonghands,
  ranked,
  settle,
  type BlockOptions,
  type Entry,
  type Settled,
  type Standing,
} from './block.js';
import type { Match } from './match.js';

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
  /** Hands the decision on: `revert` to a weaker origin, `revert-layer` to a weaker layer. */
  | { readonly fate: 'yields'; readonly to: 'origin' | 'layer' }
  /** Of the origin or layer that a stronger declaration handed the decision on from. */
  | { readonly fate: 'passed' }
  | { readonly fate: 'idle'; readonly idle: Idle }
  /** The value is not one of the property: browsers drop it. */
  | { readonly fate: 'invalid' };

export type Explained = { readonly declaration: Declaration; readonly match: Match } & Fate;

/** All declarations of a longhand: what counts first, then what does not. */
export type Explanation = readonly Explained[];

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

/** What becomes of every declaration of a longhand: those that count, strongest first, then the rest. */
export function explainMatches(
  matches: readonly Match[],
  index: number,
  flow: Flow,
  idleOf: (match: Match) => Idle | null,
  options: BlockOptions,
): Explanation {
  const counted: Explained[] = [];
  const rest: Explained[] = [];
  const standing: Standing = { winner: null, rollback: null };
  for (const entry of ranked(matches)) {
    const { declaration, match } = entry;
    if (!longhandsOf(declaration.name).some((name) => physicalIndex(name, flow) === index)) continue;
    const placed = placedLonghands(declaration, flow, options).find((one) => one.index === index);
    const idle = placed ? idleOf(match) : null;
    if (!placed) rest.push({ ...entry, fate: 'invalid' });
    else if (idle) rest.push({ ...entry, fate: 'idle', idle });
    else counted.push({ ...entry, ...fateOf(settle(standing, entry, placed.value), standing, entry) });
  }
  return [...counted, ...rest];
}

function fateOf(settled: Settled, { winner, rollback }: Standing, entry: Entry): Fate {
  if (settled === 'loses') return { fate: 'loses', by: decidedBy(winner!, entry) };
  return settled === 'yields' ? { fate: 'yields', to: rollback!.to } : { fate: settled };
}
