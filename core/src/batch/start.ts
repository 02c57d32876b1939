import { brew } from '../brew/brew.ts';
import type { Vessel } from '../brew/schema.ts';
import { learnedModel } from '../brew/learned.ts';
import type { Learned } from '../brew/learnedSchema.ts';
import { modelOf } from '../brew/model.ts';
import { brewRange } from '../brew/range.ts';
import { ANY_VESSEL_ID, anyVessel, slurryMl, vesselFit, type VesselFit } from '../brew/vessel.ts';
import type { Coffee } from '../coffee/schema.ts';
import { planInput, scoopOf } from './plan.ts';
import { predictionOf } from './predict.ts';
import type { Batch, Plan } from './schema.ts';
import { steepHoursOf } from './steepHours.ts';

const HOUR_MS = 3_600_000;

/**
 * The vessel of a plan: one of the shop's, or one that is large enough where any will do.
 *
 * @returns undefined where the shop has no such vessel
 */
export const vesselOf = (
  plan: Pick<Plan, 'vesselId' | 'doseG' | 'waterG' | 'waterC'>,
  vessels: readonly Vessel[],
): Vessel | undefined =>
  plan.vesselId === ANY_VESSEL_ID
    ? anyVessel(slurryMl({ ...plan, tempC: plan.waterC }))
    : vessels.find(({ id }) => id === plan.vesselId);

/**
 * A batch as it is when its steep begins, with what its plan leads to.
 *
 * @returns the batch before it has an identity, and how its slurry sits in the vessel
 * @throws {DomainError} out_of_range where the ratio is absurd
 */
export function startedBatch(input: {
  plan: Plan;
  coffee: Coffee;
  vessel: Vessel;
  startedAt: Date;
  /** What the shop's log has taught, and which version of it; left out for the handbook's. */
  known?: { readonly learned: Learned; readonly version: number } | null;
}): { batch: Omit<Batch, 'id' | 'version'>; fit: VesselFit } {
  const { plan, coffee, vessel, startedAt, known = null } = input;
  const { solubleFrac, robustaFrac, decafFrac } = coffee;
  const book = modelOf(coffee);
  const model = known ? learnedModel({ model: book, coffeeId: plan.coffeeId, ...known }) : book;
  const planned = planInput(plan);
  const outcome = brew(planned, model);
  return {
    fit: vesselFit({
      slurryMl: outcome.slurryMl,
      vesselMl: vessel.brimMl,
      shaken: vessel.shaken,
    }),
    batch: {
      coffeeName: coffee.name,
      vesselName: vessel.name,
      coffee: { solubleFrac, robustaFrac, decafFrac },
      model,
      plan,
      predicted: predictionOf({
        outcome,
        range: brewRange(planned, model, plan.scooped ? { ofScoop: scoopOf(planned) } : {}),
      }),
      status: 'steeping',
      startedAt: startedAt.toISOString(),
      endsAt: new Date(startedAt.getTime() + steepHoursOf(plan) * HOUR_MS).toISOString(),
      movedTo: null,
      needsCleaning: false,
      cleanedAt: null,
      abandonedFor: null,
      pouredAt: null,
      strainedAt: null,
      strengthFrac: null,
      strengthBy: null,
      predictedAtStrain: null,
      strain: null,
    },
  };
}
