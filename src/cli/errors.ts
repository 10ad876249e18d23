import { ArgumentError } from '../core/index.js';
import { SourceError } from '../sources/index.js';

/** Wrong use of the command: says what and what to do instead. Ends with exit code 2. */
export class UsageError extends Error {
  constructor(
    message: string,
    readonly remedy: string,
  ) {
    super(message);
  }
}

export const EXIT = { clean: 0, findings: 1, usage: 2, unaudited: 3 } as const;
export type ExitCode = (typeof EXIT)[keyof typeof EXIT];

/** A page that could not be audited. */
export interface Failure {
  readonly name: string;
  readonly message: string;
  readonly remedy: string;
}

/** What is told of an error at one page; wrong use stays wrong use, whatever the page. */
export function failureOf(name: string, error: unknown): Failure {
  if (error instanceof UsageError || error instanceof ArgumentError) throw error;
  const { message, remedy } = error as Error & { remedy?: string };
  if (error instanceof SourceError) return { name, message, remedy: remedy! };
  if (process.env.ROPE_LADDER_DEBUG) process.stderr.write(`${(error as Error).stack}\n`);
  return {
    name,
    message: `${name} could not be audited: ${message}`,
    remedy: 'That is a mistake of ours; set ROPE_LADDER_DEBUG=1 to see where.',
  };
}

/** With a capital letter, unless it begins with a path or an option, and a full stop. */
export function sentence(text: string): string {
  const trimmed = text.trim();
  const word = /^\S+/.exec(trimmed)?.[0] ?? '';
  const first = /[./\\]|^-/.test(word) ? trimmed : `${trimmed.charAt(0).toUpperCase()}${trimmed.slice(1)}`;
  return `${first}${/[.!?]$/.test(trimmed) ? '' : '.'}`;
}

/** Tells a failure on standard error, with the page where several were asked for. */
export function tellFailure({ name, message, remedy }: Failure, among: boolean): void {
  process.stderr.write(`${sentence(among && !message.includes(name) ? `${name}: ${message}` : message)} ${remedy}\n`);
}
