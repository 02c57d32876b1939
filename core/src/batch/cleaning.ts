import { ANY_VESSEL_ID } from '../brew/vessel.ts';
import type { ShopStep } from '../shop/stepsSchema.ts';
import type { Batch } from './schema.ts';
import { vesselIdOf } from './vesselInUse.ts';

/** The step by which a vessel becomes free again. */
export const CLEAN_STEP = 'clean';

/**
 * Whether a batch leaves its vessel to be cleaned: one of the shop's, in a shop that notes cleaning.
 *
 * @param input.shopSteps as the shop has them; one that leaves cleaning out never asks for it
 */
export const leavesToClean = (input: {
  batch: Pick<Batch, 'plan'> & Partial<Pick<Batch, 'movedTo'>>;
  shopSteps: readonly ShopStep[];
}): boolean =>
  vesselIdOf(input.batch) !== ANY_VESSEL_ID &&
  !input.shopSteps.some(({ key, leftOut }) => key === CLEAN_STEP && leftOut);

/**
 * The batch after which a vessel was not cleaned.
 *
 * @returns the last one of it; null where it is clean, as any vessel always is
 */
export function uncleanedAfter<
  B extends Pick<Batch, 'plan' | 'movedTo' | 'needsCleaning' | 'cleanedAt' | 'endsAt'>,
>(input: { batches: readonly B[]; vesselId: string }): B | null {
  const { batches, vesselId } = input;
  const dirty = batches.filter(
    (batch) => batch.needsCleaning && batch.cleanedAt === null && vesselIdOf(batch) === vesselId,
  );
  return dirty.toSorted((a, b) => Date.parse(b.endsAt) - Date.parse(a.endsAt))[0] ?? null;
}
