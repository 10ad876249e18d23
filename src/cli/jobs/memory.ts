import { getHeapStatistics, setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';

/** Heap from which what earlier pages left behind is collected, bytes. The engine by itself lets it grow for long. */
const ROOMY = 260 * 1024 * 1024;

let collect: (() => void) | null = null;

/** Gives back the memory of pages that are done, so that many need no more than a few. */
export function tidyMemory(): void {
  if (getHeapStatistics().used_heap_size < ROOMY) return;
  if (!collect) {
    setFlagsFromString('--expose-gc');
    collect = runInNewContext('gc') as () => void;
  }
  collect();
}
