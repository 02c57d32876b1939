import { caffeineAtStrength } from '../coffee/caffeineAtStrength.ts';
import { brew, type BrewInput } from '../brew/brew.ts';
import { modelOf, USUAL_MODEL } from '../brew/model.ts';
import { brewRange } from '../brew/range.ts';
import { constantTemperature } from '../brew/temperature.ts';
import type { CoffeeTraits } from '../coffee/schema.ts';
import { CONSTANTS } from '../constants.ts';
import { storedCoffeeMl } from '../matter/properties.ts';
import { waterDensityGPerMl } from '../matter/waterDensity.ts';
import type { FilledJug } from './ledger.ts';
import type { JugEstimate } from './schema.ts';

/** What is known of a jug that was made elsewhere. */
export type MadeElsewhere = Pick<FilledJug, 'strengthFrac' | 'readBy' | 'caffeineMgPerG'> & {
  /** 5th and 95th percentile of the strength; null for a reading. */
  readonly range: { readonly low: number; readonly high: number } | null;
};

/** A steep that caffeine is calculated by where only the strength is known: it comes with the solids. */
const USUAL_STEEP = { ratio: 5, hours: 18, place: 'fridge', grind: 'coarse' } as const;

/**
 * How strong a jug is that nobody brewed here, and what caffeine it holds.
 *
 * @param input.strengthFrac as it was read, 0–1; undefined where nobody did
 * @param input.estimate by the ratio and hours that it was made with, or by the parts at which it tastes
 *   right: as strong as a cup is, 1.15–1.45 % (the SCA's brewing standard), once it is diluted so
 * @param input.roomC of the counter, °C
 * @param input.fridgeC °C
 * @throws {DomainError} out_of_range where the ratio leaves nothing to drain
 */
export function madeElsewhere(input: {
  strengthFrac?: number | undefined;
  estimate?: JugEstimate | undefined;
  coffee?: (CoffeeTraits & { readonly looseDensityGPerMl?: number | null }) | undefined;
  roomC: number;
  fridgeC: number;
}): MadeElsewhere {
  const { strengthFrac, estimate, coffee, ...rooms } = input;
  const model = coffee ? modelOf(coffee) : USUAL_MODEL;
  if (estimate && 'ratio' in estimate) {
    const steep = steepOf(estimate, rooms);
    const { strengthFrac: found, caffeineMgPerG } = brew(steep, model);
    const { strengthFrac: range } = brewRange(steep, model);
    return { strengthFrac: found, readBy: 'prediction', caffeineMgPerG, range };
  }
  const usual = brew(steepOf(USUAL_STEEP, rooms), model);
  const withSolids = (frac: number) => caffeineAtStrength({ ...usual, wantedFrac: frac });
  if (!estimate) {
    const read = strengthFrac ?? usual.strengthFrac;
    return {
      strengthFrac: read,
      readBy: 'refractometer',
      caffeineMgPerG: withSolids(read),
      range: null,
    };
  }
  const low = undilutedFrac(CONSTANTS.cupStrengthLowFrac.value, estimate.parts);
  const high = undilutedFrac(CONSTANTS.cupStrengthHighFrac.value, estimate.parts);
  const middle = (low + high) / 2;
  return {
    strengthFrac: middle,
    readBy: 'taste',
    caffeineMgPerG: withSolids(middle),
    range: { low, high },
  };
}

/** Strength of which so many parts by volume, with parts of water, have a strength. */
function undilutedFrac(
  cupFrac: number,
  { concentrate, fill }: { concentrate: number; fill: number },
): number {
  const waterG = fill * waterDensityGPerMl(CONSTANTS.brewVolumeTempC.value);
  let strengthFrac = (cupFrac * (concentrate + fill)) / concentrate;
  // A concentrate's density follows from its strength: three rounds settle it to 1e-9.
  for (let round = 0; round < 3; round++) {
    const concentrateG = concentrate / storedCoffeeMl({ massG: 1, strengthFrac });
    strengthFrac = (cupFrac * (concentrateG + waterG)) / concentrateG;
  }
  return strengthFrac;
}

const STEEP_G = 1000;

function steepOf(
  { ratio, hours, place, grind }: Extract<JugEstimate, { ratio: number }>,
  { roomC, fridgeC }: { roomC: number; fridgeC: number },
): BrewInput {
  const durationS = hours * 3600;
  const tempC = place === 'fridge' ? fridgeC : roomC;
  return {
    doseG: STEEP_G,
    waterG: ratio * STEEP_G,
    grind,
    wetting: 'stages',
    history: constantTemperature([{ durationS, tempC }]),
    steepS: durationS,
    agitationS: [],
    bed: 'loose',
    filtration: { method: 'drain', rinseG: 0 },
  };
}
