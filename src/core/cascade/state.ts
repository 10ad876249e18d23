import type { FactName, StateView } from '../css/index.js';
import { isAncestorOrSelf, type ElementNode } from '../html/index.js';

/** The state of a page in one pose; anything left out is as the markup has it. */
export interface PoseState {
  readonly hovered?: ElementNode | null;
  readonly focused?: ElementNode | null;
  readonly active?: ElementNode | null;
  readonly target?: ElementNode | null;
  /** Elements whose checked, open or popover state differs from the markup. */
  readonly toggled?: ReadonlyMap<ElementNode, boolean>;
}

/** Facts of a pose. Focus shows its ring (`:focus-visible`): it is looked at as the keyboard gives it. */
export function stateView(pose: PoseState): StateView {
  const within = (outer: ElementNode, inner: ElementNode | null | undefined) =>
    inner != null && isAncestorOrSelf(outer, inner);
  return {
    has(name: FactName, element: ElementNode): boolean {
      switch (name) {
        case 'hover':
          return within(element, pose.hovered) || labels(element, pose.hovered);
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
          return pose.toggled?.get(element) ?? isChecked(element);
        case 'open':
          return pose.toggled?.get(element) ?? isOpen(element);
        case 'popover-open':
        case 'modal':
          return pose.toggled?.get(element) ?? false;
      }
    },
  };
}

/** Hovering a label hovers its control. @spec html §4.16.3 (:hover) */
function labels(control: ElementNode, hovered: ElementNode | null | undefined): boolean {
  if (!hovered || control.id === null) return false;
  for (let e: ElementNode | null = hovered; e; e = e.parent)
    if (e.tag === 'label') return e.attributes.get('for') === control.id;
  return false;
}

function isChecked(element: ElementNode): boolean {
  if (element.tag === 'input')
    return element.attributes.has('checked') && /^(checkbox|radio)$/i.test(element.attributes.get('type') ?? '');
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

const isOpen = (element: ElementNode): boolean =>
  (element.tag === 'details' || element.tag === 'dialog') && element.attributes.has('open');
