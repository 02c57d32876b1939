import { planInput, scalePlan } from '../batch/plan.ts';
import type { Plan } from '../batch/schema.ts';
import { brew } from '../brew/brew.ts';
import type { BrewModel } from '../brew/model.ts';
import type { Vessel } from '../brew/schema.ts';
import { slurryMl, vesselFit } from '../brew/vessel.ts';

/** A batch that covers a need as well as a vessel can. */
export interface NextBatch {
  readonly plan: Plan;
  readonly brewG: number;
  readonly strengthFrac: number;
  /** Whether it is all that is needed. */
  readonly covers: boolean;
}

/** Coffee is weighed to this, g. */
const STEP_G = 10;

/**
 * The batch that covers a need: in the smallest vessel that is large enough, or as much as the largest
 * one takes.
 *
 * @param input.neededG brew that is needed, g, above 0
 * @param input.plan by which it is brewed, in whatever amount and vessel
 * @param input.vessels those that are free
 * @returns null where no vessel is free, or nothing comes out
 */
export function nextBatch(input: {
  neededG: number;
  plan: Plan;
  model: BrewModel;
  vessels: readonly Vessel[];
}): NextBatch | null {
  const { neededG, model } = input;
  const brewed = (plan: Plan) => brew(planInput(plan), model);
  const eachG = brewed(input.plan).brewG / input.plan.doseG;
  if (!(eachG > 0)) return null;
  const madeIn = (vessel: Vessel): NextBatch => {
    const mostG = mostDoseG(input.plan, vessel);
    const wantedG = STEP_G * Math.ceil(neededG / eachG / STEP_G);
    const doseG = Math.max(STEP_G, Math.min(wantedG, STEP_G * Math.floor(mostG / STEP_G)));
    const scaled = scalePlan(input.plan, doseG / input.plan.doseG);
    const plan = { ...scaled, doseG, vesselId: vessel.id };
    const { brewG, strengthFrac } = brewed(plan);
    return { plan, brewG, strengthFrac, covers: wantedG <= mostG };
  };
  const made = input.vessels.toSorted((a, b) => a.brimMl - b.brimMl).map(madeIn);
  return made.find(({ covers }) => covers) ?? made.at(-1) ?? null;
}

/** Most coffee that a vessel takes of a plan, with its headspace, and with what its bag holds. */
function mostDoseG(plan: Plan, vessel: Vessel): number {
  const { doseG, waterG, waterC } = plan;
  const fullMl = slurryMl({ doseG, waterG, tempC: waterC });
  const { brimMl, shaken, bagHoldsG } = vessel;
  const { workingMl } = vesselFit({ slurryMl: fullMl, vesselMl: brimMl, shaken });
  return Math.min((doseG * workingMl) / fullMl, bagHoldsG ?? Infinity);
}
