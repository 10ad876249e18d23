import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (css: string, around = '') => menuPage(`a{color:#222}${css}`, links('Home', 'Fares'), around);
const BOTH = ['unknown normal Home', 'unknown normal Fares'];
const PICTURE = '<img class=under src=quay.jpg alt="">';
const UNDER = '.under{position:absolute;top:0;left:0;width:600px;height:200px;z-index:-1}';

const FAULTY: readonly Faulty[] = [
  {
    name: 'a picture in the background, told once',
    page: page('nav{background:url(harbour.jpg)}'),
    finds: BOTH,
    told: 1,
    mended: page('nav{background:url(harbour.jpg)}ul{background:#fff}'),
  },
  {
    name: 'a picture element beneath',
    page: page(UNDER, PICTURE),
    finds: BOTH,
    mended: page(`${UNDER}ul{background:#fff}`, PICTURE),
  },
  {
    name: 'a blurred picture',
    page: page(`${UNDER}nav{backdrop-filter:blur(8px);background:rgb(255 255 255/.4)}`, PICTURE),
    finds: BOTH,
    mended: page(`${UNDER}nav{backdrop-filter:blur(8px);background:#fff}`, PICTURE),
  },
  {
    name: 'filters of its own making',
    page: page('nav{backdrop-filter:url(#f)}'),
    finds: BOTH,
    mended: page('nav{backdrop-filter:url(#f);background:#fff}'),
  },
  {
    name: 'letters that are blurred',
    page: page('nav{filter:blur(2px)}'),
    finds: BOTH,
    mended: page('nav{filter:brightness(.9)}'),
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'a picture that lies elsewhere', page: page('main{background:url(harbour.jpg)}', '<main>Text</main>') },
  { name: 'blurred, where nothing lies behind', page: page('nav{backdrop-filter:saturate(1.8) blur(8px)}') },
  { name: 'a gradient, whose colours are known', page: page('nav{background:linear-gradient(#fff,#eee)}') },
  {
    name: 'a picture that does not reach the text',
    page: page('nav{background:url(h.svg) 900px 0/16px 16px no-repeat}'),
  },
];

describeCheck('text-over-image', FAULTY, NEAR);
