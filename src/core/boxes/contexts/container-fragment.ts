import { makeFragment, type Fragment, type LinesReach, type OutOfFlow, type Placed } from '../fragment.js';
import type { Job } from './job.js';
import { adoptOutOfFlow } from './positioned.js';

/** The fragment of a formatting context whose parts are placed; absolute boxes it contains are laid out. Lengths in px. */
export function containerFragment(
  { box, width, frame, margin, layout }: Omit<Job, 'space'>,
  parts: {
    readonly height: number;
    readonly children: readonly Placed[];
    readonly baseline: number | null;
    readonly lastBaseline: number | null;
    readonly outOfFlow: readonly OutOfFlow[];
    readonly lineEnds?: readonly number[];
    readonly linesReach?: LinesReach;
  },
): Fragment {
  const { border, padding } = frame;
  return adoptOutOfFlow(makeFragment({ box, width, margin, border, padding, ...parts }), layout);
}
