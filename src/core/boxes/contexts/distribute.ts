/**
 * Where the first of several things starts and what lies between them, px.
 * @param value a content-distribution or position keyword, flow-relative; `safe ` in front is honoured
 * @spec css-align-3 §4.3, §5.1, §5.3
 */
export function distribute(
  value: string,
  spare: number,
  count: number,
): { readonly offset: number; readonly between: number } {
  const safe = value.startsWith('safe ');
  const plain = value.replace(/^(safe|unsafe) /, '');
  const none = { offset: 0, between: 0 };
  if (spare < 0 && (safe || plain.startsWith('space-') || plain === 'stretch')) return none;
  switch (plain) {
    case 'flex-end':
    case 'end':
    case 'right':
      return { offset: spare, between: 0 };
    case 'center':
      return { offset: spare / 2, between: 0 };
    case 'space-between':
      return count > 1 ? { offset: 0, between: spare / (count - 1) } : none;
    case 'space-around':
      return count > 0 ? { offset: spare / count / 2, between: spare / count } : none;
    case 'space-evenly':
      return { offset: spare / (count + 1), between: spare / (count + 1) };
    default:
      return none;
  }
}
