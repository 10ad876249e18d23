import type { Reading } from '../reading.js';
import { Loose, type Value } from '../values.js';

const PARENT = '#parent';
const FILLED = '#filled';

/** What an element that a script made was put into; null where it stands nowhere. */
export const parentOf = (self: Value): Value =>
  self instanceof Loose ? ((self.props.get(PARENT) as Value) ?? null) : null;

/** Whether something was put into an element that a script made: what it is, is not kept. */
export const isFilled = (self: Value): boolean => self instanceof Loose && self.props.has(FILLED);

export const fill = (reading: Reading, self: Loose): void => reading.put(self.props, FILLED, true);

export const placeIn = (reading: Reading, self: Loose, parent: Value): void => reading.put(self.props, PARENT, parent);
