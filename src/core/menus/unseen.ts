import { directivesOf } from './directives.js';
import {
  closest,
  collapseSpace,
  descendants,
  isAncestorOrSelf,
  selectorOf,
  textContent,
  type ElementNode,
} from '../html/index.js';
import { formatPosition, grouped, positionOf, type Limit } from '../base/index.js';
import type { Page } from '../scene/index.js';
import { isLandmark } from './roots.js';
import { PRESSED } from './items.js';
import { linksIn } from './links.js';
import { referred } from './references.js';
import { DRAWER_WORDS, hasWord, isEdge, MENU_WORDS, wordsIn } from './words.js';
import type { Menu } from './types.js';

/** So many links together are no accident. */
const FEW = 3;

const limit = (subject: string, consequence: string, e: ElementNode): Limit => ({
  kind: 'unseen',
  subject,
  consequence,
  place: e.startTag ? formatPosition(positionOf(e.startTag)) : null,
  count: 1,
});

/** What may be a menu and is not looked at: links that stand like one on a page without any, and what scripts fill. */
export const unseenMenus = (page: Page, menus: readonly Menu[]): readonly Limit[] => [
  ...(menus.length === 0 ? untaken(page) : []),
  ...mapped(page),
  ...shadowed(page),
  ...filled(page, menus),
  ...added(page, menus),
  ...drawers(page, menus),
  ...copies(page, menus),
  ...furnished(page),
  ...told(page),
];

const standsLikeMenu = (e: ElementNode): boolean =>
  ['header', 'nav', 'aside'].includes(e.tag) || isEdge(e) || (e.tag !== 'body' && hasWord(e, MENU_WORDS));

function untaken(page: Page): readonly Limit[] {
  const { document } = page;
  const holder = document.elements.find((e) => standsLikeMenu(e) && linksIn(e).length >= FEW);
  if (!holder) return pressed(page);
  const links = linksIn(holder).length;
  return [
    limit(
      selectorOf(holder),
      `${links} links stand in it that were not taken for a menu: have a look, it is not judged`,
      holder,
    ),
  ];
}

/** Parts of a landmark that scripts make something to press, and that are no links. */
function pressed({ document, hearing }: Page): readonly Limit[] {
  const parts = (e: ElementNode) => [...descendants(e)].filter((x) => hearing.on(x, PRESSED));
  const holder = document.elements.find((e) => isLandmark(e) && parts(e).length >= FEW);
  return holder
    ? [
        limit(
          selectorOf(holder),
          `${parts(holder).length} parts of it that are no links answer to presses by a script: have a look, it is not judged`,
          holder,
        ),
      ]
    : [];
}

/** Links of an image map where a menu may stand: they are no boxes that could be judged. */
function mapped({ document }: Page): readonly Limit[] {
  const areas = document.elements.filter((e) => e.tag === 'area' && e.attributes.has('href'));
  return [...grouped(areas, (area) => closest(area, standsLikeMenu))].flatMap(([holder, links]) =>
    holder === null || links.length < FEW
      ? []
      : [
          limit(
            selectorOf(holder),
            `the ${links.length} links of an image map in it are not judged: have a look`,
            holder,
          ),
        ],
  );
}

/** Links in trees that the markup hangs on elements: they are in no tree of the page. @spec html §4.12.3 */
function shadowed({ document }: Page): readonly Limit[] {
  const trees = document.elements.filter((e) => e.tag === 'template' && e.attributes.has('shadowrootmode'));
  return trees.flatMap((tree) => {
    // The parser keeps what a template holds apart: its source tells as much as is needed.
    const start = tree.startTag?.end ?? 0;
    const inside = document.source.text.slice(start, document.source.text.indexOf('</template', start));
    const links = inside.match(/<a\s[^>]*\bhref\s*=/gi)?.length ?? 0;
    const holder = tree.parent ?? tree;
    return links < FEW
      ? []
      : [limit(selectorOf(holder), `the ${links} links of the shadow tree in it are not judged: have a look`, holder)];
  });
}

/** A part marked or named as a menu that is empty in the markup, and the script that fills it. */
export interface Filled {
  readonly element: ElementNode;
  readonly by: string;
}

/** Named as a menu by class, id or one of the attributes that scripts go by. */
const isNamed = (e: ElementNode): boolean =>
  hasWord(e, MENU_WORDS) ||
  [...e.attributes.keys()].some((name) => name.startsWith('data-') && wordsIn(name).some((w) => MENU_WORDS.has(w)));

/** Empty parts that are marked or named as menus and that a script writes into. */
export function filledByScripts(page: Page, menus: readonly Menu[]): readonly Filled[] {
  const { written } = page.hearing.marks;
  return page.document.elements.flatMap((e): Filled[] => {
    if (!isLandmark(e) && !(isNamed(e) && ['div', 'ul', 'aside', 'header'].includes(e.tag))) return [];
    if (collapseSpace(textContent(e)) !== '' || [...descendants(e)].some((x) => x.tag !== 'div' && x.tag !== 'ul'))
      return [];
    if (closest(e, (a) => a !== e && menus.some((menu) => menu.root === a)) !== null) return [];
    if (!written.some((w) => isAncestorOrSelf(e, w))) return [];
    const names = [e, ...descendants(e)].flatMap((x) => [
      ...(x.id ? [x.id] : []),
      ...x.classes,
      ...[...x.attributes.keys()].filter((name) => name.startsWith('data-')),
    ]);
    const script = page.scripts.find(({ text }) => names.some((name) => name.length > 3 && text.includes(name)));
    return [
      {
        element: e,
        by: script === undefined ? 'a script' : script.name === page.name ? 'a script in the page' : script.name,
      },
    ];
  });
}

const filled = (page: Page, menus: readonly Menu[]): readonly Limit[] =>
  filledByScripts(page, menus).map(({ element, by }) =>
    limit(
      selectorOf(element),
      `it is empty in the markup and filled by ${by}: what it holds then is not judged`,
      element,
    ),
  );

/** Menus into which scripts write more than is in the markup; words of a single control are no part of a menu. */
const added = (page: Page, menus: readonly Menu[]): readonly Limit[] =>
  page.hearing.marks.written
    .filter((e) => !closest(e, (a) => ['a', 'button', 'label', 'summary'].includes(a.tag)))
    .filter((e) => menus.some(({ root }) => isAncestorOrSelf(root, e)))
    .map((e) => limit(selectorOf(e), 'a script writes into it: what that adds to the menu is not judged', e));

/**
 * Empty parts outside the content and outside all menus that scripts fill, and that are named like drawers or referred
 * to by a button: what takes a copy of the menu, for one.
 */
export function drawersFilled({ hearing, document }: Page, menus: readonly Menu[]): readonly ElementNode[] {
  if (hearing.marks.written.length === 0) return [];
  const apart = (e: ElementNode) => !menus.some(({ root }) => isAncestorOrSelf(root, e) || isAncestorOrSelf(e, root));
  const inContent = (e: ElementNode) =>
    closest(e, (a) => ['main', 'article', 'footer', 'head'].includes(a.tag)) !== null;
  const panels = new Set(document.elements.flatMap((e) => (e.tag === 'button' && referred(e, document)?.panel) || []));
  const isDrawer = (e: ElementNode) =>
    closest(
      e,
      (a) =>
        panels.has(a) || (!['body', 'html'].includes(a.tag) && (hasWord(a, MENU_WORDS) || hasWord(a, DRAWER_WORDS))),
    ) !== null;
  return hearing.marks.written.filter(
    (e) => e !== document.body && isDrawer(e) && apart(e) && !inContent(e) && collapseSpace(textContent(e)) === '',
  );
}

/** Menus, or parts of them, of which scripts put a copy elsewhere. */
export const copiedByScripts = ({ hearing }: Page, menus: readonly Menu[]): readonly ElementNode[] =>
  hearing.marks.copied.filter(
    (e) =>
      [...descendants(e)].filter(({ tag }) => tag === 'a').length > 1 &&
      menus.some(({ root }) => isAncestorOrSelf(root, e) || isAncestorOrSelf(e, root)),
  );

const copies = (page: Page, menus: readonly Menu[]): readonly Limit[] =>
  copiedByScripts(page, menus).map((e) =>
    limit(selectorOf(e), 'a script puts a copy of it elsewhere: what that copy shows and opens is not judged', e),
  );

const furnished = ({ hearing }: Page): readonly Limit[] =>
  hearing.marks.furnished.map((e) =>
    limit(selectorOf(e), 'a script puts a menu of its own making into it: what that shows and opens is not judged', e),
  );

/** What a library is told in attributes. */
const told = (page: Page): readonly Limit[] =>
  directivesOf(page).map(({ element, name }) =>
    limit(
      selectorOf(element),
      `what its attribute ${name} tells a library to do is not followed: if that opens or closes a part of a menu, it is not judged`,
      element,
    ),
  );

/** A button outside the content that a script answers to. */
export const isOuterButton = (e: ElementNode, { hearing }: Page): boolean =>
  e.tag === 'button' && closest(e, ({ tag }) => tag === 'main') === null && hearing.of(e, ['click']);

/** Drawers that some button outside the content may open. */
function drawers(page: Page, menus: readonly Menu[]): readonly Limit[] {
  const buttons = page.document.elements.some((e) => isOuterButton(e, page));
  const told = new Set(filledByScripts(page, menus).map(({ element }) => element));
  return (menus.length > 0 && buttons ? drawersFilled(page, menus) : [])
    .filter((e) => closest(e, (a) => told.has(a)) === null)
    .map((e) => limit(selectorOf(e), 'a script writes into it: if that is a menu, it is not judged', e));
}
