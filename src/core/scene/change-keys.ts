import type { ElementNode, MarkupChanges } from '../html/index.js';
import type { Setting } from './setting.js';

const keys = new WeakMap<MarkupChanges, string>();

/** Changed attributes as text, equal for equal changes; all of them remembered. */
export function changesKey(changes: MarkupChanges | undefined, counts?: (name: string) => boolean): string {
  if (changes === undefined || changes.size === 0) return '';
  if (counts) return keyOfChanges(changes, counts);
  let known = keys.get(changes);
  if (known === undefined) keys.set(changes, (known = keyOfChanges(changes, () => true)));
  return known;
}

const keyOfChanges = (changes: MarkupChanges, counts: (name: string) => boolean): string =>
  JSON.stringify(
    [...changes]
      .map(([e, own]) => [e.index, [...own].filter(([name]) => counts(name)).sort()] as const)
      .filter(([, own]) => own.length > 0)
      .sort((a, b) => a[0] - b[0]),
  );

/** Equal for equal settings of a page. */
export function settingKey({ width, height, visitor, pose, scroll }: Setting): string {
  const id = (e: ElementNode | null | undefined) => (e ? e.index : '');
  const toggled = [...(pose.toggled ?? [])].map(([e, on]) => `${e.index}${on ? '+' : '-'}`).join();
  return `${width}x${height}/${visitor}/${id(pose.hovered)}/${id(pose.focused)}/${id(pose.active)}/${id(pose.target)}/${toggled}/${scroll.x},${scroll.y}${pose.scrolled ? 's' : ''}/${changesKey(pose.changed)}`;
}
