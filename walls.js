/**
 * The rooms of the project in the order data flows: a room imports only rooms with a smaller number, through their
 * `index.ts`. The lint rule and the test of the walls both read this table.
 */
export const ROOMS = Object.freeze({
  base: 0,
  html: 1,
  findings: 1,
  css: 2,
  sheets: 3,
  scripts: 3,
  cascade: 4,
  boxes: 5,
  paint: 6,
  scene: 7,
  naming: 8,
  menus: 9,
  ladder: 10,
  checks: 11,
  audit: 12,
  remedies: 13,
  sources: 20,
  formats: 20,
  cli: 30,
});

/** Rooms around the core: they may look into its rooms, which know nothing of them. */
export const OUTER = Object.freeze(['sources', 'formats', 'cli']);

/** The room a file lies in, or null for entries of the library. @param {string} file */
export function roomOf(file) {
  const core = /^src\/core\/([^/]+)\//.exec(file);
  return core?.[1] ?? /^src\/(sources|formats|cli)\//.exec(file)?.[1] ?? null;
}

/** Rooms that may not be imported from one. @param {string} room */
export const barredFrom = (room) => Object.keys(ROOMS).filter((other) => other !== room && ROOMS[other] >= ROOMS[room]);
