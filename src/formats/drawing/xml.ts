import { XMLBuilder } from 'fast-xml-parser';

/** An SVG element under construction: its name, attributes and what it holds. */
export interface Shape {
  readonly name: string;
  readonly attributes: Readonly<Record<string, string | number | null>>;
  readonly children: readonly (Shape | string)[];
}

/** Numbers are rounded to hundredths; attributes of null are left out. */
export const shape = (
  name: string,
  attributes: Shape['attributes'] = {},
  children: readonly (Shape | string)[] = [],
): Shape => ({ name, attributes, children });

export const group = (children: readonly Shape[], attributes: Shape['attributes'] = {}): Shape =>
  shape('g', attributes, children);

const round = (value: number): number => Math.round(value * 100) / 100;

const ordered = (node: Shape | string): object => {
  if (typeof node === 'string') return { '#text': node };
  const attributes = Object.entries(node.attributes).flatMap(([key, value]) =>
    value === null ? [] : [[`@_${key}`, String(typeof value === 'number' ? round(value) : value)]],
  );
  return { [node.name]: node.children.map(ordered), ':@': Object.fromEntries(attributes) as object };
};

/** Writes a drawing out; text and attributes are escaped by the package. */
export function toXml(root: Shape): string {
  const builder = new XMLBuilder({
    preserveOrder: true,
    ignoreAttributes: false,
    suppressEmptyNode: true,
    suppressBooleanAttributes: false,
  });
  return `<?xml version="1.0" encoding="UTF-8"?>\n${builder.build([ordered(root)])}\n`;
}
