import sniff from 'html-encoding-sniffer';

const MARKED = /^utf-?16/i;

function decodeAs(bytes: Uint8Array, charset: string): string {
  try {
    return new TextDecoder(charset).decode(bytes);
  } catch {
    return new TextDecoder('utf-8').decode(bytes);
  }
}

/** Text of a page in its own charset; what cannot be decoded becomes U+FFFD. @spec html §13.2.3 (encoding sniffing) */
export const decodePage = (bytes: Uint8Array): string => decodeAs(bytes, sniff(bytes, { defaultEncoding: 'utf-8' }));

/** Text of a style sheet or script. @spec css-syntax-3 §3.2 */
export function decodeText(bytes: Uint8Array): string {
  const [a, b] = bytes;
  if ((a === 0xfe && b === 0xff) || (a === 0xff && b === 0xfe))
    return decodeAs(bytes, a === 0xfe ? 'utf-16be' : 'utf-16le');
  const head = Buffer.from(bytes.subarray(0, 1024)).toString('latin1');
  const named = /^@charset "([\w-]+)";/.exec(head)?.[1] ?? 'utf-8';
  return decodeAs(bytes, MARKED.test(named) ? 'utf-8' : named);
}

/** What files of other kinds begin with: pictures, archives, documents, fonts, programs. */
const MAGIC = [
  [0x89, 0x50, 0x4e, 0x47],
  [0x47, 0x49, 0x46, 0x38],
  [0xff, 0xd8, 0xff],
  [0x25, 0x50, 0x44, 0x46],
  [0x50, 0x4b, 0x03, 0x04],
  [0x1f, 0x8b],
  [0x77, 0x4f, 0x46],
  [0x00, 0x01, 0x00, 0x00],
  [0x7f, 0x45, 0x4c, 0x46],
  [0x52, 0x49, 0x46, 0x46],
];
const HEAD = 8192;

/** Whether the bytes are no text at all; single null bytes browsers pass over are no reason. */
export function looksBinary(bytes: Uint8Array): boolean {
  if (MAGIC.some((magic) => magic.every((byte, i) => bytes[i] === byte))) return true;
  const [a, b] = bytes;
  if ((a === 0xfe && b === 0xff) || (a === 0xff && b === 0xfe)) return false;
  const head = bytes.subarray(0, HEAD);
  const odd = head.reduce((sum, byte) => sum + Number(byte < 9 || (byte > 13 && byte < 32 && byte !== 27)), 0);
  return odd > head.length / 20;
}
