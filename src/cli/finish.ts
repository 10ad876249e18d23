import type { ExitCode } from './errors.js';

/** Sets the exit code and lets the process end by itself, so that piped output is not cut off. */
export function finish(code: ExitCode): void {
  process.exitCode = code;
}
