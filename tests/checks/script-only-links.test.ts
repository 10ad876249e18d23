import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (items: string, script: string, around = '') =>
  menuPage('a{color:#222}', items, `${around}<script>${script}</script>`);
const WRITE =
  "document.querySelector('nav ul').innerHTML=['h','f'].map((x)=>`<li><a href=${x}>${x}</a></li>`).join('')";
const APPEND =
  "for(const x of ['h','f']){const l=document.createElement('li');l.innerHTML=`<a href=${x}>${x}</a>`;document.querySelector('nav ul').append(l)}";
const ITEMS = links('Home', 'Fares');

const FAULTY: readonly Faulty[] = [
  { name: 'written as text', page: page('', WRITE), finds: ['filled normal Main'], mended: page(ITEMS, '') },
  { name: 'appended one by one', page: page('', APPEND), finds: ['filled normal Main'], mended: page(ITEMS, '') },
];
const NEAR: readonly NearMiss[] = [
  { name: 'numbers added to links that are there', page: page(ITEMS, "document.querySelector('nav a').append(' 4')") },
  { name: 'an empty part no script writes into', page: page('', "console.log('nav')") },
  {
    name: 'results written elsewhere',
    page: page(ITEMS, "document.getElementById('r').innerHTML='<a href=x>x</a>'", '<div id=r></div>'),
  },
];

describeCheck('script-only-links', FAULTY, NEAR);
