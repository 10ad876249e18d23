import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (link: string) => menuPage('a{color:#222}', `${links('Home', 'Fares')}<li>${link}</li>`);

const FAULTY: readonly Faulty[] = [
  {
    name: 'a relative address',
    page: page('<a href=crew.html rel=nofollow>Crew</a>'),
    finds: ['nofollow normal Crew'],
    mended: page('<a href=crew.html>Crew</a>'),
  },
  {
    name: 'among other words',
    page: page('<a href=/crew/ rel="noopener NOFOLLOW">Crew</a>'),
    finds: ['nofollow normal Crew'],
    mended: page('<a href=/crew/ rel=noopener>Crew</a>'),
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'another host', page: page('<a href=https://weather.example/ rel=nofollow>Weather</a>') },
  { name: 'a mail address', page: page('<a href=mailto:pier@ferries.example rel=nofollow>Mail</a>') },
  { name: 'a word that only begins so', page: page('<a href=crew.html rel=nofollow-me>Crew</a>') },
];

describeCheck('nofollow-link', FAULTY, NEAR);
