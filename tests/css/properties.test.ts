import { computedOf } from '../support/computed.js';
import { expandDeclaration, longhandsOf, PROPERTY_KEYS, cssName } from '../../src/core/css/index.js';

/** Values as getComputedStyle would give them for one declaration on a plain element. */
const computed = (declarations: string, ...names: string[]) => names.map((name) => computedOf(declarations)[name]);

describe('computed values', () => {
  test.each<[string, string, string]>([
    ['display: block flow-root', 'display', 'flow-root'],
    ['display: inline flex', 'display', 'inline-flex'],
    ['display: -webkit-box', 'display', 'flex'],
    ['display: inline flow-root', 'display', 'inline-block'],
    ['position: -webkit-sticky', 'position', 'static'],
    ['width: 10em', 'width', '160px'],
    ['width: calc(1px + 1em)', 'width', '17px'],
    ['width: fit-content', 'width', 'fit-content'],
    ['width: -webkit-fill-available', 'width', 'stretch'],
    ['height: 50%', 'height', '50%'],
    ['max-width: none', 'max-width', 'none'],
    ['margin-left: auto', 'margin-left', 'auto'],
    ['padding-top: 1rem', 'padding-top', '16px'],
    ['z-index: 5', 'z-index', '5'],
    ['z-index: auto', 'z-index', 'auto'],
    ['opacity: 150%', 'opacity', '1'],
    ['opacity: .25', 'opacity', '0.25'],
    ['color: red', 'color', 'rgb(255, 0, 0)'],
    ['background: linear-gradient(red, blue), #123456', 'background-color', 'rgb(18, 52, 86)'],
    ['font-size: larger', 'font-size', '19.2px'],
    ['font-size: small', 'font-size', '13px'],
    ['font-size: 150%', 'font-size', '24px'],
    ['font-weight: bolder', 'font-weight', '700'],
    ['font-weight: 550', 'font-weight', '550'],
    ['font-family: "A B", sans-serif', 'font-family', '"A B", sans-serif'],
    ['line-height: 1.5', 'line-height', '24px'],
    ['line-height: 150%', 'line-height', '24px'],
    ['line-height: normal', 'line-height', 'normal'],
    ['text-transform: uppercase', 'text-transform', 'uppercase'],
    ['text-decoration: underline overline', 'text-decoration-line', 'underline overline'],
    ['text-decoration: none', 'text-decoration-line', 'none'],
    ['vertical-align: 3px', 'vertical-align', '3px'],
    ['letter-spacing: normal', 'letter-spacing', 'normal'],
    ['letter-spacing: .1em', 'letter-spacing', '1.6px'],
    ['cursor: url(a.cur), pointer', 'cursor', 'url(a.cur), pointer'],
    ['cursor: -webkit-grab', 'cursor', 'grab'],
    ['cursor: url(a.cur), -webkit-Zoom-In', 'cursor', 'url(a.cur), Zoom-In'],
    ['color: rgba(0, 0, 0, .175)', 'color', 'rgba(0, 0, 0, 0.176)'],
    ['color: rgba(0, 0, 0, .15)', 'color', 'rgba(0, 0, 0, 0.15)'],
    ['list-style-image: url("a.svg")', 'list-style-image', 'url("a.svg")'],
    ['flex: 1', 'flex-basis', '0%'],
    ['justify-content: safe center', 'justify-content', 'safe center'],
    ['align-items: first baseline', 'align-items', 'baseline'],
    ['overflow: hidden', 'overflow-y', 'hidden'],
    ['overflow-x: hidden', 'overflow-y', 'auto'],
    ['border: 1px solid', 'border-top-width', '1px'],
    ['border: thick solid', 'border-top-width', '5px'],
    ['border: .4px solid', 'border-left-width', '1px'],
    ['border: 2.9px solid', 'border-left-width', '2px'],
    ['border-width: 4px', 'border-left-width', '0px'],
    ['transform: translateX(10px) scale(2)', 'transform', 'translate(10px, 0px) scale(2, 2)'],
    ['float: left; position: absolute', 'float', 'none'],
    ['float: left', 'display', 'block'],
    ['position: absolute; display: inline-flex', 'display', 'flex'],
    ['aspect-ratio: 16 / 9', 'aspect-ratio', '1.77778 / 1'],
    ['white-space: nowrap', 'text-wrap-mode', 'nowrap'],
    ['white-space: pre-line', 'white-space-collapse', 'preserve-breaks'],
    ['white-space: break-spaces nowrap', 'white-space-collapse', 'break-spaces'],
    ['white-space: break-spaces nowrap', 'text-wrap-mode', 'nowrap'],
    ['white-space: pre nowrap', 'text-wrap-mode', 'wrap'],
    ['text-wrap: balance', 'text-wrap-mode', 'wrap'],
    ['text-wrap: nowrap', 'text-wrap-mode', 'nowrap'],
    ['text-align: match-parent', 'text-align', 'left'],
    ['grid-template-columns: 1fr 2fr', 'grid-template-columns', '1fr 2fr'],
  ])('%s → %s is %s', (declarations, name, expected) => {
    expect(computed(declarations, name)).toEqual([expected]);
  });

  test.each<[string, string]>([
    ['width: -5px', 'width'],
    ['width: 5', 'width'],
    ['width: red', 'width'],
    ['padding: -1px', 'padding-top'],
    ['opacity: red', 'opacity'],
    ['z-index: 1.5', 'z-index'],
    ['display: blok', 'display'],
    ['color: #12', 'color'],
    ['font-weight: 1200', 'font-weight'],
    ['margin: 1px 2px 3px 4px 5px', 'margin-top'],
    ['border: 1px 2px solid', 'border-top-width'],
    ['flex: 1 2 3 4', 'flex-grow'],
    ['background: red blue', 'background-color'],
    ['font: 16px', 'font-size'],
    ['font-variant: small-caps unicase', 'font-variant-caps'],
    ['font-variant: bold', 'font-variant-caps'],
    ['text-decoration: underline wavy 3px 4px', 'text-decoration-line'],
    ['transform: rotate(10px)', 'transform'],
    ['border-radius: 1px / 2px / 3px', 'border-top-left-radius'],
  ])('%s is dropped', (declaration, name) => {
    expect(computed(declaration, name)).toEqual(computed('', name));
  });
});

describe('shorthands', () => {
  test.each<[string, Record<string, string>]>([
    [
      'margin: 1px 2px 3px 4px',
      { 'margin-top': '1px', 'margin-right': '2px', 'margin-bottom': '3px', 'margin-left': '4px' },
    ],
    ['margin: 1px 2px', { 'margin-top': '1px', 'margin-right': '2px', 'margin-bottom': '1px', 'margin-left': '2px' }],
    [
      'padding: 1px 2px 3px',
      { 'padding-top': '1px', 'padding-right': '2px', 'padding-bottom': '3px', 'padding-left': '2px' },
    ],
    ['position:absolute;inset: 1px 2px', { top: '1px', right: '2px', bottom: '1px', left: '2px' }],
    [
      'border: solid red',
      { 'border-top-style': 'solid', 'border-left-color': 'rgb(255, 0, 0)', 'border-bottom-width': '3px' },
    ],
    [
      'border-left: 2px dashed',
      { 'border-left-width': '2px', 'border-left-style': 'dashed', 'border-right-style': 'none' },
    ],
    ['border-color: red blue', { 'border-top-color': 'rgb(255, 0, 0)', 'border-left-color': 'rgb(0, 0, 255)' }],
    [
      'border-radius: 5px 10px / 20px',
      { 'border-top-left-radius': '5px 20px', 'border-top-right-radius': '10px 20px' },
    ],
    [
      'outline: 2px solid blue',
      { 'outline-width': '2px', 'outline-style': 'solid', 'outline-color': 'rgb(0, 0, 255)' },
    ],
    [
      'font: italic bold 20px/1.2 Georgia, serif',
      {
        'font-style': 'italic',
        'font-weight': '700',
        'font-size': '20px',
        'line-height': '24px',
        'font-family': 'Georgia, serif',
      },
    ],
    ['font: 12px Arial', { 'font-size': '12px', 'font-weight': '400', 'line-height': 'normal' }],
    [
      'font-variant: small-caps tabular-nums',
      { 'font-variant-caps': 'small-caps', 'font-variant-numeric': 'tabular-nums' },
    ],
    ['font-variant: none', { 'font-variant-caps': 'normal', 'font-variant-ligatures': 'none' }],
    ['flex: 1', { 'flex-grow': '1', 'flex-shrink': '1', 'flex-basis': '0%' }],
    ['flex: auto', { 'flex-grow': '1', 'flex-shrink': '1', 'flex-basis': 'auto' }],
    ['flex: none', { 'flex-grow': '0', 'flex-shrink': '0', 'flex-basis': 'auto' }],
    ['flex: 0 1 30%', { 'flex-grow': '0', 'flex-shrink': '1', 'flex-basis': '30%' }],
    ['flex-flow: column wrap', { 'flex-direction': 'column', 'flex-wrap': 'wrap' }],
    ['gap: 1px 2px', { 'row-gap': '1px', 'column-gap': '2px' }],
    ['place-items: center end', { 'align-items': 'center', 'justify-items': 'end' }],
    ['overflow: hidden scroll', { 'overflow-x': 'hidden', 'overflow-y': 'scroll' }],
    ['list-style: none', { 'list-style-type': 'none', 'list-style-image': 'none' }],
    ['list-style: square inside', { 'list-style-type': 'square', 'list-style-position': 'inside' }],
    [
      'background: url(a.png) no-repeat center / cover, red',
      { 'background-color': 'rgb(255, 0, 0)', 'background-image': 'url("a.png")', 'background-size': 'cover, auto' },
    ],
    [
      'transition: color .2s ease-in, top 1s',
      { 'transition-property': 'color, top', 'transition-duration': '0.2s, 1s' },
    ],
    ['animation: slide 2s infinite', { 'animation-name': 'slide', 'animation-iteration-count': 'infinite' }],
    [
      'grid-area: 1 / 2 / 3 / 4',
      { 'grid-row-start': '1', 'grid-column-start': '2', 'grid-row-end': '3', 'grid-column-end': '4' },
    ],
    [
      'grid-template: "a b" 40px / 1fr 2fr',
      { 'grid-template-areas': '"a b"', 'grid-template-rows': '40px', 'grid-template-columns': '1fr 2fr' },
    ],
    [
      'text-decoration: underline dotted red',
      {
        'text-decoration-line': 'underline',
        'text-decoration-style': 'dotted',
        'text-decoration-color': 'rgb(255, 0, 0)',
      },
    ],
    ['-webkit-box-shadow: none; -webkit-transition: none', { 'box-shadow': 'none' }],
    ['all: initial', { color: 'rgb(0, 0, 0)', display: 'inline' }],
  ])('%s', (declarations, expected) => {
    const given = computedOf(declarations);
    expect(Object.fromEntries(Object.keys(expected).map((name) => [name, given[name]]))).toEqual(expected);
  });

  test.each<[string, Record<string, string>]>([
    ['margin-inline: 1px 2px', { 'margin-left': '1px', 'margin-right': '2px' }],
    ['margin-inline-start: 1px; direction: rtl', { 'margin-right': '1px', 'margin-left': '0px' }],
    ['padding-block: 1px 2px', { 'padding-top': '1px', 'padding-bottom': '2px' }],
    ['padding-block-start: 3px; writing-mode: vertical-rl', { 'padding-right': '3px' }],
    ['inline-size: 40px', { width: '40px' }],
    ['inline-size: 40px; writing-mode: vertical-lr', { height: '40px', width: 'auto' }],
    ['border-inline-start: 2px solid', { 'border-left-width': '2px', 'border-right-width': '0px' }],
    ['border-start-start-radius: 4px', { 'border-top-left-radius': '4px' }],
    ['margin-left: 1px; margin-inline-start: 2px', { 'margin-left': '2px' }],
    ['margin-inline-start: 2px; margin-left: 1px', { 'margin-left': '1px' }],
    ['position: absolute; inset-inline-start: 7px', { left: '7px' }],
  ])('logical: %s', (declarations, expected) => {
    const given = computedOf(declarations);
    expect(Object.fromEntries(Object.keys(expected).map((name) => [name, given[name]]))).toEqual(expected);
  });
});

describe('the table', () => {
  test('unknown properties are told from invalid values', () => {
    expect(expandDeclaration('colour', 'red')).toBe('unknown');
    expect(expandDeclaration('color', '12px')).toBe('invalid');
    expect(longhandsOf('nonsense')).toEqual([]);
    expect(longhandsOf('margin')).toHaveLength(4);
  });

  test.each(PROPERTY_KEYS.map(cssName))('%s takes the wide keywords', (name) => {
    for (const keyword of ['inherit', 'initial', 'unset', 'revert', 'revert-layer'])
      expect(Array.isArray(expandDeclaration(name, keyword))).toBe(true);
  });

  test('its own printed values can be read again', () => {
    const plain = computedOf('');
    const unread = PROPERTY_KEYS.map(cssName).filter(
      (name) => typeof expandDeclaration(name, plain[name]!) === 'string',
    );
    expect(unread).toEqual([]);
  });
});
