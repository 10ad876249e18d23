/** A figure as sentences give it: to a tenth. */
export const round = (value: number): number => Math.round(value * 10) / 10;

/** The subject of a sentence in the middle of one. */
export const lower = (subject: string): string => subject.replace(/^The /, 'the ');

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
