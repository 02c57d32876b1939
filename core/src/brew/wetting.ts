/** Ways in which the water is poured onto the grounds. */
export const WETTING_NAMES = ['pour', 'stir', 'stages'] as const;
export type Wetting = (typeof WETTING_NAMES)[number];

/** Share of the grounds that is wet from the start, and why one would take that way (practice). */
export const WETTINGS = {
  pour: { wetFrac: 0.8, label: 'Poured only', reason: 'quick, leaves dry pockets' },
  stir: { wetFrac: 0.95, label: 'Stirred once', reason: 'one pass with a spoon' },
  stages: {
    wetFrac: 0.99,
    label: 'In stages',
    reason: 'half, wait, top up, stir: nothing stays dry',
  },
} as const satisfies Record<Wetting, { wetFrac: number; label: string; reason: string }>;
