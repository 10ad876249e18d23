import { DROP_LINK, dropPage, links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (css: string) => menuPage(`a{color:#222;display:block}li{float:left}${css}`, links('Home', 'Fares'));
const held = (css: string) =>
  dropPage(`.p:hover .s,.p:focus-within .s{display:block}.s{top:auto}.s a:hover{color:#036}${css}`, DROP_LINK);
const BOTH = ['jump hover Home', 'jump hover Fares'];

const FAULTY: readonly Faulty[] = [
  {
    name: 'a border that comes',
    page: page('a:hover{border:3px solid}'),
    finds: BOTH,
    told: 1,
    mended: page('a{border:3px solid transparent}a:hover{border-color:#222}'),
  },
  {
    name: 'bold and wider',
    page: page('a:hover{font-weight:700;letter-spacing:1px}'),
    finds: BOTH,
    mended: page('a:hover{text-shadow:0 0 1px #222}'),
  },
  {
    name: 'padding with focus',
    page: page('a:focus{padding:4px}'),
    finds: ['jump focus Home', 'jump focus Fares'],
    mended: page('a{padding:4px}a:focus{padding:4px}'),
  },
  {
    name: 'a handle that gives up its room as the pointer goes on into its panel',
    page: held('.p>a:hover{padding-bottom:9px}'),
    finds: ['jump hover Islands'],
    mended: held('.p>a{padding-bottom:9px}'),
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'another colour', page: page('a:hover{color:#06c}') },
  { name: 'a transform', page: page('a:hover{transform:scale(1.2)}') },
  { name: 'an outline', page: page('a:hover{outline:3px solid}') },
  { name: 'a panel that opens', page: dropPage('.p:hover .s{display:block}', DROP_LINK) },
  { name: 'bold in reserved room', page: page('a{width:80px}a:hover{font-weight:700}') },
];

describeCheck('hover-jump', FAULTY, NEAR);
