import { nameOf, roleOf } from '../../src/core/naming/index.js';
import { find, sceneAt, styled } from '../support/page.js';

const name = (body: string, css = '') => {
  const page = styled(css, body);
  return nameOf(find(page, '#x'), sceneAt(page));
};
const role = (body: string) => roleOf(find(styled('', body), '#x'));

describe('names by the standard', () => {
  test.each<[string, string, string]>([
    ...['color', 'date', 'time', 'month', 'week', 'datetime-local', 'password'].map(
      (type): [string, string, string] => [
        `a label names a field of type ${type}`,
        `<label for=x>Sailing</label><input id=x type=${type}>`,
        'Sailing',
      ],
    ),
    ['a label around it too', '<label>Sailing <input id=x type=date></label>', 'Sailing'],
    ['placeholders and titles name fields without a role', '<input id=x type=password title=Code>', 'Code'],
    ['a list', '<dl id=x aria-label=Fares></dl>', 'Fares'],
    ['a frame', '<iframe id=x title=Map></iframe>', 'Map'],
    ['an abbreviation', '<abbr id=x title="Tidewrack Island Ferries">TIF</abbr>', 'Tidewrack Island Ferries'],
    ['a plain box is named by nothing', '<div id=x aria-label=Fares></div>', ''],
    [
      'a combobox made of boxes counts by what it shows',
      '<label><input id=x type=checkbox>Sound <span role=combobox>3</span> times</label>',
      'Sound 3 times',
    ],
    [
      'or by the option chosen in it',
      '<label><input id=x type=checkbox>Sound <span role=listbox><b role=option>2</b><b role=option aria-selected=true>3</b></span> times</label>',
      'Sound 3 times',
    ],
    [
      'what is for browsers without scripts is not there',
      '<a id=x href=f>Fares<noscript> by post</noscript></a>',
      'Fares',
    ],
    ['a dialog by its first heading', '<div id=x role=dialog><div><h2>Fares</h2></div><h3>Cars</h3></div>', 'Fares'],
    ['unless it is named', '<div id=x role=dialog aria-label=Rates><h2>Fares</h2></div>', 'Rates'],
    ['a region is not', '<div id=x role=region title=Prices><h2>Fares</h2></div>', 'Prices'],
    ['a figure is not named by its caption', '<figure id=x><figcaption>Pier</figcaption></figure>', ''],
  ])('%s', (_name, body, expected) => {
    expect(name(body)).toBe(expected);
  });

  test.each<[string, string, string, string]>([
    ['capitals of the style are spoken', 'a{text-transform:uppercase}', '<a id=x href=y>Fares</a>', 'FARES'],
    ['first letters too', 'a{text-transform:capitalize}', '<a id=x href=y>all <b>fares</b></a>', 'All Fares'],
    [
      'what is visible inside what is not counts',
      '.h{visibility:hidden}.v{visibility:visible}',
      '<a id=x href=y>Fares <i class=h>no <i class=v>yes</i></i></a>',
      'Fares yes',
    ],
    [
      'hidden parts of a visible reference do not count',
      '.h{visibility:hidden}',
      '<button id=x aria-labelledby=l aria-label=Menu></button><p id=l><i class=h>no</i></p>',
      'Menu',
    ],
    [
      'hidden parts of a hidden reference do',
      '#l{display:none}',
      '<button id=x aria-labelledby=l></button><p id=l>Open <i hidden>all</i></p>',
      'Open all',
    ],
  ])('%s', (_name, css, body, expected) => {
    expect(name(body, css)).toBe(expected);
  });
});

describe('roles by the standard', () => {
  test.each<[string, string]>([
    ['<div id=x role=image></div>', 'image'],
    ['<main><aside id=x></aside></main>', 'complementary'],
    ['<article><aside id=x></aside></article>', 'generic'],
    ['<article><aside id=x aria-label=Fares></aside></article>', 'complementary'],
    ['<main><footer id=x></footer></main>', 'sectionfooter'],
    ['<footer id=x></footer>', 'contentinfo'],
    ['<div id=x popover></div>', 'group'],
    ['<div id=x draggable=true role=none></div>', 'group'],
    ['<div id=x draggable=false></div>', 'generic'],
    ['<p id=x draggable=true></p>', 'paragraph'],
    ['<input id=x type=checkbox switch>', 'switch'],
    ['<button id=x role=gridcell></button>', 'button'],
    ['<div role=row><button id=x role=gridcell></button></div>', 'gridcell'],
  ])('%s', (body, expected) => {
    expect(role(body)).toBe(expected);
  });
});
