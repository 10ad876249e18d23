/** Charset named by a byte order mark or a meta element in the first 1024 bytes. @spec html §13.2.3 (encoding sniffing) */
function charsetOf(bytes: Uint8Array): string {
  if (bytes[0] === 0xef && bytes[1] === 0xbb && bytes[2] === 0xbf) return 'utf-8';
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return 'utf-16be';
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return 'utf-16le';
  const head = Buffer.from(bytes.subarray(0, 1024)).toString('latin1');
  const named = /<meta[^>]+charset\s*=\s*["']?\s*([\w-]+)/i.exec(head)?.[1] ?? /^@charset "([\w-]+)";/.exec(head)?.[1];
  return named && !/^utf-?16/i.test(named) ? named : 'utf-8';
}

/** Text of a file in its own charset; what cannot be decoded becomes U+FFFD. */
export function decode(bytes: Uint8Array): string {
  const charset = charsetOf(bytes);
  try {
    return new TextDecoder(charset).decode(bytes);
  } catch {
    return new TextDecoder('utf-8').decode(bytes);
  }
}

/** Whether the bytes are no text at all: a null byte near the start and no UTF-16 mark. */
export function looksBinary(bytes: Uint8Array): boolean {
  if (/^utf-16/.test(charsetOf(bytes))) return false;
  return bytes.subarray(0, 8192).includes(0);
}
