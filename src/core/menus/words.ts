import type { ElementNode } from '../html/index.js';

/** Words of an element's classes and id, split at hyphens, underscores and humps, in lower case. */
export function wordsOf(element: ElementNode): readonly string[] {
  const names = [...element.classes, ...(element.id ? [element.id] : [])];
  return names.flatMap((name) =>
    name
      .replace(/([a-z0-9])([A-Z])/g, '$1-$2')
      .toLowerCase()
      .split(/[^a-z0-9]+/)
      .filter(Boolean),
  );
}

export const hasWord = (element: ElementNode, words: ReadonlySet<string>): boolean =>
  wordsOf(element).some((word) => words.has(word));

export const MENU_WORDS = new Set([
  'nav',
  'navbar',
  'navigation',
  'menu',
  'menubar',
  'mainmenu',
  'mainnav',
  'topnav',
  'sidenav',
  'tabbar',
  'bottomnav',
  'navmenu',
  'submenu',
  'megamenu',
  'sidebar',
]);
export const TOGGLE_WORDS = new Set([
  'toggle',
  'toggler',
  'burger',
  'hamburger',
  'opener',
  'trigger',
  'menubutton',
  'navtoggle',
  'menutoggle',
  'navicon',
]);
export const CURRENT_WORDS = new Set(['current', 'active', 'selected', 'here', 'this']);
export const CLOSE_WORDS = new Set(['close', 'closer', 'dismiss']);

/** Labels people give a control that opens a menu, in a few common languages. */
export const TOGGLE_TEXT = /\b(menu|navigation|nav|menü|menú|menù|meny|valikko)\b|☰|≡/i;
