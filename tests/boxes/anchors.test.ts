import { find, pageFrom, sceneAt } from '../support/page.js';

const PAGE = `<!doctype html><style>body{margin:0;font:16px/20px Arial}nav{padding:10px}
[popover]{margin:0;inset:auto;border:0;padding:0}</style>
<nav><button popovertarget=routes>Routes</button> <button popovertarget=fares>Fares</button></nav>
<div popover id=routes style="display:block;STYLE">North and south</div>
<div popover id=fares>Adults, children</div>`;

const panel = (style: string) => {
  const page = pageFrom(PAGE.replace('STYLE', style));
  const scene = sceneAt(page, 800);
  return { panel: scene.rect(find(page, '#routes'))!, button: scene.rect(find(page, 'nav button'))! };
};

test.each([
  ['edges', 'top:anchor(bottom);left:anchor(left)'],
  ['an area', 'position-area:bottom span-right'],
  ['an area and alignment', 'position-area:bottom;justify-self:start;margin-left:10px'],
])('a popover without named anchor is placed by what opens it: %s', (_name, style) => {
  const { panel: at, button } = panel(style);
  expect(at.y).toBeCloseTo(button.y + button.height, 3);
  if (style.includes('justify')) expect(at.x).toBeCloseTo(10, 3);
  else expect(at.x).toBeCloseTo(button.x, 3);
});

test.each([
  ['an unknown name', 'top:anchor(--nowhere bottom);left:anchor(left)'],
  ['a side of the other axis', 'top:anchor(left);left:anchor(left)'],
])('what finds no anchor is automatic: %s', (_name, style) => {
  const { panel: at, button } = panel(style);
  expect(at.x).toBeCloseTo(button.x, 3);
  // Its static position: where the popover stands in the page.
  expect(at.y).not.toBeCloseTo(button.y + button.height, 0);
});
