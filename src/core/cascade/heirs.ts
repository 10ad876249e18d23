import { HORIZONTAL } from './compute.js';
import { indexOf, INHERITED, isInherited, type ComputedStyle } from './style.js';
import type { Block, Winner } from './block.js';

/** What an element hands down: equal for styles below which everything is computed alike, and by the same rules. */
export type Heir = object;

interface Known {
  readonly style: ComputedStyle;
  readonly heir: Heir;
}

/** Tells styles apart by what they hand down: an element whose own box alone changes leaves those inside it as they are. */
export class Heirs {
  readonly #of = new WeakMap<ComputedStyle, Heir>();
  /** Below each heir, by the declarations that set something inherited. */
  readonly #below = new WeakMap<Heir, Map<string, Known[]>>();
  readonly #narrowed = new WeakMap<Heir, Map<string, Heir>>();
  readonly #ids = new WeakMap<object, number>();
  readonly #asked = new WeakMap<Block, readonly number[]>();
  readonly #root: Heir = {};
  #next = 0;

  /** What computed styles of a block are shared by: its parent, as far as the block reads of it. */
  place(block: Block, parent: ComputedStyle | null): Heir {
    if (!parent) return this.#root;
    const heir = this.#heirOf(parent);
    const asked = this.#askedBy(block);
    if (asked.length === 0) return heir;
    // Logical properties stand for others in other flows.
    if (FLOW.some((index) => block.winners(HORIZONTAL).has(index)) || !isPlain(parent)) return parent;
    const values = asked.map((index) => parent.values[index]);
    if (values.some((value) => typeof value === 'object')) return parent;
    const key = values.join('|');
    let byValues = this.#narrowed.get(heir);
    if (!byValues) this.#narrowed.set(heir, (byValues = new Map()));
    let known = byValues.get(`${asked.join()} ${key}`);
    if (!known) byValues.set(`${asked.join()} ${key}`, (known = {}));
    return known;
  }

  #heirOf(style: ComputedStyle): Heir {
    let heir = this.#of.get(style);
    if (!heir) this.#of.set(style, (heir = this.#make(style)));
    return heir;
  }

  #make(style: ComputedStyle): Heir {
    const { parent } = style;
    const above = parent ? this.#heirOf(parent) : this.#root;
    let set = '';
    for (const [index, winner] of style.winners)
      if (isInherited(index)) set += `${index}:${this.#id(winner.declaration)}.${this.#id(winner.match)} `;
    for (const { declaration } of style.block.custom.values()) set += `c${this.#id(declaration)} `;
    if (set === '' && parent && sameInherited(parent, style)) return above;
    let below = this.#below.get(above);
    if (!below) this.#below.set(above, (below = new Map()));
    let list = below.get(set);
    if (!list) below.set(set, (list = []));
    const known = list.find((one) => sameInherited(one.style, style));
    if (known) return known.heir;
    const heir = {};
    list.push({ style, heir });
    return heir;
  }

  /** Properties that are not inherited and that a block takes from the parent all the same. */
  #askedBy(block: Block): readonly number[] {
    let known = this.#asked.get(block);
    if (!known) {
      known = [...block.winners(HORIZONTAL)].flatMap(([index, winner]) =>
        !isInherited(index) && asksParent(winner) ? [index] : [],
      );
      this.#asked.set(block, known);
    }
    return known;
  }

  #id(one: object): number {
    let id = this.#ids.get(one);
    if (id === undefined) this.#ids.set(one, (id = this.#next++));
    return id;
  }
}

const asksParent = ({ value }: Winner): boolean =>
  typeof value === 'string' ? value === 'inherit' : typeof value === 'object' && /inherit/i.test(value.pending.text);

const FLOW = [indexOf('direction'), indexOf('writingMode')];
const isPlain = ({ direction, writingMode }: ComputedStyle): boolean =>
  direction === 'ltr' && writingMode === 'horizontal-tb';

/** Whether two styles hand down the same values. */
function sameInherited(a: ComputedStyle, b: ComputedStyle): boolean {
  if (a.fontSizing !== b.fontSizing || a.askedFontSize !== b.askedFontSize) return false;
  for (const index of INHERITED) if (a.values[index] !== b.values[index]) return false;
  return sameCustom(a.custom, b.custom);
}

function sameCustom(a: ComputedStyle['custom'], b: ComputedStyle['custom']): boolean {
  if (a === b) return true;
  if (a.size !== b.size) return false;
  for (const [name, value] of a) if (b.get(name) !== value) return false;
  return true;
}
