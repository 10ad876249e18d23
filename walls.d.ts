export const ROOMS: Readonly<Record<string, number>>;
export const OUTER: readonly string[];
export function roomOf(file: string): string | null;
export function barredFrom(room: string): readonly string[];
