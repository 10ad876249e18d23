/**
 * What the chosen command is to do. Handlers leave their work here and return at once: the argument parser would
 * render its whole help text beside every handler that returns a promise.
 */
let pending: (() => Promise<void> | void) | null = null;

export function later<T>(work: (args: T) => Promise<void> | void): (args: T) => void {
  return (args) => {
    pending = () => work(args);
  };
}

/** Runs what was left, if a command was chosen. */
export async function runPending(): Promise<void> {
  const work = pending;
  pending = null;
  await work?.();
}
