import { links, menuPage } from './audit.js';

const SECTION = '<p>Crossings to the outer islands leave from the north quay.</p>'.repeat(3);

/** Sections of a page that is long enough to scroll. */
export const SECTIONS = Array.from(
  { length: 8 },
  (_, i) => `<section id=s${i} class="sec n${i}"><h2>Part ${i}</h2>${SECTION}</section>`,
).join('');

/** A page with a bar that holds the menu, above or around long content. */
export const barPage = (css: string, more = '', items = links('Home', 'Fares')): string =>
  menuPage(
    `a{color:#222}h2,p{margin:0}.sec{padding:40px 0;min-height:320px}li{display:inline-block}${css}`,
    items,
    `${more}<main>${SECTIONS}</main>`,
  );
