import { menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const ITEMS =
  '<li><a href=h.html aria-current=page>Home</a></li><li><a href=f.html>Fares</a></li><li><a href=t.html>Times</a></li>';
const page = (css: string) => menuPage(`a{color:#222;display:block;text-decoration:none}${css}`, ITEMS);

const own = (css: string) =>
  menuPage(
    `a{color:#222;display:block;text-decoration:none}${css}`,
    '<li><a href=page.html class=on>Fares</a></li><li><a href=t.html>Times</a></li><li><a href=c.html class=off>Crew</a></li>',
  );

const FAULTY: readonly Faulty[] = [
  {
    name: 'a text colour',
    page: page('[aria-current]{color:#0b5563}'),
    finds: ['colour-only current Home'],
    mended: page('[aria-current]{color:#0b5563;font-weight:700}'),
  },
  {
    name: 'beside an entry with a caret',
    page: page('[aria-current]{color:#0b5563}a[href^=f]::after{content:" ▾"}'),
    finds: ['colour-only current Home'],
    mended: page('[aria-current]{color:#0b5563;font-weight:700}a[href^=f]::after{content:" ▾"}'),
  },
  {
    name: 'a ground',
    page: page('nav{background:#fff}[aria-current]{background:#dde6ea}'),
    finds: ['colour-only current Home'],
    mended: page('nav{background:#fff}[aria-current]{background:#dde6ea;border-bottom:3px solid #0b5563}'),
  },
  {
    name: 'an entry that leads to this page and that nothing marks',
    page: own('.on{color:#0b5563}'),
    finds: ['colour-only current Fares'],
    mended: own('.on{color:#0b5563;font-weight:700}'),
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'others of a look of their own beside the entry for this page', page: own('.on,.off{color:#0b5563}') },
  {
    name: 'a line beside it in the colour of its text',
    page: page('a{border-left:3px solid transparent}[aria-current]{color:#0b5563;border-left-color:#0b5563}'),
  },
  { name: 'underlined too', page: page('[aria-current]{color:#0b5563;text-decoration:underline}') },
  { name: 'three to one apart', page: page('a{color:#000}[aria-current]{background:#444;color:#fff}') },
  { name: 'a generated mark', page: page('[aria-current]{color:#0b5563}[aria-current]::before{content:"• "}') },
  { name: 'a bar by shadow', page: page('[aria-current]{color:#0b5563;box-shadow:inset 0 -3px #0b5563}') },
  {
    name: 'a gradient beneath all of them',
    page: page('nav ul{display:flex;background:linear-gradient(90deg,#fff,#9ab)}[aria-current]{font-size:16px}'),
  },
  { name: 'nothing shows it at all', page: page('') },
];

describeCheck('colour-only-current', FAULTY, NEAR);
