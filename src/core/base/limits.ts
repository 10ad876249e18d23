import { formatPosition, positionOf, type Span } from './source.js';

/**
 * Something the engine met and could not take fully into account.
 * `unknown`: no specification names it; `unsupported`: known, not built yet; `missing`: a resource was not there;
 * `budget`: given up to stay within bounds; `repaired`: malformed input mended as the standard says;
 * `unseen`: what may be a menu and is not looked at; `unread`: what a script does that could not be followed.
 */
export const LIMIT_KINDS = ['unknown', 'unsupported', 'missing', 'budget', 'repaired', 'unseen', 'unread'] as const;
export type LimitKind = (typeof LIMIT_KINDS)[number];

export interface Limit {
  readonly kind: LimitKind;
  /** What it is about, e.g. `display: grid` or `sheet brand.css`. */
  readonly subject: string;
  /** What follows for the reader. */
  readonly consequence: string;
  /** `file:line:column` of the first occurrence, or null. */
  readonly place: string | null;
  readonly count: number;
}

/** Whether a limit is worth a reader's time: what browsers drop as well is not. */
export const isTold = ({ kind }: Limit): boolean => kind !== 'repaired' && kind !== 'unknown';

/** Limits that leave something of a menu unjudged: a person has to look there. */
export const asksForLook = ({ kind }: Limit): boolean => kind === 'unseen' || kind === 'unread';

/** Collects limits, counting repeats of one subject. */
export class LimitLog {
  readonly #entries = new Map<string, { -readonly [K in keyof Limit]: Limit[K] }>();

  add(kind: LimitKind, subject: string, consequence: string, span: Span | null = null): void {
    const key = `${kind}\0${subject}`;
    const known = this.#entries.get(key);
    if (known) {
      known.count++;
      return;
    }
    const place = span ? formatPosition(positionOf(span)) : null;
    this.#entries.set(key, { kind, subject, consequence, place, count: 1 });
  }

  /** Takes over limits noted elsewhere. */
  merge(limits: readonly Limit[]): void {
    for (const limit of limits) {
      const key = `${limit.kind}\0${limit.subject}`;
      const known = this.#entries.get(key);
      if (known) known.count += limit.count;
      else this.#entries.set(key, { ...limit });
    }
  }

  /** All limits, sorted by kind and subject so that equal runs give equal output. */
  list(): readonly Limit[] {
    return [...this.#entries.values()]
      .map((entry) => Object.freeze({ ...entry }))
      .sort((a, b) => compareText(a.kind, b.kind) || compareText(a.subject, b.subject));
  }
}

/** Order of UTF-16 code units: independent of the machine's locale. */
export function compareText(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0;
}
