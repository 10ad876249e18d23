import { poseAfter, setting, type Move } from '../../src/core/index.js';
import { find, pageFrom } from '../support/page.js';

/** The ids of what can be seen after moves, given as `press:#x`. */
function seenAfter(body: string, moves: readonly string[], css = ''): string[] {
  const page = pageFrom(`<!doctype html><style>${css}</style>${body}`);
  const made = moves.map((text): Move => {
    const [by, selector] = text.split(':') as [Move['by'], string];
    return { by, element: find(page, selector) };
  });
  const scene = page.scene(setting(600, { pose: poseAfter(page, made, setting(600)) }));
  return page.document.elements.filter((e) => e.id !== null && scene.seen(e) !== null).map((e) => e.id!);
}

const DETAILS =
  '<details name=g><summary id=s1>A</summary><p id=p1>1</p></details><details name=g open><summary id=s2>B</summary><p id=p2>2</p></details>';
const POPOVERS =
  '<button id=b popovertarget=m><span id=i>Menu</span></button><div id=m popover>M</div><button id=c commandfor=n command=show-popover>N</button><div id=n popover>N</div>';

describe('what a press does by itself', () => {
  test.each<[string, string, string[], string, string[]]>([
    ['details open', DETAILS, ['press:#s1'], '', ['s1', 'p1', 's2']],
    ['and close again', DETAILS, ['press:#s1', 'press:#s1'], '', ['s1', 's2']],
    ['popovers open', POPOVERS, ['press:#b'], '', ['b', 'i', 'm', 'c']],
    ['a press on what a button holds', POPOVERS, ['press:#i'], '', ['b', 'i', 'm', 'c']],
    ['one automatic popover closes another', POPOVERS, ['press:#b', 'press:#c'], '', ['b', 'i', 'c', 'n']],
    [
      'labels press their control',
      '<input type=checkbox id=k><label for=k id=l>Menu</label><p id=p>x</p>',
      ['press:#l'],
      'p{display:none}input:checked~p{display:block}',
      ['k', 'l', 'p'],
    ],
    [
      'a label around its control',
      '<label id=l>Menu<input type=checkbox id=k></label><p id=p>x</p>',
      ['press:#l'],
      'p{display:none}label:has(:checked)~p{display:block}',
      ['l', 'k', 'p'],
    ],
    [
      'one radio button of a group',
      '<input type=radio name=r id=a checked><input type=radio name=r id=b><p id=p>x</p>',
      ['press:#b'],
      'p{display:none}#b:checked~p{display:block}#a:checked~p{display:none}',
      ['a', 'b', 'p'],
    ],
    [
      'links to a part of the page',
      '<a id=a href="#p">Menu</a><p id=p>x</p>',
      ['press:#a'],
      'p{display:none}p:target{display:block}',
      ['a', 'p'],
    ],
    [
      'modal dialogs by command',
      '<button id=b commandfor=d command=show-modal>Menu</button><dialog id=d>x</dialog>',
      ['press:#b'],
      '',
      ['b', 'd'],
    ],
    [
      'what is disabled',
      '<button id=b disabled popovertarget=m>Menu</button><div id=m popover>M</div>',
      ['press:#b'],
      '',
      ['b'],
    ],
    [
      'focus stays where it is put',
      '<a id=a href=x>A</a><p id=p>x</p>',
      ['focus:#a', 'hover:#p'],
      'p{display:none}a:focus~p{display:block}',
      ['a', 'p'],
    ],
  ])('%s', (_name, body, moves, css, seen) => {
    expect(seenAfter(body, moves, css)).toEqual(seen);
  });
});
