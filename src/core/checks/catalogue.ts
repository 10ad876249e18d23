import { uncrawlableLink } from './crawling/uncrawlable-link.js';
import type { Check } from './define.js';
import { controlContrast } from './sight/control-contrast.js';
import { textContrast } from './sight/text-contrast.js';
import { smallTarget } from './targets/small-target.js';

/** Every check, sorted by id. */
export const CHECKS: readonly Check[] = Object.freeze([controlContrast, smallTarget, textContrast, uncrawlableLink]);
