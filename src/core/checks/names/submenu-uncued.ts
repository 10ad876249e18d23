import type { Content } from '../../css/index.js';
import { collapseSpace, descendants, isAncestorOrSelf, textContent, type ElementNode } from '../../html/index.js';
import { isIconFont, subjectOf } from '../../naming/index.js';
import type { Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { panelsOf } from '../shared/panels.js';
import { isHollow } from '../shared/undrawn.js';
import type { Subject } from '../subject.js';

/** Items that open a submenu and look like any other. */
export const submenuUncued = defineCheck(
  {
    id: 'submenu-uncued',
    title: 'One sees which items open a submenu',
    weight: 'polish',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'opened', widths: 'ends' },
    explains: {
      means:
        'Without an arrow or a sign nobody knows that there is more behind an item: the submenu is found by accident.',
      rule: [
        'Every item that opens a submenu has a visible cue beside its words: an arrow, a plus, an icon, a marker or a button of its own.',
        'Words such as “More” are a cue.',
      ],
      faulty: '<li><a href="islands.html">Islands</a><ul>…</ul></li>',
      mended: 'a.has-sub::after { content: " ▾" }',
    },
    worse: null,
    messages: {
      uncued: {
        says: 'Nothing that can be seen says that {subject} opens a submenu.',
        mends: 'Put a small arrow after it, for instance with ::after, or a button beside it.',
        criteria: [],
      },
    },
  },
  inspect,
);

function inspect(subject: Subject): readonly Observation[] {
  const { scene } = subject;
  return panelsOf(subject).flatMap(({ item, handle, menu, openings }): Observation[] => {
    if (!item || openings.length === 0 || scene.seen(handle) === null || isCued(handle, item.submenu!, subject))
      return [];
    return [
      {
        at: onElement(handle),
        menus: [menu],
        state: 'normal',
        message: 'uncued',
        data: { subject: subjectOf(handle, scene) },
        common: `uncued ${menu.id}`,
      },
    ];
  });
}

const SIGN = /[▲-◿⌃-⌄›»‹«→↓↘⇩⮟+∨˅⋁>…✚➕⯆🔽]|^\s*(more|all)\b/iu;

function isCued(handle: ElementNode, panel: ElementNode, subject: Subject): boolean {
  const { scene } = subject;
  const entry = handle.parent && isAncestorOrSelf(handle.parent, panel) ? handle.parent : handle;
  const parts = [entry, ...descendants(entry)].filter((e) => e === entry || !isAncestorOrSelf(panel, e));
  const own = parts.filter((e) => e === handle || isAncestorOrSelf(handle, e) || e !== entry);
  if (
    SIGN.test(
      collapseSpace(
        own
          .filter((e) => e === handle || !isAncestorOrSelf(handle, e))
          .map(textContent)
          .join(' '),
      ),
    )
  )
    return true;
  return [...parts, handle].some((e) => {
    if (e.tag === 'summary' && hasMarker(e, scene)) return true;
    if (generates(e, scene)) return true;
    if (e === handle || e === entry) return scene.style(e).backgroundImage.length > 0;
    const drawn =
      ['svg', 'img', 'i', 'use', 'picture'].includes(e.tag) ||
      isIconFont(scene.style(e), scene.metrics) ||
      scene.style(e).backgroundImage.length > 0;
    const empty = textContent(e).trim() === '' && (e.tag === 'span' || e.tag === 'button' || e.tag === 'b');
    const isDrawn = drawn || empty || (e.tag === 'button' && e !== handle);
    return isDrawn && (scene.reach(e) !== null || isHollow(e, subject));
  });
}

/** Whether the triangle of a details element shows. */
function hasMarker(summary: ElementNode, scene: Scene): boolean {
  const { display, listStyleType, listStyleImage } = scene.style(summary);
  const content = scene.styles.pseudo(summary, 'marker')?.content ?? 'normal';
  if (content === 'none' || (typeof content !== 'string' && !content.items.some(isSign))) return false;
  const none = 'name' in listStyleType && listStyleType.name === 'none';
  return display === 'list-item' && !(none && listStyleImage === null);
}

/** Whether a sign is drawn before or after an element: words, a triangle of borders, a picture; lines beneath it are none. */
const generates = (element: ElementNode, scene: Scene): boolean =>
  (['before', 'after'] as const).some((name) => {
    const style = scene.styles.pseudo(element, name);
    if (
      !style ||
      style.display === 'none' ||
      style.opacity === 0 ||
      style.content === 'none' ||
      style.content === 'normal'
    )
      return false;
    const edges = [style.borderTopWidth, style.borderRightWidth, style.borderBottomWidth, style.borderLeftWidth].filter(
      (w) => w > 0,
    );
    const turned = style.transform.some(({ kind }) => kind === 'rotate');
    return (
      style.content.items.some(isSign) ||
      edges.length >= 2 ||
      turned ||
      style.backgroundImage.length > 0 ||
      style.maskImage !== 'none'
    );
  });

const isSign = (item: Content['items'][number]): boolean => item.kind !== 'text' || item.text.trim() !== '';
