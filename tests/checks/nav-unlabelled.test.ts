import { links } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const nav = (attributes: string, ...items: string[]) => `<nav ${attributes}><ul>${links(...items)}</ul></nav>`;
const page = (one: string, two: string, css = '') =>
  `<!doctype html><style>${css}</style><header>${one}</header><main><h1>T</h1></main><footer>${two}</footer>`;
const MENDED = page(nav('aria-label=Main', 'Home', 'Fares', 'Times'), nav('aria-label=Foot', 'Terms', 'Crew'));
const FAULTY: readonly Faulty[] = [
  {
    name: 'two without a name',
    page: page(nav('', 'Home', 'Fares', 'Times'), nav('', 'Terms', 'Crew')),
    finds: ['nameless normal ', 'nameless normal '],
    told: 1,
    mended: MENDED,
  },
  {
    name: 'one of them',
    page: page(nav('aria-label=Main', 'Home', 'Fares', 'Times'), nav('', 'Terms', 'Crew')),
    finds: ['nameless normal '],
    mended: MENDED,
  },
  {
    name: 'one name for two',
    page: page(nav('aria-label=Menu', 'Home', 'Fares', 'Times'), nav('aria-label=Menu', 'Terms', 'Crew')),
    finds: ['same normal Menu'],
    mended: MENDED,
  },
  {
    name: 'a main menu in none',
    page: page(`<ul class=main-menu>${links('Home', 'Fares', 'Times', 'Crew')}</ul>`, ''),
    finds: ['outside normal '],
    mended: MENDED,
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'names of their own', page: MENDED },
  { name: 'a single one', page: page(nav('', 'Home', 'Fares', 'Times'), '') },
  {
    name: 'one of them is never there',
    page: page(nav('', 'Home', 'Fares', 'Times'), nav('', 'Terms', 'Crew'), 'footer nav{display:none}'),
  },
  {
    name: 'named by a heading',
    page: page(
      nav('aria-label=Main', 'Home', 'Fares', 'Times'),
      `<h2 id=f>Foot</h2>${nav('aria-labelledby=f', 'Terms', 'Crew')}`,
    ),
  },
];

describeCheck('nav-unlabelled', FAULTY, NEAR);
