import type { Finding, Place } from './finding.js';

/** What names a place in runs before and after the markup around it moved. */
const standing = ({ kind, selector, label }: Place): string => `${kind} ${selector} ${label}`;

/**
 * What makes a finding the same in another run, whatever moved: its check, message and states, and what it points at.
 * Lines, figures and widths are no part of it.
 */
export const identityOf = ({ check, message, states, places }: Finding): string =>
  [check, message, states.join('+'), standing(places[0]!)].join('|');

/** 16 hexadecimal digits of a text: FNV-1a of 64 bits. Not for secrets. */
export function digest(text: string): string {
  let hash = 0xcbf29ce484222325n;
  for (const byte of new TextEncoder().encode(text)) hash = BigInt.asUintN(64, (hash ^ BigInt(byte)) * 0x100000001b3n);
  return hash.toString(16).padStart(16, '0');
}

/** Numbers findings of one identity, so that each has a mark of its own: `0f3a…`, `0f3a….2`. */
export function fingerprints(page: string, findings: readonly Finding[]): readonly string[] {
  const seen = new Map<string, number>();
  return findings.map((finding) => {
    const mark = digest(`${page}|${identityOf(finding)}`);
    const count = (seen.get(mark) ?? 0) + 1;
    seen.set(mark, count);
    return count === 1 ? mark : `${mark}.${count}`;
  });
}
