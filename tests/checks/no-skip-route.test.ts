import { links } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (before: string, after: string, count = 6) =>
  `<!doctype html><body>${before}<nav aria-label=Main><ul>${links(...['Home', 'Fares', 'Times', 'Islands', 'Crew', 'Contact'].slice(0, count))}</ul></nav>${after}</body>`;
const MENDED = page('<a href="#c">Skip</a>', '<div id=c>c</div>');
const FAULTY: readonly Faulty[] = [
  { name: 'neither', page: page('', '<div>c</div>'), finds: ['none normal '], mended: MENDED },
  {
    name: 'a skip link that leads nowhere',
    page: page('<a href="#gone">Skip</a>', '<div id=c>c</div>'),
    finds: ['none normal '],
    mended: page('', '<main>c</main>'),
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'a skip link', page: MENDED },
  { name: 'a main landmark', page: page('', '<div role=main>c</div>') },
  { name: 'few links', page: page('', '<div>c</div>', 3) },
];

describeCheck('no-skip-route', FAULTY, NEAR);
