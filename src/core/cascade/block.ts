import {
  expandDeclaration,
  longhandsOf,
  physicalSide,
  propertyIndex,
  type Flow,
  type Longhand,
  type WideKeyword,
} from '../css/index.js';
import type { Declaration } from '../sheets/index.js';
import { byImportantStrength, byStrength, type Match } from './match.js';
import { usesVariables } from './variables.js';

/** The declaration that wins a longhand. */
export interface Winner {
  readonly value: Longhand['value'] | { readonly pending: Declaration; readonly longhand: string };
  readonly declaration: Declaration;
  readonly match: Match;
}

interface Entry {
  readonly declaration: Declaration;
  readonly match: Match;
}

/**
 * All declarations active on an element in one setting, strongest first.
 * Equal lists of matches are one block, whatever the element.
 */
export interface Block {
  readonly id: number;
  readonly entries: readonly Entry[];
  /** Custom properties declared, strongest only. */
  readonly custom: ReadonlyMap<string, Entry>;
  winners(flow: Flow): ReadonlyMap<number, Winner>;
}

export interface BlockOptions {
  readonly quirks: boolean;
}

/** Makes a block from the active matches of an element. */
export function makeBlock(id: number, matches: readonly Match[], options: BlockOptions): Block {
  const important = [...matches]
    .filter((m) => m.declarations.some((d) => d.important))
    .sort(byImportantStrength)
    .reverse();
  const normal = [...matches].sort(byStrength).reverse();
  const entries: Entry[] = [];
  for (const match of important)
    for (const declaration of match.declarations.toReversed())
      if (declaration.important) entries.push({ declaration, match });
  for (const match of normal)
    for (const declaration of match.declarations.toReversed())
      if (!declaration.important) entries.push({ declaration, match });
  const custom = new Map<string, Entry>();
  for (const entry of entries) {
    const { name } = entry.declaration;
    if (name.startsWith('--') && !custom.has(name)) custom.set(name, entry);
  }
  const byFlow = new Map<string, ReadonlyMap<number, Winner>>();
  return {
    id,
    entries,
    custom,
    winners(flow) {
      const key = `${flow.vertical}${flow.reversed}${flow.rightToLeftBlocks}`;
      let known = byFlow.get(key);
      if (!known) byFlow.set(key, (known = pickWinners(entries, flow, options)));
      return known;
    },
  };
}

type Rollback = { readonly kind: 'origin' } | { readonly kind: 'layer'; readonly key: string };
const layerKey = (entry: Entry): string =>
  `${entry.match.origin}/${entry.match.rank}/${entry.match.layer?.order ?? 'none'}/${entry.declaration.important}`;

/** @spec css-cascade-5 §6.5 (revert), §6.6 (revert-layer) */
function pickWinners(entries: readonly Entry[], flow: Flow, options: BlockOptions): ReadonlyMap<number, Winner> {
  const winners = new Map<number, Winner>();
  const rolledBack = new Map<number, Rollback & { readonly origin: string }>();
  for (const { declaration, match } of entries) {
    if (declaration.name.startsWith('--')) continue;
    for (const { index, value } of longhands(declaration, flow, options)) {
      if (winners.has(index)) continue;
      const rollback = rolledBack.get(index);
      if (rollback) {
        if (rollback.kind === 'origin' && rollback.origin === match.origin) continue;
        if (rollback.kind === 'layer' && rollback.key === layerKey({ declaration, match })) continue;
      }
      if (value === 'revert') rolledBack.set(index, { kind: 'origin', origin: match.origin });
      else if (value === 'revert-layer')
        rolledBack.set(index, { kind: 'layer', key: layerKey({ declaration, match }), origin: match.origin });
      else winners.set(index, { value, declaration, match });
    }
  }
  return winners;
}

interface Placed {
  readonly index: number;
  readonly value: Winner['value'];
}

function longhands(declaration: Declaration, flow: Flow, options: BlockOptions): readonly Placed[] {
  const { name, text } = declaration;
  if (usesVariables(text)) {
    return longhandsOf(name).map((longhand) => ({
      index: physicalIndex(longhand, flow),
      value: { pending: declaration, longhand },
    }));
  }
  const expanded = expandDeclaration(name, text, options.quirks);
  if (typeof expanded === 'string') return [];
  return expanded.map(({ index, logical, value }) => ({
    index: logical ? propertyIndex(logical(flow))! : index,
    value,
  }));
}

function physicalIndex(longhand: string, flow: Flow): number {
  const direct = propertyIndex(longhand);
  if (direct !== undefined) return direct;
  const probe = expandDeclaration(longhand, 'initial');
  const first = typeof probe === 'string' ? undefined : probe[0];
  return first ? (first.logical ? propertyIndex(first.logical(flow))! : first.index) : -1;
}

export const isWide = (value: Winner['value']): value is WideKeyword => typeof value === 'string';
export { physicalSide };
