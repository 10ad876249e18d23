import { compareText } from '../base/index.js';
import { STATES, WEIGHTS, type Finding } from './finding.js';

/** Findings with one cause and the same widths become one with several places. */
export function mergePlaces(findings: readonly Finding[]): readonly Finding[] {
  const groups = new Map<string, Finding[]>();
  for (const finding of findings) {
    const cause = finding.cause
      ? `${finding.cause.at.file}:${finding.cause.at.line}:${finding.cause.at.column}`
      : finding.key;
    const key = [
      finding.check,
      finding.message,
      finding.verdict,
      finding.menu,
      finding.state,
      cause,
      JSON.stringify(finding.widths),
    ].join('|');
    const group = groups.get(key);
    if (group) group.push(finding);
    else groups.set(key, [finding]);
  }
  return [...groups.values()].map(combine).sort(byWeight);
}

function combine(group: readonly Finding[]): Finding {
  const [worst] = [...group].sort((a, b) => shortfall(b) - shortfall(a));
  const others = group.filter((f) => f !== worst).flatMap((f) => f.places);
  return Object.freeze({ ...worst!, places: [...worst!.places, ...others] });
}

/** How far a figure misses what is needed, as a share. */
function shortfall({ measured, needed }: Finding): number {
  return measured && needed && needed.value > 0 ? (needed.value - measured.value) / needed.value : 0;
}

/** Heaviest first, then faults before looks, then by menu, check and place. */
export function byWeight(a: Finding, b: Finding): number {
  return (
    WEIGHTS.indexOf(a.weight) - WEIGHTS.indexOf(b.weight) ||
    Number(a.verdict === 'look') - Number(b.verdict === 'look') ||
    compareText(a.menu ?? '', b.menu ?? '') ||
    compareText(a.check, b.check) ||
    STATES.indexOf(a.state) - STATES.indexOf(b.state) ||
    compareText(a.key, b.key)
  );
}
