/** So many results by what they were worked out from: what was asked for last is kept longest. */
export class Kept<K, V> {
  readonly #all = new Map<K, V>();

  constructor(readonly most: number) {}

  get(key: K, make: () => V): V {
    let known = this.#all.get(key);
    if (known === undefined) known = make();
    else this.#all.delete(key);
    this.#all.set(key, known);
    if (this.#all.size > this.most) this.#all.delete(this.#all.keys().next().value!);
    return known;
  }
}
