import { AFFECTS } from '../../css/index.js';
import { isAncestorOrSelf, type ElementNode } from '../../html/index.js';
import type { Scene } from '../../scene/index.js';
import type { Subject } from '../subject.js';
import type { Control } from './controls.js';
import { textsIn } from './texts.js';

/** A control as it looks in a state. */
export interface StateLook {
  readonly state: 'hover' | 'focus';
  readonly scene: Scene;
}

/** What was laid out in a scene, by kind, and what was found of each control. */
interface Known {
  readonly kinds: Set<string>;
  readonly looks: Map<ElementNode, readonly StateLook[]>;
}

const known = new WeakMap<Scene, Known>();
const COLOUR = AFFECTS.indexOf('colour');

/** How a control looks under the pointer and with focus, where that changes its text or what lies beneath it. */
export function statesOf(control: Control, subject: Subject): readonly StateLook[] {
  if (!subject.moves) return [];
  let own = known.get(subject.scene);
  if (!own) known.set(subject.scene, (own = { kinds: new Set(), looks: new Map() }));
  let looks = own.looks.get(control.element);
  if (!looks) own.looks.set(control.element, (looks = looksOf(control, subject, own.kinds)));
  return looks;
}

function looksOf(control: Control, subject: Subject, kinds: Set<string>): readonly StateLook[] {
  return (['hover', 'focus'] as const).flatMap((state): StateLook[] => {
    if (AFFECTS.indexOf(subject.page.touchedBy(state, control.element)) < COLOUR) return [];
    const move = { by: state, element: control.element } as const;
    const { base, styles, moves } = subject.preview(move);
    if (styles.changed.length === 0) return [];
    if (!moves) {
      const scene = subject.after(move);
      return changes(control, base, scene) ? [{ state, scene }] : [];
    }
    // Controls whose own look, surroundings and words change alike stand out alike: the first of a kind stands for all.
    const { element } = control;
    const own = styles.changed.filter(
      (e) => isAncestorOrSelf(e, element) || (isAncestorOrSelf(element, e) && holdsText(e)),
    );
    const around = [...lineage(element)].map((e) => idOf(base.style(e))).join();
    const kind = `${state} ${around} ${own.map((e) => idOf(styles.of(e))).join()}`;
    if (kinds.has(kind)) return [];
    kinds.add(kind);
    return [{ state, scene: subject.after(move) }];
  });
}

const holdsText = ({ children, namespace }: ElementNode): boolean =>
  namespace === 'html' && children.some((child) => child.kind === 'text' && child.data.trim() !== '');

function* lineage(element: ElementNode): Generator<ElementNode> {
  for (let e: ElementNode | null = element; e; e = e.parent) yield e;
}

const ids = new WeakMap<object, number>();
let next = 0;
function idOf(style: object): number {
  let id = ids.get(style);
  if (id === undefined) ids.set(style, (id = next++));
  return id;
}

function changes(control: Control, before: Scene, after: Scene): boolean {
  for (let e: Control['element'] | null = control.element; e; e = e.parent)
    if (before.style(e) !== after.style(e)) return true;
  return textsIn(control.element, before).some(
    (item) => before.paintStyle(item.node.box) !== after.paintStyle(item.node.box),
  );
}
