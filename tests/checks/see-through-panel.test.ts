import { DROP_LINK, dropPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (css: string) =>
  dropPage(
    `.p:hover .s,.p:focus-within .s{display:block}nav{position:relative;z-index:2;height:24px}.s{width:300px}p{margin:0}${css}`,
    DROP_LINK,
  ).replace('<p>Text</p>', `<p>${'Crossings to the outer islands leave from the north quay. '.repeat(12)}</p>`);

const FAULTY: readonly Faulty[] = [
  {
    name: 'a thin ground',
    page: page('.s{background:rgb(255 255 255/.5)}'),
    finds: ['through normal '],
    mended: page('.s{background:rgb(255 255 255/.97)}'),
  },
  {
    name: 'no ground at all',
    page: page('.s{background:none}'),
    finds: ['through normal '],
    mended: page('.s{background:none}.s li{background:#fff;float:none}.s{background:#fff}'),
  },
  {
    name: 'a panel faded as a whole',
    page: page('.s{opacity:.6}'),
    finds: ['through normal '],
    mended: page('.s{opacity:1}'),
  },
  {
    name: 'a blurred ground is looked at',
    page: page('.s{background:rgb(255 255 255/.3);backdrop-filter:blur(6px)}'),
    finds: ['through normal '],
    mended: page('.s{background:rgb(255 255 255/.95);backdrop-filter:blur(6px)}'),
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'an empty part of the page beneath', page: page('.s{background:none}p{margin-top:300px}') },
  { name: 'a panel in the flow', page: page('.s{background:none;position:static}nav{height:auto}nav li{float:none}') },
  {
    name: 'a picture behind the bar it stands in',
    page: page('nav{background:url(pier.jpg);height:120px}.s{background:none}p{margin-top:200px}'),
    also: ['text-over-image'],
  },
  {
    name: 'an empty edge of the panel below its entries',
    page: page('.s{background:none;padding-bottom:24px}.s li{background:#fff;float:none}').replace(
      'Crossings',
      '<br>'.repeat(2) + 'Crossings',
    ),
  },
  { name: 'alpha on the text', page: page('.s a{color:rgb(0 0 0/.8)}') },
  {
    name: 'a sheet of its own between',
    page: page('.s{background:none}.s::before{content:"";position:absolute;inset:0;background:#fff;z-index:-1}'),
  },
];

describeCheck('see-through-panel', FAULTY, NEAR);
