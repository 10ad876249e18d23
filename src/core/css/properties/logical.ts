/** How the flow runs: what logical sides map to. @spec css-writing-modes-4 §6 */
export interface Flow {
  readonly vertical: boolean;
  /** Whether the inline axis runs right to left (or bottom to top). */
  readonly reversed: boolean;
  /** In vertical flows, whether lines stack right to left. */
  readonly rightToLeftBlocks: boolean;
}

type Side = 'top' | 'right' | 'bottom' | 'left';
type LogicalSide = 'block-start' | 'block-end' | 'inline-start' | 'inline-end';

export function physicalSide(side: LogicalSide, flow: Flow): Side {
  if (side.startsWith('block')) {
    const start = side === 'block-start';
    if (!flow.vertical) return start ? 'top' : 'bottom';
    return start === flow.rightToLeftBlocks ? 'right' : 'left';
  }
  const start = (side === 'inline-start') !== flow.reversed;
  if (flow.vertical) return start ? 'top' : 'bottom';
  return start ? 'left' : 'right';
}

const SIDES: readonly LogicalSide[] = ['block-start', 'block-end', 'inline-start', 'inline-end'];
const SIDED: readonly ((side: string) => string)[] = [
  (s) => `margin-${s}`,
  (s) => `padding-${s}`,
  (s) => `border-${s}-width`,
  (s) => `border-${s}-style`,
  (s) => `border-${s}-color`,
  (s) => `scroll-margin-${s}`,
  (s) => `scroll-padding-${s}`,
];

type Mapping = (flow: Flow) => string;
const table = new Map<string, { readonly like: string; readonly map: Mapping }>();

for (const side of SIDES) {
  for (const name of SIDED) table.set(name(side), { like: name('top'), map: (flow) => name(physicalSide(side, flow)) });
  table.set(`inset-${side}`, { like: 'top', map: (flow) => physicalSide(side, flow) });
}
for (const prefix of ['', 'min-', 'max-', 'contain-intrinsic-']) {
  table.set(`${prefix}inline-size`, {
    like: `${prefix}width`,
    map: (flow) => `${prefix}${flow.vertical ? 'height' : 'width'}`,
  });
  table.set(`${prefix}block-size`, {
    like: `${prefix}height`,
    map: (flow) => `${prefix}${flow.vertical ? 'width' : 'height'}`,
  });
}
for (const [axis, vertical] of [
  ['inline', 'y'],
  ['block', 'x'],
] as const) {
  const other = vertical === 'y' ? 'x' : 'y';
  table.set(`overflow-${axis}`, { like: 'overflow-x', map: (flow) => `overflow-${flow.vertical ? vertical : other}` });
}
for (const block of ['start', 'end'] as const)
  for (const inline of ['start', 'end'] as const)
    table.set(`border-${block}-${inline}-radius`, {
      like: 'border-top-left-radius',
      map: (flow) => {
        const sides = [physicalSide(`block-${block}`, flow), physicalSide(`inline-${inline}`, flow)];
        const y = sides.find((s) => s === 'top' || s === 'bottom')!;
        const x = sides.find((s) => s === 'left' || s === 'right')!;
        return `border-${y}-${x}-radius`;
      },
    });

/** The physical property a logical one stands for; undefined for properties that are not logical. */
export const logicalProperty = (name: string): { readonly like: string; readonly map: Mapping } | undefined =>
  table.get(name);
