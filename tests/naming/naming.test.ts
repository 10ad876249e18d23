import { canTakeFocus, isFocusable, nameOf, roleOf, tabOrder } from '../../src/core/naming/index.js';
import { find, findAll, sceneAt, styled } from '../support/page.js';

describe('roles', () => {
  test.each<[string, string]>([
    ['<a href=x>', 'link'],
    ['<a>', 'generic'],
    ['<button>', 'button'],
    ['<nav>', 'navigation'],
    ['<main>', 'main'],
    ['<header>', 'banner'],
    ['<footer>', 'contentinfo'],
    ['<aside>', 'complementary'],
    ['<section>', 'generic'],
    ['<section aria-label=x>', 'region'],
    ['<form aria-label=x>', 'form'],
    ['<ul>', 'list'],
    ['<h2>', 'heading'],
    ['<input>', 'textbox'],
    ['<input type=checkbox>', 'checkbox'],
    ['<input type=search>', 'searchbox'],
    ['<input type=submit>', 'button'],
    ['<input type=range>', 'slider'],
    ['<input type=number>', 'spinbutton'],
    ['<input list=l>', 'combobox'],
    ['<select>', 'combobox'],
    ['<select multiple>', 'listbox'],
    ['<textarea>', 'textbox'],
    ['<img alt=x>', 'image'],
    ['<img alt="">', 'none'],
    ['<details>', 'group'],
    ['<table>', 'table'],
    ['<div role=menu>', 'menu'],
    ['<div role=nonsense>', 'generic'],
    ['<div role="nonsense button">', 'button'],
    ['<ul role=none>', 'none'],
    ['<a href=x role=presentation>', 'link'],
    ['<div role=widget>', 'generic'],
    ['<a href=x role=menuitem>', 'menuitem'],
    ['<div role=region>', 'generic'],
    ['<dialog open>', 'dialog'],
    ['<output>', 'status'],
  ])('%s is %s', (body, expected) => {
    const page = styled('', body);
    expect(roleOf(page.document.body!.elements[0]!)).toBe(expected);
  });

  test('header and footer inside articles are no landmarks', () => {
    const page = styled(
      '',
      '<article><header></header></article><ul><li></li></ul><table><tr><th></th><td></td></tr></table>',
    );
    expect(roleOf(find(page, 'header'))).toBe('sectionheader');
    expect(roleOf(find(page, 'li'))).toBe('listitem');
    expect(roleOf(find(page, 'th'))).toBe('rowheader');
    expect(roleOf(find(page, 'td'))).toBe('cell');
  });
});

describe('names', () => {
  test.each<[string, string, string]>([
    ['content', '<a id=x href=y>Fares</a>', 'Fares'],
    ['white space folds', '<a id=x href=y>  Fares \n and passes </a>', 'Fares and passes'],
    ['aria-label', '<button id=x aria-label="Menu">≡</button>', 'Menu'],
    ['aria-labelledby', '<i id=t>Main</i><nav id=x aria-labelledby=t>', 'Main'],
    ['several references', '<i id=t>Main</i><i id=u>menu</i><nav id=x aria-labelledby="t u">', 'Main menu'],
    ['references to hidden text', '<i id=t hidden>Main</i><nav id=x aria-labelledby=t>', 'Main'],
    ['alternative text', '<a id=x href=y><img alt="Home"></a>', 'Home'],
    ['text and picture', '<a id=x href=y><img alt="Tidewrack"> ferries</a>', 'Tidewrack ferries'],
    ['svg title', '<button id=x><svg><title>Close</title></svg></button>', 'Close'],
    ['hidden parts are left out', '<button id=x>Menu<span hidden> secret</span></button>', 'Menu'],
    ['aria-hidden parts too', '<button id=x>Menu<span aria-hidden=true> ▾</span></button>', 'Menu'],
    ['title as the last resort', '<a id=x href=y title="Fares"></a>', 'Fares'],
    ['nothing', '<button id=x><span></span></button>', ''],
    ['label for', '<label for=x>Name</label><input id=x>', 'Name'],
    ['label around', '<label>Name <input id=x></label>', 'Name'],
    ['value of a submit button', '<input id=x type=submit value="Book">', 'Book'],
    ['default of a submit button', '<input id=x type=submit>', 'Submit'],
    ['image button', '<input id=x type=image alt="Go">', 'Go'],
    ['placeholder', '<input id=x placeholder="Search">', 'Search'],
    ['legend', '<fieldset id=x><legend>Route</legend></fieldset>', 'Route'],
    ['caption', '<table id=x><caption>Times</caption></table>', 'Times'],
    ['blocks are set apart', '<a id=x href=y><div>One</div><div>Two</div></a>', 'One Two'],
    ['inline parts are not', '<a id=x href=y>One<b>Two</b></a>', 'OneTwo'],
    ['no name from content for a list', '<ul id=x><li>a</li></ul>', ''],
    ['paragraphs cannot be named', '<p id=x aria-label="y">z</p>', ''],
    ['summary', '<details><summary id=x>More</summary></details>', 'More'],
    ['empty labelledby falls back', '<a id=x href=y aria-labelledby="gone">Fares</a>', 'Fares'],
    [
      'its own label counts in references',
      '<button id=x aria-label="Close" aria-labelledby="x t">×</button><i id=t>menu</i>',
      'Close menu',
    ],
  ])('%s', (_name, body, expected) => {
    const page = styled('', body);
    expect(nameOf(find(page, '#x'), sceneAt(page))).toBe(expected);
  });

  test('generated words count, glyphs of icon fonts do not', () => {
    const page = styled(
      '#x::before{content:"New "}#y::before{content:"\\f0c9"}',
      '<a id=x href=a>fares</a><a id=y href=b></a>',
    );
    expect(nameOf(find(page, '#x'), sceneAt(page))).toBe('New fares');
    expect(nameOf(find(page, '#y'), sceneAt(page))).toBe('');
  });

  test('generated quotation marks are spoken, counters are not', () => {
    const page = styled(
      '#x::before{content:open-quote}#x::after{content:close-quote}#y{quotes:"<" ">";counter-increment:c}#y::before{content:counter(c) ". " open-quote}',
      '<a id=x href=a>fares</a><a id=y href=b>times</a>',
    );
    expect(nameOf(find(page, '#x'), sceneAt(page))).toBe('\u201cfares\u201d');
    expect(nameOf(find(page, '#y'), sceneAt(page))).toBe('. <times');
  });
});

describe('focus', () => {
  test.each<[string, boolean]>([
    ['<a href=x>', true],
    ['<a>', false],
    ['<button>', true],
    ['<button disabled>', false],
    ['<input type=hidden>', false],
    ['<input>', true],
    ['<div tabindex=0>', true],
    ['<div tabindex=-1>', true],
    ['<div tabindex=x>', false],
    ['<div contenteditable>', true],
    ['<iframe>', true],
    ['<video controls>', true],
    ['<video>', false],
    ['<span>', false],
  ])('%s: %s', (body, expected) => {
    expect(isFocusable(styled('', body).document.body!.elements[0]!)).toBe(expected);
  });

  test('only what is rendered can take it', () => {
    const page = styled(
      '#b{display:none}#c{visibility:hidden}#e{opacity:0}',
      '<button id=a></button><button id=b></button><button id=c></button><div inert><button id=d></button></div><button id=e></button>',
    );
    const scene = sceneAt(page);
    expect(
      findAll(page, 'button')
        .filter((e) => canTakeFocus(e, scene))
        .map((e) => e.id),
    ).toEqual(['a', 'e']);
  });

  test.each<[string, string, string[]]>([
    ['document order', '<a id=a href=x></a><button id=b></button><input id=c>', ['a', 'b', 'c']],
    [
      'positive tabindex first',
      '<a id=a href=x></a><a id=b href=x tabindex=2></a><a id=c href=x tabindex=1></a>',
      ['c', 'b', 'a'],
    ],
    ['negative tabindex not at all', '<a id=a href=x tabindex=-1></a><a id=b href=x></a>', ['b']],
    [
      'one stop for a radio group',
      '<input type=radio name=n id=a><input type=radio name=n id=b checked><input type=radio name=m id=c>',
      ['b', 'c'],
    ],
    [
      'of two that are written as checked the later one, the form named or around',
      '<form id=f><input type=radio name=n id=a checked></form><input type=radio name=n form=f id=b checked>',
      ['b'],
    ],
    [
      'summary and its open details',
      '<details open><summary id=a>s</summary><a id=b href=x></a></details>',
      ['a', 'b'],
    ],
    ['not into closed details', '<details><summary id=a>s</summary><a id=b href=x></a></details>', ['a']],
    ['a scroller without anything inside', '<div id=a style="overflow:auto;height:20px"><p>1<p>2<p>3</div>', ['a']],
    [
      'not a scroller with links inside',
      '<div id=a style="overflow:auto;height:20px"><a id=b href=x>1</a><p>2<p>3</div>',
      ['b'],
    ],
    ['disabled fieldset', '<fieldset disabled><legend><input id=a></legend><input id=b></fieldset>', ['a']],
  ])('tab order: %s', (_name, body, expected) => {
    const page = styled('', body);
    expect(tabOrder(sceneAt(page)).map((e) => e.id)).toEqual(expected);
  });
});
