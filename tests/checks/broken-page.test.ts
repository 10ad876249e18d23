import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (href: string, head = '') =>
  menuPage('a{color:#222}', `${links('Home')}<li><a href="${href}">Prices</a></li>`).replace('<head>', `<head>${head}`);
/** A site of two other pages. */
const files = { 'home.html': '<p>Home</p>', 'fares.html': '<p>Fares</p>', 'sub/fares.html': '<p>Fares</p>' };

const FAULTY: readonly Faulty[] = [
  {
    name: 'a name that is wrong',
    page: page('fars.html'),
    files,
    finds: ['missing normal Prices'],
    mended: page('fares.html'),
  },
  {
    name: 'a fragment of a page that is missing',
    page: page('prices.html#adults'),
    files,
    finds: ['missing normal Prices'],
    mended: page('fares.html#adults'),
  },
  {
    name: 'an address from a base',
    page: page('prices.html', '<base href="sub/">').replace('home.html', '../home.html'),
    files,
    finds: ['missing normal Prices'],
    mended: page('fares.html', '<base href="sub/">').replace('home.html', '../home.html'),
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'a page kept alone', page: page('prices.html'), files: { 'elsewhere.html': '' } },
  { name: 'another site', page: page('https://islands.example/prices.html'), files },
  { name: 'the page itself', page: page('#top'), files },
  {
    name: 'a page kept alone that leads to itself under another address',
    page: page('page.html?from=menu').replace('home.html', './page.html'),
    files: { 'elsewhere.html': '' },
  },
  { name: 'where nothing can be looked up', page: page('lost.html') },
  { name: 'mail', page: page('mailto:pier@tidewrack.example'), files },
];

describeCheck('broken-page', FAULTY, NEAR);
