import { printValue, type ComputedStyle } from '../../src/core/cascade/index.js';
import { PROPERTY_KEYS } from '../../src/core/css/index.js';
import { find, sceneAt, styled } from '../support/page.js';

/** What a browser gives controls a page says nothing of: colour, ground, pointer, overflow. */
describe('controls as browsers style them', () => {
  const print = (style: ComputedStyle, key: (typeof PROPERTY_KEYS)[number]) =>
    printValue(style, PROPERTY_KEYS.indexOf(key));

  test.each<[string, string, string, string, string]>([
    ['<select id=x>', 'rgb(0, 0, 0)', 'rgb(239, 239, 239)', 'default', 'clip'],
    ['<select id=x disabled>', 'rgb(128, 128, 128)', 'rgb(239, 239, 239)', 'default', 'clip'],
    ['<select id=x multiple>', 'rgb(0, 0, 0)', 'rgb(255, 255, 255)', 'default', 'hidden'],
    ['<select multiple><option id=x disabled>', 'rgb(128, 128, 128)', 'rgba(0, 0, 0, 0)', 'default', 'visible'],
    ['<input id=x type=range>', 'rgb(157, 150, 142)', 'rgb(255, 255, 255)', 'default', 'visible'],
    ['<input id=x type=range disabled>', 'rgb(197, 197, 197)', 'rgba(0, 0, 0, 0)', 'default', 'visible'],
    ['<input id=x type=checkbox disabled>', 'rgb(84, 84, 84)', 'rgba(0, 0, 0, 0)', 'default', 'visible'],
    ['<input id=x type=text disabled>', 'rgb(84, 84, 84)', 'rgba(239, 239, 239, 0.3)', 'default', 'clip'],
    ['<input id=x type=file disabled>', 'rgb(84, 84, 84)', 'rgba(0, 0, 0, 0)', 'default', 'clip'],
    ['<input id=x type=date>', 'rgb(0, 0, 0)', 'rgb(255, 255, 255)', 'default', 'clip'],
    ['<button id=x disabled>x', 'rgba(16, 16, 16, 0.3)', 'rgba(239, 239, 239, 0.3)', 'default', 'visible'],
    ['<fieldset disabled><select id=x>', 'rgb(128, 128, 128)', 'rgb(239, 239, 239)', 'default', 'clip'],
  ])('%s', (markup, colour, ground, cursor, overflow) => {
    const page = styled('', markup);
    const style = sceneAt(page).style(find(page, '#x'));
    expect([
      print(style, 'color'),
      print(style, 'backgroundColor'),
      print(style, 'cursor'),
      print(style, 'overflowX'),
    ]).toEqual([colour, ground, cursor, overflow]);
  });

  test('buttons drawn by the browser keep the line height of their font, those of the page take its own', () => {
    const page = styled(
      'input,select{line-height:40px}#b{border:1px solid}',
      '<input id=a type=submit><input id=b type=submit><select id=c></select>',
    );
    const scene = sceneAt(page);
    expect(['#a', '#b', '#c'].map((id) => print(scene.style(find(page, id)), 'lineHeight'))).toEqual([
      'normal',
      '40px',
      'normal',
    ]);
  });
});
