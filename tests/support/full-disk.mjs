/** Makes the disk full for one file: loaded before the command by tests of what happens then. */
import fs from 'node:fs';

const { open, write } = fs;
const full = new Set();
fs.open = (path, flags, mode, done) =>
  open(path, flags, mode, (error, fd) => {
    if (!error) full[String(path).includes(process.env.FULL_FOR) ? 'add' : 'delete'](fd);
    done(error, fd);
  });
fs.write = (fd, ...rest) =>
  full.has(fd)
    ? rest.at(-1)(Object.assign(new Error('no space left on device'), { code: 'ENOSPC' }))
    : write(fd, ...rest);
