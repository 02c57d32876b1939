import { CONSTANTS } from '../constants.ts';
import { waterDensityGPerMl } from '../matter/waterDensity.ts';
import { FILTRATIONS } from './filtration.ts';
import type { Vessel } from './schema.ts';

const DISPLACED = CONSTANTS.groundsDisplaceMlPerG.value;

/**
 * Room that water and wet grounds take together.
 *
 * @param input.tempC of the slurry, °C, 0…100
 * @returns mL
 */
export function slurryMl(input: { doseG: number; waterG: number; tempC: number }): number {
  return input.waterG / waterDensityGPerMl(input.tempC) + DISPLACED * input.doseG;
}

/**
 * Water that fills a vessel up to a line over the grounds.
 *
 * @param input.lineMl what the vessel holds up to the line, mL
 * @returns g; 0 or less where the grounds alone reach the line
 */
export function waterToLineG(input: { lineMl: number; doseG: number; tempC: number }): number {
  return (input.lineMl - DISPLACED * input.doseG) * waterDensityGPerMl(input.tempC);
}

/** @returns room of a drained bed, mL: the grounds, and the liquid that they retain */
export const bedMlOf = ({ doseG }: { doseG: number }): number =>
  doseG * (DISPLACED + FILTRATIONS.drain.retainedGPerG);

/** How a slurry sits in its vessel. */
export interface VesselFit {
  readonly slurryMl: number;
  /** Room left above the slurry, mL; below 0 where it does not go in. */
  readonly headspaceMl: number;
  /** Most that should go in, with the headspace kept, mL. */
  readonly workingMl: number;
  readonly fit: 'fits' | 'tight' | 'overflows';
}

/**
 * Whether a slurry goes into a vessel with the headspace that it needs.
 *
 * @param input.vesselMl brim volume, mL, above 0
 * @param input.shaken whether the vessel will be shaken, which needs 30 % instead of 15 %
 */
export function vesselFit(input: {
  slurryMl: number;
  vesselMl: number;
  shaken: boolean;
}): VesselFit {
  const { slurryMl: filledMl, vesselMl } = input;
  const kept = input.shaken ? CONSTANTS.shakenHeadspaceFrac.value : CONSTANTS.headspaceFrac.value;
  const workingMl = vesselMl * (1 - kept);
  const fit = filledMl > vesselMl ? 'overflows' : filledMl > workingMl ? 'tight' : 'fits';
  return { slurryMl: filledMl, headspaceMl: vesselMl - filledMl, workingMl, fit };
}

/**
 * Time constant with which a vessel's slurry approaches its surroundings.
 *
 * @param volumeMl slurry volume, mL, above 0
 * @returns s; 2 h for a litre, growing with the cube root
 * @see CONSTANTS.vesselTimeSPerLitreThird (memory)
 */
export const vesselTimeConstantS = (volumeMl: number): number =>
  CONSTANTS.vesselTimeSPerLitreThird.value * Math.cbrt(volumeMl / 1000);

/** What a vessel takes as it is used: to its mark, or else to its brim, mL. */
export const vesselTakesMl = ({ markMl, brimMl }: Pick<Vessel, 'markMl' | 'brimMl'>): number =>
  markMl ?? brimMl;

/** Identity of whatever vessel is at hand: one that is large enough, of which there are always more. */
export const ANY_VESSEL_ID = 'any-vessel';

/** As most jars are, not quite twice as high as wide. */
const SLIM = 1.9;

/**
 * A jar of which only the size is known.
 *
 * @param input.brimMl to the brim, mL, above 0
 */
export const jarOf = (input: Pick<Vessel, 'id' | 'version' | 'name' | 'brimMl'>): Vessel => ({
  ...input,
  heightMm: Math.round(SLIM * Math.cbrt((4 * 1000 * input.brimMl) / (SLIM * Math.PI))),
  kind: 'jar',
  shaken: false,
  bagHoldsG: null,
  fitsFridge: true,
  use: 'steep',
  tareG: null,
  markMl: null,
});

/**
 * A vessel for whoever has stated none: as large as a slurry and its headspace take.
 *
 * @param slurryMl water and wet grounds together, mL, above 0
 */
export const anyVessel = (slurryMl: number): Vessel =>
  jarOf({
    id: ANY_VESSEL_ID,
    version: 1,
    name: 'Any vessel',
    // A little more than the headspace, so that it is never tight.
    brimMl: Math.min(200_000, (1.02 * slurryMl) / (1 - CONSTANTS.headspaceFrac.value)),
  });
