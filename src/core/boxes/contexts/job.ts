import type { Box } from '../box.js';
import type { Edges } from '../fragment.js';
import type { Layout, Space } from '../layout.js';
import type { Frame } from '../used/sizes.js';

/** A formatting context to be laid out: its box, whose width, edges and margins are known, and its room. Lengths in px. */
export interface Job {
  readonly box: Box;
  /** Border-box width. */
  readonly width: number;
  readonly frame: Frame;
  readonly margin: Edges;
  readonly space: Space;
  readonly layout: Layout;
  /** Border-box height of the content, where a limit refers to it. */
  readonly natural?: () => number;
}
