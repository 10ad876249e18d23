import { describeSiteCheck, sitePage } from '../support/site-tester.js';

const ONE = 'Home=index.html, Fares=fares.html, Crew=crew.html, Contact=contact.html';
const OTHER = 'Home=index.html, Crew=crew.html, Fares=fares.html, Contact=contact.html';

describeSiteCheck(
  'order-differs',
  [
    {
      name: 'one page of three',
      pages: { 'a.html': sitePage(ONE), 'b.html': sitePage(OTHER), 'c.html': sitePage(ONE) },
      finds: ['order: b.html: Crew'],
      mended: { 'a.html': sitePage(ONE), 'b.html': sitePage(ONE), 'c.html': sitePage(ONE) },
    },
    {
      name: 'a page in a folder, its addresses written otherwise',
      pages: { 'a.html': sitePage(ONE), 'sub/b.html': sitePage(OTHER.replace(/=/g, '=../')), 'c.html': sitePage(ONE) },
      finds: ['order: sub/b.html: Crew'],
      mended: { 'a.html': sitePage(ONE), 'sub/b.html': sitePage(ONE.replace(/=/g, '=../')), 'c.html': sitePage(ONE) },
    },
  ],
  [
    {
      name: 'an item more on some pages',
      pages: { 'a.html': sitePage(ONE), 'b.html': sitePage(`News=news.html, ${ONE}`) },
    },
    {
      name: 'the current page is no link',
      pages: { 'a.html': sitePage(ONE), 'b.html': sitePage(ONE.replace('Fares=fares.html', 'Fares')) },
    },
    {
      name: 'another menu',
      pages: {
        'a.html': sitePage(ONE),
        'b.html': sitePage(
          'Sula=s.html, Kelp=k.html, Contact=contact.html, Home=index.html, Tern=t.html, Marrow=m.html',
        ),
      },
    },
    {
      name: 'trails',
      pages: {
        'a.html': sitePage(
          ONE,
          '<nav aria-label="Breadcrumb"><a href="x.html">X</a> / <a href="y.html">Y</a> / <a href="z.html">Z</a></nav>',
        ),
        'b.html': sitePage(
          ONE,
          '<nav aria-label="Breadcrumb"><a href="y.html">Y</a> / <a href="x.html">X</a> / <a href="z.html">Z</a></nav>',
        ),
      },
    },
    { name: 'a single page', pages: { 'a.html': sitePage(ONE) } },
  ],
);
