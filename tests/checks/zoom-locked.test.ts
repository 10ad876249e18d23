import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (meta: string) =>
  menuPage('a{color:#222}', links('Home', 'Fares')).replace(/<meta name=viewport[^>]*>/, meta);
const viewport = (content: string) => page(`<meta name=viewport content="${content}">`);
const MENDED = viewport('width=device-width, initial-scale=1');

const FAULTY: readonly Faulty[] = [
  {
    name: 'zooming forbidden',
    page: viewport('width=device-width, user-scalable=no'),
    finds: ['locked normal '],
    mended: MENDED,
  },
  {
    name: 'a largest scale of one',
    page: viewport('width=device-width,maximum-scale=1.0'),
    finds: ['locked normal '],
    mended: viewport('width=device-width,maximum-scale=5'),
  },
  { name: 'no viewport meta', page: page(''), finds: ['missing normal '], mended: MENDED },
];
const NEAR: readonly NearMiss[] = [
  { name: 'four times is enough', page: viewport('width=device-width; maximum-scale=4') },
  { name: 'said to be allowed', page: viewport('width=device-width, user-scalable=yes') },
  {
    name: 'the last one counts',
    page: page('<meta name=viewport content="user-scalable=0"><meta name=viewport content="width=device-width">'),
  },
];

describeCheck('zoom-locked', FAULTY, NEAR);
