import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const RANGE = { from: 320, to: 1000 };
const page = (css: string) =>
  menuPage(`a{color:#222}nav ul{display:none}${css}`, links('Home', 'Fares', 'Times'), '<button>Menu</button>');
const WIDE = '{nav ul{display:flex}}';
const NARROW = '{nav ul{display:block}}';

/** Two menus that take turns. */
const two = (narrow: string, wide: string) =>
  menuPage(
    `a{color:#222}@media(${narrow}){.b{display:none}}@media(${wide}){nav:not(.b){display:none}}`,
    links('Home', 'Fares', 'Times'),
    `<nav class=b aria-label=Wide><ul style="display:flex">${links('Home', 'Fares', 'Times')}</ul></nav>`,
  );

const FAULTY: readonly Faulty[] = [
  {
    name: 'one px in neither',
    page: page(`@media(max-width:767px)${NARROW}@media(min-width:769px)${WIDE}`),
    finds: ['gap normal '],
    options: RANGE,
    mended: page(`@media(max-width:767.98px)${NARROW}@media(min-width:768px)${WIDE}`),
  },
  {
    name: 'fractional widths in neither',
    page: page(`@media(max-width:767px)${NARROW}@media(min-width:768px)${WIDE}`),
    finds: ['gap normal '],
    options: RANGE,
    mended: page(`@media(width<768px)${NARROW}@media(width>=768px)${WIDE}`),
  },
  {
    name: 'one px in both',
    page: two('max-width:768px', 'min-width:768px'),
    finds: ['overlap normal '],
    options: RANGE,
    mended: two('width<768px', 'width>=768px'),
  },
];
const NEAR: readonly NearMiss[] = [
  {
    name: 'a query and its complement',
    page: page(`@media(width<768px)${NARROW}@media not all and (width<768px)${WIDE}`),
    options: RANGE,
  },
  {
    name: 'a seam that hits nothing of a menu',
    page: page(
      'nav ul{display:block}@media(max-width:767px){main{color:red}}@media(min-width:769px){main{color:blue}}',
    ),
    options: RANGE,
  },
  {
    name: 'far apart, and meant',
    page: page(`nav ul{display:block}@media(max-width:500px){nav ul{padding:4px}}@media(min-width:900px)${WIDE}`),
    options: RANGE,
  },
];

describeCheck('breakpoint-seam', FAULTY, NEAR);
