import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (item: string) =>
  menuPage('a,button{color:#222;display:block;line-height:24px}', `${links('Home', 'Fares')}<li>${item}</li>`);
const MENDED = page('<a href=t.html aria-label="Times of sailings">Times</a>');
const FAULTY: readonly Faulty[] = [
  {
    name: 'other words',
    page: page('<a href=t.html aria-label="Sailings today">Times</a>'),
    finds: ['differs normal Sailings today'],
    mended: MENDED,
  },
  {
    name: 'by reference',
    page: page('<a href=t.html aria-labelledby=x>Times</a><b id=x hidden>Departures</b>'),
    finds: ['differs normal Departures'],
    mended: MENDED,
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'more words', page: page('<a href=t.html aria-label="Times, all routes">Times</a>') },
  { name: 'another case and signs', page: page('<a href=t.html aria-label="times">Times ▾</a>') },
  { name: 'no words to see', page: page('<a href=t.html aria-label="Search"><svg width=20 height=20></svg></a>') },
  { name: 'a single sign', page: page('<button aria-label="Close" aria-expanded=false>×</button>') },
];

describeCheck('label-not-in-name', FAULTY, NEAR);
