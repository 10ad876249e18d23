import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (href: string, around = '<section id=fares>Fares</section>') =>
  menuPage('a{color:#222}', `${links('Home')}<li><a href="${href}">Prices</a></li>`, around);

const FAULTY: readonly Faulty[] = [
  { name: 'no such part', page: page('#prices'), finds: ['broken normal Prices'], mended: page('#fares') },
  {
    name: 'the page named as well',
    page: page('page.html#prices'),
    finds: ['broken normal Prices'],
    mended: page('page.html#fares'),
  },
  {
    name: 'where a script writes parts it is looked at',
    page: page('#prices', '<div id=d></div><script>d.innerHTML=load()</script>'),
    finds: ['broken normal Prices'],
    mended: page('#d', '<div id=d></div><script>d.innerHTML=load()</script>'),
  },
  {
    name: 'a skip link',
    page: page('#fares').replace('<nav', '<a href=#content>Skip to content</a><nav'),
    finds: ['broken normal Skip to content'],
    mended: page('#fares').replace('<nav', '<a href=#fares>Skip to content</a><nav'),
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'the top of the page', page: page('#top') },
  { name: 'a name instead of an id', page: page('#prices', '<a name=prices></a>') },
  { name: 'a route of a script', page: page('#/prices') },
  { name: 'a part of another page', page: page('other.html#prices') },
  { name: 'an escaped name', page: page('#pr%C3%A9vu', '<section id=prévu>x</section>') },
];

describeCheck('broken-fragment', FAULTY, NEAR);
