import { defineCheck } from '../define.js';
import { newlyCut } from '../shared/clipped-text.js';

/** Text that is cut off once it is set twice as large. @spec WCAG 2.2 SC 1.4.4 */
export const zoomedTextClip = defineCheck(
  {
    id: 'zoomed-text-clip',
    title: 'Menu text can be enlarged to twice its size',
    weight: 'hinders',
    scope: 'menu',
    asks: { visitors: ['large-text'], poses: 'opened', widths: 'ends' },
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
    textWidth: true,
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
  newlyCut,
);
