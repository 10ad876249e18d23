import { collapseSpace, type ElementNode, type TextNode } from '../../html/index.js';
import { isIconFont, nameOf, subjectOf } from '../../naming/index.js';
import type { Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import type { Subject } from '../subject.js';

/** Names that do not hold the words one sees. @spec WCAG 2.2 SC 2.5.3 */
export const labelNotInName = defineCheck(
  {
    id: 'label-not-in-name',
    title: 'The name holds the words one sees',
    weight: 'hinders',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'opened', widths: 'ends' },
    explains: {
      means:
        'Whoever speaks to their computer says the words they see. If the name says something else, nothing happens.',
      rule: [
        'Where a control is named by aria-label or aria-labelledby, that name holds its visible words, in their order.',
        'Letter case, punctuation, icons and single signs are left out.',
      ],
      faulty: '<button aria-label="Open navigation">Menu</button>',
      mended: '<button aria-label="Menu, all pages">Menu</button>',
    },
    worse: null,
    messages: {
      differs: {
        says: 'One sees “{seen}”, the name of the control is “{name}”. Whoever says “press {seen}” to their computer gets nothing.',
        mends: 'Begin the name with the words that show, or take the aria-label away.',
        criteria: [{ number: '2.5.3', level: 'A' }],
      },
    },
  },
  inspect,
);

function inspect(subject: Subject): readonly Observation[] {
  return subject.controls.flatMap(({ element, scene, menus }): Observation[] => {
    if (!['aria-label', 'aria-labelledby'].some((name) => scene.attribute(element, name) !== undefined)) return [];
    const seen = collapseSpace(visibleText(element, scene));
    const name = nameOf(element, scene);
    const [wanted, given] = [plain(seen), plain(name)];
    if (wanted.length < 2 || name === '' || ` ${given} `.includes(` ${wanted} `)) return [];
    return [
      {
        at: onElement(element),
        menus,
        state: 'normal',
        message: 'differs',
        data: { seen, name: name || subjectOf(element, scene) },
      },
    ];
  });
}

/** Words alone, in small letters. */
const plain = (text: string): string => collapseSpace(text.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, ' '));

function visibleText(element: ElementNode, scene: Scene): string {
  const read = (node: ElementNode | TextNode): string => {
    if (node.kind === 'text') return node.data;
    if (scene.seen(node) === null && scene.style(node).display !== 'contents') return '';
    return isIconFont(scene.style(node), scene.metrics) ? '' : node.children.map(read).join('');
  };
  return scene.seen(element) === null ? '' : read(element);
}
