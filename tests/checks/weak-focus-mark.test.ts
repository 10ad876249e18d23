import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (css: string) =>
  menuPage(
    `body{background:#fff}a{color:#222;display:inline-block;line-height:24px;margin:8px}${css}`,
    links('Home', 'Fares'),
  );
const MENDED = page('a:focus{outline:2px solid #036}');
const FAULTY: readonly Faulty[] = [
  {
    name: 'a pale ring on white',
    page: page('a:focus{outline:2px solid #cde}'),
    finds: ['weak focus Home', 'weak focus Fares'],
    told: 1,
    mended: MENDED,
  },
  {
    name: 'a dark ring on a dark bar',
    page: page('nav{background:#123}a{color:#fff}a:focus{outline:3px solid #345}'),
    finds: ['weak focus Home', 'weak focus Fares'],
    mended: MENDED,
  },
  {
    name: 'a pale ring inside a link that goes from edge to edge of its panel',
    page: page(
      'nav{background:#fff;width:200px}body{background:#036}a{display:block;margin:0}a:focus{outline:2px solid #cde;outline-offset:-2px}',
    ),
    finds: ['weak focus Home', 'weak focus Fares'],
    mended: page(
      'nav{background:#fff;width:200px}body{background:#036}a{display:block;margin:0}a:focus{outline:2px solid #036;outline-offset:-2px}',
    ),
  },
  {
    name: 'a pale shadow instead of the ring',
    page: page('a:focus{outline:none;box-shadow:0 0 0 3px rgb(0 90 200 / .2)}'),
    finds: ['weak focus Home', 'weak focus Fares'],
    mended: MENDED,
  },
  {
    name: 'a ground that is nearly that of the bar',
    page: page('nav{background:#003b4a}a{color:#fff}a:focus{outline:none;background:#0a5468}'),
    finds: ['weak focus Home', 'weak focus Fares'],
    mended: MENDED,
  },
  {
    name: 'a pale line beneath',
    page: page('a{border-bottom:3px solid transparent}a:focus{outline:none;border-bottom-color:#ddd}'),
    finds: ['weak focus Home', 'weak focus Fares'],
    mended: MENDED,
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'the ring of browsers', page: page('') },
  { name: 'a ground that changes too', page: page('a:focus{outline:2px solid #cde;background:#036;color:#fff}') },
  {
    name: 'a ring drawn into the box',
    page: page('a{background:#123;color:#fff}a:focus{outline:2px solid #fff;outline-offset:-4px}'),
  },
  { name: 'a shadow in two colours', page: page('a:focus{outline:none;box-shadow:0 0 0 2px #fff,0 0 0 4px #036}') },
  {
    name: 'a button on white that grows darker',
    page: page('a{background:#036;color:#fff}a:focus{outline:none;background:#024}'),
  },
  { name: 'a dark ring', page: page('a:focus{outline:2px solid #036}') },
];

describeCheck('weak-focus-mark', FAULTY, NEAR);
