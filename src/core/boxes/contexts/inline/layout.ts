import type { Box } from '../../box.js';
import { horizontal, makeFragment, NO_LINES, type Fragment, type Placed } from '../../fragment.js';
import type { Layout } from '../../layout.js';
import { relativeOffset } from '../../used/relative.js';
import { chosenWidths } from './balance.js';
import { paragraphOf } from './items.js';
import { indentOf } from './indent.js';
import {
  besideFloats,
  closedBefore,
  findRoom,
  hoistFloats,
  leadingOutOfLine,
  LineFloats,
  type Room,
} from './line-floats.js';
import { takeLine, type Line } from './lines.js';
import { piecesOf } from './pieces.js';
import type { Piece } from './cut-text.js';
import { wraps } from '../../text/index.js';
import { lineHeightOf } from './extents.js';
import { inFirstLine, firstLineOf } from './first-line.js';
import { type Running, emit } from './emit.js';
import { lastLine } from './parts.js';
import type { InlineSpace, InlineResult } from './space.js';

/**
 * Breaks inline content into lines around floats and stacks them.
 * @spec css2 §9.4.2, §9.5, css-text-3 §5, §7
 */
export function layoutInline(container: Box, space: InlineSpace, layout: Layout): InlineResult {
  const atomics = new Map<Box, Fragment>();
  const atomicWidth = (box: Box): number => {
    const { width, margin } = atomicIn(atomics, box, space, layout);
    return width + horizontal(margin);
  };
  let pieces: readonly Piece[] = piecesOf(paragraphOf(container, layout), space.width, layout, atomicWidth);
  const run = newRun();
  const indent = indentOf(container, space.width);
  const widths = chosenWidths(container, pieces, space.width, indent, layout);
  let lines = 0;
  const estimate = lineHeightOf(container.style, layout);
  let from = 0;
  let first = true;
  while (from < pieces.length) {
    const before = from;
    ({ from, pieces } = leadingOutOfLine(pieces, from, run, space, container));
    const led = from > before;
    if (from >= pieces.length) break;
    if (pieces[from]!.kind === 'block') {
      blockInInline(pieces[from]!, run, space);
      from++;
      first = false;
      continue;
    }
    const settled = hoistFloats(pieces, from, run, space);
    const hoisted = led || settled !== pieces;
    pieces = settled;
    const offset = first ? indent : 0;
    const start = findRoom(
      () => takeLine(pieces, from, -Infinity, layout).line,
      { y: run.y, height: estimate },
      offset,
      space,
      wraps(container.style),
    );
    // What ends before the floats push the line down stays beside them.
    const stays = hoisted && start.y > run.y ? closedBefore(pieces, from) : from;
    if (stays > from) {
      const room = besideFloats(run, space);
      const line: Line = { pieces: pieces.slice(from, stays), width: 0, hanging: 0, visible: false, endsForced: false };
      emit({ container, line, room, space, layout, atomics, last: false, first: null }, run);
      from = stays;
    }
    run.y = start.y;
    const room = start.right - start.left - offset;
    const styled = first ? firstLineOf(container, pieces, from, room, space.width, atomicWidth, layout) : null;
    const floats = new LineFloats(start, run, space);
    const taken = styled ?? takeLine(pieces, from, Math.min(room, widths[lines] ?? Infinity), layout, floats);
    if (!styled) pieces = taken.pieces;
    else floats.placeAll(taken.line.pieces);
    emit(
      {
        container: styled ? inFirstLine(container) : container,
        line:
          first && heldByMarker(container, taken.line, pieces.slice(from))
            ? { ...taken.line, visible: true }
            : taken.line,
        // A line without height stands beside what floats there are at its top.
        room: indented(taken.line.visible ? floats.room : besideFloats(run, space), offset, container),
        space,
        layout,
        atomics,
        last: from + taken.line.pieces.length >= pieces.length,
        first: styled ? { from: container, line: container.firstLine! } : null,
      },
      run,
    );
    floats.placeLater();
    from = Math.max(taken.next, from + 1);
    if (taken.line.visible) {
      first = false;
      lines++;
    }
  }
  return resultOf(run);
}

/** The marker beside a list item without text makes its line all the same, if that holds any inline box. @spec css-lists-3 §3.1 */
const heldByMarker = ({ marker }: Box, line: Line, all: readonly Piece[]): boolean =>
  marker !== null && line.pieces.length === all.length && line.pieces.some(({ kind }) => kind === 'open');

const resultOf = ({ y, fresh, blocks, ...run }: Running): InlineResult => ({
  children: run.children,
  height: y,
  baseline: run.baseline,
  lastBaseline: run.lastBaseline,
  outOfFlow: run.outOfFlow,
  lineEnds: run.lineEnds,
  linesReach: run.linesReach,
  lined: run.lined,
  endsInBlock: blocks > 0 && !fresh,
});

function atomicIn(known: Map<Box, Fragment>, box: Box, { width, height }: InlineSpace, layout: Layout): Fragment {
  let fragment = known.get(box);
  if (!fragment) known.set(box, (fragment = layout.place(box, { width, height, shrink: true })));
  return fragment;
}

const newRun = (): Running => ({
  y: 0,
  baseline: null,
  lastBaseline: null,
  children: [],
  outOfFlow: [],
  open: [],
  lined: false,
  lineEnds: [],
  linesReach: NO_LINES,
  fresh: false,
  blocks: 0,
});

const indented = ({ left, right }: Omit<Room, 'y'>, offset: number, { style }: Box): { left: number; right: number } =>
  style.direction === 'rtl' ? { left, right: right - offset } : { left: left + offset, right };

/** A block among inline content stands on a line of its own, inside parts of the inline boxes that are open there. @spec css2 §9.2.1.1 */
function blockInInline(piece: Piece, run: Running, space: InlineSpace): void {
  const { placed, from, bottom, outOfFlow } = space.block(piece.box, run.fresh ? run.y : null);
  run.fresh = false;
  run.blocks += 1;
  const { fragment, y } = placed;
  const container = run.open.findLast((box) => box.computed.position !== 'static') ?? null;
  // The inline boxes around the block stay where it stands before it is moved.
  const moved = relativeOffset(piece.box, space.width, space.height).y;
  const height = y - moved - from + fragment.height;
  let part: Placed = placed;
  let top = from;
  let inside = y - from;
  let carried = outOfFlow.map((entry) => ({ ...entry, inlineContainer: entry.inlineContainer ?? container }));
  for (const box of [...run.open].reverse()) {
    const offset = relativeOffset(box, space.width, space.height);
    part = {
      x: offset.x,
      y: top + offset.y,
      fragment: makeFragment({
        kind: 'line',
        box,
        width: space.width,
        height,
        children: [{ ...part, y: inside }],
      }),
    };
    top = part.y;
    inside = 0;
    carried = carried.map((entry) => ({ ...entry, x: entry.x + offset.x, y: entry.y + offset.y }));
  }
  run.children.push(part);
  run.outOfFlow.push(...carried);
  run.y = bottom;
  if (fragment.baseline !== null) run.baseline ??= y + fragment.baseline;
  const line = fragment.box.inner === 'table' ? null : lastLine(fragment);
  if (line !== null) run.lastBaseline = y + line;
}
