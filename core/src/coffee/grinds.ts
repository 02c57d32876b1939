/** Sizes to which coffee is ground for cold brew. */
export const GRIND_NAMES = ['extra-coarse', 'coarse', 'medium-coarse', 'medium', 'fine'] as const;
export type Grind = (typeof GRIND_NAMES)[number];

export interface GrindSize {
  /** Mass median diameter, µm. */
  readonly diameterUm: number;
  /** Share of the soluble matter that is free at once: fines and cut cells. */
  readonly freeFrac: number;
  /** Density of a loose, scooped pile, g/mL. */
  readonly looseDensityGPerMl: number;
  readonly reason: string;
}

/** The grinds; every value is common practice of the trade. */
export const GRINDS = {
  'extra-coarse': {
    diameterUm: 1400,
    freeFrac: 0.1,
    looseDensityGPerMl: 0.3,
    reason: 'cleanest, slowest; for long fridge steeps',
  },
  coarse: {
    diameterUm: 1150,
    freeFrac: 0.13,
    looseDensityGPerMl: 0.32,
    reason: 'drains well, little sediment',
  },
  'medium-coarse': {
    diameterUm: 950,
    freeFrac: 0.16,
    looseDensityGPerMl: 0.33,
    reason: 'a little stronger in the same hours',
  },
  medium: {
    diameterUm: 800,
    freeFrac: 0.2,
    looseDensityGPerMl: 0.35,
    reason: 'fast, but wants a paper pass',
  },
  fine: {
    diameterUm: 500,
    freeFrac: 0.28,
    looseDensityGPerMl: 0.4,
    reason: 'sediment and bitterness; seldom wanted',
  },
} as const satisfies Record<Grind, GrindSize>;

const BY_SIZE = GRIND_NAMES.map((name) => GRINDS[name]).sort((a, b) => a.diameterUm - b.diameterUm);

/**
 * Share free at once of grounds between the sizes of the table: the finer, the more cut cells.
 *
 * @param diameterUm mass median, µm, above 0; beyond the table as at its ends
 * @returns 0–1; the table's own at its own sizes
 */
export function freeFracOf(diameterUm: number): number {
  const above = BY_SIZE.findIndex((one) => one.diameterUm >= diameterUm);
  if (above === 0) return BY_SIZE[0]!.freeFrac;
  if (above === -1) return BY_SIZE.at(-1)!.freeFrac;
  const [low, high] = [BY_SIZE[above - 1]!, BY_SIZE[above]!];
  const share = Math.log(diameterUm / low.diameterUm) / Math.log(high.diameterUm / low.diameterUm);
  return low.freeFrac + share * (high.freeFrac - low.freeFrac);
}

/** Whole beans, loose, g/mL (common practice). */
export const WHOLE_BEAN_DENSITY_G_PER_ML = 0.36;

/** Whether a scoop holds ground coffee or whole beans. */
export const COFFEE_FORMS = ['ground', 'beans'] as const;
export type CoffeeForm = (typeof COFFEE_FORMS)[number];

/**
 * Density of loose coffee in a scoop.
 *
 * @param input.grind the grind that a scoop of ground coffee has
 * @returns g/mL; a scooped volume spreads ±12 % around it (95 %)
 * @see common practice
 */
export function looseDensityGPerMl(input: { form: CoffeeForm; grind: Grind }): number {
  return input.form === 'beans'
    ? WHOLE_BEAN_DENSITY_G_PER_ML
    : GRINDS[input.grind].looseDensityGPerMl;
}
