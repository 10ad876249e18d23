import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (css: string) => menuPage(`a{color:#222;display:block;line-height:24px}${css}`, links('Home', 'Fares'));
const MENDED = page('a:focus{outline:none}a:focus-visible{outline:2px solid #036}');
const FAULTY: readonly Faulty[] = [
  {
    name: 'the ring taken away',
    page: page('a:focus{outline:none}'),
    finds: ['unmarked focus Home', 'unmarked focus Fares'],
    told: 1,
    mended: MENDED,
  },
  {
    name: 'a ring of no width',
    page: page('*{outline:0}'),
    finds: ['unmarked focus Home', 'unmarked focus Fares'],
    mended: MENDED,
  },
  {
    name: 'only the cursor changes',
    page: page('a{outline:none}a:focus{cursor:help}'),
    finds: ['unmarked focus Home', 'unmarked focus Fares'],
    mended: MENDED,
  },
  {
    name: 'a ring nobody sees',
    page: page('a:focus{outline:2px solid transparent;box-shadow:0 0 0 0 #036;border-color:red}'),
    finds: ['unmarked focus Home', 'unmarked focus Fares'],
    mended: MENDED,
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'the ring of browsers', page: page('') },
  { name: 'a shadow', page: page('a:focus{outline:none;box-shadow:0 0 0 3px #036}') },
  { name: 'an underline', page: page('a{text-decoration:none}a:focus{outline:none;text-decoration:underline}') },
  { name: 'the entry around it', page: page('a:focus{outline:none}li:focus-within{background:#cde}') },
  { name: 'something generated', page: page('a:focus{outline:none}a:focus::after{content:"◀"}') },
];

describeCheck('no-focus-mark', FAULTY, NEAR);
