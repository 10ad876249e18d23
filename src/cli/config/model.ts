import { z } from 'zod';
import { isSelector, LEVELS, MENU_KINDS, WEIGHTS, WIDEST } from '../../core/index.js';

/*
 * The form of rope-ladder.json. Descriptions go into its JSON Schema, which editors show.
 */

const px = z.number().int().min(1).max(WIDEST);
const words = z.array(z.string().min(1));
const selector = z.string().refine(isSelector, 'must be a CSS selector');

export const MOVES = ['hover', 'focus', 'press'] as const;

const opening = z
  .strictObject({
    handle: selector.describe('Selector of what is acted on'),
    move: z.enum(MOVES).default('press').describe('How it is acted on'),
    on: selector.describe('Selector of the element that changes'),
    class: z.string().min(1).optional().describe('Class that is added to it, or taken away if it is there'),
    attribute: z.string().min(1).optional().describe('Attribute that is set on it'),
    value: z.string().default('').describe('Value of that attribute'),
  })
  .refine((one) => (one.class === undefined) !== (one.attribute === undefined), {
    error: 'needs either “class” or “attribute”: what the move changes',
  });

const menu = z
  .strictObject({
    menu: selector.describe('Selector of the element the links of the menu stand in'),
    kind: z.enum(MENU_KINDS).optional().describe('What the menu is for'),
    label: z.string().trim().min(1).optional().describe('How reports call it'),
    toggles: z.array(selector).optional().describe('Selectors of the controls that open it'),
    ignore: z.literal(true).optional().describe('What the selector finds is no menu'),
  })
  .refine((one) => !one.ignore || (one.kind ?? one.label ?? one.toggles) === undefined, {
    error: 'is ignored: leave its kind, label and toggles out',
  });

export const acceptance = z.strictObject({
  check: z.string().min(1).describe('Id of a check; rope-ladder checks lists them'),
  pages: words.optional().describe('Pages it holds on, globs allowed; every page if left out'),
  message: z.string().min(1).optional().describe('Which of the check’s messages; all if left out'),
  selectors: words.optional().describe('Selectors of the places, as findings give them; all places if left out'),
  reason: z.string().trim().min(1, 'needs a reason').describe('Why it is accepted'),
  until: z.iso.date('must be a day such as 2027-03-31').optional().describe('Last day it holds'),
});

const checkSettings = z.union(
  [
    z.literal('off'),
    z.enum(WEIGHTS),
    z.strictObject({
      weight: z.enum(WEIGHTS).optional().describe('Another weight than its own'),
      figures: z
        .record(z.string(), z.number())
        .optional()
        .describe('Figures that no standard fixes, by name; rope-ladder checks ID lists them'),
    }),
  ],
  { error: `must be "off" or a weight: ${WEIGHTS.map((w) => `"${w}"`).join(', ')}` },
);

export const config = z.strictObject({
  $schema: z.string().optional().describe('Where the JSON Schema of this file lies; for editors'),
  pages: words.optional().describe('Pages, folders or globs that are audited when none are named'),
  skipPages: words.optional().describe('Globs of pages that are left out'),
  root: z.string().min(1).optional().describe('Folder the site’s absolute addresses start from'),
  fonts: words.optional().describe('Font files visitors have though the pages do not bring them'),
  from: px.optional().describe('Narrowest width, px'),
  to: px.optional().describe('Widest width, px'),
  at: z.array(px).min(1).optional().describe('Only these widths, px'),
  height: z
    .union([px, z.array(px).min(1)], { error: 'must be a height in px, or a list of them' })
    .optional()
    .describe('Height of the viewport, px; or several, the one that counts most first'),
  level: z.enum(LEVELS).optional().describe('WCAG level to hold the menus to'),
  failOn: z
    .enum([...WEIGHTS, 'never'])
    .optional()
    .describe('Lightest weight of a fault that gives exit code 1'),
  menus: z.array(menu).optional().describe('Menus that the markup does not show, or shows otherwise'),
  openings: z.array(opening).optional().describe('Ways to open panels that the page’s scripts do not show'),
  checks: z.record(z.string(), checkSettings).optional().describe('Settings by check id: "off", or another weight'),
  accepted: z.array(acceptance).optional().describe('Findings someone has decided to live with'),
  write: words.optional().describe('Files the result is written to as well; the ending picks the format'),
  jobs: z.number().int().min(1).max(64).optional().describe('Pages audited at once'),
});

export type Config = z.infer<typeof config>;
export type DeclaredOpening = z.infer<typeof opening>;

/** A file of accepted findings alone. */
export const acceptedFile = z.strictObject({ $schema: z.string().optional(), accepted: z.array(acceptance) });
