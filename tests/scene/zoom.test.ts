import { resolvedStyle } from '../../src/core/audit/measure.js';
import { find, pageFrom, sceneAt } from '../support/page.js';

const PAGE =
  '<!doctype html><style>body{margin:0;font:16px/20px Arial}p{margin:0;width:100px;border:1px solid;text-shadow:1px 2px 3px red}p::before{content:"x";font-size:10px;line-height:0}</style>' +
  '<div style="zoom:ZOOM"><p>Text</p></div>';

const at = (zoom: string) => {
  const page = pageFrom(PAGE.replace('ZOOM', zoom));
  const scene = sceneAt(page, 800);
  return { scene, p: find(page, 'p') };
};

test.each([
  ['1.5', 1.5],
  ['150%', 1.5],
  ['.5', 0.5],
  ['normal', 1],
  ['0', 1],
])('zoom: %s', (zoom, factor) => {
  const { scene, p } = at(zoom);
  const box = scene.box(p)!;
  const border = Math.max(1, Math.floor(factor));
  expect(scene.rect(p)).toMatchObject({ width: 100 * factor + 2 * border, height: 20 * factor + 2 * border });
  const painted = scene.paintStyle(box);
  expect(painted.fontSize).toBe(16 * factor);
  expect(painted.textShadow[0]).toMatchObject({ x: factor, y: 2 * factor, blur: 3 * factor });
  expect(scene.paintStyle(box.children.find(({ pseudo }) => pseudo === 'before')!).fontSize).toBe(10 * factor);
});

test('computed values are told as if nothing were zoomed', () => {
  const { scene, p } = at('2');
  expect(resolvedStyle(p, scene)).toMatchObject({ width: '100px', 'font-size': '16px', height: '20px' });
  expect(scene.style(p).fontSize).toBe(16);
});
