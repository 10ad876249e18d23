import { z } from 'zod';
import { LIMIT_KINDS } from '../core/base/index.js';
import { LEVELS, STATES, WEIGHTS } from '../core/findings/index.js';
import { MODEL } from './json.js';

const px = z.number().int().positive();
const range = z.strictObject({ from: px, to: px });
const position = z.strictObject({
  file: z.string(),
  line: z.number().int().positive(),
  column: z.number().int().positive(),
});
const figure = z.strictObject({ value: z.number(), unit: z.string() });
const form = z.enum(['row', 'column', 'toggle', 'bottom-bar', 'rail', 'none']);

const finding = z.strictObject({
  key: z.string(),
  check: z.string(),
  message: z.string(),
  verdict: z.enum(['fault', 'look']),
  weight: z.enum(WEIGHTS),
  criteria: z.array(z.strictObject({ number: z.string().regex(/^\d\.\d+\.\d+$/), level: z.enum(LEVELS) })),
  menus: z.array(z.string()),
  states: z.array(z.enum(STATES)).min(1),
  poses: z.array(z.string()).min(1),
  visitors: z.array(z.string()),
  widths: z.array(range).min(1),
  places: z
    .array(
      z.strictObject({
        kind: z.enum(['element', 'rule', 'query', 'page']),
        selector: z.string(),
        path: z.string(),
        label: z.string(),
        at: position.nullable(),
        widths: z.array(range).nullable(),
      }),
    )
    .min(1),
  cause: z.strictObject({ selector: z.string().nullable(), text: z.string(), at: position }).nullable(),
  measured: figure.nullable(),
  needed: figure.nullable(),
  says: z.string().min(1),
  mends: z.string().min(1),
});

const menu = z.strictObject({
  id: z.string(),
  kind: z.string(),
  label: z.string(),
  selector: z.string(),
  path: z.string(),
  at: position.nullable(),
  landmark: z.boolean(),
  items: z.array(
    z.strictObject({
      label: z.string(),
      path: z.string(),
      selector: z.string(),
      at: position.nullable(),
      href: z.string().nullable(),
      address: z.string().nullable(),
      level: z.number().int().positive(),
      submenu: z.boolean(),
      current: z.boolean(),
    }),
  ),
  toggles: z.array(
    z.strictObject({
      label: z.string(),
      path: z.string(),
      selector: z.string(),
      at: position.nullable(),
      by: z.string(),
    }),
  ),
});

const crashed = z.array(z.strictObject({ check: z.string(), message: z.string() }));

const accepted = z.array(z.strictObject({ finding, reason: z.string(), until: z.string().nullable() }));

const page = z.strictObject({
  page: z.string(),
  language: z.string(),
  widths: range,
  heights: z.array(z.number()).min(1),
  level: z.enum(LEVELS),
  menus: z.array(menu),
  rungs: z.array(
    z.strictObject({
      from: px,
      to: px,
      starts: z.array(z.strictObject({ condition: z.string(), place: z.string(), change: z.enum(['begins', 'ends']) })),
      forms: z.record(z.string(), z.tuple([form, form])),
    }),
  ),
  checks: z.array(z.string()),
  findings: z.array(finding),
  accepted,
  crashed,
  limits: z.array(
    z.strictObject({
      kind: z.enum(LIMIT_KINDS),
      subject: z.string(),
      consequence: z.string(),
      place: z.string().nullable(),
      count: z.number().int().positive(),
    }),
  ),
});

/** The model of `audit --json` and of .json files. Lengths in CSS px, lines and columns from 1. */
export const auditModel = z.strictObject({
  model: z.literal(MODEL.name),
  version: z.literal(MODEL.version),
  pages: z.array(page),
  across: z.strictObject({ checks: z.array(z.string()), findings: z.array(finding), accepted, crashed }),
});

export type AuditModel = z.infer<typeof auditModel>;
