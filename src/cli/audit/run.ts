import {
  compareAcross,
  isTold,
  SharedFindings,
  weighsEnough,
  wordOf,
  WORDS,
  type AcrossPages,
  type AuditResult,
  type SharedFinding,
  type Weight,
} from '../../core/index.js';
import { EXIT, type ExitCode, type Failure } from '../errors.js';
import { auditEach } from '../jobs/each.js';
import type { Progress } from '../progress.js';
import { acceptedOn } from './accepting.js';
import { Outputs } from './outputs.js';
import type { Request } from './request.js';
import type { Log } from './log.js';

/** What is kept of a page once its result is written: enough to compare pages. */
export type PageLine = Pick<AuditResult, 'page' | 'language' | 'widths' | 'menus' | 'checks' | 'level'> & {
  readonly counts: Readonly<Record<string, number>>;
  readonly crashed: number;
};

/** A run over all its pages. */
export interface Run {
  readonly pages: readonly PageLine[];
  /** The result itself where there was a single page. */
  readonly single: AuditResult | null;
  /** Findings of all pages, those that pages share once. */
  readonly shared: readonly SharedFinding[];
  readonly limits: ReadonlyMap<string, number>;
  readonly across: AcrossPages;
  readonly failures: readonly Failure[];
  readonly accepted: number;
  readonly used: ReadonlySet<number>;
  readonly unwritten: number;
}

export interface Watching {
  readonly progress: Progress;
  readonly log: Log;
  readonly version: string;
  /** Told of each page as it is done. */
  readonly onPage?: (page: PageLine) => void;
}

/** Audits all pages asked for and writes the outputs. */
export async function runAudit(request: Request, { progress, log, version, onPage }: Watching): Promise<Run> {
  const outputs = new Outputs(request.outputs, { version, day: request.today });
  const gathering = new Gathering();
  const count = request.tasks.length;
  const began = Date.now();
  const rate = (done: number): string => {
    const each = (Date.now() - began) / Math.max(1, done);
    return done === 0 ? '' : `, ${(1000 / each).toFixed(1)} a second, ${timeLeft((count - done) * each)} left`;
  };
  let done = 0;
  const say = () => progress.say(`${done} of ${count} pages${rate(done)}`);
  if (count > 1) say();
  else progress.say(`Reading ${request.tasks[0]?.name ?? ''}`);
  const onCheck = (page: string, id: string, i: number, n: number) => {
    log.debug({ page, check: id }, 'check');
    progress.say(
      count > 1 ? `${done} of ${count} pages${rate(done)}: ${page}, ${id}` : `${page}: ${id} (${i + 1} of ${n})`,
    );
  };
  for await (const outcome of auditEach(request.tasks, request.jobs, { onCheck })) {
    done++;
    if ('failure' in outcome) {
      log.error(outcome.failure, 'not audited');
      gathering.failures.push(outcome.failure);
    } else {
      log.info({ page: outcome.result.page, findings: outcome.result.findings.length }, 'audited');
      outputs.page(outcome.result, outcome.material);
      const line = gathering.add(outcome.result, outcome.used);
      if (count > 1) onPage?.(line);
    }
    if (count > 1) say();
  }
  const across = gathering.across(request);
  progress.stop();
  const unwritten = await outputs.end({ across, failures: gathering.failures });
  return { ...gathering.all(), across, unwritten };
}

const timeLeft = (ms: number): string =>
  ms < 90_000 ? `${Math.max(1, Math.round(ms / 1000))} s` : `${Math.round(ms / 60_000)} min`;

/** What is kept of the pages. */
class Gathering {
  readonly pages: PageLine[] = [];
  readonly failures: Failure[] = [];
  readonly #shared = new SharedFindings();
  readonly #limits = new Map<string, number>();
  readonly #used = new Set<number>();
  #single: AuditResult | null = null;
  #accepted = 0;

  add(result: AuditResult, used: readonly number[]): PageLine {
    const { page, language, widths, menus, checks, level, findings } = result;
    this.#single = this.pages.length === 0 ? result : null;
    this.#accepted += result.accepted.length;
    for (const i of used) this.#used.add(i);
    for (const finding of findings) this.#shared.add(finding, page);
    for (const { subject, consequence } of result.limits.filter(isTold)) {
      const text = `${subject}: ${consequence}`;
      this.#limits.set(text, (this.#limits.get(text) ?? 0) + 1);
    }
    const counts = Object.fromEntries(
      WORDS.map((word) => [word, findings.filter((finding) => wordOf(finding) === word).length]),
    );
    const line = { page, language, widths, menus, checks, level, counts, crashed: result.crashed.length };
    this.pages.push(line);
    return line;
  }

  /** What the pages show together, less what is accepted of it. */
  across({ audit, acceptances, today }: Request): AcrossPages {
    const across = compareAcross(this.pages, audit);
    const names = this.pages.map(({ page }) => page);
    const { findings, accepted, used } = acceptedOn(names, across.findings, acceptances, today);
    this.#accepted += accepted.length;
    for (const i of used) this.#used.add(i);
    return { ...across, findings, accepted };
  }

  all(): Omit<Run, 'across' | 'unwritten'> {
    return {
      pages: this.pages,
      single: this.#single,
      shared: this.#shared.list(),
      limits: this.#limits,
      failures: this.failures,
      accepted: this.#accepted,
      used: this.#used,
    };
  }
}

/** How a run ends: 3 where a page could not be audited, 1 where a fault weighs enough. */
export function exitCodeOf({ pages, shared, across, failures }: Run, failOn: Weight | 'never'): ExitCode {
  if (failures.length > 0 || pages.some(({ crashed }) => crashed > 0)) return EXIT.unaudited;
  const all = [...shared.map(({ finding }) => finding), ...across.findings];
  return weighsEnough(all, failOn) ? EXIT.findings : EXIT.clean;
}
