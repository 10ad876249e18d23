/** A figure as sentences give it: to a tenth. */
export const round = (value: number): number => Math.round(value * 10) / 10;

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
