import { cssName, PROPERTY_KEYS } from '../../src/core/css/index.js';
import { printValue, type ComputedStyle } from '../../src/core/cascade/index.js';
import type { Page } from '../../src/core/index.js';
import { find, sceneAt, styled } from './page.js';

/** Every property as the cascade computes it, printed. */
export const printed = (style: ComputedStyle): Record<string, string> =>
  Object.fromEntries(PROPERTY_KEYS.map((key, i) => [cssName(key), printValue(style, i)]));

/** All computed values of an element with one style attribute. */
export function computedOf(declarations: string): Record<string, string> {
  const page = styled(`#x { ${declarations} }`, '<div><span id=x></span></div>');
  return printed(sceneAt(page).style(find(page, '#x')));
}

/** One computed value at a width. */
export function valueOf(page: Page, selector: string, property: string, width = 800): string {
  return printed(sceneAt(page, width).style(find(page, selector)))[property]!;
}
