import type { ComputedStyle } from '../../../cascade/index.js';
import { hasPercent } from '../../../css/index.js';
import { isFloating, isOutOfFlow, type Box } from '../../box.js';
import type { Layout } from '../../layout.js';
import { levelsOf, type Levels } from './bidi.js';
import { keepsBreaks, keepsSpaces, needsFullBreaks, OBJECT, shortBreaks } from '../../text/index.js';

/** What inline content is made of, in order. Text has its white space collapsed. */
export type Item =
  | { readonly kind: 'text'; readonly box: Box; readonly text: string; readonly start: number }
  | {
      readonly kind: 'open' | 'close' | 'atomic' | 'float' | 'out' | 'break' | 'block';
      readonly box: Box;
      readonly start: number;
    };

export interface Paragraph {
  /** That of the block container. */
  readonly style: ComputedStyle;
  readonly items: readonly Item[];
  /** Text of the whole paragraph, atomic inlines as one object character each. */
  readonly text: string;
  readonly breaks: ReadonlySet<number>;
  /** Embedding levels, item by item, where not all of it runs from left to right. */
  readonly levels: Levels | null;
  /** Whether its lines begin at the right. */
  readonly rtl: boolean;
  /** Nothing in it depends on the width it is set in: no pieces of their own layout, no percentages. */
  readonly rigid: boolean;
}

interface Collecting {
  readonly items: Item[];
  text: string;
  /** Whether the last character is a space that later spaces collapse into. */
  collapsible: boolean;
}

const known = new WeakMap<Box, Paragraph>();

/** Flattens the inline-level content of a block container; remembered by box. @spec css-text-3 §4.1.1 */
export function paragraphOf(container: Box, layout: Pick<Layout, 'breaks' | 'limits'>): Paragraph {
  let paragraph = known.get(container);
  if (!paragraph) {
    const work: Collecting = { items: [], text: '', collapsible: true };
    for (const child of container.children) collect(child, work);
    dropSpace(work);
    const { items, text } = work;
    const { levels, rtl } = levelsOf(container, items, text);
    paragraph = {
      style: container.style,
      items,
      text,
      breaks: breaksOf(text, layout),
      levels,
      rtl,
      rigid: items.every(isRigid),
    };
    known.set(container, paragraph);
  }
  return paragraph;
}

function isRigid({ kind, box: { style } }: Item): boolean {
  if (kind === 'atomic') return false;
  if (kind !== 'open') return true;
  return [style.marginLeft, style.marginRight, style.paddingLeft, style.paddingRight].every(
    (edge) => edge === 'auto' || !hasPercent(edge),
  );
}

function breaksOf(text: string, layout: Pick<Layout, 'breaks' | 'limits'>): Set<number> {
  if (!needsFullBreaks(text)) return shortBreaks(text);
  if (layout.breaks) return layout.breaks(text);
  layout.limits.add('unsupported', 'line breaking outside European scripts', 'such text is broken at spaces only');
  return shortBreaks(text);
}

function collect(box: Box, work: Collecting): void {
  const add = (kind: Exclude<Item['kind'], 'text'>, text = '') => {
    work.items.push({ kind, box, start: work.text.length });
    work.text += text;
  };
  if (box.inner === 'text') return collectText(box, work);
  if (isOutOfFlow(box)) return add('out');
  if (isFloating(box)) return add('float');
  if (box.inner === 'break') {
    dropSpace(work);
    add('break', '\n');
    work.collapsible = true;
  } else if (box.outer === 'atomic') {
    add('atomic', OBJECT);
    work.collapsible = false;
  } else if (box.outer !== 'inline') {
    // A line may end between a space and the inline box a block stands in.
    if (work.items[work.items.length - 1]?.kind !== 'open') dropSpace(work);
    add('block', '\n');
    work.collapsible = true;
  } else {
    add('open');
    for (const child of box.children) collect(child, work);
    work.items.push({ kind: 'close', box, start: work.text.length });
  }
}

/**
 * A space that collapses at the end of a paragraph or in front of a break is not there when its text is shaped; in front
 * of an absolute box it may still end the line.
 * @spec css-text-3 §4.1.2
 */
function dropSpace(work: Collecting): void {
  const { items, text } = work;
  if (!work.collapsible || !text.endsWith(' ')) return;
  const at = items.findLastIndex(({ kind }) => kind === 'text');
  const last = items[at];
  if (last?.kind !== 'text' || !last.text.endsWith(' ') || items.slice(at).some(({ kind }) => kind === 'out')) return;
  const rest = items.slice(at + 1).map((item) => ({ ...item, start: item.start - 1 }));
  const kept = last.text.slice(0, -1);
  items.splice(at, items.length - at, ...(kept === '' ? [] : [{ ...last, text: kept }]), ...rest);
  work.text = text.slice(0, -1);
}

function collectText(box: Box, work: Collecting): void {
  const { style } = box;
  const start = work.text.length;
  let out = '';
  if (keepsSpaces(style)) {
    out = box.text.replace(/\r\n?|\f/g, '\n');
    work.collapsible = false;
  } else {
    const source = keepsBreaks(style)
      ? box.text.replace(/[ \t\r\f]*\n[ \t\r\f]*/g, '\n')
      : box.text.replace(/[\t\r\n\f]/g, ' ');
    for (const character of source) {
      const space = character === ' ';
      if (space && work.collapsible) continue;
      out += character;
      work.collapsible = space || character === '\n';
    }
  }
  if (out === '') return;
  work.items.push({ kind: 'text', box, text: out, start });
  work.text += out;
}
