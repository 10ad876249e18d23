import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (item: string, css = '.current{font-weight:bold;color:#036}') =>
  menuPage(`a{color:#222;display:block;line-height:24px}${css}`, `${item}${links('Fares', 'Times')}`);
const MENDED = page('<li><a class=current aria-current=page href=h.html>Home</a></li>');
const OWN = `${links('Home')}<li class=f><a href=page.html>Fares</a></li>${links('Times', 'Crew')}`;
const FAULTY: readonly Faulty[] = [
  {
    name: 'a class on the link',
    page: page('<li><a class=current href=h.html>Home</a></li>'),
    finds: ['unmarked current Home'],
    mended: MENDED,
  },
  {
    name: 'a class on the entry',
    page: page('<li class=active><a href=h.html>Home</a></li>', '.active a{text-decoration:none;background:#cde}'),
    finds: ['unmarked current Home'],
    mended: MENDED,
  },
  {
    name: 'a class of the page decides',
    page: menuPage('a{color:#222}.fares .f a{font-weight:bold}', OWN, '<script>0</script>').replace(
      '<body',
      '<body class=fares',
    ),
    finds: ['unmarked current Fares'],
    mended: menuPage(
      'a{color:#222}.f a{font-weight:bold}',
      OWN.replace('<a href=page', '<a aria-current=page href=page'),
    ),
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'a link to this page that looks like the others', page: menuPage('a{color:#222}', OWN) },
  {
    name: 'a class on the one item that shows',
    page: page('<li><a class=current href=h.html>Home</a></li>', 'a:not(.current){display:none}'),
  },
  { name: 'marked', page: MENDED },
  { name: 'a class that changes nothing', page: page('<li><a class=current href=h.html>Home</a></li>', '') },
  { name: 'no link', page: page('<li class=active><a>Home</a></li>', '.active a{color:red}') },
  { name: 'no current page', page: page('<li><a class=first href=h.html>Home</a></li>', '.first{color:red}') },
];

describeCheck('current-unmarked', FAULTY, NEAR);
