import { bottom, centre, type Rect } from '../../base/index.js';
import { figure } from '../../findings/index.js';
import { descendants, type ElementNode } from '../../html/index.js';
import { formOf, type Menu } from '../../menus/index.js';
import { boundsOf } from '../../paint/index.js';
import type { Scene } from '../../scene/index.js';
import { labelOf, subjectOf } from '../../naming/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { causeOf } from '../shared/causes.js';
import { textsIn } from '../shared/texts.js';
import type { Subject } from '../subject.js';

/** Items of one row that stand higher or lower than the others. */
export const crookedRow = defineCheck(
  {
    id: 'crooked-row',
    title: 'The items of a row stand level',
    weight: 'polish',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'ends' },
    explains: {
      means: 'One item that sits a few px lower makes the whole bar look broken.',
      rule: [
        'The words of the items that stand in one row lie on one level: their middles differ by no more than 4 px.',
        'Items of several lines, in other text sizes, or with an icon above the words are measured as a whole.',
      ],
      faulty: '.menu .button { margin-top: 8px }',
      mended: '.menu { display: flex; align-items: center }',
    },
    worse: 'higher',
    messages: {
      crooked: {
        says: '{subject} stands {px} px {where} than “{other}” and the other items of its row.',
        mends: 'Align the row: align-items: center on its list, and no margins that shift single items.',
        criteria: [],
      },
    },
  },
  (subject) => subject.menus.flatMap((menu) => observe(menu, subject)),
);

const MOST = 4;
const PICTURES: ReadonlySet<string> = new Set(['svg', 'img', 'picture', 'i']);

interface Placed {
  readonly element: ElementNode;
  readonly box: Rect;
  readonly y: number;
}

/** The middle of an item’s only line of text, or of its box. */
function placeOf(element: ElementNode, scene: Scene): Placed | null {
  const box = scene.seen(element);
  if (!box) return null;
  const lines = textsIn(element, scene).map(({ node }) => boundsOf(node.matrix, node.rect));
  const level = lines.filter((line) => Math.abs(centre(line).y - centre(lines[0]!).y) < 2);
  const drawn = [...descendants(element)].some((e) => PICTURES.has(e.tag) && scene.seen(e) !== null);
  const y = lines.length > 0 && !drawn ? centre(lines[0]!).y : centre(box).y;
  // Words on several lines have no level of their own.
  if (lines.length > 0 && level.length < lines.length) return null;
  return { element, box, y };
}

function observe(menu: Menu, { scene }: Subject): Observation[] {
  if (!['row', 'bottom-bar'].includes(formOf(menu, scene))) return [];
  const items = menu.items.flatMap(({ element, level }) => (level === 1 ? (placeOf(element, scene) ?? []) : []));
  return items.flatMap((one): Observation[] => {
    const row = items.filter(
      (other) =>
        Math.min(bottom(one.box), bottom(other.box)) - Math.max(one.box.y, other.box.y) >
        Math.min(one.box.height, other.box.height) / 2,
    );
    if (row.length < 3) return [];
    const sorted = row.map(({ y }) => y).sort((a, b) => a - b);
    const usual = sorted[Math.floor((sorted.length - 1) / 2)]!;
    const px = Math.round(Math.abs(one.y - usual) * 10) / 10;
    // One that is level with most of them is not the crooked one.
    const level = row.filter(({ y }) => Math.abs(y - usual) <= MOST).length;
    // Farther off it stands in another line.
    if (px > Math.min(...row.map(({ box }) => box.height)) / 2 || px <= MOST || level * 2 <= row.length) return [];
    const other = row.find(({ y }) => Math.abs(y - usual) <= MOST)!;
    return [
      {
        at: onElement(one.element),
        menus: [menu],
        state: 'normal',
        message: 'crooked',
        data: {
          subject: subjectOf(one.element, scene),
          px,
          where: one.y > usual ? 'lower' : 'higher',
          other: labelOf(other.element, scene),
        },
        measured: figure(px, 'px'),
        needed: figure(MOST, 'px'),
        cause: causeOf(scene.style(one.element), 'marginTop') ?? causeOf(scene.style(one.element), 'paddingTop'),
      },
    ];
  });
}
