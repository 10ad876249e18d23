import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';
import { barPage } from '../support/scrolled.js';

const ITEMS = '<li><a href="#s2">Part 2</a></li><li><a href="#s3">Part 3</a></li>';
const page = (css: string, position = 'sticky', more = '') =>
  barPage(
    `nav{position:${position};top:0;left:0;right:0;height:84px;background:#fff;z-index:2}.sec{padding:0}${css}`,
    more,
    ITEMS,
  );
const TWO = [2, 3].map((n) => `covered normal Part ${n} Crossings to the outer islands leave from the nort…`);
describeCheck(
  'anchor-covered',
  [
    { name: 'a sticky bar', page: page(''), finds: TWO, told: 1, mended: page('html{scroll-padding-top:84px}') },
    {
      name: 'a fixed bar',
      page: page('body{padding-top:84px}', 'fixed'),
      finds: TWO,
      mended: page('body{padding-top:84px}.sec{scroll-margin-top:90px}', 'fixed'),
    },
    {
      name: 'on a low screen alone',
      page: page('@media(min-height:400px){nav{position:static}}'),
      finds: TWO,
      mended: page('nav{position:static}'),
    },
  ] satisfies Faulty[],
  [
    { name: 'padding of the target lies under the bar', page: page('.sec{padding-top:100px}') },
    {
      name: 'links that show a part where they stand',
      page: page('')
        .replaceAll('<a href="#s2"', '<a role=tab href="#s2"')
        .replaceAll('<a href="#s3"', '<a data-toggle=tab href="#s3"'),
    },
    { name: 'a bar that scrolls away', page: page('', 'static') },
    {
      name: 'a bar that hides on the way down',
      page: page(
        '.gone{transform:translateY(-100%)}',
        'fixed',
        "<script>addEventListener('scroll',()=>document.querySelector('nav').classList.add('gone'))</script>",
      ),
    },
    {
      name: 'scroll-padding set by a script',
      page: page('', 'sticky', "<script>document.documentElement.style.scrollPaddingTop='84px'</script>"),
    },
  ] satisfies NearMiss[],
);
