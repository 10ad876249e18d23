import pc from 'picocolors';
import type { Word } from '../core/index.js';

export type Colours = ReturnType<typeof pc.createColors>;

/** How the terminal is: whether colour may be used and how wide it is. */
export interface Terminal {
  readonly colours: Colours;
  /** Columns; lines are wrapped to it. */
  readonly columns: number;
  /** Whether it knows nothing beyond ASCII. */
  readonly plain: boolean;
  /** Colour of a weight, or of what a person has to look at. */
  readonly paint: (word: Word) => (text: string) => string;
}

const NARROWEST = 40;
const WIDEST = 120;

/** Colour follows the option, then NO_COLOR and FORCE_COLOR, then whether a terminal reads along. */
export function terminalOf(stream: NodeJS.WriteStream, option: boolean | undefined, env: NodeJS.ProcessEnv): Terminal {
  const forced = env.FORCE_COLOR !== undefined && env.FORCE_COLOR !== '0';
  const refused = (env.NO_COLOR ?? '') !== '' || env.TERM === 'dumb';
  const colour = option ?? (refused ? false : forced || stream.isTTY === true);
  const given = stream.columns ?? Number(env.COLUMNS ?? 100);
  const colours = pc.createColors(colour);
  const paints = { blocks: colours.red, hinders: colours.yellow, polish: colours.magenta, look: colours.cyan };
  return {
    colours,
    columns: Math.min(WIDEST, Math.max(NARROWEST, given || 100)),
    plain: isPlain(env),
    paint: (word) => paints[word],
  };
}

/** Whether the environment names an encoding other than UTF-8, or a terminal that shows no more. */
function isPlain({ TERM, LC_ALL, LC_CTYPE, LANG }: NodeJS.ProcessEnv): boolean {
  const locale = LC_ALL || LC_CTYPE || LANG || '';
  return TERM === 'dumb' || TERM === 'linux' || (locale !== '' && !/utf-?8/i.test(locale));
}

/** Control codes of page text never reach the terminal. */
export function harmless(text: string): string {
  return text
    .replace(/[\u0000-\u0008\u000b-\u001f\u007f-\u009f\u200e\u200f\u202a-\u202e\u2066-\u2069]/g, '\ufffd')
    .replace(/[\t\n]/g, ' ');
}
