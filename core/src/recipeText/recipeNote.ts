import type { Span } from './findMentions.ts';

/** Something that was assumed, or that does not agree, and where in the text. */
export interface RecipeNote {
  readonly code: string;
  readonly text: string;
  readonly span: Span;
}

/** Notes and quotations of a recipe's text. */
export const assumed = (what: string, text: string, span: Span): RecipeNote => ({
  code: `assumed_${what}`,
  text,
  span,
});
export const disagrees = (what: string, text: string, span: Span): RecipeNote => ({
  code: `disagrees_${what}`,
  text,
  span,
});
export const wholeOf = (text: string): Span => [0, text.length];
export const quote = (text: string, { span: [start, end] }: { span: Span }): string =>
  `“${text.slice(start, end)}”`;
export const grams = (massG: number): string => `${massG.toFixed(massG < 100 ? 1 : 0)} g`;
