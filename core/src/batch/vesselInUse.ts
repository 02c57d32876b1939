import { ANY_VESSEL_ID } from '../brew/vessel.ts';
import type { Batch } from './schema.ts';

/** Identity of the vessel that a batch stands in: where it was moved to, or else where it was planned. */
export const vesselIdOf = (batch: Pick<Batch, 'plan'> & Partial<Pick<Batch, 'movedTo'>>): string =>
  batch.movedTo?.vesselId ?? batch.plan.vesselId;

/** @returns what the vessel is called in which a batch stands, or stood last */
export const vesselNameOf = (batch: Pick<Batch, 'vesselName' | 'movedTo'>): string =>
  batch.movedTo?.vesselName ?? batch.vesselName;

const HOUR_MS = 3_600_000;

/**
 * The batch that is in a vessel while another one would be: from its start until it is strained, and at
 * least as long as it is planned.
 *
 * @param input.batches those that still steep
 * @param input.startMs when the other one would start, ms since 1970 UTC
 * @param input.hours how long the other one steeps, h
 * @returns the one that ends last; null where the vessel is free, as any vessel always is
 */
export function vesselInUse<
  B extends Pick<Batch, 'id' | 'startedAt' | 'endsAt' | 'status' | 'plan'> &
    Partial<Pick<Batch, 'movedTo'>>,
>(input: {
  batches: readonly B[];
  vesselId: string;
  startMs: number;
  hours: number;
  nowMs: number;
}): B | null {
  const { batches, vesselId, startMs, hours, nowMs } = input;
  if (vesselId === ANY_VESSEL_ID) return null;
  const endMs = startMs + hours * HOUR_MS;
  const overlapping = batches.filter(
    (batch) =>
      batch.status === 'steeping' &&
      vesselIdOf(batch) === vesselId &&
      Date.parse(batch.startedAt) < endMs &&
      Math.max(nowMs, Date.parse(batch.endsAt)) > startMs,
  );
  return overlapping.toSorted((a, b) => Date.parse(b.endsAt) - Date.parse(a.endsAt))[0] ?? null;
}
