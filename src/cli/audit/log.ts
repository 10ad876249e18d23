import { checkWritable } from '../../formats/index.js';

/** Takes what was done when. */
export interface Log {
  debug(facts: object, text: string): void;
  info(facts: object, text: string): void;
  error(facts: object, text: string): void;
}

const SILENT: Log = { debug: () => undefined, info: () => undefined, error: () => undefined };

/** A log that goes to a file, a line of JSON for each thing; nothing without one. Loaded only where it is asked for. */
export async function logTo(file: string | undefined): Promise<Log> {
  if (file === undefined) return SILENT;
  checkWritable(file);
  const { default: pino } = await import('pino');
  const { destination, stdTimeFunctions } = pino;
  const log = pino(
    { level: 'debug', base: null, timestamp: stdTimeFunctions.isoTime },
    destination({ dest: file, sync: true, append: false }),
  );
  return {
    debug: (facts, text) => log.debug(facts, text),
    info: (facts, text) => log.info(facts, text),
    error: (facts, text) => log.error(facts, text),
  };
}
