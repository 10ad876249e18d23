import { PROPERTIES, type PropertyKey } from './table.js';

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

type Mapping = (flow: Flow) => string;

const SIDES: readonly LogicalSide[] = ['block-start', 'block-end', 'inline-start', 'inline-end'];
const ENDS = ['start', 'end'] as const;

/** Logical words for what a pattern leaves open, and the physical ones they stand for. */
const TURNS: Readonly<Record<string, readonly (readonly [word: string, to: Mapping])[]>> = {
  side: SIDES.map((side) => [side, (flow) => physicalSide(side, flow)]),
  size: [
    ['inline-size', ({ vertical }) => (vertical ? 'height' : 'width')],
    ['block-size', ({ vertical }) => (vertical ? 'width' : 'height')],
  ],
  axis: [
    ['inline', ({ vertical }) => (vertical ? 'y' : 'x')],
    ['block', ({ vertical }) => (vertical ? 'x' : 'y')],
  ],
  corner: ENDS.flatMap((block) =>
    ENDS.map((inline): readonly [string, Mapping] => [
      `${block}-${inline}`,
      (flow) => {
        const sides = [physicalSide(`block-${block}`, flow), physicalSide(`inline-${inline}`, flow)];
        const y = sides.find((s) => s === 'top' || s === 'bottom')!;
        return `${y}-${sides.find((s) => s !== y)!}`;
      },
    ]),
  ),
};

interface Logical {
  /** A physical property of the same kind. */
  readonly like: string;
  readonly map: Mapping;
}

const HORIZONTAL: Flow = { vertical: false, reversed: false, rightToLeftBlocks: false };
const table = new Map<string, Logical>();

for (const key of Object.keys(PROPERTIES) as PropertyKey[]) {
  const { turns } = PROPERTIES[key];
  const open = /\{(\w+)\}/.exec(turns ?? '')?.[1];
  if (turns === undefined || open === undefined) continue;
  const written = (word: string) => turns.replace(`{${open}}`, word);
  for (const [word, to] of TURNS[open]!) {
    const name = turns === '{side}' ? `inset-${word}` : written(word);
    if (!table.has(name)) table.set(name, { like: written(to(HORIZONTAL)), map: (flow) => written(to(flow)) });
  }
}

/** The physical property a logical one stands for; undefined for properties that are not logical. */
export const logicalProperty = (name: string): Logical | undefined => table.get(name);

/**
 * Where each property of a flow is found once the flow is turned: key in the flow → physical key.
 * @param sides physical side by side of the flow
 * @param crossed whether widths and heights change places
 */
export function turnedKeys(
  sides: Readonly<Record<Side, Side>>,
  crossed: boolean,
): readonly (readonly [PropertyKey, PropertyKey])[] {
  const out: [PropertyKey, PropertyKey][] = [];
  const swap: Readonly<Record<string, string>> = crossed
    ? { Width: 'Height', Height: 'Width', width: 'height', height: 'width', X: 'Y', Y: 'X' }
    : {};
  const capital = (word: string) => word[0]!.toUpperCase() + word.slice(1);
  for (const key of Object.keys(PROPERTIES) as PropertyKey[]) {
    const open = /\{(side|size|axis)\}/.exec(PROPERTIES[key].turns ?? '')?.[1];
    if (open === 'side') {
      const side = (['top', 'right', 'bottom', 'left'] as const).find((s) => key === s || key.includes(capital(s)))!;
      out.push([key, (key === side ? sides[side] : key.replace(capital(side), capital(sides[side]))) as PropertyKey]);
    } else if (open !== undefined && crossed) {
      out.push([key, key.replace(/Width|Height|^width|^height|[XY]$/, (word) => swap[word]!) as PropertyKey]);
    }
  }
  return out;
}
