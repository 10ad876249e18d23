import { describeMenus } from '../../core/index.js';
import { isFolder, loadFile, pagesBelow } from '../../sources/index.js';

/** Folders that tools build sites into, the surest first. */
const BUILT = ['dist', 'build', '_site', 'public', 'out', 'site', 'www', 'docs'];

/** What lies in a folder, as far as settings need it. */
export interface Surroundings {
  /** Folder the pages lie below. */
  readonly folder: string;
  readonly pages: number;
  /** A page, to say what was found on it; null without any. */
  readonly first: { readonly page: string; readonly menus: readonly string[] } | null;
}

/** Looks for built pages in the working folder. */
export async function lookAround(): Promise<Surroundings> {
  for (const folder of [...BUILT.filter(isFolder), '.']) {
    const [page, ...more] = await pagesBelow(folder);
    if (page !== undefined) return { folder, pages: more.length + 1, first: await menusOn(page, folder) };
  }
  return { folder: '.', pages: 0, first: null };
}

async function menusOn(page: string, root: string): Promise<Surroundings['first']> {
  try {
    return { page, menus: describeMenus(await loadFile(page, { root })).map(({ label }) => label) };
  } catch {
    return { page, menus: [] };
  }
}

/** A commented start of rope-ladder.json. */
export function firstSettings({ folder, pages, first }: Surroundings): string {
  const found = first
    ? `${pages} ${pages === 1 ? 'page' : 'pages'} found; on ${first.page}: ${first.menus.join(', ') || 'no menu'}.`
    : 'No built page was found yet: name your own.';
  return `{
  // Settings of Rope Ladder. Comments and trailing commas are allowed; paths start beside this file.
  // An editor that knows JSON Schema helps with: rope-ladder schema settings > rope-ladder.schema.json
  // "$schema": "./rope-ladder.schema.json",

  // Pages, folders or globs. ${found}
  "pages": [${JSON.stringify(folder)}],
  // "skipPages": ["${folder === '.' ? 'drafts' : `${folder}/drafts`}/**"],

  // Where addresses such as /fares/ start.
  "root": ${JSON.stringify(folder)},

  // Widths in px, and the WCAG level to hold the menus to: A, AA or AAA.
  "from": 320,
  "to": 1920,
  "level": "AA",

  // The lightest fault that ends with exit code 1: blocks, hinders, polish or never.
  "failOn": "hinders",

  // Checks to leave out, or to weigh otherwise; rope-ladder checks lists them.
  "checks": {
    // "small-text": "off",
    // "submenu-uncued": "hinders",
  },

  // Ways to open a panel that the page's scripts do not show.
  // "openings": [{ "handle": ".menu-button", "move": "press", "on": "body", "class": "menu-open" }],

  // Findings you have decided to live with, each with a reason and, if you like, a last day.
  "accepted": [
    // { "check": "small-text", "pages": ["legal.html"], "reason": "small print", "until": "2027-12-31" },
  ],

  // Files the result is written to as well.
  "write": ["menus.html"],
}
`;
}
