import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (content: string) => menuPage('a{color:#222}', links('Home', 'Fares'), content);
const MENDED = page('<main>c</main>');
const FAULTY: readonly Faulty[] = [
  { name: 'none', page: page('<div>c</div>'), finds: ['none normal '], mended: MENDED },
  {
    name: 'two',
    page: page('<main>c</main><main aria-label=More>d</main>'),
    finds: ['several normal More'],
    mended: MENDED,
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'one', page: MENDED },
  { name: 'by role', page: page('<div role=main>c</div>') },
  { name: 'one of two is not rendered', page: page('<main>c</main><main hidden>d</main>') },
];

describeCheck('main-landmark', FAULTY, NEAR);
