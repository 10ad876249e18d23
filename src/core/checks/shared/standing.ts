import { contrastRatio, luminance, type Rgba } from '../../css/index.js';
import { hexOf, passingColour, shades, type Passing } from './colours.js';

/** A colour that one declaration gives to text, and what that lies on. */
export interface Lie {
  readonly ink: Rgba;
  readonly grounds: readonly Rgba[];
  /** Whether colours between two of the grounds are met too. */
  readonly gradient: boolean;
  /** Contrast that is needed there. */
  readonly needed: number;
}

/** What stands out too little, and what is to be changed for it: the ink or the ground. */
export interface Standing {
  readonly of: 'text' | 'ground';
  readonly lie: Lie;
}

/** Whether an ink is read on what it lies on: over a run of colours one in between is met somewhere. */
function passes(ink: Rgba, { grounds, gradient, needed }: Omit<Lie, 'ink'>): boolean {
  const levels = grounds.map(luminance);
  const own = luminance(ink);
  const between = gradient && own > Math.min(...levels) && own < Math.max(...levels);
  return !between && grounds.every((g) => contrastRatio(ink, g) >= needed);
}

/** The colour nearest to an ink that is read on all it lies on; null where none is. */
export function passingInk(ink: Rgba, lies: readonly Omit<Lie, 'ink'>[]): Passing | null {
  const exact = lies
    .flatMap(({ grounds, needed }) => grounds.flatMap((ground) => passingColour(ink, ground, needed) ?? []))
    .sort((a, b) => a.share - b.share);
  const serves = ({ colour }: Passing) => lies.every((lie) => passes(colour, lie));
  return exact.find(serves) ?? shades(ink).find(serves) ?? null;
}

const keyOf = ({ ink, grounds, needed }: Lie): string => `${hexOf(ink)} on ${grounds.map(hexOf).join()} ${needed}`;

/**
 * The remedy that serves all places of one cause, in words, by where it stands out least; null where they are all
 * alike and the remedy of one serves the others.
 * @param others what passes now and is touched too
 * @param what what is inked: the text, an icon
 */
export function remedyForAll(
  standings: readonly Standing[],
  others: readonly Lie[],
  what: string,
): (worst: Lie) => string | null {
  const lies = new Map([...standings.map(({ lie }) => lie), ...others].map((lie) => [keyOf(lie), lie]));
  if (lies.size < 2) return () => null;
  const grounds = standings.every(({ of }) => of === 'ground');
  const known = new Map<string, string | null>();
  return (worst) => {
    const key = keyOf(worst);
    let remedy = known.get(key);
    if (remedy === undefined) known.set(key, (remedy = remedyOf(worst, [...lies.values()], grounds, what)));
    return remedy;
  };
}

function remedyOf(worst: Lie, lies: readonly Lie[], grounds: boolean, what: string): string | null {
  const most = Math.max(...lies.map(({ needed }) => needed));
  if (grounds) {
    const ground = shades(worst.grounds[0]!).find(({ colour }) =>
      lies.every((lie) => passes(lie.ink, { ...lie, grounds: [colour] })),
    );
    return ground
      ? `Make the ground ${hexOf(ground.colour)} (that gives at least ${most}:1 to all that lies on it).`
      : null;
  }
  const ink = passingInk(worst.ink, lies);
  if (ink) return `Make the ${what} ${hexOf(ink.colour)} (that gives at least ${most}:1 wherever this colour lies).`;
  const here = passingInk(worst.ink, [worst]);
  const other = here && lies.find((lie) => !passes(here.colour, lie));
  return other
    ? `Make the ${what} ${hexOf(here.colour)} here (that gives ${worst.needed}:1), and give it a colour of its own where it lies on ${hexOf(other.grounds[0]!)}: no single colour passes on both.`
    : null;
}
