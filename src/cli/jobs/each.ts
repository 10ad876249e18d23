import { availableParallelism } from 'node:os';
import { failureOf, UsageError } from '../errors.js';
import { STANDARD_INPUT } from '../options.js';
import { auditOne, type PageOutcome, type PageTask } from './audit-one.js';
import type { Answer } from './worker.js';

/** A run of fewer pages is not worth the start of threads. */
const ALONE = 2;
/** Pages handed to each thread ahead of what is done. */
const AHEAD = 2;

export interface Hooks {
  /** Told before each check of a page that is audited in this thread. */
  readonly onCheck?: (page: string, id: string, index: number, count: number) => void;
}

/** Pages audited, in the order given, several at once. @param jobs how many; all cores if left out */
export async function* auditEach(
  tasks: readonly PageTask[],
  jobs: number | undefined,
  { onCheck }: Hooks = {},
): AsyncGenerator<PageOutcome> {
  const threads = Math.min(jobs ?? availableParallelism(), tasks.length);
  if (threads < 2 || tasks.length <= ALONE || tasks.some(({ name }) => name === STANDARD_INPUT)) {
    for (const task of tasks)
      yield await auditOne(task, onCheck && ((id, i, count) => onCheck(task.name, id, i, count)));
    return;
  }
  yield* inThreads(tasks, threads);
}

async function* inThreads(tasks: readonly PageTask[], threads: number): AsyncGenerator<PageOutcome> {
  const { Piscina } = await import('piscina');
  const pool = new Piscina({
    filename: new URL('./worker.js', import.meta.url).href,
    minThreads: threads,
    maxThreads: threads,
    // A thread that waits is soon wanted again.
    idleTimeout: 60_000,
  });
  try {
    const running: Promise<Answer>[] = [];
    let next = 0;
    for (let done = 0; done < tasks.length; done++) {
      while (next < tasks.length && running.length < threads + threads * AHEAD) {
        const answer = pool.run(tasks[next++]) as Promise<Answer>;
        // It is awaited in its turn; until then a failure waits with it.
        answer.catch(() => undefined);
        running.push(answer);
      }
      const { name } = tasks[done]!;
      const answer = await running
        .shift()!
        .catch((error: unknown): Answer => ({ name, failure: failureOf(name, error) }));
      if ('misuse' in answer) throw new UsageError(answer.misuse.message, answer.misuse.remedy);
      yield answer;
    }
  } finally {
    await pool.destroy();
  }
}
