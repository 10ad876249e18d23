import { figure } from '../../findings/index.js';
import { selectorOf } from '../../html/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { causeOf } from '../shared/causes.js';
import { cutText } from '../shared/clipped-text.js';
import type { Subject } from '../subject.js';

/** Text that is cut off once it is set twice as large. @spec WCAG 2.2 SC 1.4.4 */
export const zoomedTextClip = defineCheck(
  {
    id: 'zoomed-text-clip',
    title: 'Menu text can be enlarged to twice its size',
    weight: 'hinders',
    scope: 'menu',
    asks: { visitors: ['large-text'], poses: 'rest', widths: 'ends' },
    explains: {
      means:
        'People with low vision set text at twice its size in their browser. What is cut off then is lost to them.',
      rule: [
        'With text at 200 % no text of an item or toggle is cut off by something around it.',
        'Text that ends in an ellipsis, or is cut off at its own size too, is not meant here.',
      ],
      faulty: '.menu a { height: 20px; overflow: hidden }',
      mended: '.menu a { min-height: 20px }',
    },
    worse: 'higher',
    messages: {
      cut: {
        says: 'With text at 200 %, {percent} % of the text of {subject} is cut off by {cutter}.',
        mends:
          'Let {cutter} grow with its text: min-height and min-width instead of fixed sizes, and no overflow: hidden.',
        criteria: [{ number: '1.4.4', level: 'AA' }],
      },
    },
  },
  inspect,
);

function inspect(subject: Subject): readonly Observation[] {
  const usual = subject.parts.usual();
  return subject.controls.flatMap((control): Observation[] => {
    const cut = cutText(control.element, subject.scene);
    if (!cut || cutText(control.element, usual.scene)) return [];
    const percent = Math.round(cut.share * 100);
    return [
      {
        at: onElement(control.element),
        menus: control.menus,
        state: 'normal',
        message: 'cut',
        data: { subject: control.subject, percent, cutter: selectorOf(cut.by) },
        measured: figure(percent, '%'),
        needed: figure(0, '%'),
        cause: causeOf(subject.scene.style(cut.by), 'overflowX') ?? causeOf(subject.scene.style(cut.by), 'height'),
        common: `by ${cut.by.path}`,
      },
    ];
  });
}
