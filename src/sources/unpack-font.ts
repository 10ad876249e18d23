import { inflateSync } from 'node:zlib';

const WOFF = 0x774f4646;
const WOFF2 = 0x774f4632;
const HEADER = 44;
const ENTRY = 20;
/** Of the file it becomes. */
const SFNT_HEADER = 12;
const SFNT_ENTRY = 16;
/** More than this no font of a page holds. */
const MOST_BYTES = 64 * 1024 * 1024;

/** A font file as a plain list of tables: what reads fonts may never end on packed files that are damaged. Throws where it is packed and cannot be unpacked. */
export async function unpackedFont(bytes: Uint8Array): Promise<Uint8Array> {
  const view = viewOf(bytes);
  const packing = bytes.length < HEADER ? 0 : view.getUint32(0);
  if (packing === WOFF) return fromWoff(bytes, view);
  return packing === WOFF2 ? (await import('woff2-encoder/decompress')).default(bytes) : bytes;
}

const viewOf = ({ buffer, byteOffset, byteLength }: Uint8Array): DataView =>
  new DataView(buffer, byteOffset, byteLength);

interface Table {
  readonly tag: number;
  readonly checksum: number;
  readonly data: Uint8Array;
}

/** @spec woff (1.0) §3–5 */
function fromWoff(bytes: Uint8Array, view: DataView): Uint8Array {
  const flavour = view.getUint32(4);
  const tables = Array.from({ length: view.getUint16(12) }, (_, i) => tableAt(HEADER + i * ENTRY, bytes, view));
  if (tables.reduce((sum, { data }) => sum + data.length, 0) > MOST_BYTES) throw new Error('the font is too large');
  return joined(flavour, tables);
}

function tableAt(at: number, bytes: Uint8Array, view: DataView): Table {
  const [tag, offset, packed, size, checksum] = [0, 4, 8, 12, 16].map((part) => view.getUint32(at + part));
  if (offset! + packed! > bytes.length || size! > MOST_BYTES) throw new Error('a table lies outside of the font');
  const held = bytes.subarray(offset!, offset! + packed!);
  const data = packed! < size! ? inflateSync(held, { maxOutputLength: size! }) : held;
  return { tag: tag!, checksum: checksum!, data };
}

/** @spec opentype (table directory): tables begin at multiples of four bytes */
function joined(flavour: number, tables: readonly Table[]): Uint8Array {
  const padded = (length: number) => Math.ceil(length / 4) * 4;
  const start = SFNT_HEADER + tables.length * SFNT_ENTRY;
  const out = new Uint8Array(tables.reduce((sum, { data }) => sum + padded(data.length), start));
  const view = viewOf(out);
  const steps = Math.floor(Math.log2(Math.max(1, tables.length)));
  view.setUint32(0, flavour);
  view.setUint16(4, tables.length);
  view.setUint16(6, 16 << steps);
  view.setUint16(8, steps);
  view.setUint16(10, tables.length * 16 - (16 << steps));
  let offset = start;
  tables.forEach(({ tag, checksum, data }, i) => {
    [tag, checksum, offset, data.length].forEach((value, part) =>
      view.setUint32(SFNT_HEADER + i * SFNT_ENTRY + part * 4, value),
    );
    out.set(data, offset);
    offset += padded(data.length);
  });
  return out;
}
