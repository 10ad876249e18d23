import type { ElementNode } from '../html/index.js';

const set = (text: string): ReadonlySet<string> => new Set(text.split(/\s+/));

export const MENU_WORDS = set('nav navbar navigation menu menubar sidebar sidenav tabbar toolbar sitenav');
export const DRAWER_WORDS = set('drawer offcanvas');
/** Words that say which part of a menu something is for: the one that opens it, the one that closes it. */
export const TOGGLE_WORDS = set('toggle toggler burger hamburger opener trigger navicon switcher');
export const CLOSE_WORDS = set('close closer dismiss overlay backdrop scrim shade');
export const CURRENT_WORDS = set(
  'current cur active selected sel here this aktiv aktuell actif active courant activo activa attivo attiva ativo ativa actief',
);
export const BRAND_WORDS = set('brand logo title sitename wordmark');
/** Words of icons that stand for a menu. */
export const BARS_WORDS = set('bars burger hamburger navicon menu sidebar list');
const EDGE_WORDS = set('header masthead footer topbar bottombar tabbar banner');
/** Words that say it of the page only in an id: classes of cards and sections have them too. */
const EDGE_IDS: ReadonlyMap<string, string> = new Map([
  ...['head', 'kopf', 'cabecera', 'entete'].map((id) => [id, 'header'] as const),
  ...['foot', 'fuss', 'pied', 'colophon'].map((id) => [id, 'footer'] as const),
]);
/** What has headers and footers of its own. */
const PART_WORDS = set(
  'card panel modal box widget table list item dialog popover accordion tile tab form dropdown toast post article comment',
);

/** Whether one class or the id names the head or the foot of the page, not of a part of it. */
export const isEdge = (e: ElementNode, edges: ReadonlySet<string> = EDGE_WORDS): boolean =>
  edges.has(EDGE_IDS.get(e.id?.toLowerCase() ?? '') ?? '') ||
  [...e.classes, ...(e.id ? [e.id] : [])].some((name) => {
    const words = wordsIn(name);
    return words.some((word) => edges.has(word)) && !words.some((word) => PART_WORDS.has(word));
  });

/** Words that stand beside those above in names written without a gap. */
const GLUE =
  'main top bottom site page doc docs sub side left right head header foot footer mobile desktop primary wrapper ' +
  'container inner list links bar area box tree item items button icon btn global local mega drop down lang ' +
  'languages language toc breadcrumb breadcrumbs crumb crumbs pager pagination prev next user tab tabs';

const KNOWN: ReadonlySet<string> = new Set([...MENU_WORDS, ...TOGGLE_WORDS, ...BRAND_WORDS, ...GLUE.split(' ')]);
const LONGEST = Math.max(...[...KNOWN].map((word) => word.length));

/** Words so long that they mean the same inside of a longer one, whatever stands beside them. */
const TELLING = [...MENU_WORDS, ...TOGGLE_WORDS, 'breadcrumb', 'pagination'].filter((word) => word.length >= 6);
const LONGEST_NAME = 40;

const split = new Map<string, readonly string[]>();
const SPLIT_KEPT = 5000;

/** A word with those it is made of: `navheader`, `toplang`; or with the telling ones it holds. */
function withParts(word: string): readonly string[] {
  let found = split.get(word);
  if (!found) {
    if (split.size >= SPLIT_KEPT) split.clear();
    const whole = KNOWN.has(word) || word.length > LONGEST_NAME;
    const parts = whole ? [] : (partsOf(word) ?? TELLING.filter((known) => word.includes(known)));
    split.set(word, (found = [word, ...parts]));
  }
  return found;
}

function partsOf(word: string): readonly string[] | null {
  if (word === '') return [];
  for (let n = Math.min(LONGEST, word.length); n >= 2; n--) {
    const head = word.slice(0, n);
    if (!KNOWN.has(head)) continue;
    const rest = partsOf(word.slice(n));
    if (rest) return [head, ...rest];
  }
  return null;
}

/** Words of a text as names are written: split at hyphens, underscores and humps, in lower case, compounds also in parts. */
export const wordsIn = (name: string): readonly string[] =>
  name
    .replace(/([a-z0-9])([A-Z])/g, '$1-$2')
    .toLowerCase()
    .split(/[^a-z0-9]+/)
    .filter(Boolean)
    .flatMap(withParts);

const classWords = new WeakMap<ElementNode, readonly string[]>();

export function wordsOfClass(element: ElementNode): readonly string[] {
  let words = classWords.get(element);
  // What stands before a colon says when a class holds, not what the element is.
  if (!words) classWords.set(element, (words = element.classes.filter((c) => !c.includes(':')).flatMap(wordsIn)));
  return words;
}

/** Words of an element's classes and id. */
export const wordsOf = (element: ElementNode): readonly string[] =>
  element.id ? [...wordsOfClass(element), ...wordsIn(element.id)] : wordsOfClass(element);

export const hasWord = (element: ElementNode, words: ReadonlySet<string>): boolean =>
  wordsOf(element).some((word) => words.has(word));

/** Labels people give a control that opens a menu, in a few common languages. */
export const TOGGLE_TEXT =
  /\b(menu|navigation|nav|menü|menú|menù|meny|valikko|sidebar|side bar|table of contents|inhalt|sommaire)\b|☰|≡|𝌆/i;
/** Menus of other things than the site. */
export const OTHER_TEXT =
  /\b(account|user|profile|search|theme|colou?r|sort|share|cart|notification|message|option|action|more|konto|compte)s?\b/i;
export const CLOSE_TEXT = /^\s*(close|hide|dismiss|schließen|fermer|cerrar|chiudi|×|✕|✖)(\s|$)/i;
