import {
  auditPage,
  type Acceptance,
  type AuditOptions,
  type AuditResult,
  type DeclaredMenu,
  type Page,
  type Resource,
} from '../../core/index.js';
import { materialOf, type PageMaterial } from '../../formats/index.js';
import {
  loadFile,
  loadStream,
  picturesOf,
  shippedOutlines,
  siteOfFile,
  type FileOptions,
} from '../../sources/index.js';
import { acceptedOn } from '../audit/accepting.js';
import { failureOf, type Failure } from '../errors.js';
import { STANDARD_INPUT } from '../options.js';
import { tidyMemory } from './memory.js';

/** What is to be done with one page: plain data, so that another thread can do it. */
export interface PageTask {
  readonly name: string;
  readonly root?: string;
  readonly fonts?: readonly string[];
  readonly patches?: readonly Resource[];
  readonly moreScripts?: readonly Resource[];
  readonly menus?: readonly DeclaredMenu[];
  readonly audit: Partial<Omit<AuditOptions, 'onCheck'>>;
  readonly acceptances?: readonly Acceptance[];
  /** Day of the run, `2026-11-28`: acceptances end. */
  readonly today?: string;
  /** What a report page shows beside the findings, if one is written. */
  readonly material: { readonly pictures: boolean } | null;
}

/** A page audited, or why it was not. */
export type PageOutcome =
  | {
      readonly name: string;
      readonly result: AuditResult;
      readonly material: PageMaterial | null;
      readonly used: readonly number[];
    }
  | { readonly name: string; readonly failure: Failure };

/** Sheets parsed before; those of pages themselves are not kept, as no other page has them. */
const sheets: NonNullable<FileOptions['sheets']> = new Map();
const SHEETS_KEPT = 300;

function tidy(): void {
  for (const key of sheets.keys()) if (!/^[a-z]+:/.test(key) || key.startsWith('data:')) sheets.delete(key);
  if (sheets.size > SHEETS_KEPT) sheets.clear();
  tidyMemory();
}

export async function readTask({
  name,
  root,
  fonts,
  patches,
  moreScripts,
  menus,
}: Omit<PageTask, 'audit' | 'material'>): Promise<Page> {
  const options: FileOptions = {
    sheets,
    // What reports name can be opened from here.
    here: process.cwd(),
    ...(root === undefined ? {} : { root }),
    ...(fonts ? { fonts } : {}),
    ...(patches ? { patches } : {}),
    ...(moreScripts ? { moreScripts } : {}),
    ...(menus ? { menus } : {}),
  };
  return name === STANDARD_INPUT ? loadStream(process.stdin, options) : loadFile(name, options);
}

/** Audits one page; what goes wrong with it is its outcome. Wrong use is thrown. */
export async function auditOne(task: PageTask, onCheck?: AuditOptions['onCheck']): Promise<PageOutcome> {
  const { name, audit, material, acceptances = [], today = '' } = task;
  try {
    const page = await readTask(task);
    const whole = auditPage(page, { ...audit, ...(onCheck ? { onCheck } : {}) });
    const { findings, accepted, used } = acceptedOn([whole.page], whole.findings, acceptances, today);
    const result = { ...whole, findings, accepted };
    return { name, result, material: material && (await gathered(page, result, task)), used };
  } catch (error) {
    return { name, failure: failureOf(name, error) };
  } finally {
    tidy();
  }
}

async function gathered(page: Page, result: AuditResult, { name, root, material }: PageTask): Promise<PageMaterial> {
  const site = siteOfFile(name === STANDARD_INPUT ? '.' : name, root === undefined ? {} : { root });
  return materialOf(page, result, await shippedOutlines(), material?.pictures ? picturesOf(site) : null);
}
