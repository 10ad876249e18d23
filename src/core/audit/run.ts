import { grouped } from '../base/index.js';
import {
  AT_REST,
  placeAt,
  remedyForAll,
  type PageCheck,
  type Observation,
  type Spot,
  type Subject,
} from '../checks/index.js';
import { clusterKey, fill, type Single } from '../findings/index.js';
import { spread } from '../ladder/index.js';
import { lackingFor, leansOnText, sampledWidths, unknownFont, WITH_YOUR_FONTS } from './certainty.js';
import { isSaid } from './options.js';
import { bandEnds, type Plan } from './plan.js';

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
    readonly check: PageCheck,
    readonly plan: Plan,
  ) {}

  /**
   * @param posed whether opened poses and the states of controls are looked at too
   * @param among poses, as texts, if not all of them matter
   */
  at(width: number, posed: boolean, among: ReadonlySet<string> | null = null): ReadonlyMap<string, Seen> {
    const whole = this.#byWidth.get(`${width}/${posed}/`);
    if (whole && (among === null || !posed || !this.plan.sparesAt(width, this.check.meta.asks))) return whole;
    const key = `${width}/${posed}/${[...(among ?? [])].join('|')}`;
    let known = this.#byWidth.get(key);
    if (!known)
      this.#byWidth.set(
        key,
        (known = lookAt(this.check, this.plan.subjects(width, this.check.meta.asks, posed, among), this.plan)),
      );
    return known;
  }

  all(key: string): readonly Seen[] {
    return [...this.#byWidth.values()].flatMap((seen) => seen.get(key) ?? []);
  }
}

/** One check over all a plan shows it. */
export class CheckRun {
  readonly #sightings: Sightings;

  constructor(
    readonly check: PageCheck,
    readonly plan: Plan,
  ) {
    this.#sightings = new Sightings(check, plan);
  }

  /** Looks at a band's ends ahead of time: what other checks are shown there too is then worked out once for all. */
  lookAhead(band: Band): void {
    for (const width of bandEnds(band)) this.#sightings.at(width, true);
  }

  /**
   * A finding for each place and state, with exact widths. At rest the page is looked at wherever its geometry changes
   * inside a rung; in other poses and states at the ends of each band, then halved.
   */
  findings(): readonly Single[] {
    return findingsOf(this.#sightings);
  }
}

function findingsOf(sightings: Sightings): readonly Single[] {
  const { check, plan } = sightings;
  const stations = new Map(plan.rungs.map((rung) => [rung, plan.stations(rung, check.meta.asks)]));
  const ends = new Set(plan.bands.flatMap(bandEnds));
  /** Bands in which something was seen only after a move. */
  const keys = new Map<string, Set<Band>>();
  const seen = (key: string): Set<Band> => {
    let bands = keys.get(key);
    if (!bands) keys.set(key, (bands = new Set()));
    return bands;
  };
  for (const band of plan.bands)
    for (const width of bandEnds(band))
      for (const [key, { posed }] of sightings.at(width, true))
        if (posed) seen(key).add(band);
        else seen(key);
  for (const width of [...stations.values()].flat().filter((w) => !ends.has(w)))
    for (const key of sightings.at(width, false).keys()) seen(key);
  const made = [...keys].map(([key, posed]): Made => {
    const among = new Set(sightings.all(key).flatMap((seen) => [...seen.poses]));
    const holds = (width: number) =>
      sightings.at(width, ends.has(width) || posed.has(plan.bandAt(width)), among).has(key);
    const runs = plan.bands.flatMap((band) =>
      posed.has(band) || check.meta.asks.widths === 'bands'
        ? [bandEnds(band)]
        : band.map((rung) => stations.get(rung)!),
    );
    const widths = spread(runs, holds);
    const all = sightings.all(key);
    const worst = all.reduce((a, b) => (badness(b.observation, check) > badness(a.observation, check) ? b : a));
    const finding = makeFinding(check, worst, all, widths);
    const hanging = hangsOnFont(check, { worst, key, posed: posed.size > 0, widths }, plan);
    return { finding: hanging ? withDoubt(finding, WITH_YOUR_FONTS) : finding, worst, all };
  });
  const sure = withLacks(check, made);
  return check.meta.inks === undefined ? sure.map(({ finding }) => finding) : withCommonRemedies(check, sure, plan);
}

/** What a page lacks puts faults in doubt, but not where one place of the same declaration is beyond it. */
function withLacks(check: PageCheck, made: readonly Made[]): readonly Made[] {
  const judged = made.map((one) => {
    const { finding, worst } = one;
    const lack = finding.verdict === 'look' ? null : lackingFor(check, worst.observation, worst.subject);
    return { one, lack, declared: finding.cause && clusterKey(finding) };
  });
  const certain = new Set(
    judged.flatMap(({ lack, declared }) => (lack === null && declared !== null ? [declared] : [])),
  );
  return judged.map(({ one, lack, declared }) =>
    lack === null || (declared !== null && certain.has(declared))
      ? one
      : { ...one, finding: withDoubt(one.finding, lack) },
  );
}

interface Made {
  readonly finding: Single;
  readonly worst: Seen;
  readonly all: readonly Seen[];
}

/** One change serves all places of a cause: it has to pass in every state and on every ground it touches. */
function withCommonRemedies(check: PageCheck, made: readonly Made[], plan: Plan): readonly Single[] {
  const { meta } = check;
  return [...grouped(made, ({ finding }) => clusterKey(finding)).values()].flatMap((group) => {
    const standings = group.flatMap(({ all }) => all.flatMap(({ observation }) => observation.standing ?? []));
    const others = touchedBy(check, group[0]!.worst.observation, plan);
    const remedyFor = remedyForAll(standings, others, meta.inks!);
    return group.map(({ finding, worst: { observation } }) => {
      const { data, standing } = observation;
      const remedy = standing ? remedyFor(standing.lie) : null;
      return remedy === null
        ? finding
        : { ...finding, mends: fill(meta.messages[finding.message]!.mends, { ...data, remedy }) };
    });
  });
}

const CLOSED: ReadonlySet<string> = new Set([AT_REST.text]);

/** With its states, at the ends of every band. */
const touchedBy = ({ meta, touches }: PageCheck, observation: Observation, plan: Plan) =>
  touches
    ? plan.bands
        .flatMap(bandEnds)
        .flatMap((width) => plan.subjects(width, meta.asks, true, CLOSED))
        .flatMap((subject) => touches(subject, observation))
    : [];

interface Found {
  readonly worst: Seen;
  readonly key: string;
  readonly posed: boolean;
  readonly widths: Single['widths'];
}

/** Whether a finding is gone at all its widths when text of unknown fonts is a little wider or narrower. */
function hangsOnFont(check: PageCheck, { worst, key, posed, widths }: Found, plan: Plan): boolean {
  const { observation, subject } = worst;
  if (!leansOnText(check) || (observation.verdict ?? 'fault') === 'look' || !unknownFont(observation, subject))
    return false;
  return plan.stretched.some((other) =>
    sampledWidths(widths).every(
      (width) => !lookAt(check, other.subjects(width, check.meta.asks, posed), other).has(key),
    ),
  );
}

const withDoubt = (finding: Single, why: string): Single => ({
  ...finding,
  verdict: 'look',
  says: `${finding.says} ${why}`,
});

type Band = Plan['bands'][number];

function lookAt(check: PageCheck, subjects: readonly Subject[], plan: Plan): Map<string, Seen> {
  const out = new Map<string, Seen>();
  for (const subject of subjects)
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

/** What a check sees at one width in some poses, and where. */
export const seenAt = (check: PageCheck, width: number, poses: ReadonlySet<string>, plan: Plan) =>
  [...lookAt(check, plan.subjects(width, check.meta.asks, true, poses), plan).values()].map(
    ({ observation: { message, state, at }, subject }) => ({ message, state, place: placeAt(at, subject.scene) }),
  );

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
function badness({ measured, needed }: Observation, { meta }: PageCheck): number {
  if (!measured || !needed || needed.value <= 0) return 0;
  const short = (needed.value - measured.value) / needed.value;
  return meta.worse === 'higher' ? -short : short;
}

function makeFinding(check: PageCheck, worst: Seen, all: readonly Seen[], widths: Single['widths']): Single {
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
    says: sentence(message.says, o.data),
    mends: fill(message.mends, o.data),
    cluster: o.common ?? (cause ? `${cause.at.file}:${cause.at.line}:${cause.at.column}` : 'markup'),
    badness: badness(o, check),
  };
}

/** Selectors are written as they are, at the beginning too. */
const SELECTOR_FIRST = /^\{(element|bar)\}/;

function sentence(template: string, data: Observation['data']): string {
  const text = fill(template, data);
  return SELECTOR_FIRST.test(template) ? text : text.charAt(0).toUpperCase() + text.slice(1);
}
