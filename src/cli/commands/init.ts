import { existsSync } from 'node:fs';
import type { ArgumentsCamelCase, Argv, CommandModule } from 'yargs';
import { writeWhole } from '../../formats/index.js';
import { firstSettings, lookAround } from '../config/first.js';
import { config } from '../config/model.js';
import { parseFile } from '../config/parse.js';
import { CONFIG_FILE } from '../config/read.js';
import { UsageError } from '../errors.js';
import { later } from '../work.js';

interface InitArguments {
  replace: boolean;
}

async function handler({ replace }: ArgumentsCamelCase<InitArguments>): Promise<void> {
  if (existsSync(CONFIG_FILE) && !replace)
    throw new UsageError(`${CONFIG_FILE} is here already`, 'Edit it, or start anew with --replace.');
  const around = await lookAround();
  const text = firstSettings(around);
  parseFile(CONFIG_FILE, text, config);
  await writeWhole(CONFIG_FILE, text);
  const { first, folder, pages } = around;
  process.stdout.write(
    first
      ? `Written: ${CONFIG_FILE}, for ${pages === 1 ? 'one page' : `${pages} pages`} in ${folder === '.' ? 'this folder' : folder}. Next: rope-ladder audit\n`
      : `Written: ${CONFIG_FILE}. No built page was found below this folder: name yours under “pages”, then: rope-ladder audit\n`,
  );
}

export const initCommand: CommandModule<object, InitArguments> = {
  command: 'init',
  describe: `Write a commented ${CONFIG_FILE} from what this folder holds`,
  builder: (argv: Argv) =>
    argv
      .option('replace', { type: 'boolean', default: false, describe: 'Replace the file that is there' })
      .example('$0 init', 'A first file of settings') as never,
  handler: later(handler),
};
