/** Shapes of glass that a drink is drawn in. */
export const GLASSES = ['tumbler', 'highball', 'mug', 'carafe'] as const;
