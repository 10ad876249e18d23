import { existsSync, readFileSync } from 'node:fs';
import { dirname, isAbsolute, join } from 'node:path';
import type { z } from 'zod';
import type { Acceptance } from '../../core/index.js';
import { UsageError } from '../errors.js';
import { acceptedFile, config as form, type Config } from './model.js';
import { checkFigures, checkNames, parseFile } from './parse.js';

export const CONFIG_FILE = 'rope-ladder.json';
export const ACCEPTED_FILE = 'rope-ladder-accepted.json';

/** Larger files are no configuration, bytes. */
const MOST = 16 * 1024 * 1024;

export interface Settings {
  readonly config: Config;
  /** The file they were read from; null where there is none. */
  readonly file: string | null;
}

function textOf(file: string): string {
  let bytes: Buffer;
  try {
    bytes = readFileSync(file);
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    if (code === 'ENOENT') throw new UsageError(`${file} does not exist`, 'rope-ladder init writes a first one.');
    if (code === 'EISDIR')
      throw new UsageError(`${file} is a folder`, `Name a file in it, such as ${join(file, CONFIG_FILE)}.`);
    throw new UsageError(`${file} cannot be read (${code ?? 'unknown reason'})`, 'Check its permissions.');
  }
  if (bytes.length > MOST) throw new UsageError(`${file} is too large for a configuration`, 'Name another file.');
  return bytes.toString('utf8');
}

function read<T extends z.ZodType>(file: string, kind: T): { readonly data: z.infer<T>; readonly text: string } {
  const text = textOf(file);
  return { data: parseFile(file, text, kind), text };
}

/**
 * The settings of a file, or of rope-ladder.json in the working folder if it is there; none where false (`--no-config`).
 * Paths in it start beside it.
 */
export function readSettings(named: string | false | undefined): Settings {
  if (named === false || (named === undefined && !existsSync(CONFIG_FILE))) return { config: {}, file: null };
  const file = named ?? CONFIG_FILE;
  const { data, text } = read(file, form);
  checkNames(file, text, [...Object.keys(data.checks ?? {}), ...(data.accepted ?? []).map(({ check }) => check)]);
  for (const [id, set] of Object.entries(data.checks ?? {}))
    if (typeof set === 'object') checkFigures(file, text, id, set.figures ?? {});
  const from = (path: string) => (isAbsolute(path) || dirname(file) === '.' ? path : join(dirname(file), path));
  return {
    file,
    config: {
      ...data,
      ...(data.pages ? { pages: data.pages.map(from) } : {}),
      ...(data.skipPages ? { skipPages: data.skipPages.map(from) } : {}),
      ...(data.root === undefined ? {} : { root: from(data.root) }),
      ...(data.fonts ? { fonts: data.fonts.map(from) } : {}),
      ...(data.write ? { write: data.write.map(from) } : {}),
    },
  };
}

/** Acceptances and the file each list stands in. */
export interface AcceptedLists {
  readonly list: readonly Acceptance[];
  /** Those of the file of their own alone. */
  readonly apart: readonly Acceptance[];
  readonly files: readonly string[];
}

/** Accepted findings of the configuration and of a file of their own, if one is named or lies there. */
export function readAccepted({ config, file }: Settings, named: string | undefined, writing: boolean): AcceptedLists {
  const own = config.accepted ?? [];
  const other = named ?? ACCEPTED_FILE;
  const there = existsSync(other);
  if (!there && (named === undefined || writing))
    return { list: own as readonly Acceptance[], apart: [], files: file ? [file] : [] };
  const { data, text } = read(other, acceptedFile);
  checkNames(
    other,
    text,
    data.accepted.map(({ check }) => check),
  );
  return {
    list: [...own, ...data.accepted] as readonly Acceptance[],
    apart: data.accepted as readonly Acceptance[],
    files: [...(file && own.length > 0 ? [file] : []), other],
  };
}
