/** Makes src/core/naming/roles.json: the names of all concrete ARIA roles, from the standard's tables. Run with `npm run roles`. */
import { writeFileSync } from 'node:fs';
import { roles } from 'aria-query';

const names = [...roles.entries()]
  .filter(([, role]) => !role.abstract)
  .map(([name]) => name)
  .sort();
writeFileSync('src/core/naming/roles.json', `${JSON.stringify(names, null, 2)}\n`);
