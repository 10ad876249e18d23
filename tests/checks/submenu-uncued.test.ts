import { DROP_LINK, dropPage, links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const OPEN = '.p:hover .s,.p:focus-within .s{display:block}';
const MENDED = dropPage(`${OPEN}.p > a::after{content:' ▾'}`, DROP_LINK);
const DETAILS = `${links('Home')}<li><details><summary>Islands</summary><ul><li><a href=s.html>Sula</a></li></ul></details></li>`;
const FAULTY: readonly Faulty[] = [
  { name: 'a plain link', page: dropPage(OPEN, DROP_LINK), finds: ['uncued normal Islands'], mended: MENDED },
  {
    name: 'a summary without its marker',
    page: menuPage('summary{list-style:none;display:block}', DETAILS),
    finds: ['uncued normal Islands'],
    mended: menuPage('', DETAILS),
  },
  {
    name: 'a summary whose marker is nothing',
    page: menuPage('summary::marker{content:""}', DETAILS),
    finds: ['uncued normal Islands'],
    mended: menuPage('summary::marker{content:"+ "}', DETAILS),
  },
  {
    name: 'a summary in a list style of none',
    page: menuPage('summary{list-style:none}', DETAILS),
    finds: ['uncued normal Islands'],
    mended: menuPage('summary{list-style:none}summary::after{content:"▾"}', DETAILS),
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'a sign after it', page: MENDED },
  {
    name: 'a place for an icon that a script draws',
    page: dropPage(OPEN, '<a href=islands.html>Islands<i data-icon=down></i></a>', '', 'icons.draw()'),
  },
  {
    name: 'a triangle of borders',
    page: dropPage(`${OPEN}.p > a::after{content:'';border:4px solid transparent;border-top-color:#222}`, DROP_LINK),
  },
  {
    name: 'an icon',
    page: dropPage(OPEN, '<a href=islands.html>Islands <svg width=10 height=10><path d="M0 0l5 5 5-5"/></svg></a>'),
  },
  { name: 'a button beside it', page: dropPage(OPEN, `${DROP_LINK}<button aria-expanded=false>+</button>`) },
];

describeCheck('submenu-uncued', FAULTY, NEAR);
