import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (attributes: string, around = '', toggle = '') =>
  menuPage(
    'a,button{color:#222;display:block;line-height:24px}',
    `<li>${toggle}</li>${links('Home', 'Fares', 'Times')}`,
    around,
  ).replace('<ul>', `<ul ${attributes}>`);
const MENDED = page('aria-labelledby=d', '<h2 id=d>Departments</h2>');
const PANEL = (controls: string) =>
  menuPage(
    'a,button{color:#222;display:block;line-height:24px}.s{display:none}.open .s{display:block}',
    `${links('Home')}<li class=p><button aria-expanded=false aria-controls=${controls}>Islands</button><ul class=s id=s><li><a href=s.html>Sula</a></li><li><a href=k.html>Kelp</a></li></ul></li>`,
    "<p id=other>Text</p><script>document.querySelector('button').onclick=(e)=>e.target.parentNode.classList.toggle('open')</script>",
  );
const FAULTY: readonly Faulty[] = [
  {
    name: 'a name from nowhere',
    page: page('aria-labelledby=departments', '<h2 id=d>Departments</h2>'),
    finds: ['missing normal '],
    mended: MENDED,
  },
  { name: 'controls nothing', page: PANEL('gone'), finds: ['missing normal Islands'], mended: PANEL('s') },
  { name: 'controls something else', page: PANEL('other'), finds: ['elsewhere normal Islands'], mended: PANEL('s') },
  {
    name: 'a popover that is not there',
    page: page('', '', '<button popovertarget=gone>More</button>'),
    finds: ['missing normal More'],
    mended: MENDED,
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'all there', page: MENDED },
  {
    name: 'made when it opens',
    page: page('', '', '<button aria-haspopup=menu aria-expanded=false aria-controls=later>More</button>'),
  },
  {
    name: 'an id that a script gives',
    page: PANEL('s').replace(' id=s', '').replace('<script>', "<script>document.querySelector('.s').id='s';"),
  },
  { name: 'outside of menus', page: page('', '<section aria-labelledby=gone>Text</section>') },
  {
    name: 'something around the panel',
    page: PANEL('s').replace('class=p', 'class=p id=w').replace('aria-controls=s', 'aria-controls=w'),
  },
];

describeCheck('dangling-reference', FAULTY, NEAR);
