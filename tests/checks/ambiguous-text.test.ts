import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (items: string) => menuPage('a{color:#222}', `${links('Home')}${items}`);
const item = (href: string, text: string) => `<li><a href=${href}>${text}</a></li>`;

const FAULTY: readonly Faulty[] = [
  {
    name: 'two that are called alike',
    page: page(item('a.html', 'Boats') + item('b.html', 'Boats')),
    finds: ['same normal Boats'],
    mended: page(item('a.html', 'Boats') + item('b.html', 'Crew')),
  },
  {
    name: 'told apart by a dot alone',
    page: page(item('a.html', 'Boats') + item('b.html', 'Boats…')),
    finds: ['same normal Boats'],
    mended: page(item('a.html', 'Boats') + item('a.html', 'Boats…')),
  },
  {
    name: 'a word that says nothing',
    page: page(item('a.html', 'More')),
    finds: ['empty normal More'],
    mended: page(item('a.html', 'More<span style="position:absolute;clip-path:inset(50%)"> boats</span>')),
  },
  {
    name: 'in a panel that opens',
    page: page(
      `<li class=p><a href=i.html>Islands</a><ul class=s>${item('a.html', 'Boats')}${item('b.html', 'Boats')}</ul></li>`,
    ).replace('a{color:#222}', 'a{color:#222}.s{display:none}.p:hover .s,.p:focus-within .s{display:block}'),
    finds: ['same normal Boats'],
    mended: page(item('a.html', 'Boats')),
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'one address twice', page: page(item('a.html', 'Boats') + item('a.html', 'Boats')) },
  {
    name: 'under different entries',
    page: page(
      `<li><a href=i>Islands</a><ul><li><a href=a>Overview</a></li></ul></li><li><a href=p>Pier</a><ul><li><a href=b>Overview</a></li></ul></li>`,
    ),
  },
  { name: 'more that says of what', page: page(item('a.html', 'More boats')) },
  { name: 'numbers of pages', page: page(item('a.html', '1') + item('b.html', '2')) },
];

describeCheck('ambiguous-text', FAULTY, NEAR);
