import { DROP_LINK, dropPage, links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (css: string) =>
  menuPage(`a{color:#222;display:block;line-height:20px}li{float:left}${css}`, links('Home', 'Departures'));
const drop = (css: string) => dropPage(`.p:hover .s,.p:focus-within .s{display:block}${css}`, DROP_LINK);

const FAULTY: readonly Faulty[] = [
  {
    name: 'boxes of a fixed width',
    page: page('a{width:120px;overflow:hidden;white-space:nowrap}'),
    finds: ['cut normal Departures'],
    mended: page('a{min-width:120px;white-space:nowrap}'),
  },
  {
    name: 'a bar of a fixed height',
    page: page('nav{height:24px;overflow:hidden}a{padding-top:4px;line-height:1}'),
    finds: ['cut normal Home', 'cut normal Departures'],
    mended: page('nav{min-height:20px;overflow:hidden}a{padding-top:4px;line-height:1}ul{display:flow-root}'),
  },
  {
    name: 'a panel that is as high as its usual text',
    page: drop('.s{height:30px;overflow:hidden}'),
    finds: ['cut normal Sula', 'cut normal Kelp'],
    mended: drop('.s{min-height:30px;overflow:hidden}'),
  },
];
const NEAR: readonly NearMiss[] = [
  {
    name: 'a panel that a script makes as high as its text is then',
    page: dropPage(
      '.s.s{display:block;position:static;max-height:0;overflow:hidden}',
      '<button id=b aria-expanded=false>Islands</button>',
      '',
      `b.onclick = () => { const s = document.querySelector('.s'); s.style.maxHeight = s.style.maxHeight ? '' : s.scrollHeight + 'px' }`,
    ),
    also: ['small-text', 'state-unannounced'],
  },
  { name: 'an ellipsis', page: page('a{width:120px;overflow:hidden;white-space:nowrap;text-overflow:ellipsis}') },
  {
    name: 'cut off without it too',
    page: page('a{width:50px;overflow:hidden;white-space:nowrap}li:first-child a{width:140px}'),
  },
  {
    name: 'words for a picture that is not there',
    page: page('a{display:block}img{width:100px;height:20px}').replace(
      'Home</a>',
      '<img src=no.png alt="Home again"></a>',
    ),
  },
  {
    name: 'a panel cut off at the usual size too',
    page: drop('.s{height:16px;overflow:hidden}'),
    also: ['clipped-menu'],
  },
  { name: 'a strip that scrolls', page: page('ul{display:flex;overflow:auto;width:120px}') },
];

describeCheck('zoomed-text-clip', FAULTY, NEAR);
