import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (first: string, second: string) =>
  menuPage('a{color:#222;display:block;line-height:24px}', links('Home', 'Fares'), `${first}${second}`).replace(
    '<ul>',
    '<ul id=menu>',
  );
const MENDED = page('<p id=a>a</p>', '<p id=b>b</p>');
const FAULTY: readonly Faulty[] = [
  {
    name: 'the id of a menu',
    page: `<!doctype html><nav aria-label=A id=m><ul>${links('Home', 'Fares')}</ul></nav><nav aria-label=B id=m><ul>${links('Map', 'Crew')}</ul></nav>`,
    finds: ['repeated normal B'],
    mended: MENDED,
  },
  {
    name: 'an id that is referred to',
    page: page('<h2 id=x>One</h2><p aria-labelledby=x>a</p>', '<h2 id=x>Two</h2>'),
    finds: ['repeated normal Two'],
    mended: MENDED,
  },
  {
    name: 'the id of lists in two menus',
    page: `<!doctype html><nav aria-label=A><ul id=m>${links('Home', 'Fares')}</ul></nav><nav aria-label=B><ul id=m>${links('Map', 'Crew')}</ul></nav>`,
    finds: ['repeated normal '],
    mended: MENDED,
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'each once', page: MENDED },
  { name: 'nobody asks', page: page('<p id=a>a</p>', '<p id=a>b</p>') },
  { name: 'inside pictures', page: page('<svg><g id=g></g></svg>', '<svg><g id=g></g></svg>') },
];

describeCheck('repeated-id', FAULTY, NEAR);
