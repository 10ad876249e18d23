import type { AcrossPages, AuditResult, Finding } from '../core/index.js';
import { printWidths } from '../core/index.js';
import type { PageMaterial } from './report/material.js';

/** What is known before the first page. */
export interface RunStart {
  /** Version of this program. */
  readonly version: string;
  /** Day of the run, `2026-11-28`; null where outputs must not tell it. */
  readonly day: string | null;
}

/** What is known after the last page. */
export interface RunEnd {
  readonly across: AcrossPages;
  readonly failures: readonly { readonly name: string; readonly message: string }[];
}

/** Takes the pages of a run one by one and gives the whole text at its end. */
export interface Writer {
  page(result: AuditResult, material: PageMaterial | null): void;
  end(end: RunEnd): string | Uint8Array;
}

export interface Format {
  /** Whether it shows drawings, the keyboard's way and sources beside the findings. */
  readonly material: boolean;
  readonly open: (start: RunStart) => Writer;
}

/** Characters that would act on what shows a text: control codes and marks that turn its direction. */
const ACTING =
  /[\u0000-\u0008\u000b-\u001f\u007f-\u009f\u061c\u200e\u200f\u2028\u2029\u202a-\u202e\u2066-\u2069\ufeff]/g;
const HALVES = /[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]|[\ufffe\uffff]/g;

/** Text of a page that can only be read: nothing in it acts. */
export const inert = (text: string): string =>
  text
    .replace(ACTING, '\ufffd')
    .replace(HALVES, '\ufffd')
    .replace(/[\t\n\r]+/g, ' ');

export const widthsText = (finding: Finding): string => `${printWidths(finding.widths)} px`;

/** `WCAG 1.4.3 AA, WCAG 1.4.11 AA`. */
export const criteriaText = ({ criteria }: Finding): string =>
  criteria.map(({ number, level }) => `WCAG ${number} ${level}`).join(', ');

/** Where a finding is mended: the declaration behind it, or else the markup. */
export const mendedAt = ({ cause, places }: Finding) => cause?.at ?? places.find(({ at }) => at !== null)?.at ?? null;

/** The first sentence of a text, and the rest: full stops inside quotes and numbers end none. */
export function sentences(text: string): { readonly title: string; readonly rest: string } {
  const end = /[.!?](?=\s+[A-Z“#])/.exec(text.replace(/“[^”]*”/g, (quoted) => 'x'.repeat(quoted.length)));
  return end
    ? { title: text.slice(0, end.index + 1), rest: text.slice(end.index + 1).trim() }
    : { title: text, rest: '' };
}
