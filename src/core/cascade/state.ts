import type { FactName, StateView } from '../css/index.js';
import {
  descendants,
  isAncestorOrSelf,
  isSuperseded,
  markupWith,
  type AttributeChanges,
  type ElementNode,
  type MarkupChanges,
  type MarkupView,
} from '../html/index.js';

/** The state of a page in one pose; anything left out is as the markup has it. */
export interface PoseState {
  readonly hovered?: ElementNode | null;
  readonly focused?: ElementNode | null;
  readonly active?: ElementNode | null;
  readonly target?: ElementNode | null;
  /** Elements whose checked, open or popover state differs from the markup. */
  readonly toggled?: ReadonlyMap<ElementNode, boolean>;
  /** Attributes that differ from the markup: `class` and `style` whole, null where one was taken away. */
  readonly changed?: MarkupChanges;
  /** Scrolled past whatever hangs on how far the page is scrolled. */
  readonly scrolled?: boolean;
  /** The last move led to another page. */
  readonly left?: boolean;
}

/** A state view that also lists where it may differ from the page at rest, changed attributes apart. */
export interface PoseView extends StateView {
  readonly touches: readonly (readonly [FactName, ElementNode])[];
  /** Attributes that differ from the markup, those of opened details and dialogs with them. */
  readonly changes: MarkupChanges;
  readonly scrolled: boolean;
}

function* chain(element: ElementNode | null | undefined): Generator<ElementNode> {
  for (let e = element ?? null; e; e = e.parent) yield e;
}

/** Every fact a pose may make true or false. */
function touchesOf(pose: PoseState): PoseView['touches'] {
  const out: [FactName, ElementNode][] = [];
  for (const e of chain(pose.hovered)) out.push(['hover', e]);
  for (const e of chain(pose.active)) out.push(['active', e]);
  for (const e of chain(pose.focused)) out.push(['focus-within', e]);
  for (const e of chain(pose.target)) out.push(['target-within', e]);
  if (pose.focused) out.push(['focus', pose.focused], ['focus-visible', pose.focused]);
  if (pose.target) out.push(['target', pose.target]);
  for (const e of pose.toggled?.keys() ?? [])
    for (const name of ['checked', 'open', 'popover-open', 'modal'] as const) out.push([name, e]);
  const control = labelledControl(pose.hovered);
  if (control) out.push(['hover', control]);
  return out;
}

/** Facts of a pose. Focus shows its ring (`:focus-visible`): it is looked at as the keyboard gives it. */
export function stateView(pose: PoseState): PoseView {
  const control = labelledControl(pose.hovered);
  const within = (outer: ElementNode, inner: ElementNode | null | undefined) =>
    inner != null && isAncestorOrSelf(outer, inner);
  const changes = changesOf(pose);
  const markup = markupWith(changes);
  return {
    touches: touchesOf(pose),
    scrolled: pose.scrolled ?? false,
    changes,
    attribute: (element, name) => markup.attribute(element, name),
    hasClass: (element, name) => markup.hasClass(element, name),
    has(name: FactName, element: ElementNode): boolean {
      switch (name) {
        case 'hover':
          return within(element, pose.hovered) || element === control;
        case 'active':
          return within(element, pose.active);
        case 'focus':
        case 'focus-visible':
          return pose.focused === element;
        case 'focus-within':
          return within(element, pose.focused);
        case 'target':
          return pose.target === element;
        case 'target-within':
          return within(element, pose.target);
        case 'checked':
          return pose.toggled?.get(element) ?? isChecked(element, markup);
        case 'open':
          return pose.toggled?.get(element) ?? isOpen(element, markup);
        case 'popover-open':
        case 'modal':
          return pose.toggled?.get(element) ?? false;
      }
    },
  };
}

const UNCHANGED: MarkupChanges = new Map();

/** Opening details and dialogs sets their attribute. @spec html §4.11.1, §4.11.4 */
function changesOf({ changed, toggled }: PoseState): MarkupChanges {
  const opened = [...(toggled ?? [])].filter(([e]) => e.tag === 'details' || e.tag === 'dialog');
  if (opened.length === 0) return changed ?? UNCHANGED;
  const out = new Map<ElementNode, AttributeChanges>(changed);
  for (const [e, on] of opened) out.set(e, new Map([...(out.get(e) ?? []), ['open', on ? '' : null]]));
  return out;
}

/** Hovering a label hovers its control. @spec html §4.16.3 (:hover) */
function labelledControl(hovered: ElementNode | null | undefined): ElementNode | null {
  for (const e of chain(hovered)) {
    const id = e.tag === 'label' ? e.attributes.get('for') : undefined;
    if (id !== undefined) return rootOf(e).find((x) => x.id === id) ?? null;
  }
  return null;
}

function rootOf(element: ElementNode): readonly ElementNode[] {
  let top = element;
  for (const e of chain(element)) top = e;
  return [top, ...descendants(top)];
}

function isChecked(element: ElementNode, markup: MarkupView): boolean {
  if (element.tag === 'input')
    return (
      markup.attribute(element, 'checked') !== undefined &&
      /^(checkbox|radio)$/i.test(element.attributes.get('type') ?? '') &&
      !isSuperseded(element)
    );
  return element.tag === 'option' && isSelected(element);
}

function isSelected(option: ElementNode): boolean {
  if (option.attributes.has('selected')) return true;
  let owner = option.parent;
  while (owner && owner.tag === 'optgroup') owner = owner.parent;
  if (owner?.tag !== 'select' || owner.attributes.has('multiple') || owner.attributes.has('size')) return false;
  const options = owner.elements
    .flatMap((e) => (e.tag === 'optgroup' ? e.elements : [e]))
    .filter((e) => e.tag === 'option');
  return options[0] === option && !options.some((e) => e.attributes.has('selected'));
}

const isOpen = (element: ElementNode, markup: MarkupView): boolean =>
  (element.tag === 'details' || element.tag === 'dialog') && markup.attribute(element, 'open') !== undefined;
