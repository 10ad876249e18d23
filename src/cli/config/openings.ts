import type { DeclaredMenu, Resource } from '../../core/index.js';
import { CONFIG_FILE, type Settings } from './read.js';
import type { DeclaredOpening } from './model.js';

const EVENTS = { hover: 'mouseenter', focus: 'focus', press: 'click' } as const;

/** Declared openings as a script that does what they say: the engine reads it like the page’s own. */
function openingScript(openings: readonly DeclaredOpening[], file: string): Resource {
  const lines = openings.map(({ handle, move, on, class: name, attribute, value }) => {
    const change =
      name !== undefined
        ? `other.classList.toggle(${JSON.stringify(name)})`
        : `other.setAttribute(${JSON.stringify(attribute)}, ${JSON.stringify(value)})`;
    const all = (selector: string) => `document.querySelectorAll(${JSON.stringify(selector)})`;
    return `${all(handle)}.forEach((one) => one.addEventListener('${EVENTS[move]}', () => ${all(on)}.forEach((other) => ${change})));`;
  });
  return { name: file, text: lines.join('\n') };
}

/** What settings say of menus and of what opens them, as reading a page takes it. */
export const declaredIn = ({
  config,
  file,
}: Settings): { menus?: readonly DeclaredMenu[]; moreScripts?: Resource[] } => ({
  ...(config.menus ? { menus: config.menus as readonly DeclaredMenu[] } : {}),
  ...(config.openings ? { moreScripts: [openingScript(config.openings, file ?? CONFIG_FILE)] } : {}),
});
