import { transformText } from '../boxes/index.js';
import { collapseSpace, descendants, isForScriptless, splitTokens, type ElementNode } from '../html/index.js';
import type { ComputedStyle } from '../cascade/index.js';
import type { ContentItem } from '../css/index.js';
import type { Glance } from '../scene/index.js';
import { isIconFont, withoutPrivate } from './icons.js';
import { roleOf } from './role.js';

/** Roles named by what they hold. @spec wai-aria-1.2 §5.2.8.5 */
const FROM_CONTENT = new Set(
  'button cell checkbox columnheader gridcell heading link menuitem menuitemcheckbox menuitemradio option radio row rowheader sectionhead switch tab tooltip treeitem'.split(
    ' ',
  ),
);
/** Roles that must not be named. @spec wai-aria-1.2 §5.2.8.6 */
const NAMELESS = new Set(
  'caption code definition deletion emphasis generic insertion mark none paragraph sectionfooter sectionheader strong subscript superscript term time suggestion'.split(
    ' ',
  ),
);

/** What may be named although its role is none that must not be. */
const NAMEABLE = new Set('summary abbr iframe dl li input select textarea object embed'.split(' '));

/** Roles named by the first heading inside where nothing else names them. @spec wai-aria-1.3 §5.2.8.4 */
const HEADED = new Set(['alertdialog', 'article', 'dialog']);

interface Walk {
  readonly scene: Glance;
  readonly visited: Set<ElementNode>;
  /** Inside an aria-labelledby reference: others are not followed again. */
  readonly referenced: boolean;
  /** Hidden content counts: what is referred to is itself hidden. */
  readonly hidden: boolean;
  /** Names of embedded controls are their values. */
  readonly recursing: boolean;
  /** Whether words set in an icon font count: a screen reader speaks them, a reader sees a picture. */
  readonly ligatures: boolean;
  /** Whether words stand in the case the style gives them, or as they are written. */
  readonly cased: boolean;
}

/** The accessible name of an element. @spec accname-1.2 §4.3 */
export function nameOf(element: ElementNode, scene: Glance, { ligatures = true, cased = true } = {}): string {
  const role = roleOf(element, scene);
  if (NAMELESS.has(role) && !NAMEABLE.has(element.tag)) return '';
  const walk = {
    scene,
    visited: new Set<ElementNode>(),
    referenced: false,
    hidden: false,
    recursing: false,
    ligatures,
    cased,
  };
  return collapseSpace(compute(element, walk));
}

const isGone = (element: ElementNode, scene: Glance): boolean =>
  scene.style(element).display === 'none' ||
  isForScriptless(element, scene.document) ||
  scene.attribute(element, 'aria-hidden') === 'true';

/** Gone with all it holds, or itself not to be seen: what it holds may be. */
const isHidden = (element: ElementNode, scene: Glance): boolean =>
  isGone(element, scene) || scene.style(element).visibility !== 'visible';

function compute(element: ElementNode, walk: Walk): string {
  if (walk.visited.has(element)) return '';
  walk.visited.add(element);
  const { scene, referenced } = walk;
  if (walk.recursing && !walk.hidden && isGone(element, scene)) return '';
  if (!referenced) {
    const named = fromReferences(element, walk);
    if (named !== '') return named;
  }
  const role = roleOf(element, scene);
  const control = walk.recursing ? embedded(element, role, walk) : null;
  if (control !== null) return control;
  const label = collapseSpace(scene.attribute(element, 'aria-label') ?? '');
  if (label !== '') return label;
  const native = fromMarkup(element, walk);
  if (native !== null && native.trim() !== '') return native;
  if (FROM_CONTENT.has(role) || element.tag === 'summary' || walk.recursing) {
    const text = fromContent(element, walk);
    if (text.trim() !== '') return text;
  }
  if (HEADED.has(role)) {
    const heading = [...descendants(element)].find((e) => roleOf(e, scene) === 'heading');
    if (heading) return compute(heading, { ...walk, recursing: true });
  }
  return tooltip(element, scene);
}

function tooltip(element: ElementNode, scene: Glance): string {
  const title = scene.attribute(element, 'title') ?? '';
  return title.trim() !== '' ? title : (scene.attribute(element, 'placeholder') ?? '');
}

/** Step 2B */
function fromReferences(element: ElementNode, walk: Walk): string {
  const { scene } = walk;
  const ids = splitTokens(scene.attribute(element, 'aria-labelledby') ?? '');
  const parts = ids.map((id) => walk.scene.byId(id)).filter((e) => e !== null);
  return parts
    .map((part) =>
      compute(part, {
        ...walk,
        visited: part === element ? new Set() : new Set([element]),
        referenced: true,
        hidden: isHidden(part, scene),
        recursing: true,
      }),
    )
    .join(' ')
    .trim();
}

/** Step 2C: a control inside a label counts by its value. */
function embedded(element: ElementNode, role: string, walk: Walk): string | null {
  const { scene } = walk;
  if (role === 'textbox' || role === 'searchbox')
    return element.tag === 'input' ? (scene.attribute(element, 'value') ?? '') : fromContent(element, walk);
  if (role === 'combobox' || role === 'listbox') {
    if (element.tag !== 'select' && element.tag !== 'input') return chosenIn(element, walk);
    const options = element.elements.flatMap((e) => (e.tag === 'optgroup' ? e.elements : [e]));
    const chosen = options.filter((e) => scene.attribute(e, 'selected') !== undefined);
    const shown = chosen.length > 0 ? chosen : role === 'combobox' ? options.slice(0, 1) : [];
    return element.tag === 'input'
      ? (scene.attribute(element, 'value') ?? '')
      : shown.map((e) => fromContent(e, walk)).join(' ');
  }
  if (role === 'slider' || role === 'spinbutton' || role === 'scrollbar')
    return (
      scene.attribute(element, 'aria-valuetext') ??
      scene.attribute(element, 'aria-valuenow') ??
      scene.attribute(element, 'value') ??
      ''
    );
  return null;
}

/** The selected options of a list that scripts made, or what it shows. */
function chosenIn(element: ElementNode, walk: Walk): string {
  const { scene } = walk;
  const options = [...descendants(element)].filter((e) => roleOf(e, scene) === 'option');
  const chosen = options.filter((e) => scene.attribute(e, 'aria-selected') === 'true');
  if (chosen.length > 0) return chosen.map((e) => fromContent(e, walk)).join(' ');
  return options.length === 0 ? fromContent(element, walk) : '';
}

const LABELLED = new Set(['input', 'select', 'textarea', 'button', 'meter', 'output', 'progress']);

/** Step 2E: what the host language says. @spec html-aam §4.1 */
function fromMarkup(element: ElementNode, walk: Walk): string | null {
  const { tag } = element;
  const { scene } = walk;
  if (element.namespace === 'svg') return childText(element, 'title', walk);
  if (LABELLED.has(tag)) {
    const labels = labelsOf(element, walk.scene);
    const text = labels
      .map((label) => compute(label, { ...walk, recursing: true, visited: new Set([...walk.visited]) }))
      .join(' ');
    if (text.trim() !== '') return text;
  }
  if (tag === 'input') {
    const type = (scene.attribute(element, 'type') ?? '').toLowerCase();
    if (type === 'submit' || type === 'reset' || type === 'button')
      return scene.attribute(element, 'value') ?? (type === 'submit' ? 'Submit' : type === 'reset' ? 'Reset' : '');
    if (type === 'image') return scene.attribute(element, 'alt') ?? scene.attribute(element, 'title') ?? 'Submit';
    return null;
  }
  if (tag === 'img' || tag === 'area') return scene.attribute(element, 'alt') ?? null;
  if (tag === 'fieldset') return childText(element, 'legend', walk);
  if (tag === 'table') return childText(element, 'caption', walk);
  if (tag === 'optgroup' || tag === 'option') return scene.attribute(element, 'label') ?? null;
  return null;
}

function childText(element: ElementNode, tag: string, walk: Walk): string | null {
  const child = element.elements.find((e) => e.tag === tag);
  return child ? compute(child, { ...walk, recursing: true, hidden: walk.hidden || tag === 'title' }) : null;
}

/** Labels by `for` and by nesting. @spec html §4.10.4 */
function labelsOf(element: ElementNode, scene: Glance): readonly ElementNode[] {
  const wrapping: ElementNode[] = [];
  for (let e = element.parent; e; e = e.parent)
    if (e.tag === 'label' && scene.attribute(e, 'for') === undefined) wrapping.push(e);
  const pointing =
    element.id === null
      ? []
      : scene.document.elements.filter((e) => e.tag === 'label' && scene.attribute(e, 'for') === element.id);
  return [...pointing, ...wrapping].sort((a, b) => a.index - b.index);
}

/** Steps 2F to 2H */
function fromContent(element: ElementNode, walk: Walk): string {
  const { scene } = walk;
  const inner: Walk = { ...walk, recursing: true };
  let text = pseudoText(element, 'before', scene);
  for (const child of element.children) {
    if (child.kind === 'text') text += wordsOf(child.data, text.slice(-1), element, walk);
    else {
      const part = compute(child, inner);
      const block = child.tag === 'br' || separates(child, scene);
      text += block ? ` ${part} ` : part;
    }
  }
  for (const id of splitTokens(scene.attribute(element, 'aria-owns') ?? '')) {
    const owned = scene.byId(id);
    if (owned) text += ` ${compute(owned, inner)}`;
  }
  return text + pseudoText(element, 'after', scene);
}

/** Text as it is shown: in the case its style asks for, none where it cannot be seen or is a picture in letters. */
function wordsOf(
  data: string,
  before: string,
  element: ElementNode,
  { scene, hidden, ligatures, cased }: Walk,
): string {
  const style = scene.style(element);
  if (!hidden && style.visibility !== 'visible') return '';
  if (!ligatures && isIconFont(style, scene.metrics)) return '';
  return !cased || style.textTransform === 'none' ? data : transformText(data, style.textTransform, before);
}

const separates = (element: ElementNode, scene: Glance): boolean =>
  !/^(inline|contents)$/.test(scene.style(element).display);

function pseudoText(element: ElementNode, name: 'before' | 'after', scene: Glance): string {
  const style = scene.pseudo(element, name);
  if (!style || style.display === 'none' || typeof style.content === 'string') return '';
  const items = style.content.alternative ?? style.content.items;
  const text = items.map((item) => spoken(item, style, element, scene)).join('');
  // Glyphs of icon fonts are no words.
  const words = withoutPrivate(text);
  return /^(block|flex|grid|table|list-item)/.test(style.display) ? ` ${words} ` : words;
}

/** Counters are not spoken, nor are pictures: browsers agree. @spec accname-1.2 §4.3.2 (2F.ii) */
function spoken(item: ContentItem, { quotes }: ComputedStyle, element: ElementNode, scene: Glance): string {
  switch (item.kind) {
    case 'text':
      return item.text;
    case 'attribute':
      return scene.attribute(element, item.name) ?? item.fallback;
    case 'quote':
      return item.word === 'open-quote' || item.word === 'close-quote'
        ? outerMark(quotes, item.word === 'open-quote' ? 0 : 1)
        : '';
    default:
      return '';
  }
}

const outerMark = (quotes: ComputedStyle['quotes'], which: 0 | 1): string =>
  (quotes === 'auto' ? ['\u201c', '\u201d'] : quotes)[which] ?? '';
