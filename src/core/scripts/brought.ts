import { Obj, UNKNOWN, type Slot } from './values.js';

/** What browsers give under some names, and nothing is known of. */
export class Brought extends Obj {
  constructor(
    proto: Obj | null,
    readonly names: ReadonlySet<string>,
  ) {
    super(proto);
    this.quiet = true;
  }
  override own(key: string): Slot | undefined {
    return this.props.has(key) || !this.names.has(key) ? super.own(key) : UNKNOWN;
  }
  override hasOwn(key: string): boolean {
    return super.hasOwn(key) || this.names.has(key);
  }
}
