import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (button: string, script = '', css = '') =>
  menuPage(
    `a{color:#222}nav ul{display:none}nav.open ul,ul.open{display:block}${css}`,
    links('Home', 'Fares', 'Times'),
    `<script>${script}</script>`,
  ).replace('<ul>', `${button}<ul id=m>`);
const BUTTON = '<button class=menu-button aria-controls=m aria-expanded=false>Menu</button>';
const OPENS =
  "document.querySelector('.menu-button').onclick=()=>document.querySelector('nav').classList.toggle('open')";

const entry = (script: string, css = '') =>
  menuPage(
    `a{color:#222}.sub{display:none}.sub.open{display:block}${css}`,
    '<li><a href=a.html>Home</a></li><li><a href=b.html>Fares</a><button class=caret aria-expanded=false aria-label="Fares: more">+</button><ul class=sub><li><a href=c.html>Winter</a></li><li><a href=d.html>Summer</a></li></ul></li><li><a href=e.html>Times</a></li>',
    `<script>${script}</script>`,
  );

const FAULTY: readonly Faulty[] = [
  {
    name: 'nothing listens',
    page: page(BUTTON, "const b=document.querySelector('.menu-btn');if(b)b.onclick=()=>0"),
    finds: ['dead normal Menu'],
    mended: page(BUTTON, OPENS),
  },
  {
    name: 'a handler that does nothing of the kind is looked at',
    page: page(BUTTON, "document.querySelector('.menu-button').onclick=()=>document.body.classList.toggle('x')"),
    finds: ['dead normal Menu'],
    mended: page(BUTTON, OPENS),
  },
  {
    name: 'a button of an item whose script names another class',
    page: entry(
      "document.querySelectorAll('.arrow').forEach((b)=>{b.onclick=()=>b.nextElementSibling.classList.toggle('open')})",
    ),
    finds: ['dead normal Fares: more'],
    mended: entry(
      "document.querySelectorAll('.caret').forEach((b)=>{b.onclick=()=>b.nextElementSibling.classList.toggle('open')})",
    ),
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'a script opens it', page: page(BUTTON, OPENS) },
  {
    name: 'a checkbox opens it',
    page: page('<input type=checkbox id=c><label for=c>Menu</label>', '', '#c:checked~ul{display:block}'),
  },
  { name: 'an item that hovering opens', page: entry('', 'li:hover>.sub{display:block}') },
  {
    name: 'a submenu that opens and is cut off',
    page: entry(
      '',
      'nav{overflow:hidden;height:96px}.sub{position:absolute;top:120px}nav,li{position:relative}li:hover>.sub{display:block}',
    ),
  },
  {
    name: 'a button that shows a copy which a script made on narrow screens',
    page: page(
      BUTTON,
      "if(innerWidth<2000){document.body.append(document.querySelector('nav').cloneNode(true));document.querySelector('.menu-button').onclick=()=>document.body.classList.toggle('x')}",
    ),
  },
  { name: 'the items are in view', page: page(BUTTON, '', 'nav ul{display:block}') },
  { name: 'the button does not show', page: page(BUTTON, '', 'button{display:none}') },
];

describeCheck('toggle-dead', FAULTY, NEAR);
