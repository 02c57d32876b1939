/** Rows of a page of the log. */
export const LOG_PAGE = 50;

/** By what the log can be sorted. */
export const LOG_SORTS = ['date', 'coffee', 'strength', 'grind', 'vessel'] as const;
export type LogSort = (typeof LOG_SORTS)[number];
