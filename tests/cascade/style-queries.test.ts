import { find, sceneAt, styled } from '../support/page.js';

const PAGE = styled(
  '#a:hover{--open:1}@container style(--open:1){p{padding-left:5px}}@container style(--other){p{color:red}}',
  '<div id=a><div><p>1</p></div></div>',
);

test('what hover sets on a container is seen by queries of its descendants', () => {
  const p = find(PAGE, 'p');
  const at = (hovered?: string) =>
    sceneAt(PAGE, 800, hovered ? { pose: { hovered: find(PAGE, hovered) } } : {}).style(p).paddingLeft.px;
  expect(at()).toBe(0);
  expect(at('#a')).toBe(5);
  expect(at('p')).toBe(5);
});

test('a property that is not set answers no query', () => {
  expect(sceneAt(PAGE, 800).style(find(PAGE, 'p')).color).toMatchObject({ r: 0 });
});

test('queries of custom properties need no size: nothing is said of them', () => {
  sceneAt(PAGE, 800);
  expect(PAGE.limits).toEqual([]);
});

test.each([
  ['(style(--tide:low))', true],
  ['not (style(--tide:high))', true],
  ['(style(--tide:low)) or (width > 9999px)', false],
  ['style(--tide-height)', false],
])('@container %s without any size container is %s', (query, expected) => {
  const page = styled(`div{--tide:low}@container ${query}{p{padding-left:5px}}`, '<div><p>1</p></div>');
  expect(sceneAt(page, 800).style(find(page, 'p')).paddingLeft.px === 5).toBe(expected);
});
