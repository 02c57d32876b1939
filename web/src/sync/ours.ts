/** Which shapes this program keeps: the same text as long as the core, which says them, is the same. */
const SHAPE: string = import.meta.env?.['VITE_RATIO_SHAPE'] ?? 'unbuilt';
const BEFORE = `{"by":${JSON.stringify(SHAPE)},"value":`;

/** @returns a value as this browser keeps it: with the shapes of the program that wrote it */
export const keptText = (value: unknown): string => `${BEFORE}${JSON.stringify(value)}}`;

/** @returns whether a program of the same shapes wrote it: then it needs no checking */
export const isOurs = (text: string): boolean => text.startsWith(BEFORE);

/**
 * @returns what a text keeps that is ours
 * @throws {SyntaxError} where it is cut off
 */
export const keptValue = (text: string): unknown => (JSON.parse(text) as { value: unknown }).value;
