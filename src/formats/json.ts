import type { AuditResult } from '../core/index.js';

/** Name and version of the model; the version rises when a reader of the old one would break. */
export const MODEL = { name: 'rope-ladder-audit', version: 2 } as const;

/** The whole result of an audit run. Its shape is the schema in `schema.ts`. */
export function toJson(results: readonly AuditResult[]): string {
  return `${JSON.stringify({ model: MODEL.name, version: MODEL.version, pages: results }, null, 2)}\n`;
}
