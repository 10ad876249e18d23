import { placeAt, type Check, type Observation, type Spot, type Subject } from '../checks/index.js';
import { fill, type Single } from '../findings/index.js';
import { endsOf, spread } from '../ladder/index.js';
import { isSaid } from './options.js';
import type { Plan } from './plan.js';

/** An observation and where it was made. */
interface Seen {
  readonly observation: Observation;
  readonly subject: Subject;
  readonly poses: Set<string>;
  readonly visitors: Set<string>;
  /** Seen only after some move. */
  readonly posed: boolean;
}

/** What a check saw at each width, worked out when it is asked for. */
class Sightings {
  readonly #byWidth = new Map<string, Map<string, Seen>>();

  constructor(
    readonly check: Check,
    readonly plan: Plan,
  ) {}

  /** @param posed whether opened poses and the states of controls are looked at too */
  at(width: number, posed: boolean): ReadonlyMap<string, Seen> {
    const key = `${width}/${posed}`;
    let known = this.#byWidth.get(key);
    if (!known) this.#byWidth.set(key, (known = lookAt(width, this.check, this.plan, posed)));
    return known;
  }

  all(key: string): readonly Seen[] {
    return [...this.#byWidth.values()].flatMap((seen) => seen.get(key) ?? []);
  }
}

/**
 * One check over all a plan shows it: a finding for each place and state, with exact widths. At rest the page is looked
 * at wherever its geometry changes inside a rung; in other poses and states at the ends of each rung, then halved.
 */
export function runCheck(check: Check, plan: Plan): readonly Single[] {
  const sightings = new Sightings(check, plan);
  const ends = plan.rungs.map(endsOf);
  const stations = plan.rungs.map((rung) => plan.stations(rung, check.meta.asks));
  /** Rungs in which something was seen only after a move. */
  const keys = new Map<string, Set<number>>();
  const endWidths = new Set(ends.flat());
  const seen = (key: string): Set<number> => {
    let rungs = keys.get(key);
    if (!rungs) keys.set(key, (rungs = new Set()));
    return rungs;
  };
  ends.forEach((both, rung) => {
    for (const width of both)
      for (const [key, { posed }] of sightings.at(width, true))
        if (posed) seen(key).add(rung);
        else seen(key);
  });
  for (const width of stations.flat().filter((w) => !endWidths.has(w)))
    for (const key of sightings.at(width, false).keys()) seen(key);
  const rungOf = (width: number) => plan.rungs.findIndex(({ from, to }) => width >= from && width <= to);
  return [...keys].map(([key, posed]) => {
    const holds = (width: number) => sightings.at(width, endWidths.has(width) || posed.has(rungOf(width))).has(key);
    const widths = spread(
      plan.rungs.map((_, rung) => (posed.has(rung) ? ends[rung]! : stations[rung]!)),
      holds,
    );
    const all = sightings.all(key);
    const worst = all.reduce((a, b) => (badness(b.observation, check) > badness(a.observation, check) ? b : a));
    return makeFinding(check, worst, all, widths);
  });
}

function lookAt(width: number, check: Check, plan: Plan, posed: boolean): Map<string, Seen> {
  const out = new Map<string, Seen>();
  for (const subject of plan.subjects(width, check.meta.asks, posed))
    for (const observation of check.inspect(subject)) {
      if (!isSaid(check.meta, observation.message, plan.options.level)) continue;
      const key = `${spotKey(observation.at)}|${observation.state}|${observation.message}`;
      const known = out.get(key);
      const inPose = subject.pose.text !== 'closed' || observation.state === 'hover' || observation.state === 'focus';
      if (!known) {
        const poses = new Set([subject.pose.text]);
        out.set(key, { observation, subject, poses, visitors: new Set([subject.visitor]), posed: inPose });
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
