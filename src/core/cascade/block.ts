import { expandDeclaration, longhandsOf, propertyIndex, type Flow, type Longhand } from '../css/index.js';
import type { Declaration } from '../sheets/index.js';
import { byImportantStrength, byStrength, type Match } from './match.js';
import { usesVariables } from './variables.js';

/** The declaration that wins a longhand. */
export interface Winner {
  readonly value: Longhand['value'] | { readonly pending: Declaration; readonly longhand: string };
  readonly declaration: Declaration;
  readonly match: Match;
}

export interface Entry {
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

/** All declarations of matches, strongest first. @spec css-cascade-5 §6.1 */
export function ranked(matches: readonly Match[]): readonly Entry[] {
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
  return entries;
}

/** Makes a block from the active matches of an element. */
export function makeBlock(id: number, matches: readonly Match[], options: BlockOptions): Block {
  const entries = ranked(matches);
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

/** How far one longhand is settled, its declarations offered strongest first. */
export interface Standing {
  winner: Winner | null;
  /** The declaration that handed the decision to a weaker origin or layer, if one did. */
  rollback: (Entry & { readonly to: 'origin' | 'layer' }) | null;
}

/** `yields`: hands the decision on to a weaker origin or layer; `passed`: of the origin or layer that was handed over. */
export type Settled = 'wins' | 'loses' | 'yields' | 'passed';

/**
 * Decides what becomes of the next declaration of a longhand.
 * @spec css-cascade-5 §6.1, §7.3.4 (revert), §7.3.5 (revert-layer)
 */
export function settle(standing: Standing, entry: Entry, value: Winner['value']): Settled {
  if (standing.winner) return 'loses';
  const { rollback } = standing;
  if (rollback && handedOver(rollback, entry)) return 'passed';
  if (value === 'revert' || value === 'revert-layer') {
    standing.rollback = { ...entry, to: value === 'revert' ? 'origin' : 'layer' };
    return 'yields';
  }
  standing.winner = { value, ...entry };
  return 'wins';
}

const layerOf = ({ match }: Entry): number | null => match.layer?.order ?? null;

function handedOver(rollback: NonNullable<Standing['rollback']>, entry: Entry): boolean {
  const [from, to] = [rollback.match, entry.match];
  if (from.origin !== to.origin) return false;
  if (rollback.to === 'origin') return true;
  const important = rollback.declaration.important === entry.declaration.important;
  return important && from.rank === to.rank && layerOf(rollback) === layerOf(entry);
}

function pickWinners(entries: readonly Entry[], flow: Flow, options: BlockOptions): ReadonlyMap<number, Winner> {
  const standings = new Map<number, Standing>();
  for (const entry of entries) {
    if (entry.declaration.name.startsWith('--')) continue;
    for (const { index, value } of placedLonghands(entry.declaration, flow, options)) {
      let standing = standings.get(index);
      if (!standing) standings.set(index, (standing = { winner: null, rollback: null }));
      if (!standing.winner) settle(standing, entry, value);
    }
  }
  const winners = new Map<number, Winner>();
  for (const [index, { winner }] of standings) if (winner) winners.set(index, winner);
  return winners;
}

interface Placed {
  readonly index: number;
  readonly value: Winner['value'];
}

/** The longhands a declaration sets in a flow; none where its value cannot be read. */
export function placedLonghands(declaration: Declaration, flow: Flow, options: BlockOptions): readonly Placed[] {
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

/** Position in the table of a longhand, a logical one in its flow; -1 if there is none. */
export function physicalIndex(longhand: string, flow: Flow): number {
  const direct = propertyIndex(longhand);
  if (direct !== undefined) return direct;
  const probe = expandDeclaration(longhand, 'initial');
  const first = typeof probe === 'string' ? undefined : probe[0];
  return first ? (first.logical ? propertyIndex(first.logical(flow))! : first.index) : -1;
}
