import { defineCheck } from '../define.js';
import { newlyCut } from '../shared/clipped-text.js';

/** Text that is cut off once it is spaced wider. @spec WCAG 2.2 SC 1.4.12 */
export const textSpacingClip = defineCheck(
  {
    id: 'text-spacing-clip',
    title: 'Menu text survives wider spacing',
    weight: 'hinders',
    scope: 'menu',
    asks: { visitors: ['text-spacing'], poses: 'opened', widths: 'ends' },
    explains: {
      means:
        'People with dyslexia or low vision set more space between lines, words and letters. What is cut off then is lost to them.',
      rule: [
        'With line height 1.5, letters 0.12 em, words 0.16 em and paragraphs 2 em apart, no text of an item or toggle is cut off by something around it.',
        'Text that ends in an ellipsis, or is cut off without that spacing too, is not meant here.',
      ],
      faulty: '.menu a { height: 20px; overflow: hidden }',
      mended: '.menu a { min-height: 20px }',
    },
    textWidth: true,
    worse: 'higher',
    messages: {
      cut: {
        says: 'With the text spacing of WCAG, {percent} % of the text of {subject} is cut off by {cutter}.',
        mends:
          'Let {cutter} grow with its text: min-height and min-width instead of fixed sizes, and no overflow: hidden.',
        criteria: [{ number: '1.4.12', level: 'AA' }],
      },
    },
  },
  newlyCut,
);
