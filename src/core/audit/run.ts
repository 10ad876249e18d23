import { placeAt, type Check, type Observation, type Spot, type Subject } from '../checks/index.js';
import { fill, type Single } from '../findings/index.js';
import { spread } from '../ladder/index.js';
import { isSaid } from './options.js';
import type { Plan } from './plan.js';

/** An observation and where it was made. */
interface Seen {
  readonly observation: Observation;
  readonly subject: Subject;
  readonly poses: Set<string>;
  readonly visitors: Set<string>;
}

/** One check over all a plan shows it: a finding for each place and state, with exact widths. */
export function runCheck(check: Check, plan: Plan): readonly Single[] {
  const { meta } = check;
  const byWidth = new Map<number, Map<string, Seen>>();
  const at = (width: number): Map<string, Seen> => {
    let known = byWidth.get(width);
    if (!known) byWidth.set(width, (known = lookAt(width, check, plan)));
    return known;
  };
  const runs = plan.rungs.map((rung) => plan.stations(rung, meta.asks));
  const keys = new Set(runs.flatMap((run) => run.flatMap((width) => [...at(width).keys()])));
  return [...keys].map((key) => {
    const widths = spread(runs, (width) => at(width).has(key));
    const all = [...byWidth.values()].flatMap((seen) => seen.get(key) ?? []);
    const worst = all.reduce((a, b) => (badness(b.observation, check) > badness(a.observation, check) ? b : a));
    return makeFinding(check, worst, all, widths);
  });
}

function lookAt(width: number, check: Check, plan: Plan): Map<string, Seen> {
  const out = new Map<string, Seen>();
  for (const subject of plan.subjects(width, check.meta.asks))
    for (const observation of check.inspect(subject)) {
      if (!isSaid(check.meta, observation.message, plan.options.level)) continue;
      const key = `${spotKey(observation.at)}|${observation.state}|${observation.message}`;
      const known = out.get(key);
      if (!known) {
        const poses = new Set([subject.pose.text]);
        out.set(key, { observation, subject, poses, visitors: new Set([subject.visitor]) });
      } else {
        known.poses.add(subject.pose.text);
        known.visitors.add(subject.visitor);
      }
    }
  return out;
}

function spotKey(spot: Spot): string {
  switch (spot.kind) {
    case 'element':
      return spot.element.path;
    case 'rule':
    case 'query':
      return `${spot.span.source.name}:${spot.span.start}`;
    case 'page':
      return 'page';
  }
}

/** How far a figure misses what is needed, as a share: more is worse. */
function badness({ measured, needed }: Observation, { meta }: Check): number {
  if (!measured || !needed || needed.value <= 0) return 0;
  const short = (needed.value - measured.value) / needed.value;
  return meta.worse === 'higher' ? -short : short;
}

function makeFinding(check: Check, worst: Seen, all: readonly Seen[], widths: Single['widths']): Single {
  const { meta } = check;
  const { observation: o, subject } = worst;
  const message = meta.messages[o.message]!;
  const place = placeAt(o.at, subject.scene);
  const hovered = o.state === 'hover' || o.state === 'focus';
  const pose = (text: string) =>
    hovered ? `${text === 'closed' ? '' : `${text} `}${o.state}:${place.selector}` : text;
  const visitors = meta.asks.visitors.length > 1 ? [...new Set(all.flatMap((seen) => [...seen.visitors]))] : [];
  const { cause = null } = o;
  return {
    key: `${meta.id}|${o.message}|${o.state}|${place.path}|${place.selector}`,
    check: meta.id,
    message: o.message,
    verdict: o.verdict ?? 'fault',
    weight: meta.weight,
    criteria: message.criteria,
    menus: o.menus.map((menu) => menu.id),
    states: [o.state],
    poses: [...new Set(all.flatMap((seen) => [...seen.poses]))].map(pose),
    visitors: visitors.length === meta.asks.visitors.length ? [] : visitors,
    widths,
    places: [place],
    cause,
    measured: o.measured ?? null,
    needed: o.needed ?? null,
    says: sentence(fill(message.says, o.data)),
    mends: fill(message.mends, o.data),
    cluster: o.common ?? (cause ? `${cause.at.file}:${cause.at.line}:${cause.at.column}` : 'markup'),
    badness: badness(o, check),
  };
}

const sentence = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
