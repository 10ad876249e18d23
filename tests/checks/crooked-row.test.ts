import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (css: string, items = links('Home', 'Fares', 'Times', 'Boats')) =>
  menuPage(`a{color:#222;display:block}ul{display:flex}${css}`, items);

const FAULTY: readonly Faulty[] = [
  {
    name: 'a margin on one',
    page: page('li:last-child a{margin-top:8px}'),
    finds: ['crooked normal Boats'],
    mended: page('ul{align-items:center}'),
  },
  {
    name: 'a button with padding in a row that is not centred',
    page: page('li:nth-child(2) a{padding:12px}'),
    finds: ['crooked normal Fares'],
    mended: page('li:nth-child(2) a{padding:12px}ul{align-items:center}'),
  },
];
const icon = (words: string) =>
  `<li><a href=${words || 'x'}.html aria-label=Part><svg width=20 height=20 viewBox="0 0 2 2"><path d="M0 0h2v2z"/></svg>${words}</a></li>`;
const NEAR: readonly NearMiss[] = [
  {
    name: 'icons above words, and one without words',
    page: page(
      'a{display:flex;flex-direction:column;align-items:center;justify-content:center;height:60px}',
      [icon('Home'), icon('Fares'), icon('Times'), icon('')].join(''),
    ),
  },
  { name: 'level', page: page('') },
  { name: 'four px', page: page('li:last-child a{margin-top:4px}') },
  { name: 'a column', page: page('ul{display:block}li:last-child a{margin-top:20px}') },
  { name: 'a higher button that is centred', page: page('ul{align-items:center}li:last-child a{padding:16px}') },
];

describeCheck('crooked-row', FAULTY, NEAR);
