import { splitTokens } from '../../html/index.js';
import type { Reading } from '../reading.js';
import { El, Loose, type Value } from '../values.js';

const PARENT = '#parent';
const FILLED = '#filled';

/** What an element that a script made was put into; null where it stands nowhere. */
export const parentOf = (self: Value): Value =>
  self instanceof Loose ? ((self.props.get(PARENT) as Value) ?? null) : null;

/** Whether something was put into an element that a script made: what it is, is not kept. */
export const isFilled = (self: Value): boolean => self instanceof Loose && self.props.has(FILLED);

export const fill = (reading: Reading, self: Loose): void => reading.put(self.props, FILLED, true);

export function placeIn(reading: Reading, self: Loose, parent: Value): void {
  if (self.tag === 'script' && !reading.made.has(self)) reading.jobs.push(() => reading.bring?.(self));
  reading.made.add(self);
  reading.put(self.props, PARENT, parent);
}

/** Elements that scripts made and put somewhere, and that a selector of one part names by tag, id and classes. */
export function madeLike(reading: Reading, selector: string): readonly Loose[] {
  const [whole, tag, rest] = /^([a-z][\w-]*)?((?:[.#][\w-]+)+)$/i.exec(selector) ?? [];
  if (whole === undefined || rest === undefined) return [];
  const parts = rest.match(/[.#][\w-]+/g) ?? [];
  return [...reading.made].filter((one) => {
    const classes = splitTokens(one.attributes.get('class') ?? '');
    const has = (part: string) =>
      part.startsWith('.') ? classes.includes(part.slice(1)) : one.attributes.get('id') === part.slice(1);
    return parentOf(one) !== null && (tag === undefined || one.tag === tag.toLowerCase()) && parts.every(has);
  });
}

/** Whether markup that a script writes holds a navigation landmark. */
export const isMenuMarkup = (value: Value): boolean =>
  typeof value === 'string' && /<nav\b|\brole=["']?navigation\b/i.test(value);

/** Whether something a script has made is a navigation landmark or holds one. */
export const isMenu = (made: Loose): boolean =>
  made.holdsMenu || made.tag === 'nav' || made.attributes.get('role') === 'navigation';

/** Notes that a script puts such a landmark into something. */
export function furnish(reading: Reading, where: Value): void {
  if (where instanceof Loose) where.holdsMenu = true;
  else if (where instanceof El) reading.furnished.add(where.node);
}
