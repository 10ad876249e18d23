import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const BUTTON = '<button id=b>Menu</button>';
const OPENS = "<script>b.onclick=()=>document.querySelector('nav').classList.toggle('open')</script>";
const page = (css: string, more = BUTTON + OPENS, items = links('Home', 'Fares')) =>
  menuPage(`a{color:#222}${css}`, items, more);
const HIDDEN = 'nav ul{display:none}nav.open ul{display:block}';
const FILL =
  "<script>document.querySelector('nav ul').innerHTML=['h','f'].map((x)=>`<li><a href=${x}>${x}</a></li>`).join('')</script>";

const FAULTY: readonly Faulty[] = [
  {
    name: 'hidden until a script opens it',
    page: page(HIDDEN),
    finds: ['hidden normal Menu'],
    mended: page(`${HIDDEN}nav:not(.js) ul{display:block}`),
  },
  {
    name: 'off the screen until a script moves it',
    page: page('nav{position:fixed;left:-300px;width:200px}nav.open{left:0}'),
    finds: ['hidden normal Menu'],
    mended: page('nav{position:static}'),
  },
  { name: 'written by a script', page: page('', FILL, ''), finds: ['empty normal Main'], mended: page('', '') },
];
const NEAR: readonly NearMiss[] = [
  {
    name: 'a class set by a script folds it away',
    page: page(
      '.js ul{display:none}.js .open ul{display:block}',
      `${BUTTON}<script>document.documentElement.className='js'</script>${OPENS}`,
    ),
  },
  {
    name: 'a checkbox opens it',
    page: page(
      '#c:checked~nav ul,nav:has(+label+#c:checked) ul{display:block}ul{display:none}',
      '<label for=c>Menu</label><input type=checkbox id=c>',
    ),
  },
  {
    name: 'the same links stand at the foot',
    page: page(HIDDEN, `${BUTTON}${OPENS}<footer><a href=home.html>Home</a> <a href=fares.html>Fares</a></footer>`),
  },
  { name: 'a scripting query shows it', page: page(`${HIDDEN}@media(scripting:none){nav ul{display:block}}`) },
];

describeCheck('needs-script', FAULTY, NEAR);
