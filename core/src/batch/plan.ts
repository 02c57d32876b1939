import type { BrewInput } from '../brew/brew.ts';
import type { BrewSetting } from '../brew/solve.ts';
import { slurryTemperature } from '../brew/temperature.ts';
import { slurryMl, vesselTimeConstantS } from '../brew/vessel.ts';
import type { MeasuredSteep } from './measuredSteep.ts';
import type { Batch, Plan } from './schema.ts';

/**
 * A plan as the forward computation takes it. What was measured of the steep stands in for what was
 * planned of it, piece by piece; what nobody measured stays as planned.
 *
 * @param measured what really happened, as far as it is known
 */
export function planInput(plan: Plan, measured: MeasuredSteep = {}): BrewInput {
  const { temperatures, places, agitationS, strainedS, keptFrac = 1 } = measured;
  const doseG = keptFrac * (measured.doseG ?? plan.doseG);
  const pours = measured.pours?.map((pour) => ({ ...pour, massG: keptFrac * pour.massG }));
  const waterG = pours ? pours.reduce((sum, { massG }) => sum + massG, 0) : keptFrac * plan.waterG;
  // What is rinsed with after a split is rinsed through what was kept.
  const rinseG = measured.rinseG ?? keptFrac * plan.filtration.rinseG;
  const { waterC, historyOf: _, ...planned } = brewSetting(plan);
  return {
    ...planned,
    doseG,
    waterG,
    history: slurryTemperature({
      doseG,
      pours: pours ?? [{ atS: 0, massG: waterG, tempC: waterC }],
      readings: temperatures ?? [],
      places: places ?? placesOf(plan),
      timeConstantS: timeConstantS({ doseG, waterG, waterC }),
    }),
    steepS: strainedS ?? planned.steepS,
    agitationS: agitationS ?? planned.agitationS,
    filtration: { ...planned.filtration, rinseG },
  };
}

/** @returns all of a plan but its coffee and water, for whoever solves for those */
export function brewSetting(plan: Omit<Plan, 'doseG' | 'waterG'>): BrewSetting {
  const { waterC, grind, wetting, filtration, agitationHours, bed } = plan;
  const places = placesOf(plan);
  return {
    grind,
    wetting,
    waterC,
    historyOf: ({ doseG, waterG }) =>
      slurryTemperature({
        doseG,
        pours: [{ atS: 0, massG: waterG, tempC: waterC }],
        readings: [],
        places,
        timeConstantS: timeConstantS({ doseG, waterG, waterC }),
      }),
    steepS: places.reduce((sum, { durationS }) => sum + durationS, 0),
    agitationS: agitationHours.map((hours) => hours * 3600),
    bed,
    filtration,
  };
}

/** @returns the same plan for so many times the coffee, a factor above 0: every amount scales */
export const scalePlan = (plan: Plan, factor: number): Plan => ({
  ...plan,
  doseG: plan.doseG * factor,
  waterG: plan.waterG * factor,
  filtration: { ...plan.filtration, rinseG: plan.filtration.rinseG * factor },
});

/** The brew that the same scoop gives when the loose coffee is denser by a factor. */
export const scoopOf =
  (input: BrewInput) =>
  (densityFactor: number): BrewInput => ({ ...input, doseG: input.doseG * densityFactor });

/** @returns what the tables alone say that a batch's scoop holds, g: what was learned before is taken off */
export const scoopByTablesG = ({ plan, model }: Pick<Batch, 'plan' | 'model'>): number =>
  plan.doseG / Math.exp(model.learned?.looseLog?.value ?? 0);

const placesOf = ({ steep }: Pick<Plan, 'steep'>) =>
  steep.map(({ hours, tempC }) => ({ durationS: hours * 3600, tempC }));

const timeConstantS = (input: { doseG: number; waterG: number; waterC: number }): number =>
  vesselTimeConstantS(slurryMl({ doseG: input.doseG, waterG: input.waterG, tempC: input.waterC }));
