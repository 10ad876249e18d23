import { isInFlow } from '../boxes/index.js';
import { MARKUP, radioGroup, type ElementNode, type MarkupView } from '../html/index.js';
import { pictureOf, type Scene } from '../scene/index.js';

/** The tabindex attribute as a number; null where it is absent or malformed. @spec html §6.6.3 */
export function tabIndexOf(element: ElementNode, m: MarkupView = MARKUP): number | null {
  const match = /^\s*(-?\d+)/.exec(m.attribute(element, 'tabindex') ?? '');
  return match ? Number(match[1]) : null;
}

export function isDisabled(element: ElementNode, m: MarkupView = MARKUP): boolean {
  if (m.attribute(element, 'disabled') !== undefined) return true;
  for (let e = element.parent, child = element; e; child = e, e = e.parent) {
    if (e.tag === 'fieldset' && m.attribute(e, 'disabled') !== undefined)
      return !(child.tag === 'legend' && e.elements.find((x) => x.tag === 'legend') === child);
  }
  return false;
}

/** Whether the element takes focus without a tabindex. @spec html §6.6.2 */
export function isNativelyFocusable(element: ElementNode, m: MarkupView = MARKUP): boolean {
  if (element.namespace === 'svg')
    return (
      element.tag === 'a' &&
      (m.attribute(element, 'href') !== undefined || m.attribute(element, 'xlink:href') !== undefined)
    );
  if (element.namespace !== 'html') return false;
  switch (element.tag) {
    case 'a':
    case 'area':
      return m.attribute(element, 'href') !== undefined;
    case 'button':
    case 'select':
    case 'textarea':
      return !isDisabled(element, m);
    case 'input':
      return !isDisabled(element, m) && (m.attribute(element, 'type') ?? '').toLowerCase() !== 'hidden';
    case 'iframe':
      return true;
    case 'audio':
    case 'video':
      return m.attribute(element, 'controls') !== undefined;
    case 'summary':
      return element.parent?.tag === 'details' && element.parent.elements.find((e) => e.tag === 'summary') === element;
    default: {
      const editable = m.attribute(element, 'contenteditable');
      return editable === '' || editable?.toLowerCase() === 'true' || editable?.toLowerCase() === 'plaintext-only';
    }
  }
}

export const isFocusable = (element: ElementNode, m: MarkupView = MARKUP): boolean =>
  isNativelyFocusable(element, m) ||
  (tabIndexOf(element, m) !== null && !(isFormControl(element) && isDisabled(element, m)));
const isFormControl = (element: ElementNode): boolean =>
  ['button', 'input', 'select', 'textarea'].includes(element.tag);

/** Whether focus can come to the element in a scene: rendered, visible and not inert. */
export function canTakeFocus(element: ElementNode, scene: Scene): boolean {
  if (!isFocusable(element, scene)) return false;
  if (element.tag === 'area') return pictureOf(element, scene) !== null;
  if (!scene.box(element) && scene.style(element).display !== 'contents') return false;
  if (scene.style(element).visibility !== 'visible' || (!scene.box(element) && scene.style(element).display === 'none'))
    return false;
  return !isInert(element, scene);
}

export function isInert(element: ElementNode, scene: MarkupView = MARKUP): boolean {
  for (let e: ElementNode | null = element; e; e = e.parent) if (scene.attribute(e, 'inert') !== undefined) return true;
  return false;
}

function isTabStop(element: ElementNode, scene: Scene): boolean {
  const index = tabIndexOf(element, scene);
  if (index !== null && index < 0) return false;
  if (!canTakeFocus(element, scene)) return false;
  return (
    element.tag !== 'input' ||
    (scene.attribute(element, 'type') ?? '').toLowerCase() !== 'radio' ||
    isRadioStop(element, scene)
  );
}

/** Of a group of radio buttons only one is a stop. @spec html §4.10.5.1.17, §6.6.4 */
function isRadioStop(radio: ElementNode, scene: Scene): boolean {
  const group = radioGroup(radio, scene.document.elements).filter((e) => canTakeFocus(e, scene));
  const checked = group.findLast((e) => scene.attribute(e, 'checked') !== undefined);
  return checked ? checked === radio : group[0] === radio;
}

/** Scroll areas without anything focusable inside are stops in current browsers. */
function isScrollStop(element: ElementNode, scene: Scene): boolean {
  const box = scene.box(element);
  if (
    !box ||
    tabIndexOf(element, scene) !== null ||
    isNativelyFocusable(element, scene) ||
    element === scene.document.root ||
    element === scene.document.body
  )
    return false;
  const style = scene.style(element);
  if (!['auto', 'scroll'].includes(style.overflowX) && !['auto', 'scroll'].includes(style.overflowY)) return false;
  if (style.visibility !== 'visible' || isInert(element, scene) || !scrolls(element, scene)) return false;
  return !hasFocusable(element, scene);
}

function hasFocusable(element: ElementNode, scene: Scene): boolean {
  return element.elements.some(
    (child) => (canTakeFocus(child, scene) && (tabIndexOf(child, scene) ?? 0) >= 0) || hasFocusable(child, scene),
  );
}

/** Overflow that rounds away is none. */
const LEAST_OVERFLOW = 0.5;

/**
 * Whether what a box holds reaches beyond it: content in flow keeps the padding behind it, and of what clips or
 * scrolls by itself only the box counts. @spec css-overflow-3 §2.2
 */
function scrolls(element: ElementNode, scene: Scene): boolean {
  const node = scene.nodes(element)[0];
  if (!node) return false;
  const style = scene.style(element);
  const { border, padding } = node.fragment;
  const right = node.rect.x + node.rect.width - border.right + LEAST_OVERFLOW;
  const bottom = node.rect.y + node.rect.height - border.bottom + LEAST_OVERFLOW;
  const [alongX, alongY] = [style.overflowX, style.overflowY].map((v) => v === 'auto' || v === 'scroll');
  const stack = node.children.map((child) => ({ child, flows: true }));
  for (let next = stack.pop(); next; next = stack.pop()) {
    const { rect, box, children, fragment } = next.child;
    const flows = next.flows && (fragment.kind === 'text' || box.anonymous || isInFlow(box));
    if (alongX && rect.x + rect.width > right - (flows ? padding.right : 0)) return true;
    if (alongY && rect.y + rect.height > bottom - (flows ? padding.bottom : 0)) return true;
    const own = fragment.kind === 'box' && !box.anonymous && box.outer !== 'inline';
    const cuts = own && [box.style.overflowX, box.style.overflowY].some((v) => v !== 'visible');
    if (!cuts) stack.push(...children.map((child) => ({ child, flows })));
  }
  return false;
}

/**
 * The stops of the Tab key in order.
 * @spec html §6.6.4 (sequential focus navigation)
 */
export function tabOrder(scene: Scene): readonly ElementNode[] {
  const stops = scene.document.elements.filter((e) => isTabStop(e, scene) || isScrollStop(e, scene));
  const rank = (e: ElementNode) => tabIndexOf(e, scene) || Infinity;
  return stops
    .map((element, i) => ({ element, i }))
    .sort((a, b) => (rank(a.element) === rank(b.element) ? a.i - b.i : rank(a.element) - rank(b.element)))
    .map(({ element }) => element);
}
