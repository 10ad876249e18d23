import { links } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (inside: string, after = '<main><h1>Title</h1></main>', css = '') =>
  `<!doctype html><style>${css}</style><nav aria-label=Main>${inside}<ul>${links('Home', 'Fares', 'Times')}</ul></nav>${after}`;
const MENDED = page('<p>Departments</p>');
const FAULTY: readonly Faulty[] = [
  {
    name: 'before the title',
    page: page('<h4>Departments</h4>'),
    finds: ['before normal Departments'],
    mended: MENDED,
  },
  {
    name: 'by role',
    page: page('<div role=heading aria-level=2>Departments</div>'),
    finds: ['before normal Departments'],
    mended: MENDED,
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'plain text', page: MENDED },
  {
    name: 'hidden from sight',
    page: page(
      '<h2 style="position:absolute;width:1px;height:1px;overflow:hidden;clip-path:inset(50%)">Departments</h2>',
    ),
  },
  { name: 'a page without a title', page: page('<h2>Departments</h2>', '<main>c</main>') },
  {
    name: 'in the foot',
    page: `<!doctype html><main><h1>T</h1></main><footer><nav aria-label=Foot><h3>Company</h3><ul>${links('Terms', 'Crew')}</ul></nav></footer>`,
  },
];

describeCheck('heading-as-label', FAULTY, NEAR);
