import { auditOnly, links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (items: string) =>
  menuPage(
    'a,button{color:#222;display:block;line-height:24px;min-width:30px;min-height:24px}',
    `${links('Home', 'Fares')}<li>${items}</li>`,
  );
const MENDED = page('<a href=m.html><svg role=img aria-label=Map width=20 height=20></svg></a>');
const FAULTY: readonly Faulty[] = [
  {
    name: 'a picture without alt',
    page: page('<a href=m.html><img src=m.png width=20 height=20></a>'),
    finds: ['nameless normal '],
    mended: MENDED,
  },
  {
    name: 'an empty button',
    page: page('<button aria-expanded=false><span></span></button>'),
    finds: ['nameless normal '],
    mended: MENDED,
  },
  {
    name: 'a sign for a name',
    page: page('<button aria-expanded=false>☰</button>'),
    finds: ['sign normal ☰'],
    mended: page('<button aria-expanded=false aria-label=More><span aria-hidden=true>☰</span></button>'),
  },
  {
    name: 'a bare graphic',
    page: page('<a href=m.html><svg width=20 height=20><path d="M0 0h20v20H0z"/></svg></a>'),
    finds: ['nameless normal '],
    mended: MENDED,
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'aria-label', page: page('<button aria-label=Search aria-expanded=false></button>') },
  { name: 'a sign on a link', page: page('<a href=m.html>»</a>') },
  { name: 'a sign beside a word', page: page('<button aria-expanded=false>☰ Menu</button>') },
  { name: 'alt', page: page('<a href=m.html><img src=m.png alt=Map width=20 height=20></a>') },
  {
    name: 'hidden text',
    page: page('<a href=m.html><span style="position:absolute;clip-path:inset(50%)">Map</span></a>'),
  },
  { name: 'title', page: page('<a href=m.html title=Map><svg width=20 height=20></svg></a>') },
];

describeCheck('nameless-control', FAULTY, NEAR);

test.each<[string, string, string]>([
  [
    'words that do not show',
    '<a href=m.html><span style="display:none">Map</span></a>',
    '“Map” has no name where its words do not show:',
  ],
  ['no words', '<a href=m.html><svg width=20 height=20></svg></a>', 'The link to m.html has no name:'],
])('how it is said: %s', (_name, item, says) => {
  const [finding] = auditOnly('nameless-control')(page(item)).findings;
  expect(finding!.says).toContain(says);
});
