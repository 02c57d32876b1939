/** Plain scales, each from 1 to 5, and what their ends are called. */
export const SCALES = {
  strength: { name: 'Strength', low: 'thin', high: 'heavy' },
  sourness: { name: 'Sourness', low: 'flat', high: 'sharp' },
  bitterness: { name: 'Bitterness', low: 'none', high: 'harsh' },
  sweetness: { name: 'Sweetness', low: 'dry', high: 'sweet' },
  body: { name: 'Body', low: 'watery', high: 'thick' },
  clean: { name: 'Clean', low: 'muddy', high: 'clean' },
  liking: { name: 'Liking', low: 'not at all', high: 'very much' },
} as const satisfies Record<string, { name: string; low: string; high: string }>;
export type Scale = keyof typeof SCALES;
export const SCALE_NAMES = Object.keys(SCALES) as [Scale, ...Scale[]];
