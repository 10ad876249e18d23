import { closest, descendants, type ElementNode } from './document.js';

/** The form a control belongs to, by its attribute or by where it stands. @spec html §4.10.18.3 */
function formOwner(control: ElementNode): ElementNode | string | null {
  const around = closest(control, (e) => e.tag === 'form');
  return control.attributes.get('form') ?? around?.id ?? around;
}

/** Radio buttons of which at most one is checked. @param all in document order @spec html §4.10.5.1.17 */
export function radioGroup(radio: ElementNode, all: readonly ElementNode[]): readonly ElementNode[] {
  const name = radio.attributes.get('name');
  if (!name) return [radio];
  const form = formOwner(radio);
  return all.filter((e) => isRadio(e) && e.attributes.get('name') === name && formOwner(e) === form);
}

const isRadio = ({ tag, attributes }: ElementNode): boolean =>
  tag === 'input' && attributes.get('type')?.toLowerCase() === 'radio';

const superseded = new WeakMap<ElementNode, boolean>();

/** Whether an element is a radio button written as checked after which another one of its group is, too. */
export function isSuperseded(radio: ElementNode): boolean {
  if (!isRadio(radio) || !radio.attributes.has('checked')) return false;
  let known = superseded.get(radio);
  if (known === undefined) {
    let root = radio;
    while (root.parent) root = root.parent;
    const group = radioGroup(radio, [...descendants(root)]);
    known = group.findLast((e) => e.attributes.has('checked')) !== radio;
    superseded.set(radio, known);
  }
  return known;
}
