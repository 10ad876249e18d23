import wrapAnsi from 'wrap-ansi';

/** Text wrapped to the columns and moved in from the left. */
export const indent = (text: string, by: number, columns: number): string =>
  wrapAnsi(text, Math.max(20, columns - by), { hard: true })
    .split('\n')
    .map((line) => ' '.repeat(by) + line)
    .join('\n');

export const plural = (count: number, one: string, many = `${one}s`): string => `${count} ${count === 1 ? one : many}`;

/** Text cut at its end to so many columns. */
export const cut = (text: string, room: number, more = '…'): string =>
  text.length <= room ? text : `${text.slice(0, Math.max(1, room - 1))}${more}`;

/** Characters of a cli-table3 table without lines. */
export const NO_LINES: Readonly<Record<string, string>> = {
  ...Object.fromEntries(
    'top top-mid top-left top-right bottom bottom-mid bottom-left bottom-right left-mid mid mid-mid right right-mid middle'
      .split(' ')
      .map((name) => [name, '']),
  ),
  left: '  ',
};

export const PLAIN_STYLE = { head: [], border: [], compact: true, 'padding-left': 0, 'padding-right': 2 };
