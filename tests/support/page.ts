import dataUrl from 'data-urls';
import type { PossibleChange } from '../../src/core/scene/index.js';
import type { HtmlDocument } from '../../src/core/html/index.js';
import { openPageNow, setting, type ElementNode, type Page, type Scene, type Setting } from '../../src/core/index.js';
import type { NaturalSize } from '../../src/core/boxes/index.js';
import { imageSizeOf } from '../../src/sources/image-size.js';
import { compileSelectors, restContext } from '../../src/core/css/index.js';

/** Files a test page refers to, by the reference as written. */
export type Files = Readonly<Record<string, string>>;

const URL_BASE = 'file:///site/';

/** What openings of a page can change, told from its document. */
export type Changes = (document: HtmlDocument) => readonly PossibleChange[];

/** Size of a drawing written into its address. */
function drawn(url: string): NaturalSize | null {
  const body = url.startsWith('data:image/svg') ? dataUrl(url)?.body : null;
  return body ? imageSizeOf(body) : null;
}

/** A page from text, with the sheets and drawings it refers to. */
export function pageFrom(
  html: string,
  files: Files = {},
  options: { scripting?: boolean; changes?: Changes } = {},
): Page {
  const sheet = (url: string) => {
    const name = url.replace(URL_BASE, '');
    const text = files[name];
    return text === undefined ? null : { name, text };
  };
  const text = { name: 'page.html', url: `${URL_BASE}page.html`, html };
  // Pages among the files make a site of it.
  const isSite = Object.keys(files).some((name) => name.endsWith('.html'));
  const answers = (url: string): boolean | null =>
    isSite && url.startsWith(URL_BASE) ? url === text.url || files[url.replace(URL_BASE, '')] !== undefined : null;
  return openPageNow(
    text,
    { sheet, script: sheet, picture: drawn, answers },
    { scripting: options.scripting ?? true, ...(options.changes ? { changes: options.changes } : {}) },
  );
}

/** A standards-mode page with one sheet and a body. */
export const styled = (css: string, body: string): Page =>
  pageFrom(`<!doctype html><html><head><style>${css}</style></head><body>${body}</body></html>`);

export function find(page: Page, selector: string): ElementNode {
  const found = findAll(page, selector)[0];
  if (!found) throw new Error(`nothing matches ${selector}`);
  return found;
}

export function findAll(page: Page, selector: string): ElementNode[] {
  const compiled = compileSelectors(selector);
  const context = restContext(page.document.root, page.document);
  return page.document.elements.filter((e) => compiled.some((s) => s.match(e, context) === true));
}

export const sceneAt = (page: Page, width = 800, rest: Partial<Omit<Setting, 'width'>> = {}): Scene =>
  page.scene(setting(width, rest));

/** x, y, width, height of an element's border box, rounded to hundredths. */
export function boxOf(page: Page, selector: string, width = 800): number[] | null {
  const rect = sceneAt(page, width).rect(find(page, selector));
  return rect && [rect.x, rect.y, rect.width, rect.height].map((v) => Math.round(v * 100) / 100);
}
