import type { ElementNode } from '../../html/index.js';
import type { Reading } from '../reading.js';
import { Arr } from '../values.js';

/** Elements as the list DOM calls give. */
export const listOf = (reading: Reading, nodes: readonly ElementNode[]): Arr =>
  new Arr(
    reading.realm.protos.list,
    nodes.map((node) => reading.wrap(node)),
  );
