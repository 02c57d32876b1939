/** Identifies the shapes that this program stores: it changes when the core changes. */
const SHAPE: string = import.meta.env?.['VITE_RATIO_SHAPE'] ?? 'unbuilt';
const BEFORE = `{"by":${JSON.stringify(SHAPE)},"value":`;

/** @returns a value as text for the storage, with the identity of the shapes that it has */
export const keptText = (value: unknown): string => `${BEFORE}${JSON.stringify(value)}}`;

/** @returns whether a program with the same shapes wrote the text, so that it needs no check */
export const isOurs = (text: string): boolean => text.startsWith(BEFORE);

/**
 * @returns the value of a text that a program with the same shapes wrote
 * @throws {SyntaxError} where it is cut off
 */
export const keptValue = (text: string): unknown => (JSON.parse(text) as { value: unknown }).value;
