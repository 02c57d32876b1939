import { scaleLinear } from 'd3-scale';

const MOST_FRAC = 0.04;

/** Where a strength stands on the ladder of the menu, as a share of its width in per cent. */
export const ladderScale = scaleLinear([0, MOST_FRAC], [0, 100]).clamp(true);

/** Whole per cents on the ladder. */
export const ladderTicks: readonly number[] = ladderScale.ticks(4);
