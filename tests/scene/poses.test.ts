import fc from 'fast-check';
import { withClasses, type AttributeChanges, type ElementNode } from '../../src/core/html/index.js';
import { setting, type Page, type Scene } from '../../src/core/index.js';
import { dumpItems } from '../support/paint.js';
import { printed } from '../support/computed.js';
import { find, pageFrom, type Changes } from '../support/page.js';

const SHEET = `
  body { margin: 0; font: 16px/20px Arial }
  .panel { display: none; width: 120px }
  .panel.open, .on + .panel { display: block }
  [aria-expanded=true] ~ .panel { visibility: visible; height: 40px; background: #efe }
  .root:has(.open) h2 { color: #900; margin-top: 8px }
  .a:not(.on) { padding: 4px } .b.on { opacity: .5 } .on .c { position: absolute; left: 10px; z-index: 2 }
  [class*=ope] { border: 1px solid } [hidden] { display: none !important } [data-state~=big] { font-size: 24px }
  li:nth-child(odd of .on) { background: #ccc } [inert] a { color: gray } button:disabled { padding: 9px }
  @media (width > 500px) { html.menu .b { display: flex } } @scope (.on) to (.open) { p { text-indent: 2em } }
  [style*=flex] b { float: right } .c::before { content: attr(data-state) } .on::after { content: "!" }
`;
const TAGS = ['div', 'p', 'ul', 'li', 'button', 'details', 'a', 'b', 'h2'] as const;
const CLASSES = ['panel', 'open', 'on', 'a', 'b', 'c', 'root'] as const;
const VALUES: Readonly<Record<string, readonly (string | null)[]>> = {
  'aria-expanded': ['true', 'false', null],
  hidden: ['', null],
  open: ['', null],
  disabled: ['', null],
  inert: ['', null],
  'data-state': ['big', 'small', null],
  style: ['display: flex', 'height: 31px; color: red', 'margin-left: 7px !important', null],
};

interface Node {
  readonly tag: (typeof TAGS)[number];
  readonly classes: readonly string[];
  readonly children: readonly Node[];
}

const { tree } = fc.letrec<{ tree: Node; nodes: Node[] }>((tie) => ({
  tree: fc.record({
    tag: fc.constantFrom(...TAGS),
    classes: fc.subarray([...CLASSES]),
    children: tie('nodes') as fc.Arbitrary<Node[]>,
  }),
  nodes: fc.oneof(
    { maxDepth: 3 },
    fc.constant<Node[]>([]),
    fc.array(tie('tree') as fc.Arbitrary<Node>, { maxLength: 3 }),
  ),
}));

const change = fc.record({
  at: fc.nat(),
  attribute: fc.constantFrom('class', ...Object.keys(VALUES)),
  value: fc.nat(),
  names: fc.subarray([...CLASSES]),
});

/** Elements are written as spans of their own kind, so that no parser moves them about. */
function write(node: Node, attributes: (path: string) => string, path = '0'): string {
  const inner = node.children.map((child, i) => write(child, attributes, `${path}.${i}`)).join('');
  const tag = node.tag === 'p' || node.tag === 'button' || node.tag === 'a' || node.tag === 'h2' ? 'section' : node.tag;
  return `<${tag} data-at="${path}"${attributes(path)}>${path} word${inner}</${tag}>`;
}

const pathsOf = (node: Node, path = '0'): string[] => [
  path,
  ...node.children.flatMap((c, i) => pathsOf(c, `${path}.${i}`)),
];
const nodeAt = (top: Node, path: string): Node =>
  path
    .split('.')
    .slice(1)
    .reduce((node, i) => node.children[Number(i)]!, top);

const page = (body: string, changes?: Changes): Page =>
  pageFrom(`<!doctype html><style>${SHEET}</style><body>${body}`, {}, changes ? { changes } : {});

const anything: Changes = (document) =>
  document.elements.flatMap((element) => [
    { element, attribute: 'class', classes: ['menu', ...CLASSES] },
    ...Object.keys(VALUES).map((attribute) => ({ element, attribute })),
  ]);

function look(scene: Scene): unknown {
  const { elements } = scene.document;
  return {
    styles: elements.map((e) => printed(scene.style(e))),
    boxes: elements.map((e) => scene.rect(e)),
    paint: dumpItems(scene),
    size: scene.scrollSize,
  };
}

describe('a pose that changes the markup', () => {
  test('gives the same styles, boxes and painting as a page that was shipped that way', () => {
    fc.assert(
      fc.property(
        tree,
        fc.array(change, { minLength: 1, maxLength: 5 }),
        fc.constantFrom(400, 700),
        (top, list, width) => {
          const paths = pathsOf(top);
          const changed = new Map<string, Map<string, string | null>>();
          for (const { at, attribute, value, names } of list) {
            const path = paths[at % paths.length]!;
            const own = changed.get(path) ?? new Map<string, string | null>();
            const values = VALUES[attribute];
            own.set(attribute, values ? values[value % values.length]! : names.join(' '));
            changed.set(path, own);
          }
          const classes = (path: string) => nodeAt(top, path).classes.join(' ');
          const shipped = page(
            write(top, (path) => ` class="${classes(path)}"`),
            anything,
          );
          const element = (path: string): ElementNode => find(shipped, `[data-at="${path}"]`);
          const pose = {
            changed: new Map<ElementNode, AttributeChanges>([...changed].map(([path, own]) => [element(path), own])),
          };
          const mended = page(
            write(top, (path) => {
              const own = new Map<string, string | null>([['class', classes(path)], ...(changed.get(path) ?? [])]);
              return [...own].map(([name, value]) => (value === null ? '' : ` ${name}="${value}"`)).join('');
            }),
          );
          expect(look(shipped.scene(setting(width, { pose })))).toEqual(look(mended.scene(setting(width))));
          // Looking at the pose leaves the closed one as it was.
          const closed = page(write(top, (path) => ` class="${classes(path)}"`));
          expect(look(shipped.scene(setting(width)))).toEqual(look(closed.scene(setting(width))));
        },
      ),
      { numRuns: 50 },
    );
  });

  test('opened details show what their markup would', () => {
    const body = '<details id=d><summary>Fares</summary><a href=a>All fares</a></details>';
    const shipped = pageFrom(`<!doctype html><style>[open] a{padding:3px}</style>${body}`);
    const open = pageFrom(`<!doctype html><style>[open] a{padding:3px}</style>${body.replace('id=d', 'id=d open')}`);
    const pose = { toggled: new Map([[find(shipped, '#d'), true]]) };
    const scene = shipped.scene(setting(500, { pose }));
    expect(look(scene)).toEqual(look(open.scene(setting(500))));
    expect(scene.attribute(find(shipped, '#d'), 'open')).toBe('');
  });

  test('a change the page was not told of is refused', () => {
    const one = pageFrom('<p class=a>x');
    const p = find(one, 'p');
    const pose = { changed: new Map([[p, new Map([['class', 'a b']])]]) };
    expect(() => one.scene(setting(500, { pose }))).toThrow(/was not told that b can change/);
  });

  test.each([
    ['a b', ['c'], ['a'], 'b c'],
    ['', ['c', 'c'], [], 'c'],
    ['a  b', [], ['x'], 'a b'],
  ])('classes %j with %j without %j', (before, add, remove, after) => {
    expect(withClasses(before, add, remove)).toBe(after);
  });
});
