import { isMath, readLength, type LengthOptions, type LengthPercentage } from './length.js';
import { freeze, type AnchorFinder, type AnchorQuery, type Computation } from './context.js';
import { parseComponents, splitCommas, type Component } from './components.js';
import { closingBracket, itemText, sourceOf } from './source.js';

const CALL = /\banchor(-size)?\(/i;
const SIDES = /^(inside|outside|top|left|right|bottom|start|end|self-start|self-end|center|[-+]?[\d.]+%)$/;
const DIMENSIONS = /^(width|height|block|inline|self-block|self-inline)?$/;

/**
 * Reads a length that refers to an anchor; null if the component is none. Without one it has no length.
 * @spec css-anchor-position-1 §3.1 (anchor()), §4.1 (anchor-size())
 */
export function readAnchored(item: Component, options: LengthOptions = {}): Computation<LengthPercentage> | null {
  if (item.type !== 'function' || !(/^anchor(-size)?$/.test(item.name) || isMath(item))) return null;
  const text = itemText(item);
  if (!CALL.test(text)) return null;
  const substitute = (find: AnchorFinder) => {
    const known = answered(text, find);
    return known === null ? null : readLength(parseComponents(known)[0], options);
  };
  if (!substitute(() => 1)) return null;
  return (c) => {
    const frozen = freeze(c);
    return { px: 0, percent: 0, curve: () => NaN, anchored: (find) => substitute(find)?.(frozen) ?? null };
  };
}

/** A text with the calls in it replaced by lengths; null where one is malformed or finds nothing and says no other. */
function answered(text: string, find: AnchorFinder): string | null {
  let rest = text;
  for (;;) {
    const call = CALL.exec(rest);
    if (!call) return rest;
    const end = closingBracket(rest, call.index + call[0].length);
    if (end < 0) return null;
    const value = answer(call[1] ? 'size' : 'edge', rest.slice(call.index + call[0].length, end), find);
    if (value === null) return null;
    rest = `${rest.slice(0, call.index)}${value}${rest.slice(end + 1)}`;
  }
}

function answer(asks: AnchorQuery['asks'], inside: string, find: AnchorFinder): string | null {
  const [head = [], ...fallback] = splitCommas(parseComponents(inside));
  const words = head.map(itemText);
  const name = words.find((word) => word.startsWith('--')) ?? null;
  const word = words.find((one) => !one.startsWith('--'))?.toLowerCase() ?? '';
  if (words.length > 2 || !(asks === 'edge' ? SIDES : DIMENSIONS).test(word)) return null;
  const found = find({ asks, name, word });
  if (found !== null) return `${found}px`;
  return fallback.length === 0 ? null : answered(fallback.map(sourceOf).join(', '), find);
}
