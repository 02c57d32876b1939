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
  return lastEnded(batches.filter((one) => isUncleaned(one) && vesselIdOf(one) === vesselId));
}

/** Whether a batch left a vessel or a filter that nobody has cleaned since. */
export const isUncleaned = (batch: Pick<Batch, 'needsCleaning' | 'cleanedAt'>): boolean =>
  batch.needsCleaning && batch.cleanedAt === null;
const lastEnded = <B extends Pick<Batch, 'endsAt'>>(batches: readonly B[]): B | null =>
  batches.toSorted((a, b) => Date.parse(b.endsAt) - Date.parse(a.endsAt))[0] ?? null;

/**
 * The filter of a batch that is washed after it.
 *
 * @returns null for paper, which is thrown away, and where no bag or insert holds the grounds
 */
export function washedFilterOf({
  bed,
  filtration: { method },
}: Pick<Batch['plan'], 'bed' | 'filtration'>): 'bag' | 'insert' | null {
  if (method === 'insert') return 'insert';
  return method === 'squeeze' || bed === 'held' ? 'bag' : null;
}

/** Bags or inserts that a plan takes, and how the shop's own are doing. */
export interface FilterUse<B> {
  readonly kind: 'bag' | 'insert';
  readonly needs: number;
  readonly free: number;
  readonly whole: number;
  /** The batch that ended last of those whose filters nobody has washed; null where all are. */
  readonly unwashedAfter: B | null;
}

/**
 * Whether a clean bag or insert is left for a plan: those in a steep, and those that were not washed since,
 * are not free.
 *
 * @param input.filters the shop's, with what one takes, g, above 0, and how many there are
 * @returns null where the plan takes none, or the shop has none on its shelf
 */
export function filterUse<
  B extends Pick<Batch, 'plan' | 'status' | 'needsCleaning' | 'cleanedAt' | 'endsAt'>,
>(input: {
  plan: Pick<Batch['plan'], 'bed' | 'filtration' | 'doseG'>;
  batches: readonly B[];
  filters: readonly { readonly kind: string; readonly takesG: number; readonly count: number }[];
}): FilterUse<B> | null {
  const { plan, batches } = input;
  const kind = washedFilterOf(plan);
  const own = input.filters.filter((one) => one.kind === kind);
  if (kind === null || own.length === 0) return null;
  const largestG = Math.max(...own.map(({ takesG }) => takesG));
  const needsOf = ({ doseG }: { readonly doseG: number }): number => Math.ceil(doseG / largestG);
  const ofKind = batches.filter((one) => washedFilterOf(one.plan) === kind);
  const unwashed = ofKind.filter(isUncleaned);
  const steeping = ofKind.filter(({ status }) => status === 'steeping');
  const taken = [...unwashed, ...steeping].reduce((sum, batch) => sum + needsOf(batch.plan), 0);
  const whole = own.reduce((sum, { count }) => sum + count, 0);
  return {
    kind,
    needs: needsOf(plan),
    free: Math.max(0, whole - taken),
    whole,
    unwashedAfter: lastEnded(unwashed),
  };
}
