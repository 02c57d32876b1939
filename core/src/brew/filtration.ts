/** How the brew is separated from its grounds. */
export const FILTRATION_METHODS = [
  'drain',
  'paper',
  'press',
  'squeeze',
  'insert',
  'on-grounds',
] as const;
export type FiltrationMethod = (typeof FILTRATION_METHODS)[number];

/** Liquid that stays in the grounds, g per g of coffee (practice, ±0.2), and why one would take it. */
export const FILTRATIONS = {
  drain: { label: 'Gravity drain', retainedGPerG: 2.0, reason: 'clean; let it hang 30 to 60 min' },
  paper: {
    label: 'Drain, then paper',
    retainedGPerG: 2.05,
    reason: 'clearest; change the paper when it clogs',
  },
  press: { label: 'Plunger press', retainedGPerG: 1.7, reason: 'more brew, some mud' },
  squeeze: { label: 'Hand squeeze', retainedGPerG: 1.4, reason: 'every drop, cloudy and bitter' },
  insert: {
    label: 'Insert lifted out',
    retainedGPerG: 2.2,
    reason: 'no bag to handle, retains the most',
  },
  // Drained as it is poured, so the bed retains what a drained one does.
  'on-grounds': {
    label: 'Left on the grounds',
    retainedGPerG: 2.0,
    reason: 'strained as it pours, stronger every day',
  },
} as const satisfies Record<
  FiltrationMethod,
  { label: string; retainedGPerG: number; reason: string }
>;

/** What came through, and what stayed. */
export interface Filtered {
  readonly brewG: number;
  readonly strengthFrac: number;
  readonly retainedG: number;
}

/**
 * Separates a slurry into brew and bed, and rinses the bed where asked.
 *
 * Where the bed absorbs all of the liquid nothing drains. Rinse water mixes with what the bed
 * retains, and as much stays behind as the bed can retain.
 *
 * @param input.liquidG water and dissolved solids around and in the grounds, g
 * @param input.strengthFrac of that liquid, 0–1
 * @param input.retainedGPerG what the bed can retain, g per g of coffee
 * @param input.rinseG water poured through the drained bed, g, 0 or more
 * @returns brew and bed; brewG + retainedG is liquidG + rinseG
 */
export function filterSlurry(input: {
  doseG: number;
  liquidG: number;
  strengthFrac: number;
  retainedGPerG: number;
  rinseG: number;
}): Filtered {
  const { doseG, liquidG, strengthFrac, retainedGPerG, rinseG } = input;
  const mostG = retainedGPerG * doseG;
  const steepedG = Math.min(mostG, liquidG);
  const drainedG = liquidG - steepedG;
  const bedG = steepedG + rinseG;
  const bedStrength = bedG === 0 ? 0 : (strengthFrac * steepedG) / bedG;
  const rinsedG = Math.max(0, bedG - mostG);
  const brewG = drainedG + rinsedG;
  const solidsG = strengthFrac * drainedG + bedStrength * rinsedG;
  return {
    brewG,
    strengthFrac: brewG > 0 ? solidsG / brewG : strengthFrac,
    retainedG: bedG - rinsedG,
  };
}
