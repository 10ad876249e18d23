/** Measures the pages of the conformance folder with the engine: one JSON file a page. Used by `npm run conformance`. */
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { describeMenus, ladderOf, measurePage } from '../src/core/index.js';
import { loadFile } from '../src/sources/index.js';

interface Entry {
  readonly slug: string;
  readonly entry: string;
}

export interface MeasureRun {
  readonly pages: number;
  readonly failed: readonly string[];
  readonly seconds: number;
}

/** Measures every page of a manifest. `folderOf` gives the site root of a page. */
export async function measureManifest(
  manifest: string,
  folderOf: (entry: Entry) => string,
  out: string,
  widths: readonly number[],
  height: number,
  only: readonly string[] | null,
): Promise<MeasureRun> {
  return measureEntries(JSON.parse(readFileSync(manifest, 'utf8')) as Entry[], folderOf, out, widths, height, only);
}

export async function measureEntries(
  all: readonly Entry[],
  folderOf: (entry: Entry) => string,
  out: string,
  widths: readonly number[],
  height: number,
  only: readonly string[] | null,
): Promise<MeasureRun> {
  mkdirSync(out, { recursive: true });
  const entries = all.filter((e) => !only || only.includes(e.slug));
  const failed: string[] = [];
  const start = process.hrtime.bigint();
  const sheets = new Map();
  for (const entry of entries) {
    try {
      const root = folderOf(entry);
      const page = await loadFile(join(root, entry.entry), { root, scripting: false, sheets, glyphs: 'boxes' });
      writeFileSync(
        join(out, `${entry.slug}.json`),
        JSON.stringify({ ...measurePage(page, widths, height), page: entry.slug }),
      );
    } catch (error) {
      failed.push(`${entry.slug}: ${(error as Error).stack?.split('\n').slice(0, 6).join(' | ')}`);
    }
  }
  return { pages: entries.length, failed, seconds: Number(process.hrtime.bigint() - start) / 1e9 };
}

/** Measures what opens on every page of a manifest, scripts on. */
export async function measureOpenings(
  manifest: string,
  folderOf: (entry: Entry) => string,
  out: string,
  only: readonly string[] | null,
): Promise<void> {
  mkdirSync(out, { recursive: true });
  const all = JSON.parse(readFileSync(manifest, 'utf8')) as Entry[];
  for (const entry of all.filter((e) => !only || only.includes(e.slug))) {
    const root = folderOf(entry);
    const page = await loadFile(join(root, entry.entry), { root, glyphs: 'boxes' });
    writeFileSync(join(out, `${entry.slug}.json`), JSON.stringify(measurePage(page, [375, 1280], 800, true)));
  }
}

/** Writes the menus of every page of a manifest and their forms at some widths, as they were named: with scripts off. */
export async function listMenus(
  manifest: string,
  folderOf: (entry: Entry) => string,
  out: string,
  widths: readonly number[],
  only: readonly string[] | null,
): Promise<void> {
  mkdirSync(out, { recursive: true });
  for (const entry of JSON.parse(readFileSync(manifest, 'utf8')) as Entry[]) {
    if (only && !only.includes(entry.slug)) continue;
    const root = folderOf(entry);
    const page = await loadFile(join(root, entry.entry), { root, scripting: false });
    const rungs = widths.flatMap((width) => ladderOf(page, { from: width, to: width, height: 800 }).rungs);
    writeFileSync(join(out, `${entry.slug}.json`), JSON.stringify({ menus: describeMenus(page), rungs }));
  }
}
