import { shape, type Shape } from './xml.js';

/** What a drawing defines once and uses often: glyphs, clips, gradients, shadows. */
export class Definitions {
  readonly #ids = new Map<string, string>();
  readonly #shapes: Shape[] = [];

  /** The id under which something is defined; made when it is first asked for. */
  id(kind: string, key: string, make: (id: string) => Shape): string {
    const name = `${kind}\0${key}`;
    let id = this.#ids.get(name);
    if (id === undefined) {
      id = `${kind}${this.#ids.size}`;
      this.#ids.set(name, id);
      this.#shapes.push(make(id));
    }
    return id;
  }

  get shape(): Shape {
    return shape('defs', {}, this.#shapes);
  }
}
