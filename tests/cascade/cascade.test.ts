import { differsInColourOnly, dumpStyle, winnerOf } from '../../src/core/cascade/index.js';
import { formatPosition, positionOf } from '../../src/core/base/index.js';
import { find, pageFrom, sceneAt, styled } from '../support/page.js';
import { valueOf } from '../support/computed.js';

const value = (css: string, body: string, property: string, width = 800) =>
  valueOf(styled(css, body), '#x', property, width);

describe('which declaration wins', () => {
  test.each<[string, string, string, string]>([
    ['later of equals', '#x{top:1px}#x{top:2px}', '<p id=x>', '2px'],
    ['specificity over order', '#x{top:1px}p{top:2px}', '<p id=x>', '1px'],
    ['classes over types', 'p.a{top:1px}body p{top:2px}', '<p id=x class=a>', '1px'],
    ['style attribute over rules', '#x{top:1px}', '<p id=x style="top:3px">', '3px'],
    ['important over the style attribute', '#x{top:1px!important}', '<p id=x style="top:3px">', '1px'],
    ['important attribute over all', '#x{top:1px!important}', '<p id=x style="top:3px!important">', '3px'],
    ['important by specificity', 'p{top:1px!important}#x{top:2px!important}', '<p id=x>', '2px'],
    ['author over browser', 'p{margin-top:5px}', '<p id=x>', 'auto'],
    ['unlayered over layers', '@layer a{#x{top:1px}}p{top:2px}', '<p id=x>', '2px'],
    ['later layers over earlier', '@layer a,b;@layer b{p{top:2px}}@layer a{#x{top:1px}}', '<p id=x>', '2px'],
    ['a layer over the layers inside it', '@layer a{@layer b{#x{top:1px}}p{top:2px}}', '<p id=x>', '2px'],
    [
      'important turns layers round',
      '@layer a{p{top:1px!important}}@layer b{#x{top:2px!important}}',
      '<p id=x>',
      '1px',
    ],
    [
      'important layers over unlayered important',
      '@layer a{p{top:1px!important}}#x{top:2px!important}',
      '<p id=x>',
      '1px',
    ],
    ['anonymous layers are apart', '@layer{#x{top:1px}}@layer{p{top:2px}}', '<p id=x>', '2px'],
    ['revert goes back to the browser', 'p{display:inline}#x{display:revert}', '<p id=x>', 'auto'],
    [
      'revert-layer goes back a layer',
      '@layer a{p{top:1px}}@layer b{#x{top:2px}}@layer b{#x{top:revert-layer}}',
      '<p id=x>',
      '1px',
    ],
    ['hints lose to any rule', '*{width:7px}', '<table id=x width=50>', 'auto'],
    ['nested rules count by their parent', '.a{& p{top:1px}}p{top:2px}', '<div class=a><p id=x>', '1px'],
    ['where() weighs nothing', ':where(#x){top:1px}p{top:2px}', '<p id=x>', '2px'],
  ])('%s', (_name, css, body, expected) => {
    if (expected !== 'auto') expect(value(css, body, 'top')).toBe(expected);
    else if (css.includes('margin')) expect(value(css, body, 'margin-top')).toBe('5px');
    else if (css.includes('display')) expect(value(css, body, 'display')).toBe('block');
    else expect(value(css, body, 'width')).toBe('7px');
  });

  test('the winner tells its place, selector and text', () => {
    const page = pageFrom('<!doctype html><link rel=stylesheet href=a.css><p id=x>', {
      'a.css': 'p { color: red }\n#x {\n  color: blue;\n}',
    });
    const winner = winnerOf(sceneAt(page).style(find(page, '#x')), 'color')!;
    expect(formatPosition(positionOf(winner.declaration.span))).toBe('a.css:3:3');
    expect(winner.match.selector!.text).toBe('#x');
    expect(winner.declaration.text).toBe('blue');
  });

  test('style attributes are found in the page', () => {
    const page = pageFrom('<!doctype html>\n<p id=x style="top: 1px">');
    const winner = winnerOf(sceneAt(page).style(find(page, '#x')), 'top')!;
    expect(formatPosition(positionOf(winner.declaration.span))).toBe('page.html:2:16');
  });
});

describe('inheritance', () => {
  test.each<[string, string, string, string, string]>([
    [
      'a calculation before there is a body',
      'html,head{height:calc(100% - 20px)}#x{height:inherit}',
      '<p id=x>',
      'height',
      'auto',
    ],
    ['color goes down', 'div{color:red}', '<div><p id=x>', 'color', 'rgb(255, 0, 0)'],
    ['top does not', 'div{position:relative;top:5px}', '<div><p id=x>', 'top', 'auto'],
    ['inherit takes it anyway', 'div{top:5px}p{top:inherit}', '<div><p id=x>', 'top', '5px'],
    ['unset of inherited', 'div{color:red}p{color:blue}#x{color:unset}', '<div><p id=x>', 'color', 'rgb(255, 0, 0)'],
    ['unset of others', 'p{top:5px}#x{top:unset}', '<div><p id=x>', 'top', 'auto'],
    ['initial', 'div{color:red}#x{color:initial}', '<div><p id=x>', 'color', 'rgb(0, 0, 0)'],
    [
      'em of the own font size',
      'div{font-size:20px}p{font-size:10px;padding-top:2em}',
      '<div><p id=x>',
      'padding-top',
      '20px',
    ],
    ['em of font-size is the parent’s', 'div{font-size:20px}p{font-size:2em}', '<div><p id=x>', 'font-size', '40px'],
    ['rem', 'html{font-size:10px}p{font-size:2rem}', '<p id=x>', 'font-size', '20px'],
    ['unitless line height scales', 'div{line-height:2}p{font-size:10px}', '<div><p id=x>', 'line-height', '20px'],
    ['percent line height does not', 'div{line-height:200%}p{font-size:10px}', '<div><p id=x>', 'line-height', '32px'],
    [
      'currentcolor is the own colour',
      'p{color:red;border-top:1px solid}',
      '<p id=x>',
      'border-top-color',
      'rgb(255, 0, 0)',
    ],
    ['monospace is smaller', '', '<code id=x>', 'font-size', '13px'],
    ['monospace keeps an absolute size', 'code{font-size:16px}', '<code id=x>', 'font-size', '16px'],
    ['two families are no bare monospace', 'code{font-family:monospace,monospace}', '<code id=x>', 'font-size', '16px'],
    ['flex items become blocks', 'div{display:flex}', '<div><span id=x>', 'display', 'block'],
    ['contents is looked through', 'div{display:flex}i{display:contents}', '<div><i><span id=x>', 'display', 'block'],
    ['the root is a block', 'html{display:inline}', '<p id=x>', 'display', 'block'],
  ])('%s', (_name, css, body, property, expected) => {
    expect(value(css, body, property)).toBe(expected);
  });
});

describe('custom properties', () => {
  test.each<[string, string, string]>([
    ['plain', '--a:5px;top:var(--a)', '5px'],
    ['fallback', 'top:var(--none,6px)', '6px'],
    ['empty fallback is invalid here', 'top:var(--none,)', 'auto'],
    ['of one another', '--a:var(--b);--b:7px;top:var(--a)', '7px'],
    ['inherited', 'top:var(--up)', '9px'],
    ['cycles are nothing', '--a:var(--b);--b:var(--a);top:var(--a,3px)', '3px'],
    ['self reference', '--a:var(--a);top:var(--a,4px)', '4px'],
    ['initial takes it away', '--up:initial;top:var(--up,2px)', '2px'],
    ['invalid at computed-value time', '--a:red;top:1px;top:var(--a)', 'auto'],
    ['inside calc', '--a:5px;top:calc(var(--a) * 3)', '15px'],
    ['inside a fallback', 'top:var(--none,var(--up))', '9px'],
    ['in part of a shorthand', '--a:2px;position:absolute;inset:var(--a) 3px', '2px'],
    ['env() with a known name', 'top:env(safe-area-inset-top)', '0px'],
    ['env() with a fallback', 'top:env(made-up,8px)', '8px'],
    ['names are case-sensitive', '--A:1px;top:var(--a,2px)', '2px'],
  ])('%s', (_name, declarations, expected) => {
    expect(value(`div{--up:9px}#x{${declarations}}`, '<div><p id=x>', 'top')).toBe(expected);
  });

  test('chains that double at each step end in bounded time', () => {
    const steps = Array.from({ length: 40 }, (_, i) => `--v${i + 1}:var(--v${i}) var(--v${i})`).join(';');
    expect(value(`#x{--v0:1px;${steps};top:var(--v40)}`, '<p id=x>', 'top')).toBe('auto');
  });
});

describe('settings', () => {
  const page = styled(
    'p{top:1px}p:hover{color:red}@media (min-width:600px){p{top:2px}}#w{width:10vw}li:hover ul{display:block}ul{display:none}',
    '<p id=x>a</p><p id=y>b</p><div id=w></div><li id=l><ul id=u></ul></li>',
  );

  test('media conditions follow the width', () => {
    expect(valueOf(page, '#x', 'top', 599)).toBe('1px');
    expect(valueOf(page, '#x', 'top', 600)).toBe('2px');
  });

  test('equal rules and parents share one style object', () => {
    const scene = sceneAt(page);
    expect(scene.style(find(page, '#x'))).toBe(scene.style(find(page, '#y')));
    expect(sceneAt(page, 700).style(find(page, '#x'))).toBe(scene.style(find(page, '#x')));
  });

  test('viewport lengths do not leak between widths', () => {
    expect(valueOf(page, '#w', 'width', 500)).toBe('50px');
    expect(valueOf(page, '#w', 'width', 900)).toBe('90px');
    expect(valueOf(page, '#w', 'width', 500)).toBe('50px');
  });

  test('a pose changes what asks for it and nothing else', () => {
    const x = find(page, '#x');
    const hovered = sceneAt(page, 800, { pose: { hovered: x } });
    const closed = sceneAt(page, 800);
    expect(hovered.style(x).color).toMatchObject({ r: 255 });
    expect(hovered.style(find(page, '#y'))).toBe(closed.style(find(page, '#y')));
    expect(differsInColourOnly(hovered.style(x), closed.style(x))).toBe(true);
    expect(dumpStyle(hovered.style(x), closed.style(x))).toContain('color: rgb(255, 0, 0)');
  });

  test('poses reach rules of other elements', () => {
    const u = find(page, '#u');
    expect(sceneAt(page, 800).rect(u)).toBeNull();
    expect(sceneAt(page, 800, { pose: { hovered: find(page, '#l') } }).rect(u)).not.toBeNull();
  });

  test('what a state may touch is read off the rules', () => {
    expect(page.touchedBy('hover', find(page, '#x'))).toBe('colour');
    expect(page.touchedBy('hover', find(page, '#u'))).toBe('layout');
    expect(page.touchedBy('hover', find(page, '#w'))).toBe('nothing');
  });
});

describe('the browser’s own sheet and attributes', () => {
  test.each<[string, string, string]>([
    ['<a id=x href=y>', 'color', 'rgb(0, 0, 238)'],
    ['<a id=x>', 'text-decoration-line', 'none'],
    ['<body link=green><a href=y><b id=x>', 'color', 'rgb(0, 128, 0)'],
    ['<body link=green><b id=x style="color:linktext">', 'color', 'rgb(0, 0, 238)'],
    ['<body link="#0f0"><a id=x href=y style="color:revert">', 'color', 'rgb(0, 255, 0)'],
    ['<map><area id=x href=y></map>', 'color', 'rgb(0, 0, 0)'],
    ['<map><area id=x href=y></map>', 'display', 'none'],
    ['<fieldset id=x>', 'border-top-color', 'rgb(239, 239, 239)'],
    ['<input type=checkbox disabled id=x>', 'border-top-color', 'rgb(84, 84, 84)'],
    ['<input type=image id=x>', 'cursor', 'pointer'],
    ['<select id=x style="overflow:auto">', 'overflow-x', 'clip'],
    ['<select><option disabled id=x>a', 'color', 'rgb(0, 0, 0)'],
    ['<select size=2><option disabled id=x>a', 'color', 'rgb(128, 128, 128)'],
    ['<select size=2><option selected id=x>a', 'background-color', 'rgb(206, 206, 206)'],
    ['<textarea id=x style="overflow:visible">', 'overflow-y', 'auto'],
    ['<center><table id=x>', 'text-align', 'start'],
    ['<b id=x>', 'font-weight', '700'],
    ['<h1 id=x>', 'font-size', '32px'],
    ['<ul id=x>', 'padding-left', '40px'],
    ['<ul><li id=x>', 'display', 'list-item'],
    ['<table><tr><td id=x>', 'padding-top', '1px'],
    ['<table cellpadding=7><tr><td id=x>', 'padding-top', '7px'],
    ['<table border=1 id=x>', 'border-top-style', 'outset'],
    ['<td id=x>', 'display', 'inline'],
    ['<p hidden id=x>', 'display', 'none'],
    ['<dialog id=x>', 'display', 'none'],
    ['<dialog open id=x>', 'display', 'block'],
    ['<div popover id=x>', 'display', 'none'],
    ['<template id=x>', 'display', 'none'],
    ['<font id=x color=#f00 size=5>', 'font-size', '24px'],
    ['<font id=x color=chartreuse>', 'color', 'rgb(127, 255, 0)'],
    ['<div id=x align=center>', 'text-align', '-webkit-center'],
    ['<img id=x width=30>', 'width', '30px'],
    ['<img id=x width=50%>', 'width', '50%'],
    ['<hr id=x size=10>', 'height', '8px'],
    ['<input id=x type=hidden>', 'display', 'none'],
    ['<div dir=rtl id=x>', 'direction', 'rtl'],
    ['<textarea id=x>', 'white-space-collapse', 'preserve'],
    ['<svg id=x width=10 fill=red>', 'width', '10px'],
  ])('%s: %s is %s', (body, property, expected) => {
    const wrapped = body.startsWith('<td') ? `<div><span id=x></span></div>` : body;
    expect(value('', wrapped, property)).toBe(expected);
  });

  test('quirks: tables do not take the page’s font', () => {
    const page = pageFrom('<style>body{font-size:30px}</style><table><tr><td id=x>');
    expect(valueOf(page, '#x', 'font-size')).toBe('16px');
  });

  test('quirks: tables take the colour of the body', () => {
    const body = '<style>body{color:teal}div{color:red}</style><div><table><tr><td id=x></table></div>';
    expect(valueOf(pageFrom(body), '#x', 'color')).toBe('rgb(0, 128, 128)');
    expect(valueOf(pageFrom(`<!doctype html>${body}`), '#x', 'color')).toBe('rgb(255, 0, 0)');
  });

  test('quirks: bare numbers are px', () => {
    expect(valueOf(pageFrom('<style>#x{width:50}</style><p id=x>'), '#x', 'width')).toBe('50px');
    expect(valueOf(pageFrom('<!doctype html><style>#x{width:50}</style><p id=x>'), '#x', 'width')).toBe('auto');
  });
});

describe('scopes', () => {
  const body =
    '<div class=a><p id=x>1</p><div class=stop><p id=y>2</p></div><div class=b><p id=z>3</p></div></div><p id=o>4</p>';
  const tops = (css: string) => {
    const page = styled(css, body);
    return ['#x', '#y', '#z', '#o'].map((selector) => valueOf(page, selector, 'top'));
  };

  test.each<[string, string, string[]]>([
    ['below the root only', '@scope (.a){p{top:1px}}', ['1px', '1px', '1px', 'auto']],
    ['not below the limit', '@scope (.a) to (.stop){p{top:1px}}', ['1px', 'auto', '1px', 'auto']],
    [':scope is the root', '@scope (.a){:scope > p{top:1px}}', ['1px', 'auto', 'auto', 'auto']],
    ['a leading combinator starts there', '@scope (.a){> p{top:1px}}', ['1px', 'auto', 'auto', 'auto']],
    ['the nearer scope wins', '@scope (.b){p{top:1px}}@scope (.a){p{top:2px}}', ['2px', '2px', '1px', 'auto']],
    [
      'specificity counts before nearness',
      '@scope (.b){p{top:1px}}@scope (.a){p[id]{top:2px}}',
      ['2px', '2px', '2px', 'auto'],
    ],
    ['without a root it is the whole page', '@scope{p{top:1px}}', ['1px', '1px', '1px', '1px']],
    ['a bad root loses the rule', '@scope (:nonsense){p{top:1px}}p{left:0}', ['auto', 'auto', 'auto', 'auto']],
  ])('%s', (_name, css, expected) => {
    expect(tops(css)).toEqual(expected);
  });
});

describe('container queries', () => {
  const box = (css: string, width: number, body = '<div id=w><div id=c><p id=x>1</p></div></div>') =>
    valueOf(styled(css, body), '#x', 'top', width);

  test.each<[string, string, number, string]>([
    ['wide enough', '#c{container-type:inline-size}@container (min-width:400px){p{top:1px}}', 800, '1px'],
    ['too narrow', '#c{container-type:inline-size}@container (min-width:400px){p{top:1px}}', 300, 'auto'],
    [
      'the container counts, not the viewport',
      '#w{width:200px}#c{container-type:inline-size}@container (width > 300px){p{top:1px}}',
      800,
      'auto',
    ],
    [
      'padding is not part of it',
      '#c{container-type:inline-size;width:400px;padding:50px}@container (width > 420px){p{top:1px}}',
      800,
      'auto',
    ],
    [
      'by name',
      '#w{container:none;container-type:inline-size;container-name:outer;width:600px}#c{container-type:inline-size;width:100px}@container outer (width > 500px){p{top:1px}}',
      800,
      '1px',
    ],
    ['no container, no match', '@container (min-width:1px){p{top:1px}}', 800, 'auto'],
    [
      'height needs a size container',
      '#c{container-type:inline-size}@container (min-height:1px){p{top:1px}}',
      800,
      'auto',
    ],
    [
      'height of a size container',
      '#c{container-type:size;height:50px}@container (min-height:40px){p{top:1px}}',
      800,
      '1px',
    ],
    [
      'inline-size and ranges',
      '#c{container-type:inline-size;width:300px}@container (200px <= inline-size < 400px){p{top:1px}}',
      800,
      '1px',
    ],
    ['not', '#c{container-type:inline-size;width:300px}@container not (width > 400px){p{top:1px}}', 800, '1px'],
    [
      'together with media',
      '#c{container-type:inline-size}@media (min-width:900px){@container (min-width:100px){p{top:1px}}}',
      800,
      'auto',
    ],
    [
      'the container itself is not its own',
      '#x{container-type:inline-size}@container (min-width:1px){p{top:1px}}',
      800,
      'auto',
    ],
  ])('%s', (_name, css, width, expected) => {
    expect(box(css, width)).toBe(expected);
  });

  test('container lengths', () => {
    const css = '#c{container-type:inline-size;width:300px}p{top:10cqw;left:10cqh;right:5cqi}';
    const page = styled(css, '<div id=c><p id=x>1</p></div><p id=y>2</p>');
    expect([valueOf(page, '#x', 'top'), valueOf(page, '#x', 'right'), valueOf(page, '#y', 'top')]).toEqual([
      '30px',
      '15px',
      '80px',
    ]);
  });

  test('a container inside a queried one', () => {
    const css =
      '#w{container-type:inline-size}@container (min-width:500px){#c{width:200px}}#c{container-type:inline-size}@container (max-width:250px){p{top:1px}}';
    expect(box(css, 800)).toBe('1px');
  });
});

describe('registered properties and animations', () => {
  test.each<[string, string, string]>([
    ['an initial value', '@property --g{syntax:"<length>";inherits:false;initial-value:4px}#x{top:var(--g)}', '4px'],
    [
      'not inherited',
      '@property --g{syntax:"<length>";inherits:false;initial-value:4px}div{--g:9px}#x{top:var(--g)}',
      '4px',
    ],
    [
      'inherited',
      '@property --g{syntax:"<length>";inherits:true;initial-value:4px}div{--g:9px}#x{top:var(--g)}',
      '9px',
    ],
    [
      'an invalid value falls back',
      '@property --g{syntax:"<length>";inherits:false;initial-value:4px}#x{--g:red;top:var(--g)}',
      '4px',
    ],
    ['the end of a kept animation', '@keyframes k{to{top:7px}}#x{top:1px;animation:k 1s forwards}', '7px'],
    ['an animation that is not kept', '@keyframes k{to{top:7px}}#x{top:1px;animation:k 1s}', '1px'],
    ['an endless one', '@keyframes k{to{top:7px}}#x{top:1px;animation:k 1s infinite forwards}', '1px'],
    ['important wins over it', '@keyframes k{to{top:7px}}#x{top:1px!important;animation:k 1s both}', '1px'],
    ['it wins over the style attribute', '@keyframes k{to{top:7px}}#x{animation:k 1s forwards}', '7px'],
    ['unknown frames', '#x{top:1px;animation:gone 1s forwards}', '1px'],
  ])('%s', (_name, css, expected) => {
    const body = _name.includes('attribute') ? '<div><p id=x style="top:3px">' : '<div><p id=x>';
    expect(value(css, body, 'top')).toBe(expected);
  });
});
