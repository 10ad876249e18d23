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
