import { links } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (list: string) => `<!doctype html><nav aria-label=Main>${list}</nav>`;
const MENDED = page(`<ul>${links('Home', 'Fares')}</ul>`);
const FAULTY: readonly Faulty[] = [
  {
    name: 'links straight in a list',
    page: page('<ul><a href=h.html>Home</a><a href=f.html>Fares</a></ul>'),
    finds: ['stranger normal Home'],
    mended: MENDED,
  },
  {
    name: 'a box between',
    page: page(`<ul><div><li><a href=h.html>Home</a></li><li><a href=f.html>Fares</a></li></div></ul>`),
    finds: ['stranger normal Home Fares', 'orphan normal Home', 'orphan normal Fares'],
    mended: MENDED,
  },
  {
    name: 'entries without a list',
    page: page('<div><li><a href=h.html>Home</a></li><li><a href=f.html>Fares</a></li></div>'),
    finds: ['orphan normal Home', 'orphan normal Fares'],
    mended: MENDED,
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'a list', page: MENDED },
  { name: 'no list at all', page: page('<a href=h.html>Home</a><a href=f.html>Fares</a>') },
  {
    name: 'another role',
    page: page(
      '<ul role=menubar><div role=none><a role=menuitem href=h.html>Home</a></div><div role=none><a role=menuitem href=f.html>Fares</a></div></ul>',
    ),
  },
  { name: 'a template between', page: page(`<ul><template></template>${links('Home', 'Fares')}</ul>`) },
];

describeCheck('list-structure', FAULTY, NEAR);
