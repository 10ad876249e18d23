/** An argument that cannot be meant so: says what and what to do instead. */
export class ArgumentError extends Error {
  constructor(
    message: string,
    readonly remedy: string,
  ) {
    super(message);
  }
}
