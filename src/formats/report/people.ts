/** Who meets a fault of each check, in words for readers who do not build pages. */
const PEOPLE: Readonly<Record<string, readonly string[]>> = {
  'people who use a keyboard': [
    'unreachable-link',
    'press-only-control',
    'hover-only-opening',
    'unseen-focus',
    'no-focus-mark',
    'weak-focus-mark',
    'focus-order',
    'forced-tab-order',
    'focus-covered',
    'no-skip-route',
    'no-close',
  ],
  'people who use a phone or tablet': [
    'touch-dead',
    'small-target',
    'overlapping-targets',
    'missing-in-mobile',
    'sideways-scroll',
    'sticky-greedy',
    'tall-panel',
    'content-covered',
  ],
  'people who use a mouse': ['hover-gap', 'hover-jump', 'faint-state'],
  'people who listen to the page': [
    'nameless-control',
    'label-not-in-name',
    'state-unannounced',
    'dangling-reference',
    'repeated-id',
    'menu-role-misuse',
    'nav-unlabelled',
    'current-unmarked',
    'list-structure',
    'heading-as-label',
    'main-landmark',
    'ambiguous-text',
  ],
  'people with weak sight': [
    'text-contrast',
    'control-contrast',
    'text-over-image',
    'scroll-contrast',
    'small-text',
    'colour-only-current',
    'zoom-locked',
    'text-spacing-clip',
    'zoomed-text-clip',
    'see-through-panel',
  ],
  'people whom movement makes unwell': ['motion-unguarded'],
  'people who learn a site’s ways once': ['order-differs', 'name-differs', 'submenu-uncued'],
  'search engines and the people they send': ['uncrawlable-link', 'script-only-links', 'nofollow-link'],
  'whoever visits without scripts': ['needs-script'],
};

const BY_CHECK = new Map(
  Object.entries(PEOPLE).flatMap(([who, checks]) => checks.map((check) => [check, who] as const)),
);

/** `people who use a keyboard`; everyone where no group meets it more than others. */
export const peopleOf = (check: string): string => BY_CHECK.get(check) ?? 'everyone';
