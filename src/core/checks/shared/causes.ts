import { positionOf } from '../../base/index.js';
import { winnerOf, type ComputedStyle } from '../../cascade/index.js';
import { PROPERTIES, type PropertyKey } from '../../css/index.js';
import type { Cause } from '../../findings/index.js';

/** The declaration a computed value comes from, inheritance followed; null for browser defaults. */
export function causeOf(style: ComputedStyle, key: PropertyKey): Cause | null {
  for (let s: ComputedStyle | null = style; s; s = PROPERTIES[key].inherited ? s.parent : null) {
    const winner = winnerOf(s, key);
    if (!winner) continue;
    if (winner.value === 'inherit' && s.parent) continue;
    if (winner.match.origin === 'user-agent') return null;
    const { name, text } = winner.declaration;
    return {
      selector: winner.match.selector?.text ?? null,
      text: `${name}: ${text}`,
      at: positionOf(winner.declaration.span),
    };
  }
  return null;
}
