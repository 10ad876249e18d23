import type { Page } from '../core/index.js';
import { loadFile, loadStandardInput } from '../sources/index.js';
import { STANDARD_INPUT } from './options.js';

/** Reads the page a reading command names. */
export async function readPage(name: string, root: string | undefined): Promise<Page> {
  const options = { scripting: true, ...(root === undefined ? {} : { root }) };
  return name === STANDARD_INPUT ? loadStandardInput(options) : loadFile(name, options);
}
