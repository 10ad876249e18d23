import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const RANGE = { from: 320, to: 1000 };
const LINKS = links('Home', 'Fares', 'Times', 'Boats');
const page = (css: string, tag = 'nav') =>
  menuPage(
    `a{color:#222}${css}`,
    LINKS,
    `<${tag} class=narrow aria-label=Narrow><ul>${LINKS}</ul></${tag}><main>Text</main>`,
  );

const FAULTY: readonly Faulty[] = [
  { name: 'both show', page: page(''), finds: ['double normal Narrow'], mended: page('.narrow{display:none}') },
  {
    name: 'at the widths where both queries hold',
    page: page('@media(max-width:500px){nav:not(.narrow){display:none}}@media(min-width:700px){.narrow{display:none}}'),
    finds: ['double normal Narrow'],
    widths: '501–699',
    options: RANGE,
    mended: page(
      '@media(max-width:699px){nav:not(.narrow){display:none}}@media(min-width:700px){.narrow{display:none}}',
    ),
  },
];
const NEAR: readonly NearMiss[] = [
  {
    name: 'one at each width',
    page: page('@media(max-width:699px){nav:not(.narrow){display:none}}@media(min-width:700px){.narrow{display:none}}'),
    options: RANGE,
  },
  { name: 'the same links in the footer', page: page('', 'footer') },
  { name: 'far down the page', page: page('.narrow{margin-top:3000px}') },
];

describeCheck('double-menu', FAULTY, NEAR);
