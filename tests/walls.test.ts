import { readdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { barredFrom, OUTER, roomOf, ROOMS } from '../walls.js';

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
const all = filesBelow('src').flatMap(importsOf);
const local = all.filter((i) => i.to.startsWith('.'));

test('there is something to check', () => {
  expect(local.length).toBeGreaterThan(200);
});

test('every room has its place in the order', () => {
  const folders = (path: string) => readdirSync(path).filter((name) => statSync(join(path, name)).isDirectory());
  const rooms = [...folders('src/core'), ...folders('src').filter((name) => name !== 'core')];
  expect(rooms.filter((name) => !(name in ROOMS))).toEqual([]);
});

test('rooms import only rooms before them', () => {
  const against = local.filter((i) => {
    const [a, b] = [roomOf(i.from), roomOf(target(i))];
    return a !== null && b !== null && a !== b && barredFrom(a).includes(b);
  });
  expect(against.map((i) => `${i.from} → ${target(i)}`)).toEqual([]);
});

test('rooms of the core are entered through their index', () => {
  const around = local.filter((i) => {
    const [a, b] = [roomOf(i.from), roomOf(target(i))];
    if (a === null || b === null || a === b || OUTER.includes(b)) return false;
    return !target(i).endsWith('/index.ts') && !APART.includes(target(i));
  });
  expect(around.map((i) => `${i.from} → ${target(i)}`)).toEqual([]);
});

/** Loaded by themselves, where they are wanted: they take long. */
const APART = ['src/core/boxes/text/full-breaks.ts'];

test('the core knows nothing of files, network, terminal or formats', () => {
  const core = all.filter((i) => i.from.startsWith('src/core/'));
  expect(core.filter((i) => i.to.startsWith('node:')).map((i) => `${i.from} → ${i.to}`)).toEqual([]);
  expect(core.filter((i) => /^src\/(sources|formats|cli)\//.test(target(i))).map((i) => `${i.from} → ${i.to}`)).toEqual(
    [],
  );
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
