import type { Batch } from '@ratio/core/batch';
import { progressOf, stepsOf, type Progress } from '@ratio/core/steps';
import { useBatches } from './batches.ts';
import { useShop } from '../shop/index.ts';

/** @returns where a batch stands in the shop's steps at a moment, by what was noted of it */
export function useProgress(): (batch: Batch, nowMs: number) => Progress {
  const shop = useShop();
  const batches = useBatches();
  return (batch, nowMs) =>
    progressOf({
      batch,
      steps: stepsOf({ plan: batch.plan, shopSteps: shop.document?.steps ?? [] }),
      observations: batches.observationsOf(batch.id),
      nowMs,
    });
}
