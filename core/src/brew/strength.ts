import { CONSTANTS } from '../constants.ts';

/**
 * Extraction yield when nothing more comes out, by ratio: a thin slurry extracts more.
 *
 * @param input.ratio water over coffee by mass, above 0
 * @param input.equilibriumYieldFrac what a very thin slurry comes to, 0–1
 * @returns extraction yield, share of the dose, 0–1
 * @see maximum yield and partition after Liang, Chan and Ristenpart 2021 (memory); ratio term ours
 */
export function yieldAtRatioFrac(input: { ratio: number; equilibriumYieldFrac: number }): number {
  return (input.equilibriumYieldFrac * input.ratio) / (input.ratio + CONSTANTS.halfRatio.value);
}

/**
 * Strength of the liquid around the grounds.
 *
 * @returns coffee solids over whole mass, E·D/(W + E·D), 0–1
 * @example strengthFrac({ doseG: 60, waterG: 1000, yieldFrac: 0.2 }) // 0.01186
 */
export function strengthFrac(input: { doseG: number; waterG: number; yieldFrac: number }): number {
  const solidsG = input.yieldFrac * input.doseG;
  return solidsG / (input.waterG + solidsG);
}

/**
 * Water that is there to hold the coffee: what was poured, less what goes without coffee. Taken as gone
 * from the beginning.
 *
 * @param lossFrac share of the water poured, −0.2…0.2; 0 where left out
 * @returns g
 */
export const waterLeftG = (waterG: number, lossFrac = 0): number => waterG * (1 - lossFrac);

/**
 * Yield from a reading of the liquid in which the grounds stood: the immersion balance.
 *
 * @returns extraction yield, c·W/(D·(1 − c)), share of the dose
 */
export function immersionYieldFrac(input: {
  doseG: number;
  waterG: number;
  strengthFrac: number;
}): number {
  const { doseG, waterG, strengthFrac: c } = input;
  return (c * waterG) / (doseG * (1 - c));
}

/**
 * Yield from a reading of what dripped through and was weighed: the percolation balance.
 *
 * @param input.brewG mass of the brew, g
 * @returns extraction yield, c·B/D, share of the dose
 */
export function percolationYieldFrac(input: {
  doseG: number;
  brewG: number;
  strengthFrac: number;
}): number {
  return (input.strengthFrac * input.brewG) / input.doseG;
}
