import { edgesOf } from '../../src/formats/drawing/edges.js';
import { find, sceneAt, styled } from '../support/page.js';

const edges = (css: string, body: string) => {
  const page = styled(css, body);
  const scene = sceneAt(page);
  const element = find(page, '#x');
  return scene.nodes(element).map((node) => edgesOf(scene.style(element), node));
};

describe('where borders are drawn', () => {
  test('a box whole: all around', () => {
    expect(edges('#x{border:2px solid;width:50px;height:20px}', '<div id=x></div>')).toEqual([
      { rect: { x: 8, y: 8, width: 54, height: 24 }, cut: new Set(), gap: null },
    ]);
  });

  test('a box in three columns: not where it goes on', () => {
    const pieces = edges(
      'div{columns:3;width:300px}#x{border:2px solid}p{height:20px;margin:0}',
      '<div><section id=x><p></p><p></p><p></p></section></div>',
    );
    expect(pieces.map(({ cut }) => [...cut])).toEqual([['Bottom'], ['Top', 'Bottom'], ['Top']]);
  });

  test('a fieldset: through the middle of its legend, which stands in a gap', () => {
    const [drawn] = edges(
      'fieldset{border:4px solid;margin:0;padding:0;width:200px}legend{height:24px;width:50px;padding:0}',
      '<fieldset id=x><legend>Crossing</legend></fieldset>',
    );
    expect(drawn).toMatchObject({ rect: { y: 18, height: 18 }, gap: { x: 12, y: 8, width: 50, height: 24 } });
  });

  test('collapsed borders of tables are those of the cells', () => {
    const [drawn] = edges('table{border-collapse:collapse}td{border:6px solid}', '<table><tr><td id=x>1</table>');
    expect([...drawn!.cut]).toEqual([]);
  });
});
