import type { AuditResult } from '../core/index.js';
import type { Format } from './format.js';

/** Name and version of the model; the version rises when a reader of the old one would break. */
export const MODEL = { name: 'rope-ladder-audit', version: 3 } as const;

const indented = (value: unknown, by: number): string =>
  JSON.stringify(value, null, 2)
    .split('\n')
    .join(`\n${' '.repeat(by)}`);

/** The whole result of an audit run. Its shape is the schema in `schema.ts`. */
export const json: Format = {
  material: false,
  open: () => {
    // As bytes: strings with quotation marks of the page's language take twice the room.
    const parts: Buffer[] = [];
    const put = (text: string) => parts.push(Buffer.from(text));
    put(`{\n  "model": "${MODEL.name}",\n  "version": ${MODEL.version},\n  "pages": [`);
    let count = 0;
    return {
      page: (result: AuditResult) => {
        put(`${count++ === 0 ? '' : ','}\n    ${indented(result, 4)}`);
      },
      end: ({ across }) => {
        put(`${count === 0 ? ']' : '\n  ]'},\n  "across": ${indented(across, 2)}\n}\n`);
        return Buffer.concat(parts);
      },
    };
  },
};

/** What a reading command found, with the name and version of its model. */
export const toModel = (command: string, found: object): string =>
  `${JSON.stringify({ model: `rope-ladder-${command}`, version: 1, ...found }, null, 2)}\n`;
