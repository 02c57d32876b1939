/** Ways to taste without knowing which is which. */
export const BLIND_KINDS = ['triangle', 'duo-trio', 'preference'] as const;
export type BlindKind = (typeof BLIND_KINDS)[number];
