/** What a brew is strained through. */
export const FILTER_KINDS = ['bag', 'paper', 'insert'] as const;
