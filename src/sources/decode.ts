import { isUtf8 } from 'node:buffer';
import { TextDecoder as SingleByteDecoder } from '@exodus/bytes/encoding-lite.js';
import sniff from 'html-encoding-sniffer';

const MARKED = /^utf-?16/i;
const LATIN = 'windows-1252';
/** Where browsers look for a charset beyond the bytes they scan ahead: an XML declaration, a late meta element. */
const ELSEWHERE = [/^<\?xml\s[^>]*encoding\s*=\s*["']([\w:-]+)/i, /<meta\s[^>]*charset\s*=\s*["']?\s*([\w:-]+)/i];
const HEAD = 65_536;

/** Charsets of one byte to a character: in these Node's own decoder takes windows-1252 for ISO 8859-1. */
const SINGLE = /^(windows|iso-8859|koi8|ibm|macintosh|x-mac)/;

function decoderOf(charset: string): { decode(bytes: Uint8Array): string } | null {
  try {
    const own = new TextDecoder(charset);
    return SINGLE.test(own.encoding) ? new SingleByteDecoder(own.encoding) : own;
  } catch {
    return null;
  }
}

/** Text in a charset; where that is unknown, in UTF-8 if the bytes are that, else in windows-1252. */
const decodeAs = (bytes: Uint8Array, charset: string): string =>
  (decoderOf(charset) ?? decoderOf(isUtf8(bytes) ? 'utf-8' : LATIN)!).decode(bytes);

/** Whether more of what is not ASCII is valid UTF-8 than not: single bad bytes make no other charset. */
function looksUtf8(bytes: Uint8Array): boolean {
  if (isUtf8(bytes)) return true;
  const text = new TextDecoder('utf-8').decode(bytes);
  const times = (kind: RegExp) => text.match(kind)?.length ?? 0;
  return times(/[^\0-\x7f\ufffd]/gu) > times(/\ufffd/g);
}

/** What a page without a charset in its first bytes is read in. */
function undeclared(bytes: Uint8Array): string {
  if (looksUtf8(bytes)) return 'utf-8';
  const head = Buffer.from(bytes.subarray(0, HEAD)).toString('latin1');
  return ELSEWHERE.map((form) => form.exec(head)?.[1]).find((found) => found && decoderOf(found)) ?? LATIN;
}

/** Text of a page in its own charset; what cannot be decoded becomes U+FFFD. @spec html §13.2.3 (encoding sniffing) */
export function decodePage(bytes: Uint8Array): string {
  const declared = sniff(bytes, { defaultEncoding: 'replacement' });
  const charset = declared === 'replacement' ? undeclared(bytes) : declared;
  return decodeAs(bytes, charset === 'x-user-defined' ? LATIN : charset);
}

/** Text of a style sheet or script. @spec css-syntax-3 §3.2 */
export function decodeText(bytes: Uint8Array): string {
  const [a, b] = bytes;
  if ((a === 0xfe && b === 0xff) || (a === 0xff && b === 0xfe))
    return decodeAs(bytes, a === 0xfe ? 'utf-16be' : 'utf-16le');
  const head = Buffer.from(bytes.subarray(0, 1024)).toString('latin1');
  const named = /^@charset "([\w-]+)";/.exec(head)?.[1] ?? (looksUtf8(bytes) ? 'utf-8' : LATIN);
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
const SAMPLE = 8192;

/** Whether the bytes are no text at all; single null bytes browsers pass over are no reason. */
export function looksBinary(bytes: Uint8Array): boolean {
  if (MAGIC.some((magic) => magic.every((byte, i) => bytes[i] === byte))) return true;
  const [a, b] = bytes;
  if ((a === 0xfe && b === 0xff) || (a === 0xff && b === 0xfe)) return false;
  const head = bytes.subarray(0, SAMPLE);
  const odd = head.reduce((sum, byte) => sum + Number(byte < 9 || (byte > 13 && byte < 32 && byte !== 27)), 0);
  return odd > head.length / 20;
}
