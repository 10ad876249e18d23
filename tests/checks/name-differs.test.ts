import { describeSiteCheck, sitePage } from '../support/site-tester.js';

const ITEMS = 'Home=index.html, Fares=fares.html, Crew=crew.html';
const RENAMED = ITEMS.replace('Fares=', 'Prices=');
const narrow = (name: string, items = ITEMS) =>
  sitePage(items).replace(
    '<nav aria-label="Main">',
    `<button aria-controls="m" aria-expanded="false" onclick="m.hidden=!m.hidden">${name}</button><nav aria-label="Main" id="m">`,
  );

describeSiteCheck(
  'name-differs',
  [
    {
      name: 'an item',
      pages: { 'a.html': sitePage(ITEMS), 'b.html': sitePage(ITEMS), 'c.html': sitePage(RENAMED) },
      finds: ['item: c.html: Prices'],
      mended: { 'a.html': sitePage(ITEMS), 'b.html': sitePage(ITEMS), 'c.html': sitePage(ITEMS) },
    },
    {
      name: 'a toggle',
      pages: { 'a.html': narrow('Menu'), 'b.html': narrow('Menu'), 'c.html': narrow('Navigate') },
      finds: ['toggle: c.html: Navigate'],
      mended: { 'a.html': narrow('Menu'), 'b.html': narrow('Menu'), 'c.html': narrow('Menu') },
    },
  ],
  [
    {
      name: 'the current page says so',
      pages: { 'a.html': sitePage(ITEMS), 'b.html': sitePage(ITEMS.replace('Fares=', 'Fares (current page)=')) },
    },
    { name: 'a count', pages: { 'a.html': sitePage(ITEMS), 'b.html': sitePage(ITEMS.replace('Crew=', 'Crew (2)=')) } },
    { name: 'another language', pages: { 'a.html': sitePage(ITEMS), 'b.html': sitePage(RENAMED, '', 'cy') } },
    {
      name: 'other pages under the same words',
      pages: { 'a.html': sitePage(ITEMS), 'b.html': sitePage(ITEMS.replace('crew.html', 'team.html')) },
    },
    {
      name: 'one address under two names on a page',
      pages: { 'a.html': sitePage(`${ITEMS}, Prices=fares.html`), 'b.html': sitePage(ITEMS) },
    },
  ],
);
