import { createRequire } from 'node:module';

/** Version of this program. */
export const { version: VERSION } = createRequire(import.meta.url)('../package.json') as { version: string };
