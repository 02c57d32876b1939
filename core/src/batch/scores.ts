/** How a jar was liked, once it was tasted. */
export const SCORES = [1, 2, 3, 4, 5] as const;
