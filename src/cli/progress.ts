import type { Ora } from 'ora';

/** Says on standard error what is being done, where someone is looking. */
export interface Progress {
  say(text: string): void;
  stop(): void;
}

const SILENT: Progress = { say: () => undefined, stop: () => undefined };

/** A spinner on a terminal; nothing in pipes. Loaded only where it shows. */
export async function progressOn(stream: NodeJS.WriteStream, quiet: boolean): Promise<Progress> {
  if (quiet || stream.isTTY !== true) return SILENT;
  const { default: ora } = await import('ora');
  let spinner: Ora | null = null;
  return {
    say(text) {
      spinner ??= ora({ stream }).start();
      spinner.text = text;
      spinner.render();
    },
    stop() {
      spinner?.stop();
      spinner = null;
    },
  };
}
