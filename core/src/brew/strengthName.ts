/** Names for the strength of an undiluted brew, weakest first, each up to and including a fraction. */
export const STRENGTH_NAMES = [
  { name: 'thin', uptoFrac: 0.01 },
  { name: 'cup strength', uptoFrac: 0.015 },
  { name: 'ready to drink', uptoFrac: 0.023 },
  { name: 'strong', uptoFrac: 0.03 },
  { name: 'concentrate', uptoFrac: 0.055 },
  { name: 'essence', uptoFrac: 1 },
] as const;

export type StrengthName = (typeof STRENGTH_NAMES)[number]['name'];

/**
 * What an undiluted brew is called.
 *
 * @param strengthFrac coffee solids over whole mass, 0–1
 * @example strengthName(0.0345) // 'concentrate'
 */
export function strengthName(strengthFrac: number): StrengthName {
  // A brew of exactly 1.0 % is no longer thin; the other names include their upper end.
  if (strengthFrac < STRENGTH_NAMES[0].uptoFrac) return 'thin';
  return STRENGTH_NAMES.slice(1).find(({ uptoFrac }) => strengthFrac <= uptoFrac)!.name;
}
