import { isAncestorOrSelf, type ElementNode } from '../../html/index.js';
import { saysBrand, type Menu, type MenuItem } from '../../menus/index.js';
import { isOwnAddress, urlOf, type Scene } from '../../scene/index.js';
import type { Subject } from '../subject.js';
import type { Control } from './controls.js';
import { compareColours, differsBesides, generatedDiffers, partsOf, type ColourDifference } from './differences.js';

/** How a current item looks beside one that is not. */
export interface CurrentLook {
  readonly colours: ColourDifference;
  /** Whether anything but the colour of text and ground differs. */
  readonly other: boolean;
  readonly beside: ElementNode;
  /** No markup says that it is the current one: it leads to this page and looks different from all others. */
  readonly guessed: boolean;
}

/** Whether an item leads to the page one is on, where nothing else in its menu is marked as the current page. */
export function isGuessed({ href, element }: MenuItem, { items }: Menu, { page }: Subject): boolean {
  const url = href === null || href.includes('#') ? null : urlOf(href, page);
  if (url === null || !isOwnAddress(url, page) || saysBrand(element)) return false;
  return items.length > 2 && items.every(({ current }) => current === null);
}

/** Compares a current item with its neighbours in the same list; null for others, and where it stands alone. */
export function currentBeside(control: Control, subject: Subject): CurrentLook | null {
  const { item, element, menus } = control;
  if (!item) return null;
  const guessed = item.current === null;
  if (guessed && !menus.some((menu) => menu.items.includes(item) && isGuessed(item, menu, subject))) return null;
  const { scene } = subject;
  const others = menus
    .flatMap(({ items }) => items)
    .filter((one) => one.parent === item.parent && one.current === null && one.element !== element)
    .filter((one) => one.element.tag === element.tag && scene.reach(one.element) !== null)
    // What looks like nothing else in the list, such as a button among links, is no measure.
    .sort((a, b) => distance(a.element, element) - distance(b.element, element));
  const like = others.filter(
    (one) => others.filter((two) => alike(one.element, two.element, scene)).length * 2 > others.length,
  );
  // Without a mark all others have to look alike.
  if (guessed && (others.length < 2 || like.length < others.length)) return null;
  const candidates = like.length > 0 ? like : others;
  // One with a caret of its own differs from every other: where there is another, that is the measure.
  const plain = candidates.find((one) => !differsElsewhere(element, one.element, scene));
  const beside = (plain ?? candidates[0])?.element;
  const colours = beside && compareColours(element, scene, beside, scene);
  if (!beside || !colours) return null;
  const seen = hasSameGround(element, beside, scene) ? { ...colours, ground: 1 } : colours;
  return { colours: seen, other: plain === undefined, beside, guessed };
}

/** Whether two items have no grounds of their own, or the same: a gradient beneath them tells nobody which is which. */
const hasSameGround = (one: ElementNode, other: ElementNode, scene: Scene): boolean => {
  const own = (e: ElementNode) =>
    partsOf(e)
      .filter((part) => isAncestorOrSelf(part, e))
      .map((part) => scene.style(part))
      .map(({ backgroundColor, backgroundImage }) => JSON.stringify([backgroundColor, backgroundImage]))
      .join();
  return own(one) === own(other);
};

const distance = (a: ElementNode, b: ElementNode): number => Math.abs(a.index - b.index);
const alike = (a: ElementNode, b: ElementNode, scene: Scene): boolean =>
  scene.style(a).color === scene.style(b).color &&
  scene.style(a).backgroundColor === scene.style(b).backgroundColor &&
  scene.style(a).fontWeight === scene.style(b).fontWeight;

/** Whether anything but colours tells two items apart: in themselves, their entries, or what stands in them. */
function differsElsewhere(one: ElementNode, other: ElementNode, scene: Scene): boolean {
  const [a, b] = [partsOf(one), partsOf(other)];
  const [entry, otherEntry] = [one.parent, other.parent];
  const pairs: (readonly [ElementNode, ElementNode])[] = [[one, other]];
  if (entry?.tag === 'li' && otherEntry?.tag === 'li') pairs.push([entry, otherEntry]);
  // A mark such as a dot that only one of them holds.
  if (a.filter((e) => !e.children.length).length !== b.filter((e) => !e.children.length).length) return true;
  const inner = (all: readonly ElementNode[], e: ElementNode) => all.slice(all.indexOf(e) + 1);
  const [holds, otherHolds] = [inner(a, one), inner(b, other)];
  if (holds.length === otherHolds.length) holds.forEach((e, i) => pairs.push([e, otherHolds[i]!]));
  return pairs.some(
    ([x, y]) => differsBesides(scene.style(x), scene.style(y)) || generatedDiffers(scene.styles, x, scene.styles, y),
  );
}
