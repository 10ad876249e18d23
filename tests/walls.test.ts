import { readdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';

/** The rooms of the core in the order data flows: a room imports only rooms with a smaller number. */
const ORDER: Readonly<Record<string, number>> = {
  base: 0,
  html: 1,
  findings: 1,
  css: 2,
  sheets: 3,
  cascade: 4,
  boxes: 5,
  paint: 6,
  scene: 7,
  naming: 8,
  menus: 9,
  ladder: 10,
  checks: 11,
  audit: 12,
};

function filesBelow(folder: string): string[] {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    return statSync(path).isDirectory()
      ? filesBelow(path)
      : path.endsWith('.ts') && !path.endsWith('.d.ts')
        ? [path]
        : [];
  });
}

interface Import {
  readonly from: string;
  readonly to: string;
  readonly typeOnly: boolean;
}

function importsOf(file: string): Import[] {
  const text = readFileSync(file, 'utf8');
  const found = [...text.matchAll(/^(?:import|export)\s+(type\s+)?[^'"]*?from\s+'([^']+)'/gm)];
  return found.map((m) => ({ from: file, to: m[2]!, typeOnly: m[1] !== undefined }));
}

const target = ({ from, to }: Import): string => relative('.', resolve(dirname(from), to.replace(/\.js$/, '.ts')));
const room = (file: string): string | null => /^src\/core\/([^/]+)\//.exec(file)?.[1] ?? null;
const all = filesBelow('src').flatMap(importsOf);
const local = all.filter((i) => i.to.startsWith('.'));

test('there is something to check', () => {
  expect(local.length).toBeGreaterThan(200);
});

test('every room of the core has its place in the order', () => {
  const rooms = readdirSync('src/core').filter((name) => statSync(join('src/core', name)).isDirectory());
  expect(rooms.filter((name) => !(name in ORDER))).toEqual([]);
});

test('rooms import only rooms before them', () => {
  const against = local.filter((i) => {
    const [a, b] = [room(i.from), room(target(i))];
    return a !== null && b !== null && a !== b && ORDER[b]! >= ORDER[a]!;
  });
  expect(against.map((i) => `${i.from} → ${target(i)}`)).toEqual([]);
});

test('rooms are entered through their index', () => {
  const around = local.filter((i) => {
    const [a, b] = [room(i.from), room(target(i))];
    return a !== null && b !== null && a !== b && !target(i).endsWith('/index.ts');
  });
  expect(around.map((i) => `${i.from} → ${target(i)}`)).toEqual([]);
});

test('the core knows nothing of files, network, terminal or formats', () => {
  const core = all.filter((i) => i.from.startsWith('src/core/'));
  expect(core.filter((i) => i.to.startsWith('node:')).map((i) => `${i.from} → ${i.to}`)).toEqual([]);
  expect(core.filter((i) => /^src\/(sources|formats|cli)\//.test(target(i))).map((i) => `${i.from} → ${i.to}`)).toEqual(
    [],
  );
});

test('what lies around the core keeps its order: sources and formats know nothing of the command line', () => {
  const outer = local.filter((i) => /^src\/(sources|formats)\//.test(i.from) && target(i).startsWith('src/cli/'));
  expect(outer.map((i) => `${i.from} → ${target(i)}`)).toEqual([]);
});

test('no file imports itself by way of others', () => {
  const graph = new Map<string, string[]>();
  for (const i of local) if (!i.typeOnly) graph.set(i.from, [...(graph.get(i.from) ?? []), target(i)]);
  const done = new Set<string>();
  const cycles: string[] = [];
  const visit = (file: string, way: readonly string[]): void => {
    if (way.includes(file)) {
      cycles.push([...way.slice(way.indexOf(file)), file].join(' → '));
      return;
    }
    if (done.has(file)) return;
    for (const next of graph.get(file) ?? []) visit(next, [...way, file]);
    done.add(file);
  };
  for (const file of graph.keys()) visit(file, []);
  expect(cycles).toEqual([]);
});
