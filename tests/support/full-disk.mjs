/** Makes the disk full for one file: loaded before the command by tests of what happens then. */
import promises from 'node:fs/promises';
import { syncBuiltinESMExports } from 'node:module';

const { writeFile } = promises;
promises.writeFile = async (file, ...rest) => {
  if (process.env.FULL_FOR && String(file).includes(process.env.FULL_FOR))
    throw Object.assign(new Error('no space left on device'), { code: 'ENOSPC' });
  return writeFile(file, ...rest);
};
syncBuiltinESMExports();
