/** A page or file that cannot be used, with what to do about it. */
export class SourceError extends Error {
  constructor(
    message: string,
    readonly remedy: string,
  ) {
    super(message);
  }
}
