import { compareText, grouped, joinRanges, type Range } from '../base/index.js';
import { STATES, WEIGHTS, type Finding, type Place } from './finding.js';

/** A finding about one place, and what it has in common with others of the same cause. */
export interface Single extends Finding {
  /** Equal for findings of one cause. */
  readonly cluster: string;
  /** How bad it is: more is worse. */
  readonly badness: number;
}

/** Equal for findings that become one. */
export const clusterKey = ({ check, message, verdict, cluster }: Single): string =>
  [check, message, verdict, cluster].join('|');

/**
 * Findings of one cause become one: places, menus, states, poses and widths are joined, and the worst place speaks.
 */
export function mergeCauses(findings: readonly Single[]): readonly Finding[] {
  return [...grouped(findings, clusterKey).values()].map(combine).sort(byWeight);
}

const unique = <T>(values: readonly T[]): readonly T[] => [...new Set(values)];

function combine(group: readonly Single[]): Finding {
  const leader = group.reduce((a, b) => (b.badness > a.badness ? b : a));
  const ordered = [leader, ...group.filter((one) => one !== leader)];
  const { cluster: _cluster, badness: _badness, ...worst } = leader;
  const widths = joinRanges(group.flatMap((f) => f.widths));
  const byPlace = new Map<string, { readonly place: Place; widths: readonly Range[] }>();
  for (const { places, widths: own } of ordered)
    for (const place of places) {
      const key = `${place.kind} ${place.path} ${place.selector}`;
      const known = byPlace.get(key);
      if (known) known.widths = joinRanges([...known.widths, ...own]);
      else byPlace.set(key, { place, widths: own });
    }
  const everywhere = JSON.stringify(widths);
  return Object.freeze({
    ...worst,
    menus: [...unique(group.flatMap((f) => f.menus))].sort(compareText),
    states: STATES.filter((state) => group.some((f) => f.states.includes(state))),
    poses: unique(ordered.flatMap((f) => f.poses)),
    visitors: unique(ordered.flatMap((f) => f.visitors)),
    widths,
    places: [...byPlace.values()].map(({ place, widths: own }) => ({
      ...place,
      widths: JSON.stringify(own) === everywhere ? null : own,
    })),
  });
}

/** Heaviest first, then faults before looks, then by menu, check and place. */
export function byWeight(a: Finding, b: Finding): number {
  return (
    WEIGHTS.indexOf(a.weight) - WEIGHTS.indexOf(b.weight) ||
    Number(a.verdict === 'look') - Number(b.verdict === 'look') ||
    compareText(a.menus[0] ?? '', b.menus[0] ?? '') ||
    compareText(a.check, b.check) ||
    STATES.indexOf(a.states[0]!) - STATES.indexOf(b.states[0]!) ||
    compareText(a.key, b.key)
  );
}
